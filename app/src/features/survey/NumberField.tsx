import {
  fromUnit,
  parseQuantity,
  plainNumber,
  shownUnit,
  toUnit,
  type QuantityKey,
  type UnitSystem,
} from '@harbor-latch/core/units/index';
import { useEffect, useState } from 'react';
import { Controller, useFormContext } from 'react-hook-form';
import { Pressable, TextInput, View } from 'react-native';
import { useUnits } from '../../data/settings';
import type { JobPath } from '../../data/jobPath';
import { Icon } from '../../ui/Icon';
import { fonts, usePalette } from '../../ui/theme';
import { Words } from '../../ui/Words';
import { useField, type FieldAccess } from './FieldContext';

export interface NumberFieldProps {
  readonly path: JobPath;
  readonly label: string;
  readonly quantity: QuantityKey;
  /** What − and + change, in the unit shown. */
  readonly step: Readonly<Record<UnitSystem, number>>;
  /** Assumed while nothing is entered, base unit; left out where nothing can be assumed. */
  readonly assumed?: number;
  /** True where the circuit cannot be sized without it. */
  readonly needed?: boolean;
  /** What to measure, where, with what. */
  readonly guide?: string;
}

/** A number with its unit, steppers, its default shown as one, and its message in place. */
export function NumberField(props: NumberFieldProps) {
  const { path, quantity } = props;
  const field = useField(path);
  const yardUnits = useUnits();
  const [units, setUnits] = useState<UnitSystem>(yardUnits);
  const { control, trigger } = useFormContext<Record<string, string>>();
  const name = path.join('/').replaceAll('.', '_');
  const start = field.typed ?? textOf(field.value, quantity, units);

  // What was kept from before shows its message from the start.
  const [wasTyped] = useState(field.typed !== undefined);
  useEffect(() => {
    if (wasTyped) void trigger(name);
  }, [wasTyped, trigger, name]);

  const validate = (text: string) => problemOf(text, quantity, units, field) ?? true;
  return (
    <Controller
      control={control}
      name={name}
      defaultValue={start}
      rules={{ validate }}
      render={({ field: form, fieldState }) => {
        const enter = (text: string) => {
          form.onChange(text);
          store(text, quantity, units, field);
        };
        const step = (sign: number) => {
          const next = stepped({
            sign,
            by: props.step[units],
            base: typeof field.value === 'number' ? field.value : props.assumed,
            quantity,
            units,
          });
          enter(next);
        };
        const otherUnits: UnitSystem = units === 'metric' ? 'us' : 'metric';
        const switchUnits = () => {
          setUnits(otherUnits);
          if (!fieldState.error) form.onChange(textOf(field.value, quantity, otherUnits));
        };
        return (
          <FieldFrame {...props} entered={field.value !== undefined} error={fieldState.error?.message} units={units}>
            <StepButton icon="minus" label={`Less ${props.label}`} onPress={() => step(-1)} />
            <Entry
              {...props}
              text={form.value}
              onText={enter}
              onBlur={form.onBlur}
              units={units}
              onUnits={switchUnits}
              invalid={fieldState.error !== undefined}
            />
            <StepButton icon="plus" label={`More ${props.label}`} onPress={() => step(1)} />
          </FieldFrame>
        );
      }}
    />
  );
}

function textOf(value: unknown, quantity: QuantityKey, units: UnitSystem): string {
  const unit = shownUnit(quantity, units);
  return typeof value === 'number' ? plainNumber(toUnit(value, unit), unit.digits + 1) : '';
}

function problemOf(text: string, quantity: QuantityKey, units: UnitSystem, field: FieldAccess): string | null {
  if (text.trim() === '') return field.check(undefined);
  const parsed = parseQuantity(text, quantity, units);
  return parsed.ok ? field.check(parsed.base) : parsed.message;
}

function store(text: string, quantity: QuantityKey, units: UnitSystem, field: FieldAccess): void {
  if (problemOf(text, quantity, units, field) !== null) {
    field.keep(text);
    return;
  }
  field.keep(null);
  const parsed = parseQuantity(text, quantity, units);
  field.take(parsed.ok ? parsed.base : undefined);
}

interface StepQuestion {
  readonly sign: number;
  readonly by: number;
  readonly base: number | undefined;
  readonly quantity: QuantityKey;
  readonly units: UnitSystem;
}

function stepped({ sign, by, base, quantity, units }: StepQuestion): string {
  const unit = shownUnit(quantity, units);
  const from = base === undefined ? 0 : toUnit(base, unit);
  const next = Math.max(by, Math.round((from + sign * by) / by) * by);
  return plainNumber(toUnit(fromUnit(next, unit), unit), unit.digits + 1);
}

function FieldFrame({
  label,
  needed = false,
  assumed,
  entered,
  error,
  guide,
  children,
}: NumberFieldProps & {
  readonly entered: boolean;
  readonly error: string | undefined;
  readonly units: UnitSystem;
  readonly children: React.ReactNode;
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

function Entry({ label, quantity, assumed, text, onText, onBlur, units, onUnits, invalid }: EntryProps) {
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

function StepButton({
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
