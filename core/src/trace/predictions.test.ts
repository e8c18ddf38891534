import { mapParts, measureOhms, measureVolts, withFaults, type Setting } from '../circuit';
import { pulled, settingOf, type Ground } from '../prove/ground';
import { schemeKeys } from '../schemes';
import { waterFaultOf } from '../water';
import { huntModel } from './huntModel';
import { assessedOf, symptomsIn } from './hunts.fixture';
import type { HuntTest, Reading } from './huntTest';
import type { Hypothesis } from './hypothesis';
import { UNSTEADY } from './predictions';

/** Every reading of every symptom in a drill; else one in so many, of one symptom in so many. */
const [EACH, SYMPTOMS] = process.env['SCHEMES'] === 'all' ? [1, 1] : [9, 4];

/** What the bench's meter shows between the two points, with the fault planted; null for what no meter reads. */
function onBench({ faults, water }: Hypothesis, test: HuntTest, ground: Ground): Reading | null {
  const { between, reads, set, byHand } = test;
  if (!between || (reads.kind !== 'volts' && reads.kind !== 'ohms')) return null;
  const wet = water === null ? null : waterFaultOf(water);
  const planted = withFaults(ground.netlist, faults);
  const running = wet?.idle
    ? mapParts(planted, (one) => (one.kind === 'pump' ? { ...one, condition: 'dry' } : one))
    : planted;
  const netlist = pulled(running, set.fusesOut);
  const setting: Setting = settingOf(set);
  const float = byHand ? undefined : wet?.floatInWater;
  const held = float
    ? { ...setting, floats: Object.fromEntries(Object.keys(set.floats).map((id) => [id, float])) }
    : setting;
  const probes = { red: between[0], black: between[1] };
  try {
    if (reads.kind === 'volts') return measureVolts(netlist, held, probes);
    const read = measureOhms(netlist, held, probes);
    return read.kind === 'ohms' ? read.ohm : read.kind;
  } catch {
    return UNSTEADY;
  }
}

describe('what a test is thought to read', () => {
  it.each(schemeKeys)('is what the bench’s meter shows with the same fault planted: %s', (scheme) => {
    const assessed = assessedOf(scheme);
    const seen = new Set<string>();
    let compared = 0;
    const symptoms = symptomsIn([scheme]).filter((_, at) => at % SYMPTOMS === 0);
    for (const [, symptom] of symptoms) {
      const { hypotheses, tests, ground } = huntModel(assessed, { symptom });
      hypotheses.forEach((hypothesis, at) => {
        for (const { test, readings } of tests) {
          const pair = `${hypothesis.id} ${test.id}`;
          if (seen.has(pair)) continue;
          seen.add(pair);
          if (seen.size % EACH !== 0) continue;
          const shown = onBench(hypothesis, test, ground);
          if (shown === null) continue;
          compared += 1;
          const read = readings[at];
          // Within a thousandth of a volt or an ohm; words to the letter.
          if (typeof shown === 'number' && typeof read === 'number' ? Math.abs(shown - read) > 5e-4 : shown !== read)
            throw new Error(`${pair}: ${read} thought, ${shown} shown`);
        }
      });
    }
    expect(compared).toBeGreaterThan(10);
  });
});
