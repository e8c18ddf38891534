import { defaults, leastCapacityLPerMin } from '../reference';
import type { Circuit } from '../job';
import { isInside, wellFrom, type Bound } from '../water';
import type { FixIdea, Judgement, RuleFamily, Severity } from './finding';
import type { WaterFacts } from './waterFacts';
import {
  addCheckValve,
  addVentedLoop,
  floatAtPump,
  movePumpTowardsFloat,
  moveToRecommended,
  moveTowardsPump,
  thinnerHose,
  widenFloat,
  widerHoses,
} from './waterFixes';
import { boundInWords, inFlow, inHead, inVolume, inMillimetres, poseName } from './waterWords';

const WINDOW_SOURCE = 'Levels and volumes of this well in every pose';

/** Everything that pump, hose and float in their well are judged by. */
export const waterRules: RuleFamily = (facts) => {
  const { circuit, water, automatic } = facts;
  return water ? [...pumpJudgements(circuit, water, automatic), ...floatJudgements(circuit, water)] : [];
};

/** Where the float sits, of a pump or of an alarm. */
export function floatJudgements(circuit: Circuit, water: WaterFacts): Judgement[] {
  const { float, window, pool, survey, sensor } = water;
  if (!float || !window) return [];
  if (!isInside(pool, float)) {
    const elsewhere = isInside(wellFrom(survey), float);
    return [
      saying({
        code: elsewhere ? 'float-other-pool' : 'float-outside-well',
        severity: 'stop',
        message: elsewhere
          ? 'Between the float and its pump stands a member without limber holes: the float feels other water than the pump takes. Put both in the same pool, or open the limber holes.'
          : `The float stands outside ${survey.name}: ${inMillimetres(float.xM)} forward of the pump and ${inMillimetres(float.yM)} to starboard of it. Measure its place again, or the well.`,
        rule: 'Float and pump stand in the same water.',
        ideas: () => floatAtPump(circuit, water),
      }),
    ];
  }
  if (!window.open) return [noWindow(circuit, water)];
  const { minM, maxM, lowBound, highBound, comfortMinM } = window;
  if (minM !== null && lowBound && float.zM < minM - 1e-9) return [tooLow(circuit, water, minM, lowBound)];
  if (maxM !== null && highBound && float.zM > maxM + 1e-9) {
    return [
      saying({
        code: 'float-too-high',
        severity: 'stop',
        message: `The float’s base stands at ${inMillimetres(float.zM)} and may stand at ${inMillimetres(maxM)} at most: above that, water reaches ${boundInWords(water, highBound)} before the float switches on.`,
        rule: 'The float switches on before the water reaches anything that must stay dry.',
        ideas: () => moveToRecommended(circuit, water),
      }),
    ];
  }
  const short = sensor !== null && water.hose !== null && (comfortMinM === null || float.zM < comfortMinM - 1e-9);
  return short ? [shortRuns(circuit, water)] : [];
}

function tooLow(circuit: Circuit, water: WaterFacts, minM: number, bound: Bound): Judgement {
  const zM = water.float?.zM ?? 0;
  const at = `The float’s base stands at ${inMillimetres(zM)} over the pump’s and needs ${inMillimetres(minM)}`;
  const where = water.poses.length > 1 && bound.rule !== 'floor' ? ` ${poseName(water, bound.pose).toLowerCase()}` : '';
  const saidBy: Readonly<Record<Bound['rule'], { readonly code: string; readonly why: string }>> = {
    prime: {
      code: 'float-never-stops',
      why: `:${where} the pump sucks air while the float is still up, never stops, and flattens the battery`,
    },
    floor: { code: 'float-below-hull', why: ': that is where the hull is' },
    'drain-back': {
      code: 'float-own-water',
      why: `:${where} what runs back from the hose lifts the float again, and the pump cycles for ever on its own water`,
    },
    'short-run': { code: 'float-short-run', why: '' },
    limit: { code: 'float-too-high', why: '' },
    order: { code: 'float-order', why: `:${where} it would switch on before the first pump’s float` },
  };
  const { code, why } = saidBy[bound.rule];
  return saying({
    code,
    severity: 'stop',
    message: `${at}${why}.`,
    rule: 'In every pose the float lets go before its pump loses prime, and the water between on and off is more than the hose gives back.',
    ideas: () => [...moveToRecommended(circuit, water), ...moveTowardsPump(circuit, water)],
  });
}

