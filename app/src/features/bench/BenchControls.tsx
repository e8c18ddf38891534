import {
  isFloat,
  positionsOf,
  type FloatPosition,
  type Part,
  type SwitchPosition,
  roles,
} from '@harbor-latch/core/circuit/index';
import type { Plan } from '@harbor-latch/core/schemes/index';
import { memo, useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import { FoldedCard } from '../../fields/FoldedCard';
import { ChoiceRow, type Choice } from '../../ui/ChoiceRow';
import { useStable } from '../../ui/useStable';
import { Words } from '../../ui/Words';
import { HandSwitch } from './HandSwitch';
import { useBenchNow } from './useBench';

const waterChoices: readonly Choice<FloatPosition>[] = [
  { value: 'down', label: 'Low' },
  { value: 'up', label: 'High' },
];
const mutes: readonly Choice<SwitchPosition>[] = [
  { value: 'off', label: 'Listening' },
  { value: 'manual', label: 'Muted' },
];
const switches: readonly Choice<SwitchPosition>[] = [
  { value: 'off', label: 'Off' },
  { value: 'manual', label: 'On' },
];
type Stands = 'in' | 'open';
const fuses: readonly Choice<Stands>[] = [
  { value: 'in', label: 'In' },
  { value: 'open', label: 'Pulled' },
];
const isolators: readonly Choice<Stands>[] = [
  { value: 'in', label: 'On' },
  { value: 'open', label: 'Off' },
];

/** Names of parts, by id. */
function namesIn(plan: Plan): (id: string) => string {
  return (id) => plan.parts.find(({ part }) => part.id === id)?.name ?? id;
}

/** Switches, water, fuses and isolator: everything a hand or the bilge can do. */
export const BenchControls = memo(function BenchControls({ plan }: { readonly plan: Plan }) {
  const bench = useBenchNow();
  const { state, netlist } = bench;
  const { setting } = state;
  const nameOf = namesIn(plan);
  const own = netlist.parts.find(({ id }) => id === roles.switch);
  const further = netlist.parts.filter((part) => part.id !== roles.switch && positionsOf(part).length > 0);
  const floats = netlist.parts.filter(isFloat);
  const lift = useStable((id: string, position: FloatPosition) =>
    bench.change({ setting: { ...setting, floats: { ...setting.floats, [id]: position } } }),
  );
  const turnTo = (id: string, position: SwitchPosition) => ({
    ...setting,
    switches: { ...setting.switches, [id]: position },
  });
  const turn = useStable((id: string, position: SwitchPosition) => bench.change({ setting: turnTo(id, position) }));
  const hold = useStable((id: string, position: SwitchPosition) => bench.hold(turnTo(id, position)));
  const pull = useStable((id: string, position: Stands) =>
    bench.change({ open: position === 'open' ? [...state.open, id] : state.open.filter((one) => one !== id) }),
  );
  // What is pulled and what is not stays as it is while a switch is turned.
  const openables = useMemo(() => {
    const nameOf = namesIn(plan);
    const openable = netlist.parts.filter(({ kind }) => kind === 'fuse' || kind === 'isolator');
    return (
      <Openable folded={openable.every(({ id }) => !state.open.includes(id))}>
        {openable.map((part) => {
          const fuse = part.kind === 'fuse';
          const name = fuse ? `${nameOf(part.id)}, ${part.ratingA}\u00a0A` : nameOf(part.id);
          return (
            <ControlRow
              key={part.id}
              id={part.id}
              name={name}
              label={name}
              choices={fuse ? fuses : isolators}
              value={state.open.includes(part.id) ? 'open' : 'in'}
              onChoose={pull}
            />
          );
        })}
      </Openable>
    );
  }, [netlist, plan, state.open, pull]);
  return (
    <View style={styles.controls}>
      {own ? (
        <HandSwitch
          id={own.id}
          name={nameOf(own.id)}
          now={setting.switches[own.id] ?? 'off'}
          order={own.kind === 'three-way-switch' ? threeWay : twoWay}
          springs={springsBack(own)}
          onTurn={turn}
          onHold={hold}
        />
      ) : null}
      {floats.map(({ id, kind }) => (
        <ControlRow
          key={id}
          id={id}
          name={kind === 'pump' ? 'Water at the pump' : `Water at the ${nameOf(id).toLowerCase()}`}
          label={`Water at ${nameOf(id)}`}
          choices={waterChoices}
          value={setting.floats[id] ?? 'down'}
          onChoose={lift}
        />
      ))}
      {further.map(({ id, kind }) => (
        <ControlRow
          key={id}
          id={id}
          name={kind === 'alarm' ? 'Alarm' : nameOf(id)}
          label={kind === 'alarm' ? 'Mute of the alarm' : nameOf(id)}
          choices={kind === 'alarm' ? mutes : switches}
          value={setting.switches[id] ?? 'off'}
          onChoose={turn}
        />
      ))}
      {openables}
    </View>
  );
});

/** Something that stands one way or another, under its name; painted anew only when it is turned. */
const ControlRow = memo(OneRow) as typeof OneRow;

function OneRow<Position extends string>({
  id,
  name,
  label,
  choices,
  value,
  onChoose,
}: {
  readonly id: string;
  readonly name: string;
  /** What a screen reader hears of the choice. */
  readonly label: string;
  readonly choices: readonly Choice<Position>[];
  readonly value: Position;
  readonly onChoose: (id: string, value: Position) => void;
}) {
  return (
    <View style={styles.row}>
      <Words kind="strong" style={styles.name}>
        {name}
      </Words>
      <ChoiceRow label={label} value={value} choices={choices} onChoose={(chosen) => onChoose(id, chosen)} />
    </View>
  );
}

const styles = StyleSheet.create({
  controls: { gap: 14 },
  row: { flexDirection: 'row', alignItems: 'center', gap: 10, flexWrap: 'wrap', justifyContent: 'space-between' },
  name: { flexShrink: 1, minWidth: 110 },
});

/** Fuses and isolators: folded as long as all are in, since they are seldom touched. */
function Openable({ folded, children }: { readonly folded: boolean; readonly children: readonly React.ReactNode[] }) {
  if (children.length === 0) return null;
  return folded ? (
    <FoldedCard title="Fuses and isolators" summary="All in and on">
      {children}
    </FoldedCard>
  ) : (
    <>{children}</>
  );
}

const threeWay: readonly SwitchPosition[] = ['manual', 'off', 'auto'];
const twoWay: readonly SwitchPosition[] = ['manual', 'off'];

function springsBack(part: Part): boolean {
  return (
    (part.kind === 'three-way-switch' && part.momentaryManual === true) ||
    (part.kind === 'on-off-switch' && part.momentary === true)
  );
}
