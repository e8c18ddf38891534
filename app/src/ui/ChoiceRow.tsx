import { memo, useCallback, useLayoutEffect, useRef, useState } from 'react';
import { flushSync } from 'react-dom';
import { View } from 'react-native';
import { Icon } from './Icon';
import { oncePainted } from './oncePainted';
import { PressRow } from './PressRow';
import { roving } from './roving';
import { standingLook } from './Standing';
import { stylesFor } from './stylesFor';
import { usePalette } from './theme';
import { Words } from './Words';

export interface Choice<T extends string> {
  readonly value: T;
  readonly label: string;
  /** What would come of it, told before it is taken. */
  readonly verdict?: Verdict;
}

export type Verdict = 'good' | 'caution' | 'stop';

/** What each verdict is called at a choice. */
export const verdictWords: Readonly<Record<Verdict, string>> = { good: 'good', caution: 'caution', stop: 'refused' };

export interface ChoiceRowProps<T extends string> {
  readonly label: string;
  readonly choices: readonly Choice<T>[];
  readonly value: T;
  readonly onChoose: (value: T) => void;
  /** Has what was touched stand chosen before anything follows from it: where the value is another as soon as it was chosen. */
  readonly ahead?: boolean;
}

/** A few choices side by side, one of them taken. */
export function ChoiceRow<T extends string>({ label, choices, value, onChoose, ahead = false }: ChoiceRowProps<T>) {
  // What to do may be another at every repaint; the row itself is painted anew only when it shows something else.
  const latest = useRef({ choices, onChoose });
  useLayoutEffect(() => {
    latest.current = { choices, onChoose };
  });
  const choose = useCallback((index: number) => {
    const choice = latest.current.choices[index];
    if (choice) latest.current.onChoose(choice.value);
  }, []);
  return (
    <Row
      label={label}
      taken={choices.findIndex((choice) => choice.value === value)}
      labels={choices.map((choice) => choice.label)}
      verdicts={choices.map((choice) => choice.verdict)}
      ahead={ahead}
      onChoose={choose}
    />
  );
}

const useStyles = stylesFor((palette) => {
  const choice = {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 6,
    justifyContent: 'center',
    minWidth: 48,
    maxWidth: '100%',
    paddingVertical: 6,
    paddingHorizontal: 16,
    borderRadius: 10,
    borderWidth: 1,
    borderColor: palette.line,
    backgroundColor: palette.surface,
  } as const;
  return {
    row: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, flexShrink: 1 },
    choice,
    // Chosen it takes the same room: none of the others moves.
    chosen: {
      ...choice,
      borderColor: palette.accent,
      boxShadow: `inset 0 0 0 1px ${palette.accent}`,
      backgroundColor: palette.accentSoft,
    },
  };
});

interface RowProps {
  readonly label: string;
  readonly labels: readonly string[];
  readonly verdicts: readonly (Verdict | undefined)[];
  readonly taken: number;
  readonly ahead: boolean;
  readonly onChoose: (index: number) => void;
}

const Row = memo(function Row({ label, labels, verdicts, taken: chosen, ahead, onChoose }: RowProps) {
  const styles = useStyles();
  const [touched, setTouched] = useState<number | null>(null);
  const taken = touched ?? chosen;
  const touch = useCallback(
    (index: number) => {
      setTouched(index);
      oncePainted(() =>
        flushSync(() => {
          setTouched(null);
          onChoose(index);
        }),
      );
    },
    [onChoose],
  );
  return (
    <View role="radiogroup" aria-label={label} style={styles.row} {...roving}>
      {labels.map((words, index) => (
        <OneChoice
          key={words}
          words={words}
          verdict={verdicts[index]}
          chosen={index === taken}
          tabStop={index === taken || (taken < 0 && index === 0)}
          index={index}
          onChoose={ahead ? touch : onChoose}
        />
      ))}
    </View>
  );
}, showsTheSame);

/** One of the choices; of a long row only those that change are painted anew. */
const OneChoice = memo(function OneChoice({
  words,
  verdict,
  chosen,
  tabStop,
  index,
  onChoose,
}: {
  readonly words: string;
  readonly verdict: Verdict | undefined;
  readonly chosen: boolean;
  readonly tabStop: boolean;
  readonly index: number;
  readonly onChoose: (index: number) => void;
}) {
  const styles = useStyles();
  const palette = usePalette();
  const look = verdict && standingLook[verdict];
  return (
    <PressRow
      role="radio"
      selected={chosen}
      tabStop={tabStop}
      label={verdict ? `${words}, ${verdictWords[verdict]}` : words}
      onPress={() => onChoose(index)}
      style={chosen ? styles.chosen : styles.choice}
    >
      {look ? <Icon name={look.icon} size={16} color={palette[look.ink]} /> : null}
      <Words>{words}</Words>
    </PressRow>
  );
});

function showsTheSame(before: RowProps, after: RowProps): boolean {
  return (
    before.label === after.label &&
    before.taken === after.taken &&
    before.ahead === after.ahead &&
    before.onChoose === after.onChoose &&
    before.labels.join('\n') === after.labels.join('\n') &&
    before.verdicts.join() === after.verdicts.join()
  );
}
