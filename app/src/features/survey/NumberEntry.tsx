import { plainNumber, shownUnit, toUnit, type UnitSystem } from '@harbor-latch/core/units/index';
import type { ReactNode } from 'react';
import { Pressable, TextInput, View } from 'react-native';
import { Icon } from '../../ui/Icon';
import { fonts, usePalette } from '../../ui/theme';
import { Words } from '../../ui/Words';
import type { NumberFieldProps } from './numberFieldProps';

/** A field's label, its standing, and what is to be said under it. */
export function FieldFrame({
  label,
  needed = false,
  assumed,
  entered,
  error,
  doubt,
  guide,
  under,
  children,
}: NumberFieldProps & {
  readonly entered: boolean;
  readonly error: string | undefined;
  /** What makes the figure look mistaken. */
  readonly doubt: string | undefined;
  readonly under: ReactNode;
  readonly children: ReactNode;
}) {
  const palette = usePalette();
  const tag =
    error !== undefined || entered ? null : needed ? 'needed' : assumed === undefined ? 'not entered' : 'default';
  return (
    <View style={{ gap: 4 }}>
      <View style={{ flexDirection: 'row', justifyContent: 'space-between', alignItems: 'baseline', gap: 8 }}>
        <Words kind="strong" style={{ flexShrink: 1 }}>
          {label}
        </Words>
        {tag === null ? null : (
          <Words
            kind="small"
            color={needed ? palette.caution : palette.muted}
            style={needed ? { fontFamily: fonts.medium } : null}
          >
            {tag}
          </Words>
        )}
      </View>
      <View style={{ flexDirection: 'row', gap: 8, alignItems: 'center' }}>{children}</View>
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
  readonly text: string;
  readonly onText: (text: string) => void;
  readonly onBlur: () => void;
  readonly units: UnitSystem;
  readonly onUnits: () => void;
  readonly invalid: boolean;
}

/** The box one types into, with its unit, which changes the system at a touch. */
export function Entry({ label, quantity, assumed, text, onText, onBlur, units, onUnits, invalid }: EntryProps) {
  const palette = usePalette();
  const unit = shownUnit(quantity, units);
  const canSwitch = shownUnit(quantity, 'metric').symbol !== shownUnit(quantity, 'us').symbol;
  return (
    <View
      style={{
        flex: 1,
        minWidth: 0,
        flexDirection: 'row',
        alignItems: 'center',
        height: 52,
        borderRadius: 10,
        borderWidth: invalid ? 2 : 1,
        borderColor: invalid ? palette.stop : palette.muted,
        backgroundColor: palette.surface,
      }}
    >
      <TextInput
        accessibilityLabel={`${label}, in ${unit.symbol}`}
        aria-invalid={invalid}
        value={text}
        onChangeText={onText}
        onBlur={onBlur}
        placeholder={assumed === undefined ? '' : plainNumber(toUnit(assumed, unit), unit.digits)}
        placeholderTextColor={palette.muted}
        inputMode="decimal"
        selectTextOnFocus
        style={{
          flex: 1,
          minWidth: 0,
          height: 48,
          paddingLeft: 14,
          fontFamily: fonts.bold,
          fontSize: 20,
          color: palette.text,
          fontVariant: ['tabular-nums'],
        }}
      />
      {canSwitch ? (
        <Pressable
          role="button"
          aria-label={`${label}: unit ${unit.symbol}, change`}
          onPress={onUnits}
          style={{ minWidth: 52, height: 48, alignItems: 'center', justifyContent: 'center' }}
        >
          <Words color={palette.accent} style={{ fontFamily: fonts.medium }}>
            {unit.symbol}
          </Words>
        </Pressable>
      ) : (
        <Words muted style={{ minWidth: 44, textAlign: 'center' }}>
          {unit.symbol}
        </Words>
      )}
    </View>
  );
}

export function StepButton({
  icon,
  label,
  onPress,
}: {
  readonly icon: 'minus' | 'plus';
  readonly label: string;
  readonly onPress: () => void;
}) {
  const palette = usePalette();
  return (
    <Pressable
      role="button"
      aria-label={label}
      onPress={onPress}
      style={({ pressed }) => ({
        width: 52,
        height: 52,
        borderRadius: 10,
        alignItems: 'center',
        justifyContent: 'center',
        backgroundColor: pressed ? palette.accentSoft : palette.raised,
        borderWidth: 1,
        borderColor: palette.line,
      })}
    >
      <Icon name={icon} size={24} color={palette.text} />
    </Pressable>
  );
}
