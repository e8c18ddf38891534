import {
  groupShares,
  percentOf,
  shareGroups,
  sharesOf,
  type ShareGroup,
  type SharesKnown,
} from '@harbor-latch/core/reference/faultShares';
import { useState } from 'react';
import { FoldedCard } from '../../fields/FoldedCard';
import type { Recorder } from '../../records/useRecords';
import { FigureDialog } from '../../ui/FigureDialog';
import { PressRow } from '../../ui/PressRow';
import { useSay } from '../../ui/Said';
import { Words } from '../../ui/Words';

const MOST_PERCENT = 100;
const plain = (value: number) => String(Number(value.toPrecision(2)));

/** How often each fault is the one before anything was read, where that comes from, and how it is set otherwise. */
export function SharesCard({ known, record }: { readonly known: SharesKnown; readonly record: Recorder }) {
  const say = useSay();
  const [setting, setSetting] = useState<ShareGroup | null>(null);
  const { percents = {}, closed = {} } = known;
  const shares = sharesOf(shareGroups, known);
  const found = Object.values(closed).reduce((sum, count) => sum + count, 0);
  const set = Object.keys(percents).length;
  const from = [
    set === 0 ? 'the usual' : `${set} set for this boat`,
    ...(found === 0 ? [] : [found === 1 ? 'one repair of the yard' : `${found} repairs of the yard`]),
  ];
  const why = (group: ShareGroup) => {
    const usual = groupShares[group].percent;
    const moved = percentOf(group, known) / (percents[group] ?? usual);
    return [
      percents[group] === undefined ? `usually ${usual} % of calls` : `set to ${percents[group]} %, usually ${usual} %`,
      ...(moved === 1 ? [] : [`× ${moved} by what is known of her`]),
      ...(closed[group] === undefined ? [] : [`found ${closed[group]} ×`]),
    ].join(' · ');
  };
  return (
    <FoldedCard title="How often each is the one" summary={`${from.join(', ')}`}>
      <Words kind="small" muted>
        Of a hundred calls on pumps like this. A hunt begins with it, and every reading moves it. What is known of the
        boat moves it too, and so does every repair that a hunt of this yard ended with.
      </Words>
      {shareGroups.map((group) => (
        <PressRow
          key={group}
          label={`${groupShares[group].name}, ${plain((shares.get(group) ?? 0) * 100)} percent. Change`}
          onPress={() => setSetting(group)}
          style={{ flexDirection: 'row', alignItems: 'center', gap: 10 }}
        >
          <Words style={{ flex: 1, minWidth: 0 }}>
            {groupShares[group].name}
            {'\n'}
            <Words kind="small" muted>
              {why(group)}
            </Words>
          </Words>
          <Words kind="strong">{`${plain((shares.get(group) ?? 0) * 100)} %`}</Words>
        </PressRow>
      ))}
      {setting === null ? null : (
        <FigureDialog
          title={groupShares[setting].name}
          label={`Percent of calls; the usual is ${groupShares[setting].percent}`}
          hint="Left empty: the usual"
          first={percents[setting] ?? groupShares[setting].percent}
          most={MOST_PERCENT}
          onFigure={(percent) => {
            setSetting(null);
            void record('faultShare', null, { group: setting, percent }).then(() =>
              say(percent === null ? 'The usual again' : 'Set for this boat'),
            );
          }}
          onClose={() => setSetting(null)}
        />
      )}
    </FoldedCard>
  );
}
