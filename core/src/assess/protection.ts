import { mapParts, untilDead, type Netlist, type OperatingPoint, type Setting } from '../circuit';
import { defaults, internalResistanceOhm, protectionFamilies, restingEmfV } from '../reference';
import { openingTime, standardRatings, type Opening, type Rating, type RatingAnswer } from '../wiring';
import type { ConductorFacts, ProtectionFacts } from '../findings';
import type { Battery, Choices, Circuit } from '../job';
import type { PumpPlan } from '../schemes';
import { heldIn, leastBy, some, solveIn, withPump, withSupply } from './settings';

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
  readonly plan: PumpPlan;
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
  const locked = faultsIn(question, 'locked', defaults.ratedSupplyV);
  const short = faultsIn(question, 'shorted', defaults.ratedSupplyV);
  const inrushA = mostInrushA(question, locked);
  return {
    kind: rating.kind,
    ratingA: rating.ratingA,
    answer,
    overridden: circuit.choices?.protection?.ratingA !== undefined,
    proposed: answer.found ? answer.rating : null,
    lockedRotorA: leastA(locked),
    lockedRotorOpening: slowest(locked),
    legs: legsOpening(locked),
    farShortA: leastA(short),
    farShortOpening: slowest(short),
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

function leastProtected({ rating, conductors, netlist }: ProtectionQuestion, panelFuse: Rating | null) {
  const behindPanelA = Math.min(rating.ratingA, panelFuse?.ratingA ?? Infinity);
  const ratingById = new Map(netlist.parts.flatMap((part) => (part.kind === 'fuse' ? [[part.id, part.ratingA]] : [])));
  // What both legs feed may carry the sum of their fuses.
  const [manualA, autoA] = [ratingById.get('manual-fuse'), ratingById.get('auto-fuse')];
  const bothA = manualA !== undefined && autoA !== undefined ? manualA + autoA : Infinity;
  const ratingFor = ({ planned }: ConductorFacts): number => {
    if (planned.id === 'feed') return rating.ratingA;
    const ownA = (planned.behind ?? []).reduce((sum, id) => sum + (ratingById.get(id) ?? 0), 0);
    return Math.min(behindPanelA, bothA, ownA > 0 ? ownA : Infinity);
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

interface FaultIn {
  readonly setting: Setting;
  readonly point: OperatingPoint;
  /** Through the circuit's own device. */
  readonly deviceA: number;
}

interface Faults {
  readonly faulty: Netlist;
  readonly pump: string;
  readonly faults: readonly FaultIn[];
}

/** The circuit with its pump locked or shorted, in each running setting. */
function faultsIn(
  { netlist, plan, settings }: ProtectionQuestion,
  condition: 'locked' | 'shorted',
  supplyV: number,
): Faults {
  const faulty = heldIn(withSupply(withPump(netlist, condition), supplyV));
  const faults = solveIn(faulty, settings, plan.ids.pump).map(({ setting, point }) => ({
    setting,
    point,
    deviceA: Math.abs(point.conductorA(plan.ids.afterFuse)),
  }));
  return { faulty, pump: plan.ids.pump, faults };
}

/**
 * Volts over resistance of motor and wiring at 14.4 V. Alone, that is the stalled
 * pump's network at another supply; other motors on the feed run on.
 */
function mostInrushA(question: ProtectionQuestion, locked: Faults): number {
  const shared = question.netlist.parts.some(({ kind }) => kind === 'shared-load');
  const { faults } = shared ? faultsIn(question, 'locked', defaults.inrushSupplyV) : locked;
  const scale = shared ? 1 : defaults.inrushSupplyV / defaults.ratedSupplyV;
  return scale * Math.max(...faults.map(({ deviceA }) => deviceA));
}

function leastA({ faults }: Faults): number {
  return Math.min(...faults.map(({ deviceA }) => deviceA));
}

/** Until the motor is dead in the setting in which that takes longest. */
function slowest({ faulty, pump, faults }: Faults): Opening {
  const openings = faults.map(({ setting, point }) => untilDead(faulty, setting, pump, 'slowest', point).opening);
  return leastBy(some(openings, 'The pump runs in no setting of this scheme.'), (opening) =>
    opening.kind === 'opens' ? -opening.seconds : opening.kind === 'never' ? -Infinity : -Number.MAX_VALUE,
  );
}

/** Of legs fused apart: what each carries of a stalled motor's current with both at work, and how long that lasts. */
function legsOpening({ faulty, pump, faults }: Faults): ProtectionFacts['legs'] {
  const both = faults
    .map(({ setting, point }) => ({
      manualA: Math.abs(point.partA('manual-fuse')),
      autoA: Math.abs(point.partA('auto-fuse')),
      setting,
      point,
    }))
    .find(({ manualA, autoA }) => manualA > 0.01 && autoA > 0.01);
  if (!both) return null;
  const { manualA, autoA, setting, point } = both;
  return { manualA, autoA, opening: untilDead(faulty, setting, pump, 'slowest', point).opening };
}

/** Full-charge EMF over internal resistance and stub; the device's own resistance is not counted, A. */
function sourceFaultA({ battery, conductors }: ProtectionQuestion): number {
  const chemistry = battery.chemistry ?? 'lead-acid';
  const internalOhm =
    battery.internalOhm ?? internalResistanceOhm(chemistry, battery.capacityAh ?? defaults.capacityAh);
  const stubOhm = conductors.find((conductor) => conductor.planned.leg === 'stub')?.resistanceOhm ?? 0;
  return restingEmfV(chemistry, 1) / (internalOhm + stubOhm);
}
