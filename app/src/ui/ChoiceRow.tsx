import { memo, useCallback, useLayoutEffect, useRef } from 'react';
import { View } from 'react-native';
import { PressRow } from './PressRow';
import { roving } from './roving';
import { stylesFor } from './stylesFor';
import { fonts } from './theme';
import { Words } from './Words';

export interface Choice<T extends string> {
  readonly value: T;
  readonly label: string;
}

export interface ChoiceRowProps<T extends string> {
  readonly label: string;
  readonly choices: readonly Choice<T>[];
  readonly value: T;
  readonly onChoose: (value: T) => void;
}

/** A few choices side by side, one of them taken. */
export function ChoiceRow<T extends string>({ label, choices, value, onChoose }: ChoiceRowProps<T>) {
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
      onChoose={choose}
    />
  );
}

const useStyles = stylesFor((palette) => {
  const choice = {
    justifyContent: 'center',
    maxWidth: '100%',
    paddingVertical: 6,
    paddingHorizontal: 16,
    borderRadius: 10,
    borderWidth: 1,
    borderColor: palette.line,
    backgroundColor: palette.surface,
  } as const;
  return {
    row: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
    choice,
    chosen: { ...choice, borderWidth: 2, borderColor: palette.accent, backgroundColor: palette.accentSoft },
    taken: { fontFamily: fonts.medium },
  };
});

interface RowProps {
  readonly label: string;
  readonly labels: readonly string[];
  readonly taken: number;
  readonly onChoose: (index: number) => void;
}

const Row = memo(function Row({ label, labels, taken, onChoose }: RowProps) {
  const styles = useStyles();
  return (
    <View role="radiogroup" aria-label={label} style={styles.row} {...roving}>
      {labels.map((words, index) => {
        const chosen = index === taken;
        return (
          <PressRow
            key={words}
            role="radio"
            selected={chosen}
            tabStop={chosen || (taken < 0 && index === 0)}
            label={words}
            onPress={() => onChoose(index)}
            style={chosen ? styles.chosen : styles.choice}
          >
            <Words style={chosen ? styles.taken : null}>{words}</Words>
          </PressRow>
        );
      })}
    </View>
  );
}, showsTheSame);

function showsTheSame(before: RowProps, after: RowProps): boolean {
  return (
    before.label === after.label &&
    before.taken === after.taken &&
    before.onChoose === after.onChoose &&
    before.labels.join('\n') === after.labels.join('\n')
  );
}
