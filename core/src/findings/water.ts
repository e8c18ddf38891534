import { ourRules, OUR_RULE } from '../reference';
import type { Circuit } from '../job';
import { toldApart } from '../units';
import { isAmong, isInside, isWithin, wellFrom, type Bound } from '../water';
import type { AnyFacts } from './facts';
import type { Judgement, RuleFamily } from './finding';
import { flowJudgements } from './flow';
import { hoseJudgements } from './hose';
import { outletJudgements } from './outlet';
import type { WaterFacts } from './waterFacts';
import {
  addCheckValve,
  floatAtPump,
  movePumpTowardsFloat,
  moveToRecommended,
  moveTowardsPump,
  raiseBy,
  thinnerHose,
  widenFloat,
} from './waterFixes';
import { saying } from './waterSaying';
import { boundInWords, poseName, waterSpeech } from './waterWords';

/** Everything that pump, hose and float in their well are judged by. */
export const waterRules: RuleFamily<AnyFacts> = (facts) => {
  const { circuit, water } = facts;
  if (!water) return [];
  return [
    ...(facts.kind === 'pump'
      ? [
          ...flowJudgements(circuit, water, facts.automatic),
          ...hoseJudgements(circuit, water),
          ...outletJudgements(circuit, water, facts.automatic),
        ]
      : []),
    ...floatJudgements(circuit, water),
  ];
};

/** Where the float sits, of a pump or of an alarm. */
export function floatJudgements(circuit: Circuit, water: WaterFacts): Judgement[] {
  const { float, window, pool, survey } = water;
  const say = waterSpeech(water.units);
  if (!float || !window) return [];
  if (!isInside(pool, float)) {
    const elsewhere = isInside(wellFrom(survey), float);
    return [
      saying({
        code: elsewhere ? 'float-other-pool' : 'float-outside-well',
        severity: 'stop',
        at: ['float'],
        message: elsewhere
          ? 'Between the float and its pump stands a member without limber holes: the float feels other water than the pump takes. Put both in the same pool, or open the limber holes.'
          : `The float stands outside ${survey.name}: ${say.height(float.xM)} forward of the pump and ${say.height(float.yM)} to starboard of it. Measure its place again, or the well.`,
        rule: 'Float and pump stand in the same water.',
        ideas: (means) => floatAtPump(circuit, water, means),
      }),
    ];
  }
  if (!window.open) return [noWindow(circuit, water)];
  return [...heightJudgements(circuit, water), ...closeAbove(circuit, water)];
}

/** A float whose height keeps no piece of its window, or whose runs there are short. */
function heightJudgements(circuit: Circuit, water: WaterFacts): Judgement[] {
  const { float, window, sensor } = water;
  if (!float || !window) return [];
  const { pieces, comfort } = window;
  if (!isWithin(window, float.zM)) {
    const above = pieces.find(({ fromM }) => fromM !== null && float.zM < fromM);
    const below = pieces.findLast(({ toM }) => toM !== null && float.zM > toM);
    // Between two pieces the nearer end is the one to speak of.
    const [upToM, downToM] = [above?.fromM ?? Infinity, below?.toM ?? -Infinity];
    if (above?.lowBound && upToM - float.zM <= float.zM - downToM)
      return [tooLow(circuit, water, upToM, above.lowBound)];
    return below?.highBound ? [tooHigh(circuit, water, downToM, below.highBound)] : [];
  }
  const short = sensor !== null && water.hose !== null && !isAmong(comfort, float.zM, 1e-9);
  return short ? [shortRuns(circuit, water)] : [];
}

/** A backup that switches on hardly above the first pump: slop in the well calls it. */
function closeAbove(circuit: Circuit, water: WaterFacts): Judgement[] {
  const { float, poses } = water;
  const [closest] = [...poses].sort((a, b) => (a.aboveFirstM ?? Infinity) - (b.aboveFirstM ?? Infinity));
  const byM = closest?.aboveFirstM ?? null;
  const leastM = ourRules.backupAboveLeastM.value;
  if (!float || !closest || byM === null || byM < -1e-9 || byM >= leastM - 1e-9) return [];
  const say = waterSpeech(water.units);
  return [
    saying({
      code: 'float-close-above',
      severity: 'note',
      message: `${closest.pose.name}: this float switches on ${say.height(byM)} above the first pump’s, so that slop in the well calls it. Set it ${say.height(leastM)} to ${say.height(ourRules.backupAboveMostM.value)} above.`,
      rule: `A backup or alarm switches on ${say.height(leastM)} to ${say.height(ourRules.backupAboveMostM.value)} above the first pump.`,
      source: OUR_RULE,
      at: ['float'],
      ideas: () => [...moveToRecommended(circuit, water), ...raiseBy(circuit, water, leastM - byM)],
    }),
  ];
}

