import {
  mapParts,
  untilDead,
  type Netlist,
  type OperatingPoint,
  type Setting,
  type SolverMemory,
  roles,
} from '../circuit';
import { defaults, internalResistanceOhm, protectionFamilies, restingEmfV } from '../reference';
import { openingTime, standardRatings, type Opening, type Rating, type RatingAnswer } from '../wiring';
import type { ConductorFacts, DeviceFacts, ProtectionFacts, SharedFeed, TapFacts } from '../findings';
import { protectionKindOf, type Battery, type Choices, type Circuit } from '../job';
import type { PumpPlan } from '../schemes';
import { heldIn, leastBy, some, solveIn, withPump, withSupply, type Solved } from './settings';
import { windingTurn, type StalledDevice } from './windingTurn';

/** The rating in force: of a feed taken over, the user's, else the proposed one, else the nearest standard one above the current. */
export function ratingInForce(
  answer: RatingAnswer,
  choices: Choices,
  designCurrentA: number,
  shared: SharedFeed | null,
): Rating {
  if (shared?.rating) return shared.rating;
  const kind = protectionKindOf(choices);
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
  /** The circuit by its own feed alone. */
  readonly netlist: Netlist;
  readonly settings: readonly Setting[];
  readonly rating: Rating;
  readonly answer: RatingAnswer;
  readonly makerA: number | null;
  readonly conductors: readonly ConductorFacts[];
  /** At design current, and with 13.6 V at the posts. */
  readonly design: readonly Solved[];
  readonly onCharge: readonly Solved[];
  readonly shared: SharedFeed | null;
  readonly memory?: SolverMemory;
}

/** What the devices in force do on every fault the charts leave out. */
export function protectionFacts(question: ProtectionQuestion): ProtectionFacts {
  const { circuit, rating, answer, makerA, shared } = question;
  const { panel, source } = circuit;
  const locked = faultsIn(question, 'locked', defaults.ratedSupplyV);
  const short = faultsIn(question, 'shorted', defaults.ratedSupplyV);
  const starting = startingFaults(question, locked);
  const lockedRotorOpening = slowest(locked);
  const legs = legsOpening(locked);
  const postFaultA = faultA(question.battery, 0);
  return {
    kind: rating.kind,
    ratingA: rating.ratingA,
    answer,
    overridden: shared === null && circuit.choices?.protection?.ratingA !== undefined,
    proposed: answer.found ? answer.rating : null,
    lockedRotorA: leastA(locked),
    lockedRotorOpening,
    windingTurn: legs ? null : windingTurn(question.netlist, lockedRotorOpening, stalledIn(question, locked)),
    legs,
    farShortA: leastA(short),
    farShortOpening: slowest(short),
    inrushA: starting.scale * Math.max(...starting.faults.map(({ deviceA }) => deviceA)),
    devices: devicesOf(question, starting),
    sourceFaultA: onThePost(source?.mainFuse ?? rating) ? postFaultA : faultA(question.battery, stubOhm(question)),
    postFaultA,
    interruptA: protectionFamilies[rating.kind].interruptA,
    taps: tapsOf(question),
    leastProtected: leastProtected(question),
    panel: panel?.fuse ?? null,
    main: source?.mainFuse ?? null,
    makerA,
    stubLengthM: source?.stubLengthM ?? defaults.stubLengthM,
    stubSheathed: source?.stubSheathed ?? false,
  };
}

/** The devices of a stalled pump in the setting that lets through least, with what each carries. */
function stalledIn(question: ProtectionQuestion, locked: Faults): (netlist: Netlist) => StalledDevice[] {
  const [first, ...rest] = locked.faults;
  const settings = first ? [leastBy([first, ...rest], ({ deviceA }) => deviceA).setting] : [];
  return (netlist) => {
    const { faults } =
      netlist === question.netlist
        ? locked
        : faultsIn({ ...question, netlist, settings }, 'locked', defaults.ratedSupplyV);
    const point = faults.find(({ setting }) => setting === settings[0])?.point;
    return netlist.parts.flatMap((part): StalledDevice[] => {
      const amps = part.kind === 'fuse' && point ? Math.abs(point.partA(part.id)) : 0;
      return part.kind === 'fuse' && amps > 0 ? [{ kind: part.family, ratingA: part.ratingA, amps }] : [];
    });
  };
}

/** A fuse that bolts to the battery post has no stub before it. */
function onThePost({ kind }: Rating): boolean {
  return kind === 'cubeAtBattery';
}

/** The rating that stands before a conductor. */
function ratingBefore({ rating, circuit, netlist }: ProtectionQuestion): (conductor: ConductorFacts) => number {
  const behindPanelA = Math.min(rating.ratingA, circuit.panel?.fuse?.ratingA ?? Infinity);
  const ratingById = new Map(netlist.parts.flatMap((part) => (part.kind === 'fuse' ? [[part.id, part.ratingA]] : [])));
  // What both legs feed may carry the sum of their fuses.
  const [manualA, autoA] = [ratingById.get(roles.manualFuse), ratingById.get(roles.autoFuse)];
  const bothA = manualA !== undefined && autoA !== undefined ? manualA + autoA : Infinity;
  return ({ planned }) => {
    if (planned.id === 'feed') return rating.ratingA;
    const ownA = planned.behind === undefined ? undefined : ratingById.get(planned.behind);
    return Math.min(behindPanelA, bothA, ownA ?? Infinity);
  };
}

/** The thin taps of lights and alarms, each with what protects it. */
function tapsOf(question: ProtectionQuestion): TapFacts[] {
  const ratingFor = ratingBefore(question);
  return question.conductors
    .filter(({ planned }) => planned.duty === 'light')
    .map((conductor) => ({ conductor, ratingA: ratingFor(conductor) }));
}

