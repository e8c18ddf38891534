import type { AssessedAlarm, AssessedPump } from '../assess';
import { assessedIn, jobWith } from '../build/build.fixture';
import {
  doingWords,
  faultCodes,
  faultOf,
  mapParts,
  measureOhms,
  measureVolts,
  solve,
  windingRatio,
  withFaults,
  type Netlist,
} from '../circuit';
import { schemeKeys } from '../schemes';
import type { ProveTest } from './proveTest';
import { proveTests } from './proveTests';

type Assessed = AssessedPump | AssessedAlarm;

/** Whether a test shows that a circuit is not the one that was assessed. */
function misses({ netlist: sound, plan }: Assessed, test: ProveTest, netlist: Netlist): boolean {
  const { expect: wanted, set, between, instrument } = test;
  const setting = { switches: set.switches, floats: set.floats };
  const stands = mapParts(netlist, (part) =>
    part.kind === 'fuse' && set.fusesOut.includes(part.id) ? { ...part, closed: false } : part,
  );
  const outside = (value: number) => !('state' in wanted) && (value < wanted.low - 1e-9 || value > wanted.high + 1e-9);
  const [red, black] = between ?? [];
  try {
    if (red && black && instrument === 'voltmeter') return outside(measureVolts(stands, setting, { red, black }));
    if (red && black) {
      const read = measureOhms(stands, setting, { red, black });
      if ('state' in wanted) {
        const said = read.kind === 'ohms' && read.ohm < 1 ? 'closed' : read.kind;
        return said !== wanted.state;
      }
      return read.kind !== 'ohms' || outside(read.ohm);
    }
    const point = solve(stands, setting);
    if (instrument === 'clamp') return outside(point.partA('pump'));
    const states = sound.parts.flatMap(({ id, kind }) => {
      const doing = kind === 'pump' || kind === 'lamp' || kind === 'alarm' ? point.doingOf(id) : null;
      const name = plan.parts.find(({ part }) => part.id === id)?.name ?? '';
      return doing === null ? [] : [`${name} ${doingWords[doing]}`];
    });
    return 'state' in wanted && states.join(', ') !== wanted.state;
  } catch {
    // It comes to no rest: that is seen and heard.
    return true;
  }
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

const assessed = (scheme: string) => assessedIn(jobWith(scheme, { panel: { light: 'led' } }));

describe('the windows', () => {
  it.each([...schemeKeys])('of %s hold every sound circuit', (scheme) => {
    const one = assessed(scheme);
    const tests = proveTests(one);
    const random = numbers();
    const alarms = Array.from({ length: 30 }, () => soundOne(one.netlist, random)).flatMap((netlist) =>
      tests.filter((test) => misses(one, test, netlist)).map(({ id }) => id),
    );
    expect(alarms).toEqual([]);
  });

  it.each([
    // No reading tells a better negative from the negative, a fuse of another rating from its own, or ohms in a light's milliamperes.
    [
      'three-way-float',
      [
        'corroded@light-tap',
        'corroded@light-negative',
        'shorted-to-negative@light-negative',
        'shorted-to-negative@negative',
        'shorted-to-negative@main-negative',
        'wrong-fuse@fuse',
      ],
    ],
    [
      'through-float',
      [
        'corroded@light-tap',
        'corroded@light-negative',
        'shorted-to-negative@light-negative',
        'shorted-to-negative@negative',
        'shorted-to-negative@main-negative',
        'wrong-fuse@fuse',
      ],
    ],
  ])('of %s let no fault through but those that no reading shows', (scheme, letThrough) => {
    const one = assessed(scheme);
    const tests = proveTests(one);
    const missed = faultCodes.flatMap((code) =>
      faultOf(code)
        .sites(one.netlist)
        .filter(({ id }) => {
          const netlist = withFaults(one.netlist, [{ code, at: id }]);
          return !tests.some((test) => misses(one, test, netlist));
        })
        .map(({ id }) => `${code}@${id}`),
    );
    expect(missed).toEqual(letThrough);
  });
});
