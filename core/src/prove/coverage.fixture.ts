import type { AssessedAlarm, AssessedPump } from '../assess';
import { assessedIn, jobWith } from '../build/build.fixture';
import { faultCodes, faultOf, mapParts, windingRatio, withFaults, type Netlist } from '../circuit';
import type { ProveTest } from './proveTest';
import { groundOf, proveTests } from './proveTests';
import { readOn } from './readOn';
import { judged } from './verdict';

type Assessed = AssessedPump | AssessedAlarm;

const assessedOf = (scheme: string): Assessed => assessedIn(jobWith(scheme, { panel: { light: 'led' } }));

/** Which tests of a sound circuit miss on another one. */
function missesOn(one: Assessed, tests: readonly ProveTest[], netlist: Netlist): string[] {
  const ground = groundOf(one, {});
  return tests.flatMap((test) => {
    const read = readOn(ground, test, netlist);
    if (read === null) return [];
    const verdict = typeof read === 'number' ? judged(test, { value: read, unit: '' }) : judged(test, { said: read });
    return verdict.verdict === 'miss' ? [test.id] : [];
  });
}

/** Numbers from 0 to 1 that are the same in every run. */
function* numbers(): Generator<number, never> {
  for (let state = 7; ;) {
    state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0;
    yield state / 2 ** 32;
  }
}

/** A sound circuit as it may be: label ± 10 %, winding ± 0.3 Ω within what pumps have, good joints up to three times. */
function soundOne(netlist: Netlist, random: Generator<number, never>): Netlist {
  const [label, winding, joints] = [random.next().value, random.next().value, random.next().value];
  return mapParts(netlist, (part) => {
    if (part.kind === 'joint') return { ...part, ohm: part.ohm * (1 + 2 * joints) };
    if (part.kind !== 'pump') return part;
    const motor = { ...part.motor, labelA: part.motor.labelA * (0.9 + 0.2 * label) };
    const perRatio = motor.windingOhm / windingRatio(motor);
    const moved = motor.windingOhm + 0.6 * winding - 0.3;
    return { ...part, motor: { ...motor, windingOhm: Math.min(0.6 * perRatio, Math.max(0.02 * perRatio, moved)) } };
  });
}

/** So many sound circuits of a scheme: how many readings were taken, and which of them missed. */
export function falseAlarms(
  scheme: string,
  draws: number,
): { readonly readings: number; readonly missed: readonly string[] } {
  const one = assessedOf(scheme);
  const tests = proveTests(one);
  const ground = groundOf(one, {});
  const read = tests.filter((test) => readOn(ground, test, one.netlist) !== null).length;
  const random = numbers();
  const missed: string[] = [];
  for (let draw = 0; draw < draws; draw += 1) missed.push(...missesOn(one, tests, soundOne(one.netlist, random)));
  return { readings: read * draws, missed };
}

/** The faults of the catalogue that no test shows which a proof needs. */
export function faultsMissed(scheme: string): string[] {
  const one = assessedOf(scheme);
  const tests = proveTests(one).filter(({ needed }) => needed);
  return faultCodes.flatMap((code) =>
    faultOf(code)
      .sites(one.netlist)
      .filter(({ id }) => missesOn(one, tests, withFaults(one.netlist, [{ code, at: id }])).length === 0)
      .map(({ id }) => `${code}@${id}`),
  );
}
