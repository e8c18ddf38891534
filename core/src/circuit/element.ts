import type { Motor, MotorCondition } from './motor';

/**
 * What every primitive holds, whether it means something to its kind or not: the
 * solver's loops run over all kinds together, and quickest over one shape.
 */
interface Primitive<Kind, M = null, Condition = null> {
  readonly kind: Kind;
  /** Number of the terminal at its first or plus end. */
  readonly a: number;
  /** Number of the terminal at its second or minus end. */
  readonly b: number;
  /** Of a resistor, within a source, or of a conducting diode, Ω. */
  readonly ohm: number;
  /** Of a source, from minus to plus, V. */
  readonly emfV: number;
  /** Above which a diode conducts, V. */
  readonly dropV: number;
  /** Of a sink, from plus to minus, A. */
  readonly amps: number;
  readonly motor: M;
  readonly condition: Condition;
}

/** The electrical primitives every part is made of, between numbered terminals. */
export type Element =
  | Primitive<'resistor'>
  | Primitive<'link'>
  | Primitive<'source'>
  | Primitive<'diode'>
  | Primitive<'sink'>
  | Primitive<'motor', Motor, MotorCondition>;

type Figures = Partial<Pick<Element, 'ohm' | 'emfV' | 'dropV' | 'amps'>>;

function primitive<Kind, M, Condition>(
  kind: Kind,
  a: number,
  b: number,
  { ohm = 0, emfV = 0, dropV = 0, amps = 0 }: Figures,
  motor: M,
  condition: Condition,
): Primitive<Kind, M, Condition> {
  return { kind, a, b, ohm, emfV, dropV, amps, motor, condition };
}

/** A resistance that may be taken as ideal: 0 Ω joins its two terminals into one node. */
export function resistance(a: number, b: number, ohm: number): Element {
  return ohm === 0 ? link(a, b) : primitive('resistor', a, b, { ohm }, null, null);
}

/** Two terminals that are one node. */
export function link(a: number, b: number): Element {
  return primitive('link', a, b, {}, null, null);
}

/** Volts behind a resistance, which may be 0 Ω. */
export function source(plus: number, minus: number, emfV: number, ohm: number): Element {
  return primitive('source', plus, minus, { emfV, ohm }, null, null);
}

/** Conducts from plus to minus above `dropV`, as `ohm`; a LED is one with its own resistor. */
export function diodeBetween(plus: number, minus: number, dropV: number, ohm: number): Element {
  return primitive('diode', plus, minus, { dropV, ohm }, null, null);
}

/** A fixed current, between nodes that are joined otherwise as well. */
export function sink(plus: number, minus: number, amps: number): Element {
  return primitive('sink', plus, minus, { amps }, null, null);
}

/** A motor in a condition. */
export function motorBetween(plus: number, minus: number, motor: Motor, condition: MotorCondition): Element {
  return primitive('motor', plus, minus, {}, motor, condition);
}

/** Whether an element's current cannot be told from its volts: a joint or a source without resistance. */
export function isIdeal({ kind, ohm }: Element): boolean {
  return kind === 'link' || (kind === 'source' && ohm === 0);
}
