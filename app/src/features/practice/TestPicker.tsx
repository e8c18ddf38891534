import type { HuntInstrument, HuntPlace } from '@harbor-latch/core/trace/huntTest';
import type { PracticeTest } from '@harbor-latch/core/trace/practice';
import { useState } from 'react';
import { View } from 'react-native';
import { Card } from '../../ui/Card';
import { ChoiceRow } from '../../ui/ChoiceRow';
import { PressRow } from '../../ui/PressRow';
import { usePalette } from '../../ui/theme';
import { Words } from '../../ui/Words';
import type { Unsafe } from './unsafe';

const places = [
  { value: 'source', label: 'Source' },
  { value: 'panel', label: 'Panel' },
  { value: 'bilge', label: 'Bilge' },
] as const;

const names: Readonly<Record<HuntInstrument, string>> = {
  'eyes and ears': 'Look, listen',
  voltmeter: 'Volts',
  clamp: 'Amperes',
  ohmmeter: 'Ohms',
  hands: 'By hand',
  'a spare fuse': 'Spare fuse',
};

/** What somebody in a hurry does. */
const hurried: Readonly<Partial<Record<HuntInstrument, { readonly what: Unsafe; readonly text: string }>>> = {
  ohmmeter: { what: 'ohms', text: 'Ohms from the manual post to negative, quickly, with the fuse in.' },
  'a spare fuse': { what: 'fuse', text: 'A larger fuse, to see what gives.' },
  hands: { what: 'hand', text: 'Feel the impeller with the lever at auto.' },
};

/** Every test there is: by place, then by what it is done with. */
export function TestPicker({
  tests,
  place: there,
  onTest,
  onUnsafe,
}: {
  readonly tests: readonly PracticeTest[];
  /** Where the trainee stands. */
  readonly place: HuntPlace;
  readonly onTest: (test: PracticeTest) => void;
  readonly onUnsafe: (what: Unsafe) => void;
}) {
  const palette = usePalette();
  const [place, setPlace] = useState<HuntPlace>(there);
  const [instrument, setInstrument] = useState<HuntInstrument>('eyes and ears');
  const here = tests.filter((test) => test.place === place);
  const instruments = [...new Set(here.map((test) => test.instrument))];
  const chosen = instruments.includes(instrument) ? instrument : (instruments[0] ?? 'eyes and ears');
  const row = { padding: 12, borderColor: palette.line, flexDirection: 'row', gap: 10, alignItems: 'center' } as const;
  const tempting = hurried[chosen];
  return (
    <View style={{ gap: 8 }}>
      <ChoiceRow label="Where" choices={places} value={place} onChoose={setPlace} />
      <ChoiceRow
        label="With what"
        choices={instruments.map((one) => ({ value: one, label: names[one] }))}
        value={chosen}
        onChoose={setInstrument}
      />
      <Card>
        {here
          .filter((test) => test.instrument === chosen)
          .map((test, index) => (
            <PressRow
              key={test.id}
              label={test.text}
              onPress={() => onTest(test)}
              style={{ ...row, borderTopWidth: index === 0 ? 0 : 1 }}
            >
              <Words style={{ flex: 1, minWidth: 0 }}>{test.text}</Words>
              <Words kind="small" muted>{`${test.minutes} min`}</Words>
            </PressRow>
          ))}
        {tempting ? (
          <PressRow label={tempting.text} onPress={() => onUnsafe(tempting.what)} style={{ ...row, borderTopWidth: 1 }}>
            <Words style={{ flex: 1, minWidth: 0 }}>{tempting.text}</Words>
            <Words kind="small" muted>
              0.5 min
            </Words>
          </PressRow>
        ) : null}
      </Card>
    </View>
  );
}
