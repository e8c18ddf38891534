import type { ProveTest } from '@harbor-latch/core/prove/proveTest';
import type { AskedTest } from '@harbor-latch/core/trace/tracing';
import { useState } from 'react';
import { View } from 'react-native';
import { BigButton } from '../../ui/BigButton';
import { PressRow } from '../../ui/PressRow';
import { usePalette } from '../../ui/theme';
import { Words } from '../../ui/Words';
import { ReadingPad, type PadText } from '../../fields/ReadingPad';
import type { Answer } from './useHunt';

const placeWords = { source: 'At the source', panel: 'At the panel', bilge: 'In the bilge' } as const;

const minutesWords = (minutes: number) =>
  `${minutes < 10 ? minutes.toFixed(1).replace('.0', '') : Math.round(minutes)} min`;

/** The test that is worth doing next: what it costs, and what each answer would leave. */
export function NextTest({
  test,
  others,
  current,
  onRead,
  onCannot,
  onOther,
}: {
  readonly test: AskedTest;
  readonly others: readonly AskedTest[];
  /** Whether it follows from all that was read. */
  readonly current: boolean;
  readonly onRead: (answer: Answer) => void;
  readonly onCannot: () => void;
  readonly onOther: (id: string) => void;
}) {
  const palette = usePalette();
  const [typing, setTyping] = useState(false);
  const { unit } = test;
  return (
    <View style={{ gap: 10, opacity: current ? 1 : 0.6 }} aria-busy={!current}>
      <Words
        kind="small"
        muted
      >{`${placeWords[test.place]} · ${test.instrument} · ${minutesWords(test.minutes)} with the way`}</Words>
      {test.again ? (
        <Words kind="small" color={palette.caution}>
          Once more: what it read fits nothing else that was read. If it reads the same again, it counts twice; if not,
          the second counts.
        </Words>
      ) : null}
      <Words kind="heading" level={2}>
        {test.text}
      </Words>
      <View style={{ gap: 8 }}>
        {test.answers.map(({ words, value, share, leaves }) => (
          <PressRow
            key={words}
            label={`${words}. ${leavesWords(leaves)}`}
            onPress={() =>
              onRead(typeof value === 'number' ? { value: rounded(value), unit: unit ?? 'V' } : { said: value })
            }
            style={{ borderWidth: 1, borderColor: palette.accent, borderRadius: 12, padding: 12, gap: 2 }}
          >
            <View style={{ flexDirection: 'row', gap: 10, alignItems: 'baseline' }}>
              <Words kind="strong" color={palette.accent} style={{ flex: 1, minWidth: 0 }}>
                {words}
              </Words>
              <Words kind="small" muted>{`${Math.round(share * 100)} %`}</Words>
            </View>
            <Words kind="small">{leavesWords(leaves)}</Words>
          </PressRow>
        ))}
      </View>
      {unit === null ? (
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
          <BigButton mode="text" onPress={() => onRead({ said: 'something else' })}>
            Something else
          </BigButton>
          <BigButton mode="text" onPress={onCannot}>
            I can’t do that
          </BigButton>
        </View>
      ) : (
        <>
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
            <BigButton mode={typing ? 'text' : 'outlined'} onPress={() => setTyping(!typing)}>
              {typing ? 'Away with the keys' : 'Type what it reads'}
            </BigButton>
            {unit === 'Ω' ? (
              <BigButton mode="text" onPress={() => onRead({ said: 'open' })}>
                Open
              </BigButton>
            ) : null}
            <BigButton mode="text" onPress={onCannot}>
              I can’t do that
            </BigButton>
          </View>
          {typing ? <Typed test={test} unit={unit} onRead={onRead} /> : null}
        </>
      )}
      {others.length > 0 ? (
        <View style={{ gap: 4 }}>
          <Words kind="small" muted level={3}>
            Nearly as good
          </Words>
          {others.map((other) => (
            <PressRow
              key={other.id}
              label={`Instead: ${other.text}`}
              onPress={() => onOther(other.id)}
              style={{ flexDirection: 'row', alignItems: 'center', gap: 10 }}
            >
              <Words kind="small" color={palette.accent} style={{ flex: 1, minWidth: 0 }}>
                {other.text}
              </Words>
              <Words kind="small" muted>
                {minutesWords(other.minutes)}
              </Words>
            </PressRow>
          ))}
        </View>
      ) : null}
    </View>
  );
}

const rounded = (value: number) => Number(value.toFixed(2));

function leavesWords(leaves: AskedTest['answers'][number]['leaves']): string {
  const [first, second] = leaves;
  if (!first) return '';
  if (!second || first.share > 0.97) return `Then: ${first.words}`;
  return `Leaves: ${leaves.map(({ words, share }) => `${words} ${Math.round(share * 100)} %`).join(' · ')}`;
}

/** A figure as the meter shows it. */
function Typed({
  test,
  unit,
  onRead,
}: {
  readonly test: AskedTest;
  readonly unit: 'V' | 'A' | 'Ω';
  readonly onRead: (answer: Answer) => void;
}) {
  const [typed, setTyped] = useState<PadText>({ text: '', unit: '' });
  // A pad asks back where a figure is none of a 12-volt circuit: it needs the unit and the instrument alone.
  const expect = { nominal: 0, low: 0, high: 0, unit } as const;
  const asked = {
    id: test.id,
    instrument: test.instrument === 'clamp' ? 'clamp' : 'voltmeter',
    expect,
    text: test.text,
  } as ProveTest;
  return (
    <ReadingPad
      test={asked}
      expect={expect}
      litres={0}
      typed={typed}
      onTyped={setTyped}
      onRead={(read) => onRead('said' in read ? { said: read.said } : { value: read.value, unit })}
    />
  );
}
