import { roles } from '../circuit';
import { maxMultipleOfAmpacity, ourRules, OUR_RULE, protectionFamilies } from '../reference';
import { formatAmps, plainNumber, SLACK, toldApart } from '../units';
import { nextStandardRating } from '../wiring';
import type { CircuitFacts, DeviceFacts } from './facts';
import type { FixIdea, Judgement, RuleFamily, Severity } from './finding';
import {
  addPanelFuse,
  useLargerDevice,
  useProposedRating,
  useProposedSizesOf,
  useSmallerRating,
  withIdeas,
} from './fixes';

const RULE_SOURCE = '33 CFR 183.455; ABYC E-11; ISO 13297';

interface Saying {
  readonly code: string;
  readonly severity: Severity;
  readonly message: string;
  readonly rule: string;
  readonly source?: string;
  readonly at?: readonly string[];
  readonly ideas?: readonly (FixIdea | undefined)[];
}

/** The rating of each fuse or breaker against pump, maker and conductor. */
export const ratingRules: RuleFamily = (facts) => {
  const proposed = useProposedRating(facts);
  return [...standardRules(facts), ...runningRules(facts), ...makerRules(facts), ...conductorRules(facts)].map(
    ({ code, severity, message, rule, source = RULE_SOURCE, at = ['fuse'], ideas = [] }): Judgement => ({
      code,
      severity,
      message,
      rule,
      source,
      at,
      ...withIdeas(proposed, ...ideas),
    }),
  );
};

/** Whether there is a rating to be had at all; that of a feed taken over is judged where it is chosen. */
function standardRules({ protection, fedA, sharedFeed }: CircuitFacts): Saying[] {
  if (sharedFeed) return [];
  const family = protectionFamilies[protection.kind];
  const sayings: Saying[] = [];
  if (!protection.answer.found) {
    sayings.push({
      code: 'no-rating-satisfies',
      severity: 'stop',
      message:
        protection.answer.because === 'maker-below-running'
          ? `Of all the families no rating carries the ${formatAmps(fedA)} and stays within the maker’s ${formatAmps(protection.makerA ?? 0)}. Check both figures on the label, and measure the running current.`
          : `No family has a rating that reaches 125 % of ${formatAmps(fedA)}. Split the load between two circuits.`,
      rule: 'Rating at least the running current and at most the maker’s figure.',
    });
  }
  if (!family.ratingsA.includes(protection.ratingA)) {
    sayings.push({
      code: 'rating-not-standard',
      severity: 'caution',
      message: `A ${family.name} of ${formatAmps(protection.ratingA)} is not made. Choose one of its ratings: ${family.ratingsA.join(', ')} A.`,
      rule: 'A rating that can be bought and replaced.',
      source: family.source,
    });
  }
  return sayings;
}

/** Devices that this circuit answers for: those of a feed taken over are judged by the circuit whose feed it is. */
export function ownDevices({ protection, sharedFeed }: Pick<CircuitFacts, 'protection' | 'sharedFeed'>): DeviceFacts[] {
  return protection.devices.filter(({ id }) => sharedFeed === null || (id !== roles.fuse && id !== roles.mainFuse));
}

/** The device in words: "The 7.5 A blade fuse", "The panel fuse of 10 A". */
function named({ id, name, kind, ratingA }: DeviceFacts, rating = formatAmps(ratingA)): string {
  return id === 'fuse' ? `The ${rating} ${protectionFamilies[kind].name}` : `The ${name.toLowerCase()} of ${rating}`;
}

/** A share in whole percent, or in as many digits as it takes to tell it from the limit beside it. */
function percentBeside(share: number, limit: number): string {
  return toldApart(100 * share, 100 * limit, plainNumber)[0];
}

function runningRules(facts: CircuitFacts): Saying[] {
  const devices = ownDevices(facts);
  const below = devices.filter(({ ratingA, designA }) => ratingA * SLACK < designA);
  const near = devices.filter((one) => !below.includes(one) && nearSeverity(one) !== null);
  return [
    ...below.map((device): Saying => {
      const [rating, running] = toldApart(device.ratingA, device.designA, formatAmps);
      return {
        code: 'rating-below-running',
        severity: 'stop',
        message: `${named(device, rating)} is below the running current of ${running}: it opens while the pump is working. Use one that carries the pump.`,
        rule: 'Rating at least the running current.',
        at: [device.id],
        ideas: useLargerDevice(facts, device),
      };
    }),
    ...(near.length === 0 ? [] : [nearRunning(facts, near)]),
  ];
}

