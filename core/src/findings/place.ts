import { maxMultipleOfAmpacity, protectionPlace, ruleSets, type RuleSet } from '../reference';
import { formatQuantity, SLACK } from '../units';
import type { CircuitFacts } from './facts';
import type { Judgement, RuleFamily, Severity } from './finding';
import { moveFuse, withIdeas } from './fixes';

/** How far a device may sit from the source: from the battery's own post three bands, from anywhere else two. */
export function placeSeverity(
  lengthM: number,
  sheathed: boolean,
  fromPost: boolean,
  rules: RuleSet,
): Extract<Severity, 'caution' | 'stop'> | null {
  const within = (limitM: number) => lengthM <= limitM * SLACK;
  if (within(ruleSets[rules].placeM)) return null;
  if (!fromPost) return sheathed && within(protectionPlace.sheathedM) ? null : 'stop';
  if (!within(protectionPlace.fromBatteryM)) return 'stop';
  return sheathed ? null : 'caution';
}

/** Where the device sits: the stub before it is protected by nothing. */
export const placeRules: RuleFamily = (facts) => {
  const { circuit, choices, protection, conductors, sharedFeed } = facts;
  const { stubLengthM, stubSheathed, main } = protection;
  const stub = conductors.find(({ planned }) => planned.leg === 'stub');
  // The stub of a feed taken over is that circuit's to mend; a fuse on the battery post protects what follows it.
  if (sharedFeed) return [];
  if (main && stub && main.ratingA <= stub.ampacity.amps * maxMultipleOfAmpacity * SLACK) return [];
  const fromPost = (circuit.source?.takenFrom ?? 'battery') === 'battery' && circuit.source?.feed !== 'isolator';
  const severity = placeSeverity(stubLengthM, stubSheathed, fromPost, choices.rules ?? 'us');
  return severity === null ? [] : [placeFinding(facts, severity, fromPost)];
};

function placeFinding(facts: CircuitFacts, severity: Severity, fromPost: boolean): Judgement {
  const { circuit, choices, protection, units } = facts;
  const { stubLengthM, stubSheathed } = protection;
  const rules = ruleSets[choices.rules ?? 'us'];
  const words = (metres: number) => formatQuantity(metres, 'shortLength', units);
  const tolerated = severity === 'caution';
  const from = fromPost ? 'the battery post' : circuit.source?.feed === 'isolator' ? 'the isolator' : 'the bus';
  return {
    code: tolerated ? 'fuse-far' : 'fuse-too-far',
    severity,
    message: tolerated
      ? `The stub before the fuse is ${words(stubLengthM)} of open conductor from the battery post, protected by nothing: the federal rule allows it up to ${words(protectionPlace.fromBatteryM)}, the voluntary standard asks for a sheath. Move the fuse to within ${words(rules.placeM)}, or sheathe the stub.`
      : `The stub before the fuse is ${words(stubLengthM)} long from ${from} and protected by nothing; ${words(fromPost ? protectionPlace.fromBatteryM : stubSheathed ? protectionPlace.sheathedM : rules.placeM)} is the most. Move the fuse nearer${!fromPost && !stubSheathed && stubLengthM <= protectionPlace.sheathedM ? ', or sheathe the stub' : ''}.`,
    rule: `Within ${words(rules.placeM)} of the source; from the battery’s own post up to ${words(protectionPlace.fromBatteryM)} in a sheath; from a bus or isolator up to ${words(protectionPlace.sheathedM)} in a sheath.`,
    source: rules.placeSource,
    at: ['stub'],
    ...withIdeas(...moveFuse(circuit, units)),
  };
}
