import { inWords, type Seen } from '@harbor-latch/core/prove/proveTest';
import type { Read } from '@harbor-latch/core/prove/verdict';
import { useState } from 'react';
import { View } from 'react-native';
import { BigButton } from '../../ui/BigButton';
import { ChoiceRow } from '../../ui/ChoiceRow';
import { Words } from '../../ui/Words';

/** Answers in one order, whichever of them is the right one: the list gives nothing away. */
const shuffled = (answers: readonly string[]) => [...answers].sort((a, b) => (a < b ? -1 : 1));

/** What is seen or heard, taken by a touch; of several things one after the other. */
export function SeenAnswers({ expect, onRead }: { readonly expect: Seen; readonly onRead: (read: Read) => void }) {
  const [said, setSaid] = useState<Readonly<Record<string, string>>>({});
  const [only] = expect.of;
  if (expect.of.length === 1 && only)
    return (
      <View style={{ gap: 8 }}>
        {only.name === '' ? null : <Words kind="strong">{only.name}</Words>}
        {shuffled(only.answers).map((answer) => (
          <BigButton key={answer} mode="outlined" onPress={() => onRead({ said: inWords([[only.name, answer]]) })}>
            {answer}
          </BigButton>
        ))}
      </View>
    );
  const all = expect.of.every(({ name }) => said[name] !== undefined);
  const take = () => onRead({ said: inWords(expect.of.map(({ name }) => [name, said[name] ?? ''] as const)) });
  return (
    <View style={{ gap: 10 }}>
      {expect.of.map(({ name, answers }) => (
        <View key={name} style={{ gap: 4 }}>
          <Words kind="strong">{name}</Words>
          <ChoiceRow
            label={name}
            choices={shuffled(answers).map((answer) => ({ value: answer, label: answer }))}
            value={said[name] ?? ''}
            onChoose={(answer) => setSaid((before) => ({ ...before, [name]: answer }))}
          />
        </View>
      ))}
      {all ? (
        <BigButton icon="check" onPress={take}>
          Take it
        </BigButton>
      ) : (
        <Words kind="small" muted>
          Say it of each of them.
        </Words>
      )}
    </View>
  );
}
