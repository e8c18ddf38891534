import { doubted } from '@harbor-latch/core/prove/verdict';
import type { ProveTest } from '@harbor-latch/core/prove/proveTest';
import type { Expected } from '@harbor-latch/core/prove/windows';
import type { Read } from '@harbor-latch/core/prove/verdict';
import { useState } from 'react';
import { TextInput, View } from 'react-native';
import { BigButton } from '../ui/BigButton';
import { ChoiceRow } from '../ui/ChoiceRow';
import { Icon } from '../ui/Icon';
import { Notice } from '../ui/Notice';
import { PressRow } from '../ui/PressRow';
import { stylesFor } from '../ui/stylesFor';
import { fonts, usePalette } from '../ui/theme';
import { Words } from '../ui/Words';
import { figure, meterUnits, saysOpen, typedFigure } from './meterUnits';

const useStyles = stylesFor((palette) => ({
  keys: { gap: 6 },
  row: { flexDirection: 'row', gap: 6 },
  key: {
    flex: 1,
    minHeight: 50,
    alignItems: 'center',
    justifyContent: 'center',
    borderRadius: 10,
    borderWidth: 1,
    borderColor: palette.line,
    backgroundColor: palette.raised,
  },
  side: {
    minHeight: 50,
    alignItems: 'center',
    justifyContent: 'center',
    borderRadius: 10,
    borderWidth: 1,
    borderColor: palette.line,
    backgroundColor: palette.raised,
  },
  take: {
    flex: 1,
    minHeight: 50,
    alignItems: 'center',
    justifyContent: 'center',
    borderRadius: 10,
    backgroundColor: palette.accent,
  },
  shown: {
    flex: 1,
    minWidth: 0,
    minHeight: 52,
    paddingHorizontal: 14,
    borderRadius: 10,
    borderWidth: 2,
    borderColor: palette.accent,
    backgroundColor: palette.surface,
    color: palette.text,
    fontFamily: fonts.bold,
    fontSize: 28,
  },
}));

const rows = [
  ['7', '8', '9'],
  ['4', '5', '6'],
  ['1', '2', '3'],
  ['−', '0', '.'],
] as const;

/** What stands on the pad while it is typed. */
export interface PadText {
  readonly text: string;
  readonly unit: string;
}

/** A large pad for a wet or gloved hand: a figure in the unit that the meter shows, or “open” and “closed”. */
export function ReadingPad({
  test,
  expect,
  litres,
  typed,
  onTyped,
  onRead,
}: {
  readonly test: ProveTest;
  readonly expect: Expected;
  readonly litres: number;
  readonly typed: PadText;
  readonly onTyped: (typed: PadText) => void;
  readonly onRead: (read: Read) => void;
}) {
  const styles = useStyles();
  const palette = usePalette();
  const [problem, setProblem] = useState<{
    readonly words: string;
    readonly meant: number | null;
    readonly value: number | null;
  } | null>(null);
  const units = meterUnits(expect.unit);
  const [first] = units;
  const unit = units.find(({ key }) => key === typed.unit) ?? first;
  const press = (key: string) => {
    setProblem(null);
    const { text } = typed;
    const next =
      key === '⌫'
        ? text.slice(0, -1)
        : key === '−'
          ? text.startsWith('−')
            ? text.slice(1)
            : `−${text}`
          : `${text}${key}`;
    onTyped({ ...typed, text: next });
  };
  const take = (value: number) => onRead({ value, unit: expect.unit });
  const enter = () => {
    if (expect.unit === 'Ω' && saysOpen(typed.text)) return onRead({ said: 'open' });
    const figureTyped = typedFigure(typed.text);
    if (figureTyped === null || !unit) {
      setProblem({
        words:
          typed.text.trim() === ''
            ? 'Type what the meter shows.'
            : `“${typed.text}” is no figure. Type what the meter shows, like 12.6.`,
        meant: null,
        value: null,
      });
      return;
    }
    const value = unit.toOwn(figureTyped, litres);
    if (!Number.isFinite(value)) {
      setProblem({ words: 'In no time nothing is pumped. Type the seconds.', meant: null, value: null });
      return;
    }
    const doubt = doubted(test, value);
    if (doubt) setProblem({ words: doubt.question, meant: doubt.meant, value });
    else take(value);
  };
  return (
    <View style={{ gap: 8 }}>
      <View style={{ flexDirection: 'row', gap: 8, alignItems: 'center' }}>
        <TextInput
          value={typed.text}
          onChangeText={(text) => {
            setProblem(null);
            onTyped({ ...typed, text: text.slice(0, 12) });
          }}
          onSubmitEditing={enter}
          // The pad is the keyboard; one with keys of its own still types here.
          inputMode="none"
          aria-label={`Reading in ${unit?.key ?? ''}`}
          placeholder="–"
          placeholderTextColor={palette.muted}
          style={styles.shown}
        />
        {units.length > 1 ? (
          <ChoiceRow
            label="Unit"
            choices={units.map(({ key }) => ({ value: key, label: key }))}
            value={unit?.key ?? ''}
            onChoose={(key) => onTyped({ ...typed, unit: key })}
          />
        ) : (
          <Words kind="figure">{unit?.key ?? ''}</Words>
        )}
      </View>
      {problem ? (
        <Notice
          tone="caution"
          icon="help-circle"
          actions={
            problem.value === null ? undefined : (
              <>
                {problem.meant === null ? null : (
                  <BigButton onPress={() => problem.meant !== null && take(problem.meant)}>
                    {`I meant ${figure(problem.meant, expect.unit)}`}
                  </BigButton>
                )}
                <BigButton mode="outlined" onPress={() => problem.value !== null && take(problem.value)}>
                  {`It shows ${figure(problem.value, expect.unit)}`}
                </BigButton>
              </>
            )
          }
        >
          {problem.words}
        </Notice>
      ) : null}
      <View style={{ flexDirection: 'row', gap: 6 }}>
        <View style={[styles.keys, { flex: 3 }]}>
          {rows.map((row) => (
            <View key={row.join('')} style={styles.row}>
              {row.map((key) => (
                <PressRow
                  key={key}
                  label={key === '−' ? 'minus' : key === '.' ? 'point' : key}
                  onPress={() => press(key)}
                  style={styles.key}
                >
                  <Words kind="figure">{key}</Words>
                </PressRow>
              ))}
            </View>
          ))}
        </View>
        <View style={[styles.keys, { flex: 1 }]}>
          <PressRow label="Delete the last digit" onPress={() => press('⌫')} style={styles.side}>
            <Icon name="backspace-outline" color={palette.text} />
          </PressRow>
          {expect.unit === 'Ω' ? (
            <>
              <PressRow label="Open" onPress={() => onRead({ said: 'open' })} style={styles.side}>
                <Words kind="small">open</Words>
              </PressRow>
              <PressRow label="Closed" onPress={() => onRead({ said: 'closed' })} style={styles.side}>
                <Words kind="small">closed</Words>
              </PressRow>
            </>
          ) : null}
          <PressRow label="Take it" onPress={enter} style={styles.take}>
            <Icon name="check" color={palette.onAccent} />
            <Words kind="strong" color={palette.onAccent}>
              Take it
            </Words>
          </PressRow>
        </View>
      </View>
    </View>
  );
}
