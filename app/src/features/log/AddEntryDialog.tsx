import { layUpSteps, routineKeys, routines, type RoutineKey } from '@harbor-latch/core/log/routine';
import { recordKinds, type BodyOf, type RecordKind } from '@harbor-latch/core/records/kinds/index';
import { format } from 'date-fns';
import { useState } from 'react';
import { View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { ChoiceRow } from '../../ui/ChoiceRow';
import { ModalDialog } from '../../ui/ModalDialog';
import { Notice } from '../../ui/Notice';
import { Icon } from '../../ui/Icon';
import { PressRow } from '../../ui/PressRow';
import { usePalette } from '../../ui/theme';
import { Words } from '../../ui/Words';

/** Kinds of entries that are written by hand. */
const written = ['check', 'runCount', 'repair', 'cleaning', 'rain', 'note', 'layUp', 'launch'] as const;
export type Written = (typeof written)[number];

/** What is to be recorded, checked by its kind. */
export type NewEntry = {
  readonly [K in Written]: { readonly kind: K; readonly circuit: string | null; readonly body: BodyOf<K> };
}[Written];

export interface PartOfCircuit {
  readonly id: string;
  readonly name: string;
}

/** Fields of every kind, as typed. */
interface Typed {
  readonly routine: RoutineKey;
  readonly good: 'good' | 'bad';
  readonly words: string;
  readonly day: string;
  readonly days: string;
  readonly starts: string;
  readonly minutes: string;
  readonly longest: string;
  readonly mm: string;
  readonly fault: string;
  readonly parts: readonly string[];
}

const number = (text: string) => Number(text.trim().replace(',', '.'));
const optional = (text: string, factor: number) => (text.trim() === '' ? undefined : Math.round(number(text) * factor));

/** The body of an entry as typed; what is wrong with it is told by its kind. */
function bodyOf(kind: Written, typed: Typed): object {
  const { words } = typed;
  switch (kind) {
    case 'check':
      return {
        routine: typed.routine,
        words: routines[typed.routine].words,
        good: typed.good === 'good',
        ...(words === '' ? {} : { note: words }),
      };
    case 'runCount':
      return {
        day: typed.day,
        days: number(typed.days),
        starts: number(typed.starts),
        runS: optional(typed.minutes, 60),
        longestS: optional(typed.longest, 60),
      };
    case 'repair':
      return { what: words, at: typed.parts, testsDue: [], ...(typed.fault === '' ? {} : { fault: typed.fault }) };
    case 'cleaning':
      return { what: words };
    case 'rain':
      return { day: typed.day, mm: number(typed.mm) };
    case 'note':
      return { words };
    case 'layUp':
      return { off: typed.parts, ...(words === '' ? {} : { note: words }) };
    case 'launch':
      return { on: typed.parts, ...(words === '' ? {} : { note: words }) };
    default:
      return kind satisfies never;
  }
}

/** What an entry is of: rain, cleaning and lay-up are of the whole boat. */
const ofBoat: readonly Written[] = ['rain', 'cleaning', 'layUp', 'launch'];

/** Writes an entry of the log: first of what kind, then what it says. */
export function AddEntryDialog({
  circuit,
  parts,
  onEntry,
  onClose,
}: {
  readonly circuit: string | null;
  /** Of the circuit: what can be mended. */
  readonly parts: readonly PartOfCircuit[];
  readonly onEntry: (entry: NewEntry) => void;
  readonly onClose: () => void;
}) {
  const [kind, setKind] = useState<Written>('check');
  const [typed, setTyped] = useState<Typed>({
    routine: 'trip',
    good: 'good',
    words: '',
    day: format(new Date(), 'yyyy-MM-dd'),
    days: '7',
    starts: '',
    minutes: '',
    longest: '',
    mm: '',
    fault: '',
    parts: [],
  });
  const [problem, setProblem] = useState<string | null>(null);
  const kinds = written.filter((one) => circuit !== null || !['check', 'runCount', 'repair'].includes(one));
  const own = kinds.includes(kind) ? kind : 'note';
  const set = (more: Partial<Typed>) => {
    setProblem(null);
    setTyped((before) => ({ ...before, ...more }));
  };
  const add = () => {
    const body = JSON.parse(JSON.stringify(bodyOf(own, typed))) as object;
    const read = recordKinds[own as RecordKind].schema.safeParse(body);
    if (!read.success) return setProblem(read.error.issues[0]?.message ?? 'This cannot be kept so.');
    onEntry({ kind: own, circuit: ofBoat.includes(own) ? null : circuit, body: read.data } as NewEntry);
  };
  const field = (
    label: string,
    key: 'words' | 'day' | 'days' | 'starts' | 'minutes' | 'longest' | 'mm' | 'fault',
    more: object = {},
  ) => (
    <TextInput
      mode="outlined"
      label={label}
      accessibilityLabel={label}
      value={typed[key]}
      onChangeText={(text) => set({ [key]: text })}
      {...more}
    />
  );
  const digits = { inputMode: 'decimal' as const };
  return (
    <ModalDialog title="Into the log" action="Add" onAction={add} onClose={onClose}>
      <ChoiceRow
        label="What kind"
        choices={kinds.map((value) => ({ value, label: recordKinds[value].name }))}
        value={own}
        onChoose={(value) => {
          setProblem(null);
          setKind(value);
        }}
      />
      {own === 'check' ? (
        <>
          <ChoiceRow
            label="Which check"
            choices={routineKeys.map((value) => ({ value, label: routines[value].name }))}
            value={typed.routine}
            onChoose={(routine) => set({ routine })}
          />
          <Words kind="small">{routines[typed.routine].words}</Words>
          <ChoiceRow
            label="How it came out"
            choices={[
              { value: 'good' as const, label: 'Good' },
              { value: 'bad' as const, label: 'Not good' },
            ]}
            value={typed.good}
            onChoose={(good) => set({ good })}
          />
          {field('Note', 'words')}
        </>
      ) : null}
      {own === 'runCount' ? (
        <>
          {field('Last day, like 2026-05-01', 'day')}
          {field('Over so many days', 'days', digits)}
          {field('Starts in all of them', 'starts', digits)}
          {field('Minutes it ran in all', 'minutes', digits)}
          {field('Longest run, minutes', 'longest', digits)}
        </>
      ) : null}
      {own === 'repair' ? (
        <>
          {field('What was done', 'words', { multiline: true })}
          {field('What was found', 'fault')}
          <Words kind="small" muted>
            At which parts and conductors: the tests that this can have touched are due again.
          </Words>
          <Ticks all={parts} ticked={typed.parts} onTicked={(ticked) => set({ parts: ticked })} />
        </>
      ) : null}
      {own === 'cleaning' ? field('What was cleaned', 'words') : null}
      {own === 'rain' ? (
        <>
          {field('Day, like 2026-05-01', 'day')}
          {field('Rain, mm', 'mm', digits)}
        </>
      ) : null}
      {own === 'note' ? field('Note', 'words', { multiline: true }) : null}
      {own === 'layUp' || own === 'launch' ? (
        <>
          <Words kind="small" muted>
            {own === 'layUp' ? 'What was turned off' : 'What was turned on again'}
          </Words>
          <Ticks
            all={layUpSteps.map((name) => ({ id: name, name }))}
            ticked={typed.parts}
            onTicked={(ticked) => set({ parts: ticked })}
          />
          {field('Note', 'words')}
        </>
      ) : null}
      {problem === null ? null : (
        <Notice tone="stop" icon="alert-octagon">
          {problem}
        </Notice>
      )}
    </ModalDialog>
  );
}

function Ticks({
  all,
  ticked,
  onTicked,
}: {
  readonly all: readonly PartOfCircuit[];
  readonly ticked: readonly string[];
  readonly onTicked: (ticked: readonly string[]) => void;
}) {
  const palette = usePalette();
  return (
    <View>
      {all.map(({ id, name }) => {
        const on = ticked.includes(id);
        return (
          <PressRow
            key={id}
            role="checkbox"
            selected={on}
            label={name}
            onPress={() => onTicked(on ? ticked.filter((one) => one !== id) : [...ticked, id])}
            style={{ flexDirection: 'row', alignItems: 'center', gap: 10 }}
          >
            <Icon
              name={on ? 'checkbox-marked' : 'checkbox-blank-outline'}
              color={on ? palette.accent : palette.muted}
            />
            <Words style={{ flex: 1, minWidth: 0 }}>{name}</Words>
          </PressRow>
        );
      })}
    </View>
  );
}
