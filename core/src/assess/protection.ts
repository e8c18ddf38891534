import { mapParts, type Netlist, type Setting } from '../circuit';
import { defaults, internalResistanceOhm, protectionFamilies, restingEmfV } from '../reference';
import { openingTime, standardRatings, type Opening, type Rating, type RatingAnswer } from '../wiring';
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

/** The netlist with the circuit's own fuse given its rating. */
export function withRating(netlist: Netlist, rating: Rating): Netlist {
  return mapParts(netlist, (part) =>
    part.kind === 'fuse' && part.id === 'fuse' ? { ...part, family: rating.kind, ratingA: rating.ratingA } : part,
  );
}

export interface ProtectionQuestion {
  readonly circuit: Circuit;
  readonly battery: Battery;
  readonly plan: Plan;
  readonly netlist: Netlist;
  readonly settings: readonly Setting[];
  readonly rating: Rating;
  readonly answer: RatingAnswer;
  readonly makerA: number | null;
  readonly conductors: readonly ConductorFacts[];
}

/** What the devices in force do on every fault the charts leave out. */
export function protectionFacts(question: ProtectionQuestion): ProtectionFacts {
  const { circuit, rating, answer, makerA } = question;
  const { panel, source } = circuit;
  const panelFuse = panel?.fuse ?? null;
  const locked = faultAmps(question, 'locked', defaults.ratedSupplyV);
  const short = faultAmps(question, 'shorted', defaults.ratedSupplyV);
  const inrush = faultAmps(question, 'locked', defaults.inrushSupplyV);
  const opens = (faults: readonly FaultAmps[]) =>
    quickest([
      openingTime(rating.kind, rating.ratingA, Math.min(...faults.map(({ deviceA }) => deviceA)), 'slowest'),
      ...(panelFuse
        ? [openingTime(panelFuse.kind, panelFuse.ratingA, Math.min(...faults.map(({ pumpA }) => pumpA)), 'slowest')]
        : []),
    ]);
  const inrushA = Math.max(...inrush.map(({ deviceA }) => deviceA));
  return {
    ...rating,
    answer,
    overridden: circuit.choices?.protection?.ratingA !== undefined,
    proposed: answer.found ? answer.rating : null,
    lockedRotorA: Math.min(...locked.map(({ deviceA }) => deviceA)),
    lockedRotorOpening: opens(locked),
    farShortA: Math.min(...short.map(({ deviceA }) => deviceA)),
    farShortOpening: opens(short),
    inrushA,
    inrushOpening: openingTime(rating.kind, rating.ratingA, inrushA, 'fastest'),
    sourceFaultA: sourceFaultA(question),
    interruptA: protectionFamilies[rating.kind].interruptA,
    leastProtected: leastProtected(question, panelFuse),
    panel: panelFuse,
    main: source?.mainFuse ?? null,
    makerA,
    stubLengthM: source?.stubLengthM ?? defaults.stubLengthM,
    stubSheathed: source?.stubSheathed ?? false,
  };
}

/** The device that opens first decides; one without a curve is passed over where another has one. */
function quickest(openings: readonly Opening[]): Opening {
  const order = (opening: Opening) =>
    opening.kind === 'opens' ? opening.seconds : opening.kind === 'never' ? Number.MAX_VALUE : Infinity;
  return leastBy(some(openings, 'A circuit has a device.'), order);
}

function leastProtected({ circuit, rating, conductors }: ProtectionQuestion, panelFuse: Rating | null) {
  const behindPanelA = Math.min(rating.ratingA, panelFuse?.ratingA ?? Infinity);
  const ratingFor = ({ planned }: ConductorFacts): number => {
    if (planned.duty === 'light' && circuit.panel?.tapFuseA !== undefined) return circuit.panel.tapFuseA;
    return planned.id === 'feed' ? rating.ratingA : behindPanelA;
  };
  const judged = conductors
    // What comes before the device is not its to protect, and a part's leads are protected by its maker's figure.
    .filter(({ planned }) => planned.leg !== 'stub' && planned.duty !== 'lead')
    .map((conductor) => ({ conductor, ratingA: ratingFor(conductor) }));
  return leastBy(
    some(judged, 'The plan has no conductor after the fuse.'),
    ({ conductor, ratingA }) => conductor.ampacity.amps / ratingA,
  );
}

interface FaultAmps {
  /** Through the circuit's own device. */
  readonly deviceA: number;
  /** Through the pump alone. */
  readonly pumpA: number;
}

/** Currents with the pump locked or shorted, in each running setting, A. */
function faultAmps(
  { netlist, plan, settings }: ProtectionQuestion,
  condition: 'locked' | 'shorted',
  supplyV: number,
): readonly FaultAmps[] {
  const faulty = withSupply(withPump(netlist, condition), supplyV);
  return solveIn(faulty, settings, plan.ids.pump).map(({ point }) => ({
    deviceA: Math.abs(point.conductorA(plan.ids.afterFuse)),
    pumpA: Math.abs(point.conductorA(plan.ids.afterPump)),
  }));
}

/** Full-charge EMF over internal resistance and stub; the device's own resistance is not counted, A. */
function sourceFaultA({ battery, conductors }: ProtectionQuestion): number {
  const chemistry = battery.chemistry ?? 'lead-acid';
  const internalOhm =
    battery.internalOhm ?? internalResistanceOhm(chemistry, battery.capacityAh ?? defaults.capacityAh);
  const stubOhm = conductors.find((conductor) => conductor.planned.leg === 'stub')?.resistanceOhm ?? 0;
  return restingEmfV(chemistry, 1) / (internalOhm + stubOhm);
}