function noWindow(circuit: Circuit, water: WaterFacts): Judgement {
  const { window, poses } = water;
  const backL = Math.max(...poses.map(({ drainBackL }) => drainBackL));
  if (window?.never) {
    return saying({
      code: 'float-own-water',
      severity: 'stop',
      message: `At no height does the water between on and off exceed ${defaults.drainBackFactor} times the ${inVolume(backL)} that run back from the hose: the pump would cycle on its own water. It takes a float with a wider dead-band, a hose that holds less, or a check valve.`,
      rule: 'The water between on and off is at least one and a half times what the hose gives back.',
      ideas: () => [...widenFloat(circuit, water), ...thinnerHose(circuit, water), ...addCheckValve(circuit, water)],
    });
  }
  const [low, high] = [window?.lowBound, window?.highBound];
  return saying({
    code: 'float-no-window',
    severity: 'stop',
    message: `No height serves in every pose. It may not be lower than ${inMillimetres(window?.minM ?? 0)} for ${low ? boundInWords(water, low) : 'the hull'}, nor higher than ${inMillimetres(window?.maxM ?? 0)} for ${high ? boundInWords(water, high) : 'what must stay dry'}.`,
    rule: 'One height of the float serves in every pose.',
    ideas: () => [
      ...moveTowardsPump(circuit, water),
      ...addCheckValve(circuit, water),
      ...thinnerHose(circuit, water),
      ...widenFloat(circuit, water),
      ...movePumpTowardsFloat(circuit, water),
    ],
  });
}

function shortRuns(circuit: Circuit, water: WaterFacts): Judgement {
  return saying({
    code: 'float-short-run',
    severity: 'caution',
    message: `Between on and off lies less than ten seconds’ pumping beside what the hose gives back: the pump starts often and wears. ${(water.window?.comfortMinM ?? null) === null ? 'No height of this float makes it longer; a wider dead-band does.' : `From ${inMillimetres(water.window?.comfortMinM ?? 0)} upwards runs are longer.`}`,
    rule: 'A run lasts at least ten seconds.',
    ideas: () => [
      ...moveToRecommended(circuit, water),
      ...widenFloat(circuit, water),
      ...addCheckValve(circuit, water),
    ],
  });
}

/** Pump and hose. */
function pumpJudgements(circuit: Circuit, water: WaterFacts, automatic: boolean): Judgement[] {
  const { hose, poses } = water;
  const sayings: Judgement[] = [];
  if (hose) sayings.push(...hoseJudgements(circuit, water));
  const still = poses.find(({ operating }) => operating.some(({ flowLPerH }) => flowLPerH <= 0));
  if (still) {
    sayings.push(
      saying({
        code: 'no-flow',
        severity: 'stop',
        message: `${poses.length > 1 ? `${still.pose.name}: the` : 'The'} hose climbs ${inHead(still.liftM ?? 0)} and at the volts it gets the pump does not reach that: nothing leaves the boat. Lower the hose’s highest point, use thicker cable, or a pump with more head.`,
        rule: 'Shut-off head at the pump’s own speed exceeds the lift in every pose.',
      }),
    );
  }
  if (still === undefined) sayings.push(...capacityJudgements(circuit, water));
  if (water.sensor === 'timer' && water.reprimes) {
    sayings.push(
      saying({
        code: 'reprimes-itself',
        severity: 'caution',
        message:
          'At loss of prime the hose’s water falls back and gives the pump its prime again: it runs on over and over. A check valve or less hose above the pump ends that.',
        rule: 'What runs back stays below the level at which the pump has prime.',
        ideas: () => addCheckValve(circuit, water),
      }),
    );
  }
  if (automatic) {
    sayings.push(
      saying({
        code: 'oily-water',
        severity: 'note',
        message:
          'An automatic pump sends overboard whatever stands in the well. Oily water must not go: keep oil out of this well, or pump by hand after a look.',
        rule: 'No discharge of oil or oily water.',
        source: 'MARPOL Annex I; 33 CFR 155',
      }),
    );
  }
  return sayings;
}

