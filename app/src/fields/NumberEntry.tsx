import { plainNumber, shownUnit, toUnit, type UnitSystem } from '@harbor-latch/core/units/index';
import { memo, useContext, type ReactNode, type Ref } from 'react';
import { TextInput, View } from 'react-native';
import { Icon } from '../ui/Icon';
import { holdsField } from '../ui/pageStyle';
import { Press } from '../ui/Press';
import { stylesFor } from '../ui/stylesFor';
import { fonts, usePalette } from '../ui/theme';
import { TextScaleContext, Words } from '../ui/Words';
import { atPath } from './goToField';
import type { NumberFieldProps } from './numberFieldProps';
import { useTextAhead } from './textAhead';

const useStyles = stylesFor((palette) => {
  const box = {
    flex: 1,
    minWidth: 0,
    flexDirection: 'row',
    alignItems: 'center',
    height: 52,
    borderRadius: 10,
    borderWidth: 1,
    borderColor: palette.muted,
    backgroundColor: palette.surface,
  } as const;
  const step = {
    width: 52,
    height: 52,
    borderRadius: 10,
    alignItems: 'center',
    justifyContent: 'center',
    backgroundColor: palette.raised,
    borderWidth: 1,
    borderColor: palette.line,
  } as const;
  return {
    frame: { gap: 4 },
    head: { flexDirection: 'row', justifyContent: 'space-between', alignItems: 'baseline', gap: 8 },
    label: { flexShrink: 1 },
    needed: { fontFamily: fonts.medium },
    entry: { flexDirection: 'row', gap: 8, alignItems: 'center' },
    box,
    invalidBox: { ...box, borderWidth: 2, borderColor: palette.stop },
    input: {
      flex: 1,
      minWidth: 0,
      height: 48,
      paddingLeft: 14,
      fontFamily: fonts.bold,
      fontSize: 20,
      color: palette.text,
      fontVariant: ['tabular-nums'],
    },
    unit: { minWidth: 52, height: 48, alignItems: 'center', justifyContent: 'center' },
    onlyUnit: { minWidth: 44, textAlign: 'center' },
    step,
  };
});

export type Tag = 'estimate' | 'needed' | 'not entered' | 'default';

/** A field's label, its standing, and what is to be said under it. */
export function FieldFrame({
  label,
  tag,
  tagId,
  error,
  doubt,
  guide,
  under,
  children,
}: NumberFieldProps & {
  /** How it stands: needed, default, estimate; null where a figure was entered. */
  readonly tag: Tag | null;
  /** By which the entry says how it stands. */
  readonly tagId: string;
  readonly error: string | undefined;
  /** What makes the figure look mistaken. */
  readonly doubt: string | undefined;
  readonly under: ReactNode;
  readonly children: ReactNode;
}) {
  const palette = usePalette();
  const styles = useStyles();
  return (
    <View style={styles.frame}>
      <View style={styles.head}>
        <Words kind="strong" style={styles.label}>
          {label}
        </Words>
        {tag === null ? null : (
          <Words
            nativeID={tagId}
            kind="small"
            color={tag === 'needed' || tag === 'estimate' ? palette.caution : palette.muted}
            style={tag === 'needed' || tag === 'estimate' ? styles.needed : null}
          >
            {tag}
          </Words>
        )}
      </View>
      <View style={styles.entry}>{children}</View>
      {error === undefined ? null : (
        <View role="alert" style={{ flexDirection: 'row', gap: 6 }}>
          <Icon name="alert-octagon" size={18} color={palette.stop} />
          <Words kind="small" color={palette.stop} style={{ flex: 1, minWidth: 0 }}>
            {error}
          </Words>
        </View>
      )}
      {doubt === undefined || error !== undefined ? null : (
        <View role="status" style={{ flexDirection: 'row', gap: 6 }}>
          <Icon name="help-circle" size={18} color={palette.caution} />
          <Words kind="small" color={palette.caution} style={{ flex: 1, minWidth: 0 }}>
            {doubt}
          </Words>
        </View>
      )}
      {under}
      {guide === undefined ? null : (
        <Words kind="small" muted>
          {guide}
        </Words>
      )}
    </View>
  );
}

interface EntryProps extends NumberFieldProps {
  /** What one types into: a step is shown in it before it is taken. */
  readonly entry: Ref<TextInput>;
  readonly text: string;
  readonly onText: (text: string) => void;
  readonly onBlur: () => void;
  readonly units: UnitSystem;
  readonly onUnits: () => void;
  readonly invalid: boolean;
  /** The words that say how it stands; undefined where there are none. */
  readonly tagId: string | undefined;
}

/** Selects what stands in a field that was touched, once the touch has set its caret; a key typed before that is not lost. */
function selectSoon({ target }: { readonly target: unknown }): void {
  if (!(target instanceof HTMLInputElement)) return;
  const { value } = target;
  setTimeout(() => {
    if (target.value === value && document.activeElement === target) target.select();
  }, 0);
}

/** The box one types into, with its unit, which changes the system at a touch. */
export function Entry({
  entry,
  path,
  label,
  quantity,
  assumed,
  text,
  onText,
  onBlur,
  units,
  onUnits,
  invalid,
  tagId,
}: EntryProps) {
  const palette = usePalette();
  const styles = useStyles();
  const scale = useContext(TextScaleContext);
  const typing = useTextAhead(text, onText, onBlur);
  const unit = shownUnit(quantity, units);
  const canSwitch = shownUnit(quantity, 'metric').symbol !== shownUnit(quantity, 'us').symbol;
  return (
    <View style={invalid ? styles.invalidBox : styles.box} {...holdsField}>
      <TextInput
        accessibilityLabel={`${label}, in ${unit.symbol}`}
        aria-invalid={invalid}
        {...atPath(path)}
        {...({ 'aria-describedby': tagId } as object)}
        ref={entry}
        {...typing}
        placeholder={assumed === undefined ? '' : plainNumber(toUnit(assumed, unit), unit.digits)}
        placeholderTextColor={palette.muted}
        inputMode="decimal"
        onFocus={selectSoon}
        style={scale === 1 ? styles.input : [styles.input, { fontSize: 20 * scale }]}
      />
      {canSwitch ? (
        <UnitSwitch label={label} symbol={unit.symbol} onUnits={onUnits} />
      ) : (
        <Words muted style={styles.onlyUnit}>
          {unit.symbol}
        </Words>
      )}
    </View>
  );
}

const UnitSwitch = memo(function UnitSwitch({
  label,
  symbol,
  onUnits,
}: {
  readonly label: string;
  readonly symbol: string;
  readonly onUnits: () => void;
}) {
  const palette = usePalette();
  const styles = useStyles();
  return (
    <Press role="button" aria-label={`${label}: unit ${symbol}, change`} onPress={onUnits} style={styles.unit}>
      <Words color={palette.accent} style={styles.needed}>
        {symbol}
      </Words>
    </Press>
  );
});

export const StepButton = memo(function StepButton({
  icon,
  label,
  onPress,
}: {
  readonly icon: 'minus' | 'plus';
  readonly label: string;
  readonly onPress: () => void;
}) {
  const palette = usePalette();
  const styles = useStyles();
  return (
    <Press role="button" aria-label={label} onPress={onPress} style={styles.step}>
      <Icon name={icon} size={24} color={palette.text} />
    </Press>
  );
});
