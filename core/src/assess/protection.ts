import { mapParts, type Netlist, type Setting } from '../circuit';
import { defaults, internalResistanceOhm, protectionFamilies, restingEmfV } from '../reference';
import { openingTime, standardRatings, type Rating, type RatingAnswer } from '../wiring';
import type { ConductorFacts, ProtectionFacts } from '../findings';
import type { Battery, Choices, Circuit } from '../job';
import type { Plan } from '../schemes';
import { leastBy, some, solveIn, withPump, withSupply } from './settings';

/** The rating in force: the user's, else the proposed one, else the nearest standard one above the current. */
export function ratingInForce(answer: RatingAnswer, choices: Choices, designCurrentA: number): Rating {
  const kind = choices.protection?.kind ?? 'blade';
  const chosenA = choices.protection?.ratingA;
  if (chosenA !== undefined) return { kind, ratingA: chosenA };
  if (answer.found) return answer.rating;
  const ratings = some(standardRatings(kind), 'The family has no ratings.');
  return ratings.find((row) => row.ratingA >= designCurrentA) ?? ratings[ratings.length - 1] ?? ratings[0];
}

/** The netlist with the fuse given its rating. */
export function withRating(netlist: Netlist, rating: Rating): Netlist {
  return mapParts(netlist, (part) =>
    part.kind === 'fuse' ? { ...part, family: rating.kind, ratingA: rating.ratingA } : part,
  );
}

export interface ProtectionQuestion {
  readonly circuit: Circuit;
  readonly battery: Battery;
  readonly choices: Choices;
  readonly plan: Plan;
  readonly netlist: Netlist;
  readonly settings: readonly Setting[];
  readonly rating: Rating;
  readonly answer: RatingAnswer;
  readonly conductors: readonly ConductorFacts[];
}

/** What the device in force does on every fault the charts leave out. */
export function protectionFacts(question: ProtectionQuestion): ProtectionFacts {
  const { circuit, choices, rating, answer } = question;
  const lockedRotorA = Math.min(...faultAmps(question, 'locked', defaults.ratedSupplyV));
  const farShortA = Math.min(...faultAmps(question, 'shorted', defaults.ratedSupplyV));
  const inrushA = Math.max(...faultAmps(question, 'locked', defaults.inrushSupplyV));
  const { kind, ratingA } = rating;
  const sized = some(
    question.conductors.filter((conductor) => conductor.planned.leg !== 'stub'),
    'The plan has no conductor after the fuse.',
  );
  return {
    ...rating,
    answer,
    overridden: choices.protection?.ratingA !== undefined,
    proposed: answer.found ? answer.rating : null,
    lockedRotorA,
    lockedRotorOpening: openingTime(kind, ratingA, lockedRotorA, 'slowest'),
    farShortA,
    farShortOpening: openingTime(kind, ratingA, farShortA, 'slowest'),
    inrushA,
    inrushOpening: openingTime(kind, ratingA, inrushA, 'fastest'),
    sourceFaultA: sourceFaultA(question),
    interruptA: protectionFamilies[kind].interruptA,
    smallestConductor: leastBy(sized, (conductor) => conductor.ampacity.amps),
    stubLengthM: circuit.source?.stubLengthM ?? defaults.stubLengthM,
    stubSheathed: circuit.source?.stubSheathed ?? false,
  };
}

/** Current through the device with the pump locked or shorted, in each running setting, A. */
function faultAmps(
  { netlist, plan, settings }: ProtectionQuestion,
  condition: 'locked' | 'shorted',
  supplyV: number,
): readonly number[] {
  const faulty = withSupply(withPump(netlist, condition), supplyV);
  return solveIn(faulty, settings, plan.ids.pump).map(({ point }) => Math.abs(point.conductorA(plan.ids.afterFuse)));
}

/** Full-charge EMF over internal resistance and stub; the device's own resistance is not counted, A. */
function sourceFaultA({ battery, conductors }: ProtectionQuestion): number {
  const chemistry = battery.chemistry ?? 'lead-acid';
  const internalOhm =
    battery.internalOhm ?? internalResistanceOhm(chemistry, battery.capacityAh ?? defaults.capacityAh);
  const stubOhm = conductors.find((conductor) => conductor.planned.leg === 'stub')?.resistanceOhm ?? 0;
  return restingEmfV(chemistry, 1) / (internalOhm + stubOhm);
}
