import { rulesWith, windowKeys, windowSettings, type WindowKey, type Windows } from '@harbor-latch/core/prove/windows';
import { useState } from 'react';
import { FoldedCard } from '../../fields/FoldedCard';
import type { Recorder } from '../../records/useRecords';
import { FigureDialog } from '../../ui/FigureDialog';
import { PressRow } from '../../ui/PressRow';
import { useSay } from '../../ui/Said';
import { Words } from '../../ui/Words';

/** Shares are typed and shown in percent. */
const PERCENT = 100;
const inUnit = (key: WindowKey) => (windowSettings[key].unit === '%' ? PERCENT : 1);
const plain = (value: number) => String(Number(value.toPrecision(6)));

/** How wide the windows of this boat are, and how they are set otherwise. */
export function WindowsCard({ windows, record }: { readonly windows: Windows; readonly record: Recorder }) {
  const say = useSay();
  const [setting, setSetting] = useState<WindowKey | null>(null);
  const rules = rulesWith(windows);
  const usual = rulesWith({});
  const shown = (key: WindowKey, of = rules) => plain(windowSettings[key].of(of) * inUnit(key));
  const words = (key: WindowKey) => `${shown(key)} ${windowSettings[key].unit}`;
  const others = windowKeys.filter((key) => windows[key] !== undefined).length;
  return (
    <FoldedCard title="Windows" summary={others === 0 ? 'The usual ones' : `${others} set for this boat`}>
      <Words kind="small" muted>
        What a reading may differ by and still pass: the meter’s own, and what a sound circuit of its kind shows. Where
        the circuit’s own spread is wider, that counts.
      </Words>
      {windowKeys.map((key) => (
        <PressRow
          key={key}
          label={`${windowSettings[key].name} ${words(key)}. Change`}
          onPress={() => setSetting(key)}
          style={{ flexDirection: 'row', alignItems: 'center', gap: 10 }}
        >
          <Words style={{ flex: 1, minWidth: 0 }}>{windowSettings[key].name}</Words>
          <Words kind="small" muted={windows[key] === undefined}>
            {words(key)}
          </Words>
        </PressRow>
      ))}
      {setting === null ? null : (
        <FigureDialog
          title={windowSettings[setting].name}
          label={`In ${windowSettings[setting].unit}; the usual is ${shown(setting, usual)}`}
          hint="Left empty: the usual"
          first={windowSettings[setting].of(rules) * inUnit(setting)}
          most={windowSettings[setting].most}
          onFigure={(figure) => {
            setSetting(null);
            const to = figure === null || figure === 0 ? null : figure / inUnit(setting);
            void record('window', null, { window: setting, to }).then(() =>
              say(to === null ? 'The usual again' : 'Set for this boat'),
            );
          }}
          onClose={() => setSetting(null)}
        />
      )}
    </FoldedCard>
  );
}
