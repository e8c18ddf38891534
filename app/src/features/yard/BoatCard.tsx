import type { BoatSummary } from '@harbor-latch/core/assess/summary';
import { formatQuantity } from '@harbor-latch/core/units/index';
import { memo, useState } from 'react';
import { View } from 'react-native';
import type { YardBoat } from '../../data/boats';
import { useUnits } from '../../data/settings';
import { useOpenPage } from '../../ui/nextPage';
import { Card } from '../../ui/Card';
import { circuitInWords, CircuitLine } from '../../ui/CircuitLine';
import { circuitPage } from '../../ui/circuitPage';
import { PressRow } from '../../ui/PressRow';
import { StandingBadge, standingLook } from '../../ui/Standing';
import { usePalette } from '../../ui/theme';
import { ToolButton } from '../../ui/ToolButton';
import { DialogComing, lazily } from '../../ui/lazily';
import { Words } from '../../ui/Words';
import type { TripCheckProps } from './TripCheckDialog';

/** What records is not part of the first screen. */
const TripCheckDialog = lazily<TripCheckProps>(
  () => import('../laterPages').then(({ TripCheckDialog: dialog }) => dialog),
  DialogComing,
);

/** A boat of the yard: its circuits, each with the worst that was found. */
export const BoatCard = memo(function BoatCard({
  boat: { id, line, job },
  marked,
  summary,
  open,
  onOpen,
}: {
  /** Whether her circuits are shown under her. */
  readonly open: boolean;
  readonly onOpen: (id: string, open: boolean) => void;
  readonly boat: YardBoat;
  /** Whether it is told which boats are on this device: in a yard too large for all of them. */
  readonly marked: boolean;
  /** What is known of it; undefined while it is being worked out. */
  readonly summary: BoatSummary | undefined;
}) {
  const openPage = useOpenPage();
  const units = useUnits();
  const palette = usePalette();
  const [checking, setChecking] = useState(false);
  const { circuits } = line;
  const craft = [
    line.craft,
    line.hullLengthM === undefined ? undefined : formatQuantity(line.hullLengthM, 'length', units, 1),
    line.berth,
  ];
  return (
    <Card>
      <View style={{ flexDirection: 'row', alignItems: 'center' }}>
        <PressRow
          role="link"
          label={`Boat ${line.name}${summary ? `, ${standingLook[summary.standing].word.toLowerCase()}` : ''}`}
          onPress={() => openPage(`/boat/${id}`)}
          style={{ flex: 1, minWidth: 0, padding: 14, paddingRight: 4, flexDirection: 'row', gap: 10 }}
        >
          <View style={{ flex: 1, minWidth: 0, gap: 2 }}>
            <Words kind="heading" level={2} numberOfLines={2}>
              {line.name}
            </Words>
            <Words kind="small" muted>
              {[...craft.filter(Boolean), marked && job ? 'on this device' : null].filter(Boolean).join(' · ') ||
                'No details yet'}
            </Words>
            {open || circuits.length === 0 ? null : (
              <Words kind="small">{summary ? foldedWords(summary) : `${circuits.length} circuits`}</Words>
            )}
          </View>
          {summary ? <StandingBadge standing={summary.standing} /> : null}
        </PressRow>
        {circuits.length > 0 ? (
          <ToolButton icon="check" label={`Trip check of ${line.name}`} onPress={() => setChecking(true)} />
        ) : null}
        {circuits.length > 0 ? (
          <ToolButton
            icon={open ? 'chevron-up' : 'chevron-down'}
            label={`${open ? 'Fold' : 'Show'} the circuits of ${line.name}`}
            onPress={() => onOpen(id, !open)}
          />
        ) : null}
      </View>
      {(open ? circuits : []).map(({ id: circuitId, name }) => {
        const one = summary?.circuits.find((circuit) => circuit.id === circuitId);
        return (
          <PressRow
            key={circuitId}
            role="link"
            label={`Circuit ${name} of ${line.name}. ${circuitInWords(one)}`}
            onPress={() => openPage(circuitPage(id, circuitId, one))}
            style={{
              paddingVertical: 10,
              paddingHorizontal: 14,
              flexDirection: 'row',
              gap: 10,
              alignItems: 'center',
              borderTopWidth: 1,
              borderColor: palette.line,
            }}
          >
            <CircuitLine name={name} summary={one} />
          </PressRow>
        );
      })}
      {checking ? (
        <TripCheckDialog
          boat={{ id, name: line.name }}
          job={job}
          circuits={circuits}
          onClose={() => setChecking(false)}
        />
      ) : null}
    </Card>
  );
});

/** "4 circuits: 2 stop, 1 caution". */
function foldedWords({ circuits }: BoatSummary): string {
  const standings = (['stop', 'caution', 'incomplete'] as const).flatMap((standing) => {
    const count = circuits.filter((one) => one.standing === standing).length;
    return count === 0 ? [] : [`${count} ${standingLook[standing].word.toLowerCase()}`];
  });
  const many = circuits.length === 1 ? '1 circuit' : `${circuits.length} circuits`;
  return `${many}: ${standings.length === 0 ? 'good' : standings.join(', ')}`;
}