function leastProtected(question: ProtectionQuestion): ProtectionFacts['leastProtected'] {
  const ratingFor = ratingBefore(question);
  const judged = question.conductors
    // What comes before the device is not its to protect; a part's leads are protected by its maker's figure, taps are judged apart.
    .filter(({ planned }) => planned.leg !== 'stub' && planned.duty !== 'lead' && planned.duty !== 'light')
    .map((conductor) => ({ conductor, ratingA: ratingFor(conductor) }));
  // A size that may carry nothing there is no size: it has a finding of its own.
  const sizes = judged.filter(({ conductor }) => conductor.ampacity.amps > 0);
  return leastBy(
    some(sizes.length > 0 ? sizes : judged, 'The plan has no conductor after the fuse.'),
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
  readonly memory: SolverMemory | undefined;
  readonly faulty: Netlist;
  readonly pump: string;
  readonly faults: readonly FaultIn[];
}

/** The circuit with its pump locked or shorted, in each running setting. */
function faultsIn(
  { netlist, plan, settings, memory }: Pick<ProtectionQuestion, 'netlist' | 'plan' | 'settings' | 'memory'>,
  condition: 'locked' | 'shorted',
  supplyV: number,
): Faults {
  const faulty = heldIn(withSupply(withPump(netlist, condition), supplyV));
  const faults = solveIn(faulty, settings, plan.ids.pump, memory).map(({ setting, point }) => ({
    setting,
    point,
    deviceA: Math.abs(point.conductorA(plan.ids.afterFuse)),
  }));
  return { memory, faulty, pump: plan.ids.pump, faults };
}

/**
 * Volts over resistance of motor and wiring at 14.4 V. Alone, that is the stalled
 * pump's network at another supply; other motors on the feed run on.
 */
function startingFaults(question: ProtectionQuestion, locked: Faults): Faults & { readonly scale: number } {
  const shared = question.netlist.parts.some(({ kind }) => kind === 'shared-load');
  return shared
    ? { ...faultsIn(question, 'locked', defaults.inrushSupplyV), scale: 1 }
    : { ...locked, scale: defaults.inrushSupplyV / defaults.ratedSupplyV };
}

/** A device carries the pump where at least this share of a start goes through it; a tap's or a coil's carries less. */
const IN_THE_PATH = 0.1;

/** Every fuse or breaker that the pump's current goes through, from the source on. */
function devicesOf(
  { plan, netlist, design, onCharge }: ProtectionQuestion,
  { faults, scale }: Faults & { readonly scale: number },
): DeviceFacts[] {
  const mostOf = (rows: readonly { readonly point: OperatingPoint }[], id: string) =>
    rows.reduce((most, { point }) => Math.max(most, Math.abs(point.partA(id))), 0);
  const startA = Math.max(...faults.map(({ deviceA }) => deviceA));
  const nameOf = (id: string) => plan.parts.find(({ part }) => part.id === id)?.name ?? id;
  return netlist.parts.flatMap((part): DeviceFacts[] => {
    if (part.kind !== 'fuse' || mostOf(faults, part.id) < IN_THE_PATH * startA) return [];
    const { family, ratingA } = part;
    const inrushA = scale * mostOf(faults, part.id);
    return [
      {
        id: part.id,
        name: nameOf(part.id),
        kind: family,
        ratingA,
        designA: mostOf(design, part.id),
        onChargeA: mostOf(onCharge, part.id),
        inrushA,
        inrushOpening: openingTime(family, ratingA, inrushA, 'fastest'),
      },
    ];
  });
}

function leastA({ faults }: Faults): number {
  return Math.min(...faults.map(({ deviceA }) => deviceA));
}

/** Until the motor is dead in the setting in which that takes longest. */
function slowest({ faulty, pump, faults, memory }: Faults): Opening {
  const openings = faults.map(
    ({ setting, point }) => untilDead(faulty, setting, pump, 'slowest', point, memory).opening,
  );
  return leastBy(some(openings, 'The pump runs in no setting of this scheme.'), (opening) =>
    opening.kind === 'opens' ? -opening.seconds : opening.kind === 'never' ? -Infinity : -Number.MAX_VALUE,
  );
}

/** Of legs fused apart: what each carries of a stalled motor's current with both at work, and how long that lasts. */
function legsOpening({ faulty, pump, faults, memory }: Faults): ProtectionFacts['legs'] {
  const both = faults
    .map(({ setting, point }) => ({
      manualA: Math.abs(point.partA(roles.manualFuse)),
      autoA: Math.abs(point.partA(roles.autoFuse)),
      setting,
      point,
    }))
    .find(({ manualA, autoA }) => manualA > 0.01 && autoA > 0.01);
  if (!both) return null;
  const { manualA, autoA, setting, point } = both;
  return { manualA, autoA, opening: untilDead(faulty, setting, pump, 'slowest', point, memory).opening };
}

/** Full-charge EMF over internal resistance and what lies before the device; the device's own resistance is not counted, A. */
function faultA(battery: Battery, beforeOhm: number): number {
  const chemistry = battery.chemistry ?? 'lead-acid';
  const internalOhm =
    battery.internalOhm ?? internalResistanceOhm(chemistry, battery.capacityAh ?? defaults.capacityAh);
  return restingEmfV(chemistry, 1) / (internalOhm + beforeOhm);
}

function stubOhm({ conductors }: ProtectionQuestion): number {
  return conductors.find((conductor) => conductor.planned.leg === 'stub')?.resistanceOhm ?? 0;
}