function tooHigh(circuit: Circuit, water: WaterFacts, maxM: number, bound: Bound): Judgement {
  const [stands, most] = toldApart(water.float?.zM ?? 0, maxM, waterSpeech(water.units).height);
  const at = `The float’s base stands at ${stands} and may stand at ${most} at most`;
  const narrow = bound.rule === 'drain-back';
  return saying({
    code: narrow ? 'float-own-water' : 'float-too-high',
    severity: 'stop',
    message: narrow
      ? `${at}: higher up the well is so narrow that less lies between on and off than the hose gives back, and the pump cycles for ever on its own water. Lower the float.`
      : `${at}: above that, water reaches ${boundInWords(water, bound)} before the float switches on. Lower the float.`,
    rule: narrow ? OWN_WATER_RULE : 'The float switches on before the water reaches anything that must stay dry.',
    at: ['float'],
    ideas: () => moveToRecommended(circuit, water),
  });
}

const OWN_WATER_RULE = 'The water between on and off is at least one and a half times what the hose gives back.';

function tooLow(circuit: Circuit, water: WaterFacts, minM: number, bound: Bound): Judgement {
  const [stands, needs] = toldApart(water.float?.zM ?? 0, minM, waterSpeech(water.units).height);
  const at = `The float’s base stands at ${stands} over the pump’s and needs ${needs}`;
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
    limit: { code: 'float-too-high', why: '' },
    order: { code: 'float-order', why: `:${where} it would switch on before the first pump’s float` },
  };
  const { code, why } = saidBy[bound.rule];
  return saying({
    code,
    severity: 'stop',
    message: `${at}${why}. Raise it.`,
    at: ['float'],
    rule: 'In every pose the float lets go before its pump loses prime, and the water between on and off is more than the hose gives back.',
    ideas: (means) => [...moveToRecommended(circuit, water), ...moveTowardsPump(circuit, water, means)],
  });
}

function noWindow(circuit: Circuit, water: WaterFacts): Judgement {
  const { window, poses } = water;
  const say = waterSpeech(water.units);
  const backL = Math.max(...poses.map(({ drainBackL }) => drainBackL));
  if (window?.never) {
    return saying({
      code: 'float-own-water',
      severity: 'stop',
      at: ['float'],
      message: `At no height does the water between on and off exceed ${ourRules.drainBackFactor.value} times the ${say.volume(backL)} that run back from the hose: the pump would cycle on its own water. It takes a float with a wider dead-band, a hose that holds less, or a check valve.`,
      rule: OWN_WATER_RULE,
      ideas: (means) => [
        ...widenFloat(circuit, water, means),
        ...thinnerHose(circuit, water, means),
        ...addCheckValve(circuit, water, means),
      ],
    });
  }
  const [low, high] = [window?.lowBound, window?.highBound];
  return saying({
    code: 'float-no-window',
    severity: 'stop',
    at: ['float'],
    message: `No height serves in every pose. It may not be lower than ${say.height(window?.minM ?? 0)} for ${low ? boundInWords(water, low) : 'the hull'}, nor higher than ${say.height(window?.maxM ?? 0)} for ${high ? boundInWords(water, high) : 'what must stay dry'}. Move float or pump nearer to each other, or move what must stay dry.`,
    rule: 'One height of the float serves in every pose.',
    ideas: (means) => [
      ...moveTowardsPump(circuit, water, means),
      ...addCheckValve(circuit, water, means),
      ...thinnerHose(circuit, water, means),
      ...widenFloat(circuit, water, means),
      ...movePumpTowardsFloat(circuit, water, means),
    ],
  });
}

function shortRuns(circuit: Circuit, water: WaterFacts): Judgement {
  return saying({
    code: 'float-short-run',
    severity: 'caution',
    at: ['float'],
    message: `Between on and off lies less than ${ourRules.shortestRunS.value} seconds’ pumping beside what the hose gives back: the pump starts often and wears. ${comfortWords(water)}`,
    rule: `A run lasts at least ${ourRules.shortestRunS.value} seconds.`,
    source: OUR_RULE,
    ideas: (means) => [
      ...moveToRecommended(circuit, water),
      ...widenFloat(circuit, water, means),
      ...addCheckValve(circuit, water, means),
    ],
  });
}

function comfortWords({ window, units }: WaterFacts): string {
  const comfort = window?.comfort[0];
  const say = waterSpeech(units);
  if (!comfort) return 'No height of this float makes it longer; a wider dead-band does.';
  const { fromM, toM } = comfort;
  if (fromM === null) return toM === null ? '' : `Up to ${say.height(toM)} runs are longer.`;
  return toM === null
    ? `From ${say.height(fromM)} upwards runs are longer.`
    : `Between ${say.height(fromM)} and ${say.height(toM)} runs are longer.`;
}
