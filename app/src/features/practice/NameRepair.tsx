import type { PracticeBoat } from '@harbor-latch/core/trace/practice';
import { useState } from 'react';
import { View } from 'react-native';
import { Icon } from '../../ui/Icon';
import { ModalDialog } from '../../ui/ModalDialog';
import { PressRow } from '../../ui/PressRow';
import { usePalette } from '../../ui/theme';
import { Words } from '../../ui/Words';

type Proof = 'again' | 'water' | 'recorded';
const proofs: readonly { readonly key: Proof; readonly words: string }[] = [
  { key: 'again', words: 'The test that failed, done again' },
  { key: 'water', words: 'Real water on auto, until it stops by itself' },
  { key: 'recorded', words: 'Written down: what it was and what was done' },
];

/** Names the repair, and says how it is proved. */
export function NameRepair({
  repairs,
  onBuy,
  onName,
  onClose,
}: {
  readonly repairs: PracticeBoat['repairs'];
  /** Told of each part that was taken from the shelf and put back. */
  readonly onBuy: () => void;
  readonly onName: (repair: string, proved: Readonly<Record<Proof, boolean>>) => void;
  readonly onClose: () => void;
}) {
  const palette = usePalette();
  const [chosen, setChosen] = useState<string | null>(null);
  const [proved, setProved] = useState<Readonly<Record<Proof, boolean>>>({
    again: false,
    water: false,
    recorded: false,
  });
  const choose = (code: string) => {
    // A part that was bought first and is not named in the end was bought in vain.
    if (chosen !== null && chosen !== code && repairs.find((one) => one.code === chosen)?.buys) onBuy();
    setChosen(code);
  };
  const row = { flexDirection: 'row', gap: 10, alignItems: 'center' } as const;
  return (
    <ModalDialog
      title="What is done about it?"
      action="Done"
      onAction={() => (chosen === null ? undefined : onName(chosen, proved))}
      onClose={onClose}
    >
      <View role="radiogroup" aria-label="Repair" style={{ gap: 2 }}>
        {repairs.map(({ code, words, buys }) => (
          <PressRow
            key={code}
            role="radio"
            selected={code === chosen}
            label={words}
            onPress={() => choose(code)}
            style={row}
          >
            <Icon name={code === chosen ? 'check-circle' : 'circle-outline'} color={palette.accent} />
            <Words style={{ flex: 1, minWidth: 0 }}>{words}</Words>
            {buys ? (
              <Words kind="small" muted>
                a part
              </Words>
            ) : null}
          </PressRow>
        ))}
      </View>
      <Words kind="strong" level={3}>
        And then?
      </Words>
      {proofs.map(({ key, words }) => (
        <PressRow
          key={key}
          role="checkbox"
          selected={proved[key]}
          label={words}
          onPress={() => setProved({ ...proved, [key]: !proved[key] })}
          style={row}
        >
          <Icon name={proved[key] ? 'check' : 'minus'} color={proved[key] ? palette.accent : palette.muted} />
          <Words style={{ flex: 1, minWidth: 0 }}>{words}</Words>
        </PressRow>
      ))}
    </ModalDialog>
  );
}
