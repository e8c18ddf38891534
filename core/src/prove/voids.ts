import { faultCodes, faultOf, withFaults } from '../circuit';
import { groundOf, type ProveAsked } from './proveTests';
import { readOn } from './readOn';
import type { AssessedAlarm, AssessedPump } from '../assess';
import type { ProveTest } from './proveTest';

/** A test of a proof that does not stand any more, and why. */
export interface Voided {
  readonly id: string;
  readonly text: string;
  readonly why: 'gone' | 'new' | 'setting' | 'points' | 'window';
}

/** Windows solved twice differ by rounding; a change that matters moves them by more. */
const SAME = 1e-6;
const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);

function whyVoid(before: ProveTest, after: ProveTest): Voided['why'] | null {
  if (!same(before.set, after.set)) return 'setting';
  if (!same(before.between, after.between) || before.at !== after.at || before.instrument !== after.instrument)
    return 'points';
  const [one, other] = [before.expect, after.expect];
  if ('state' in one || 'state' in other)
    return 'state' in one && 'state' in other && one.state === other.state ? null : 'window';
  const moved = (a: number, b: number) => Math.abs(a - b) > SAME * Math.max(1, Math.abs(a));
  return moved(one.low, other.low) || moved(one.high, other.high) || moved(one.nominal, other.nominal)
    ? 'window'
    : null;
}

/**
 * What of a proof a later change of the circuit makes void: every test is solved again, as the circuit was and as it is, at
 * the battery of the proof, and voided where its setting, its points or its window differ. Words alone void nothing.
 */
export function voidedTests(before: readonly ProveTest[], after: readonly ProveTest[]): Voided[] {
  const now = new Map(after.map((test) => [test.id, test]));
  const then = new Set(before.map(({ id }) => id));
  const changed = before.flatMap((test): Voided[] => {
    const other = now.get(test.id);
    const why = other ? whyVoid(test, other) : 'gone';
    return why === null ? [] : [{ id: test.id, text: (other ?? test).text, why }];
  });
  const added = after
    .filter(({ id, needed }) => needed && !then.has(id))
    .map(({ id, text }): Voided => ({ id, text, why: 'new' }));
  return [...changed, ...added];
}

/** After any work in the bilge: ohms, the float’s way, and real water. */
const afterBilgeWork =
  /^(ohms-|state-auto-up|state-off-up|state-float-up|measured-litres|water-|no-restart|sensor-|amps-manual-down)/;

/**
 * The tests that work on some parts or conductors can have touched: those whose reading any fault at them would move, and
 * after work in the bilge those that are always done again.
 */
export function testsTouchedBy(
  assessed: AssessedPump | AssessedAlarm,
  tests: readonly ProveTest[],
  touched: readonly string[],
  asked: ProveAsked = {},
): string[] {
  const ground = groundOf(assessed, asked);
  const { netlist, plan } = assessed;
  const faulty = faultCodes.flatMap((code) =>
    faultOf(code)
      .sites(netlist)
      .filter(({ id }) => id.split('~').some((one) => touched.includes(one)))
      .map(({ id }) => withFaults(netlist, [{ code, at: id }])),
  );
  const wet = touched.some((id) => plan.parts.some(({ part, band }) => part.id === id && band === 'bilge'));
  const sound = tests.map((test) => readOn(ground, test, netlist));
  return tests
    .filter(({ id }, index) => {
      if (wet && afterBilgeWork.test(id)) return true;
      const read = sound[index];
      if (read === null || read === undefined) return false;
      const test = tests[index];
      return test !== undefined && faulty.some((one) => differs(read, readOn(ground, test, one)));
    })
    .map(({ id }) => id);
}

function differs(one: string | number, other: string | number | null): boolean {
  if (typeof one === 'number' && typeof other === 'number')
    return Math.abs(one - other) > SAME * Math.max(1, Math.abs(one));
  return one !== other;
}
