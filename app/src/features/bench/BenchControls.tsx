import {
  isFloat,
  positionsOf,
  type FloatPosition,
  type Part,
  type SwitchPosition,
  roles,
} from '@harbor-latch/core/circuit/index';
import type { Plan } from '@harbor-latch/core/schemes/index';
import { memo, useContext, useMemo, useRef } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { FoldedCard } from '../../fields/FoldedCard';
import { ChoiceRow, type Choice } from '../../ui/ChoiceRow';
import { Press } from '../../ui/Press';
import { roving } from '../../ui/roving';
import { stylesFor } from '../../ui/stylesFor';
import { fonts } from '../../ui/theme';
import { useStable } from '../../ui/useStable';
import { TextScaleContext, Words } from '../../ui/Words';
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

const words: Readonly<Record<SwitchPosition, string>> = { manual: 'Manual', off: 'Off', auto: 'Auto' };
const threeWay: readonly SwitchPosition[] = ['manual', 'off', 'auto'];
const twoWay: readonly SwitchPosition[] = ['manual', 'off'];

function springsBack(part: Part): boolean {
  return (
    (part.kind === 'three-way-switch' && part.momentaryManual === true) ||
    (part.kind === 'on-off-switch' && part.momentary === true)
  );
}

const useSwitch = stylesFor(({ accent, accentSoft, muted, surface }) => {
  const position = {
    flexGrow: 1,
    minHeight: 68,
    alignItems: 'center',
    justifyContent: 'center',
    borderRadius: 12,
    borderWidth: 1,
    borderColor: muted,
    backgroundColor: surface,
  } as const;
  return {
    whole: { gap: 4 },
    row: { flexDirection: 'row', flexWrap: 'wrap', gap: 6 },
    position,
    taken: { ...position, borderWidth: 3, borderColor: accent, backgroundColor: accentSoft },
    words: { fontFamily: fonts.medium, fontSize: 18 },
    takenWords: { fontFamily: fonts.bold, fontSize: 18 },
  } as const;
});

/** The circuit's switch, as large as a glove; a manual that springs back is held. */
const HandSwitch = memo(function HandSwitch({
  id,
  name,
  now,
  order,
  springs,
  onTurn,
  onHold,
}: {
  readonly id: string;
  readonly name: string;
  readonly now: SwitchPosition;
  readonly order: readonly SwitchPosition[];
  /** Whether its manual springs back. */
  readonly springs: boolean;
  readonly onTurn: (id: string, position: SwitchPosition) => void;
  readonly onHold: (id: string, position: SwitchPosition) => void;
}) {
  const styles = useSwitch();
  const before = useRef<SwitchPosition>('off');
  const held = useRef(false);
  const press = useStable(() => {
    if (held.current) return;
    held.current = true;
    before.current = now === 'manual' ? 'off' : now;
    onHold(id, 'manual');
  });
  const release = useStable(() => {
    if (!held.current) return;
    held.current = false;
    onHold(id, before.current);
  });
  const turn = useStable((position: SwitchPosition) => onTurn(id, position));
  return (
    <View style={styles.whole}>
      <Words kind="strong">{name}</Words>
      <View role="radiogroup" aria-label={name} style={styles.row} {...roving}>
        {order.map((position) => (
          <Position
            key={position}
            position={position}
            label={position === 'manual' && order.length === 2 ? 'On' : words[position]}
            taken={position === now}
            springs={springs && position === 'manual'}
            onTurn={turn}
            onPress={press}
            onRelease={release}
          />
        ))}
      </View>
    </View>
  );
});

/** One position of the switch. */
const Position = memo(function Position({
  position,
  label,
  taken,
  springs,
  onTurn,
  onPress,
  onRelease,
}: {
  readonly position: SwitchPosition;
  readonly label: string;
  readonly taken: boolean;
  readonly springs: boolean;
  readonly onTurn: (position: SwitchPosition) => void;
  readonly onPress: () => void;
  readonly onRelease: () => void;
}) {
  const styles = useSwitch();
  const scale = useContext(TextScaleContext);
  const keys = {
    onKeyDown: (event: { key: string; preventDefault: () => void }) => {
      if (event.key !== ' ' && event.key !== 'Enter') return;
      event.preventDefault();
      onPress();
    },
    onKeyUp: onRelease,
    onBlur: onRelease,
  };
  const look = [taken ? styles.taken : styles.position, { flexBasis: 96 * scale }];
  const state = { role: 'radio', 'aria-checked': taken, tabIndex: taken ? 0 : -1 } as const;
  const name = <Words style={taken ? styles.takenWords : styles.words}>{label}</Words>;
  // A hand that holds it, and lets it go, is heard by the library alone.
  return springs ? (
    <Pressable
      {...state}
      aria-label={`${label}, hold`}
      onPressIn={onPress}
      onPressOut={onRelease}
      {...keys}
      style={look}
    >
      {name}
      <Words kind="small" muted>
        springs back
      </Words>
    </Pressable>
  ) : (
    <Press {...state} aria-label={label} onPress={() => onTurn(position)} style={look}>
      {name}
    </Press>
  );
});