/** With a charger on a pump draws more than its label says: a note over 80 % of a rating, a caution over 90 %. */
export function nearSeverity({ ratingA, onChargeA }: Pick<DeviceFacts, 'ratingA' | 'onChargeA'>): Severity | null {
  if (onChargeA > ratingA * ourRules.onChargeCautionShare.value * SLACK) return 'caution';
  return onChargeA > ratingA * ourRules.onChargeNoteShare.value * SLACK ? 'note' : null;
}

function nearRunning(facts: CircuitFacts, near: readonly DeviceFacts[]): Saying {
  const caution = near.some((one) => nearSeverity(one) === 'caution');
  const each = near.map((device) => {
    const limit = ourRules[nearSeverity(device) === 'caution' ? 'onChargeCautionShare' : 'onChargeNoteShare'].value;
    const percent = percentBeside(device.onChargeA / device.ratingA, limit);
    return `${named(device)} carries ${formatAmps(device.onChargeA)} with 13.6 V at the battery, ${percent} % of its rating.`;
  });
  return {
    code: 'rating-near-running',
    severity: caution ? 'caution' : 'note',
    message: `${each.join(' ')} ${caution ? 'It may open on a hot day or a rag in the impeller: use the next rating where maker and cable allow it.' : 'That is near; the next rating has more room where maker and cable allow it.'}`,
    rule: `Running on charge at most ${100 * ourRules.onChargeNoteShare.value} % of a rating, over ${100 * ourRules.onChargeCautionShare.value} % a caution.`,
    source: OUR_RULE,
    at: near.map(({ id }) => id),
    ideas: near.flatMap((device) => useLargerDevice(facts, device)),
  };
}

/** The pump's own maker against what stands before it; other pumps on the feed are judged by their own circuits. */
function makerRules(facts: CircuitFacts): Saying[] {
  const { circuit, protection } = facts;
  const { makerFuseA } = circuit.pump;
  const smallestA = Math.min(protection.ratingA, protection.panel?.ratingA ?? Infinity);
  if (makerFuseA === undefined || smallestA <= makerFuseA * SLACK) return [];
  const shared =
    facts.sharedFeed && protection.panel === null ? ` (taken over from ${facts.sharedFeed.leaderName})` : '';
  const [rating, allowed] = toldApart(smallestA, makerFuseA, formatAmps);
  return [
    {
      code: 'rating-over-maker',
      severity: 'stop',
      message: `The fuse of ${rating} before this pump${shared} is above the ${allowed} that its maker allows: a stalled pump may burn before it opens. Use the maker’s figure${facts.others.length > 0 ? ', in a fuse of its own at the panel' : ''}.`,
      rule: 'Rating at most the maker’s figure.',
      source: 'The pump’s label or leaflet',
      ideas: [...useSmallerRating(facts), ...addPanelFuse(facts)],
    },
  ];
}

function conductorRules(facts: CircuitFacts): Saying[] {
  const { protection, circuit } = facts;
  const { conductor, ratingA } = protection.leastProtected;
  const amps = conductor.ampacity.amps;
  // What may carry nothing there is no size at all, and has a finding of its own.
  if (amps === 0) return [];
  const which = `the ${conductor.planned.name.toLowerCase()} (${conductor.size}, ${formatAmps(amps)})`;
  const over = ratingA > amps * maxMultipleOfAmpacity * SLACK;
  const percent = percentBeside(ratingA / amps, over ? maxMultipleOfAmpacity : 1);
  const share = `${formatAmps(ratingA)} are ${percent} % of what ${which} may carry`;
  const ideas = [useProposedSizesOf(circuit, facts.conductors), ...useSmallerRating(facts)];
  const at = ['fuse', conductor.planned.id];
  if (over) {
    return [
      {
        code: 'rating-over-conductor',
        severity: 'stop',
        message: `${share}; 150 % is the most. The conductor burns before the fuse opens. Use a larger conductor or a smaller fuse.`,
        rule: 'Rating at most 150 % of the corrected ampacity of the smallest conductor.',
        at,
        ideas,
      },
    ];
  }
  if (ratingA <= amps * SLACK) return [];
  const tolerated = nextStandardRating(protection.kind, amps);
  const within = tolerated !== undefined && ratingA <= tolerated * SLACK;
  return [
    {
      code: 'rating-above-ampacity',
      severity: within ? 'note' : 'caution',
      message: `${share}. ${within ? 'It is the next standard rating above, which the rules tolerate; a larger conductor is better.' : 'Allowed up to 150 %, but 100 % is better: use a larger conductor.'}`,
      rule: 'Rating at 100 % of the smallest conductor’s ampacity preferred, next standard rating tolerated, 150 % at most.',
      at,
      ideas,
    },
  ];
}