function hoseJudgements(circuit: Circuit, water: WaterFacts): Judgement[] {
  const { hose, curve, poses } = water;
  const portM = circuit.water?.portM;
  const sayings: Judgement[] = [];
  if (hose && portM !== undefined && hose.boreM < portM - 1e-6) {
    sayings.push(
      saying({
        code: 'hose-below-port',
        severity: 'caution',
        message: `The hose’s bore of ${inMillimetres(hose.boreM)} is smaller than the pump’s outlet of ${inMillimetres(portM)}: it takes flow that the pump could give.`,
        rule: 'The hose is at least as wide as the pump’s outlet.',
        ideas: () => widerHoses(circuit, water),
      }),
    );
  }
  const dip = poses.find(({ dips }) => dips);
  if (dip && curve) {
    const locks = poses.find(({ dips, climbM, operating }) => dips && operating.length > 0 && climbM > curve.shutOffM);
    sayings.push(
      saying({
        code: 'hose-dip',
        severity: locks ? 'stop' : 'caution',
        message: locks
          ? `The hose goes down and up again and holds water there: empty above it, the pump must climb ${inHead(locks.climbM)}, more than its ${inHead(curve.shutOffM)}. It locks on air. Lead the hose so that it only rises to its highest point.`
          : 'The hose goes down and up again: the dip holds water, freezes, and makes every start climb the sum of its rises. Lead it so that it only rises to its highest point.',
        rule: 'A hose rises all the way to its highest point.',
      }),
    );
  }
  const under = poses.find(({ outletOverM }) => outletOverM !== null && outletOverM < 0);
  if (under && circuit.water?.hose?.ventedLoop !== true) {
    sayings.push(
      saying({
        code: 'outlet-under-water',
        severity: 'stop',
        message: `${under.pose.name}, the outlet lies ${inMillimetres(-(under.outletOverM ?? 0))} under the water outside: once the pump stops, the sea can run back through the hose and sink the boat. A check valve alone is no guard. Move the outlet up, or fit a vented loop well above the waterline.`,
        rule: 'No outlet can go under without a vented loop.',
        source: 'Common practice; ISO 15083',
        ideas: () => addVentedLoop(circuit),
      }),
    );
  }
  if (hose?.checkValve === true) {
    sayings.push(
      saying({
        code: 'check-valve',
        severity: 'note',
        message:
          'A check valve jams on debris, can hold air under it, and costs head. Make it reachable, clean it each season, and never let it be the only guard against water coming in.',
        rule: 'A check valve is kept clean and is no seacock.',
        source: 'Common practice',
      }),
    );
  }
  return sayings;
}

function capacityJudgements(circuit: Circuit, water: WaterFacts): Judgement[] {
  const { poses, ingress, hullLengthM } = water;
  const flows = poses.flatMap(({ operating }) =>
    operating.filter(({ supplyV }) => supplyV === defaults.runningSupplyV),
  );
  if (flows.length === 0) return [];
  const leastLPerH = Math.min(...flows.map(({ flowLPerH }) => flowLPerH));
  const sayings: Judgement[] = [];
  const [worst] = ingress;
  if (worst && worst.mostLPerH >= leastLPerH) {
    sayings.push(
      saying({
        code: 'ingress-beats-pump',
        severity: 'caution',
        message: `“${worst.name}” brings up to ${inFlow(worst.mostLPerH)}, and this pump moves ${inFlow(leastLPerH)} at 12.8 V through its hose. It gains time and no more: see how long on the Float station.`,
        rule: 'Capacity at real head exceeds the ingress it is there for.',
        ideas: () => widerHoses(circuit, water),
      }),
    );
  }
  const neededLPerH = hullLengthM === undefined ? 0 : 60 * leastCapacityLPerMin(hullLengthM);
  if (leastLPerH < neededLPerH) {
    sayings.push(
      saying({
        code: 'capacity-by-length',
        severity: 'caution',
        message: `At its real head this pump moves ${inFlow(leastLPerH)}; the rule of thumb for this length of hull is ${inFlow(neededLPerH)}. What comes in is the better argument; this is the least.`,
        rule: 'Least capacity by hull length: 10 L/min to 6 m, 15 to 12 m, 30 above.',
        source: 'Small-craft rule of thumb; ISO 15083',
        ideas: () => widerHoses(circuit, water),
      }),
    );
  }
  return sayings;
}

interface Saying {
  readonly code: string;
  readonly severity: Severity;
  readonly message: string;
  readonly rule: string;
  readonly source?: string;
  readonly ideas?: () => readonly FixIdea[];
}

function saying(said: Saying): Judgement {
  return { source: WINDOW_SOURCE, about: 'water', ...said };
}
