import {
  fromUnit,
  parseQuantity,
  plainNumber,
  shownUnit,
  toUnit,
  type QuantityKey,
  type UnitSystem,
} from '@harbor-latch/core/units/index';
import { memo, useEffect, useId, useRef, useState } from 'react';
import { View, type TextInput } from 'react-native';
import { useUnits } from '../data/settings';
import { PressRow } from '../ui/PressRow';
import { stylesFor } from '../ui/stylesFor';
import { useStable } from '../ui/useStable';
import { Words } from '../ui/Words';
import { useDoubt, useEstimated, useField, useRound, type FieldAccess } from './FieldContext';
import { Entry, FieldFrame, StepButton, type Tag } from './NumberEntry';
import type { NumberFieldProps } from './numberFieldProps';
import { sameProps } from './sameProps';
import { showText } from './textAhead';
import { useTyped } from './typed';

/** A number with its unit, steppers, its default shown as one, and its message in place. */
export const NumberField = memo(function NumberField(props: NumberFieldProps) {
  const units = useUnits();
  return <InUnits key={units} {...props} yardUnits={units} />;
}, sameProps);

/** The field keeps the unit chosen for it as long as the yard keeps its own. */
function InUnits({ yardUnits, ...props }: NumberFieldProps & { readonly yardUnits: UnitSystem }) {
  const [units, setUnits] = useState(yardUnits);
  const round = useRound(props.path);
  const name = `${round}/${yardUnits}`;
  return <OneNumber key={name} {...props} name={name} units={units} onUnits={setUnits} />;
}

interface OneNumberProps extends NumberFieldProps {
  readonly name: string;
  readonly units: UnitSystem;
  readonly onUnits: (units: UnitSystem) => void;
}

function OneNumber({ name, units, onUnits, ...props }: OneNumberProps) {
  const { path, quantity } = props;
  const field = useField(path);
  const doubt = useDoubt(path);
  const estimated = useEstimated(path);
  const tagId = useId();
  const {
    field: form,
    fieldState: { error },
    check,
  } = useTyped(name, field.typed ?? textOf(field.value, quantity, units), (text) =>
    problemOf(text, quantity, units, field),
  );

  // What was kept from before shows its message from the start.
  const checkNow = useStable(check);
  const [wasTyped] = useState(field.typed !== undefined);
  useEffect(() => {
    if (wasTyped) checkNow();
  }, [wasTyped, checkNow]);

  const tag = error ? null : tagOf(props, field.value !== undefined, estimated);

  const enter = useStable((text: string) => {
    form.onChange(text);
    store(text, quantity, units, field);
  });
  const entry = useRef<TextInput>(null);
  const step = (sign: number) => {
    const next = stepped({
      sign,
      by: props.step[units],
      base: typeof field.value === 'number' ? field.value : props.assumed,
      quantity,
      units,
      signed: props.signed ?? false,
    });
    showText(entry.current, next, enter);
  };
  const otherUnits: UnitSystem = units === 'metric' ? 'us' : 'metric';
  const less = useStable(() => step(-1));
  const more = useStable(() => step(1));
  const switchUnits = useStable(() => {
    onUnits(otherUnits);
    if (!error) form.onChange(textOf(field.value, quantity, otherUnits));
  });
  return (
    <FieldFrame
      {...props}
      tag={tag}
      tagId={tagId}
      error={error?.message}
      doubt={doubt}
      under={
        props.picks ? (
          <Picks label={props.label} quantity={quantity} picks={props.picks[units]} units={units} onPick={enter} />
        ) : null
      }
    >
      <StepButton icon="minus" label={`Less ${props.label}`} onPress={less} />
      <Entry
        {...props}
        entry={entry}
        text={form.value ?? ''}
        onText={enter}
        onBlur={form.onBlur}
        units={units}
        onUnits={switchUnits}
        invalid={error !== undefined}
        tagId={tag === null ? undefined : tagId}
      />
      <StepButton icon="plus" label={`More ${props.label}`} onPress={more} />
    </FieldFrame>
  );
}

function tagOf({ needed = false, assumed }: NumberFieldProps, entered: boolean, estimated: boolean): Tag | null {
  if (estimated) return 'estimate';
  if (entered) return null;
  if (needed) return 'needed';
  return assumed === undefined ? 'not entered' : 'default';
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
  readonly signed: boolean;
}

function stepped({ sign, by, base, quantity, units, signed }: StepQuestion): string {
  const unit = shownUnit(quantity, units);
  const from = base === undefined ? 0 : toUnit(base, unit);
  const next = Math.max(signed ? -Infinity : by, Math.round((from + sign * by) / by) * by);
  return plainNumber(toUnit(fromUnit(next, unit), unit), unit.digits + 1);
}

const useStyles = stylesFor((palette) => ({
  picks: { flexDirection: 'row', gap: 6 },
  pick: {
    flex: 1,
    minWidth: 44,
    alignItems: 'center',
    justifyContent: 'center',
    borderRadius: 10,
    borderWidth: 1,
    // Folded sections are as raised as these: the line tells them apart.
    borderColor: palette.line,
    backgroundColor: palette.raised,
  },
  figure: { fontVariant: ['tabular-nums'] },
}));

/** Common values, one touch each. */
const Picks = memo(function Picks({
  label,
  quantity,
  picks,
  units,
  onPick,
}: {
  readonly label: string;
  readonly quantity: QuantityKey;
  readonly picks: readonly number[];
  readonly units: UnitSystem;
  readonly onPick: (text: string) => void;
}) {
  const styles = useStyles();
  const { symbol } = shownUnit(quantity, units);
  return (
    <View style={styles.picks}>
      {picks.map((pick) => (
        <PressRow
          key={pick}
          label={`${label}: ${pick} ${symbol}`}
          onPress={() => onPick(String(pick))}
          style={styles.pick}
        >
          <Words style={styles.figure}>{String(pick)}</Words>
        </PressRow>
      ))}
    </View>
  );
}, sameProps);
