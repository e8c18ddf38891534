import { ourRules, OUR_RULE } from '../reference';
import type { Circuit } from '../job';
import type { FixIdea, Judgement, Means } from './finding';
import type { PoseFacts, WaterFacts } from './waterFacts';
import { saying } from './waterSaying';
import { waterSpeech } from './waterWords';

/** Equal is kept. */
const SLACK_M = 1e-9;

/** The outlet against the water outside, in every pose; what is not known is asked for. */
export function outletJudgements(circuit: Circuit, water: WaterFacts, automatic: boolean): Judgement[] {
  if (!water.hose) return [];
  const unknown = water.poses.filter(({ outletOverM }) => outletOverM === null);
  return [...underJudgements(circuit, water), ...(unknown.length > 0 ? [notKnown(water, unknown, automatic)] : [])];
}

/** How high the sea would have to come: the outlet, or the top of a vented loop where that is higher. */
function guardM({ outletOverM, loopOverM }: PoseFacts): number | null {
  if (outletOverM === null) return null;
  return Math.max(outletOverM, loopOverM ?? -Infinity);
}

function underJudgements(circuit: Circuit, water: WaterFacts): Judgement[] {
  const { poses } = water;
  const known = poses.flatMap((facts) => {
    const overM = guardM(facts);
    return overM === null ? [] : [{ facts, overM }];
  });
  const [worst] = [...known].sort((one, other) => one.overM - other.overM);
  const rest = known.find(({ facts }) => facts === poses[0]);
  const freeboardM = ourRules.outletFreeboardM.value;
  if (worst && worst.overM <= SLACK_M) return [under(circuit, water, worst.facts)];
  return rest && rest.overM < freeboardM - SLACK_M ? [low(circuit, water, rest.facts)] : [];
}

/** What a vented loop that is there does, or why it does not. */
function loopWords(circuit: Circuit, { loopOverM }: PoseFacts, water: WaterFacts): string {
  if (circuit.water?.hose?.ventedLoop !== true) return '';
  return loopOverM === null
    ? ' A vented loop is there and the height of its top is not known: measure it.'
    : ` The vented loop’s top lies ${besideWater(loopOverM, water)}, too low to answer.`;
}

/** "50 mm over the water outside" */
function besideWater(overM: number, { units }: WaterFacts): string {
  const say = waterSpeech(units);
  if (Math.abs(overM) <= SLACK_M) return 'at the level of the water outside';
  return `${say.height(Math.abs(overM))} ${overM > 0 ? 'over' : 'under'} the water outside`;
}

function under(circuit: Circuit, water: WaterFacts, facts: PoseFacts): Judgement {
  return saying({
    code: 'outlet-under-water',
    severity: 'stop',
    message: `${facts.pose.name}: the outlet lies ${besideWater(facts.outletOverM ?? 0, water)}: once the pump stops, water can run back through the hose and sink the boat.${loopWords(circuit, facts, water)} Move the outlet up, or fit a vented loop well above the waterline; a check valve alone is no guard.`,
    rule: 'No outlet goes under in any pose, unless a vented loop stands above the water there.',
    source: 'Common practice; ISO 15083',
    ideas: (means) => loopHighEnough(circuit, water, means),
  });
}

function low(circuit: Circuit, water: WaterFacts, facts: PoseFacts): Judgement {
  const { outletOverM, loopOverM } = facts;
  const least = waterSpeech(water.units).height(ourRules.outletFreeboardM.value);
  const loop = Math.max(0, loopOverM ?? 0) > (outletOverM ?? 0) ? ', and only the vented loop guards it' : '';
  return saying({
    code: 'outlet-low',
    severity: 'caution',
    message: `${facts.pose.name}: the outlet lies ${besideWater(outletOverM ?? 0, water)}${loop}; ${least} are asked: a wake or a full load puts it under.${loopWords(circuit, facts, water)} Move it up, or fit a vented loop well above the waterline.`,
    rule: `An outlet, or its vented loop, stands at least ${least} over the water at rest.`,
    source: OUR_RULE,
    ideas: (means) => loopHighEnough(circuit, water, means),
  });
}

function notKnown(water: WaterFacts, unknown: readonly PoseFacts[], automatic: boolean): Judgement {
  const names = unknown.map(({ pose }) => `“${pose.name}”`).join(', ');
  return saying({
    code: 'outlet-not-known',
    severity: automatic ? 'caution' : 'note',
    message: `How high the outlet stands over the water outside is not known in ${unknown.length === water.poses.length ? 'any pose' : names}: the sea may run back through the hose. Measure the water outside over the pump’s base, and enter it with the pose.`,
    rule: 'An outlet’s height over the water outside is known in every pose.',
    source: OUR_RULE,
  });
}

/** A vented loop whose top answers in every pose that is known. */
function loopHighEnough(circuit: Circuit, water: WaterFacts, { waterAs }: Means): FixIdea[] {
  const { water: own } = circuit;
  if (!own?.hose) return [];
  // What the loop's top would stand over the water outside, were it at the pump's base.
  const probe = waterAs({ ...circuit, water: { ...own, hose: { ...own.hose, ventedLoop: true, ventedLoopM: 0 } } });
  const needs = (probe?.poses ?? []).flatMap(({ loopOverM }, index) =>
    loopOverM === null ? [] : [(index === 0 ? ourRules.outletFreeboardM.value : 0.01) - loopOverM],
  );
  const highest = Math.max(...own.hose.route.map(({ heightM }) => heightM));
  if (needs.length === 0) return [];
  const topM = Math.ceil(100 * Math.max(...needs, highest)) / 100;
  return [
    {
      label: `Fit a vented loop, its top ${waterSpeech(water.units).height(topM)} over the pump`,
      circuit: {
        ...circuit,
        water: { ...own, hose: { ...own.hose, ventedLoop: true, ventedLoopM: topM, guessed: false } },
      },
    },
  ];
}
