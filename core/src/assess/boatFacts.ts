import { keptPartA, motorAt, SolverMemory, roles } from '../circuit';
import type { BatteryCircuit, BatteryFacts, BoatFacts, SteadyWayIn } from '../findings';
import type { Battery, IngressSource, Job } from '../job';
import { batteryChemistry, defaults, internalResistanceOhm, protectionFamilies, restingEmfV } from '../reference';
import { schemeOf } from '../schemes';
import type { UnitSystem } from '../units';
import type { AssessedCircuit, AssessedPump } from './assessed';
import { leftAloneDaysOf } from './leftAloneDays';
import { solveIn, withSupply } from '../sizing';

/** What a battery feels of a circuit with a pump. */
export type Sized = Pick<AssessedPump, 'circuit' | 'plan' | 'netlist' | 'facts'>;

/** What a boat is judged by as a whole: her batteries with all that hangs on them, and what comes in by itself. */
export function boatFactsOf(
  job: Job,
  assessed: readonly AssessedCircuit[],
  units: UnitSystem,
  memory?: SolverMemory,
): BoatFacts {
  return boatFactsBy(
    job,
    assessed.filter((one) => one.status === 'sized'),
    units,
    memory,
  );
}

/** The same by the circuits with a pump that are sized, in the job's order. */
export function boatFactsBy(
  job: Job,
  sized: readonly Sized[],
  units: UnitSystem,
  memory = new SolverMemory(),
): BoatFacts {
  return {
    boat: job.boat,
    units,
    leftAloneDays: leftAloneDaysOf(job),
    batteries: job.batteries.map((battery) =>
      batteryFacts(
        battery,
        sized.filter(({ facts }) => facts.battery.id === battery.id),
        memory,
      ),
    ),
    waysIn: waysInOf(job),
    firstCircuit: job.circuits[0]?.id ?? null,
  };
}

/** The battery's EMF at rest, V, and its internal resistance, Ω, as surveyed. */
function sourceOf({ chemistry = 'lead-acid', capacityAh = defaults.capacityAh, ...battery }: Battery) {
  return {
    emfV: battery.restV ?? restingEmfV(chemistry, battery.stateOfCharge ?? defaults.stateOfCharge),
    internalOhm: battery.internalOhm ?? internalResistanceOhm(chemistry, capacityAh),
  };
}

function batteryFacts(battery: Battery, sized: readonly Sized[], memory: SolverMemory): BatteryFacts {
  const chemistry = battery.chemistry ?? 'lead-acid';
  const capacityAh = battery.capacityAh ?? defaults.capacityAh;
  const { usableTo } = batteryChemistry[chemistry];
  const postsTogetherV = postsWithAll(battery, sized, memory);
  const circuits = sized.map((one) => batteryCircuit(one, sized.length > 1 ? postsTogetherV : null, memory));
  const standingA = circuits.reduce((sum, one) => sum + one.standingA, 0);
  return {
    battery,
    capacityAh,
    circuits,
    postsTogetherV,
    usableAh: Math.max(0, chargeOf(battery) - usableTo) * capacityAh,
    netAhPerDay: 24 * (standingA - (battery.chargeA ?? 0)),
  };
}

/** Its charge as surveyed, 0–1; where only its volts at rest were measured, what they say of it. */
function chargeOf(battery: Battery): number {
  if (battery.stateOfCharge !== undefined) return battery.stateOfCharge;
  if (battery.restV === undefined) return defaults.stateOfCharge;
  const { emptyV, spanV } = batteryChemistry[battery.chemistry ?? 'lead-acid'];
  return Math.min(1, Math.max(0, (battery.restV - emptyV) / spanV));
}

/** Rounds in which posts and currents settle: the currents hardly feel the posts. */
const ROUNDS = 4;

/** Volts at the posts with every pump of the battery at work, each in the setting in which it draws most. */
function postsWithAll(battery: Battery, sized: readonly Sized[], memory: SolverMemory): number {
  const { emfV, internalOhm } = sourceOf(battery);
  const leaders = sized.filter(({ facts }) => facts.sharedFeed === null);
  if (sized.length < 2) return emfV;
  let volts = emfV;
  for (let round = 0; round < ROUNDS; round += 1) {
    const amps = leaders.reduce((sum, one) => sum + Math.max(0, atWork(one, volts, memory)?.amps ?? 0), 0);
    volts = Math.max(0, emfV - internalOhm * amps);
  }
  return volts;
}

/** What a circuit draws, and its pump gets, with volts held at the battery posts. */
function atWork({ netlist, facts, plan }: Sized, postsV: number, memory: SolverMemory) {
  const [row] = solveIn(withSupply(netlist, postsV), [facts.dropSetting], plan.ids.pump, memory);
  return row ? { amps: row.point.partA(plan.ids.battery), pumpV: Math.abs(row.pumpV) } : null;
}

/** @param postsTogetherV volts at the posts with every pump at work; null where there is but this one */
function batteryCircuit(one: Sized, postsTogetherV: number | null, memory: SolverMemory): BatteryCircuit {
  const { facts, circuit } = one;
  const { protection } = facts;
  const first = protection.main ?? protection;
  const own = protection.devices.find(({ id }) => id === 'fuse');
  return {
    circuit,
    firstDevice: first.kind,
    interruptA: protectionFamilies[first.kind].interruptA,
    sourceFaultA: protection.sourceFaultA,
    postFaultA: protection.postFaultA,
    fedA: facts.fedA,
    onChargeA: own?.onChargeA ?? 0,
    inrushA: protection.inrushA,
    lockedRotorA: protection.lockedRotorA,
    shares: facts.sharedFeed !== null,
    standingA: circuit.source?.feed === 'isolator' ? 0 : standingA(one),
    aloneV: Math.abs(facts.asMeasured.pumpV),
    togetherV:
      postsTogetherV === null ? Math.abs(facts.asMeasured.pumpV) : (atWork(one, postsTogetherV, memory)?.pumpV ?? 0),
  };
}

/** Drawn while the circuit waits on auto with its float down: lights, sensors, and a timer's wakes, A. */
function standingA({ facts, circuit }: Sized): number {
  const waiting = facts.behaviour.rows.find(
    ({ setting, point }) =>
      point !== null &&
      Object.values(setting.floats).every((position) => position === 'down') &&
      Object.entries(setting.switches).every(([id, position]) =>
        id === roles.switch && facts.options.includes('three-way') ? position === 'auto' : position === 'off',
      ),
  );
  const amps = waiting?.point ? keptPartA(waiting.point, roles.battery) : 0;
  // What is left of rounding is no draw.
  const steady = amps > STILL_A ? amps : 0;
  if (schemeOf(circuit).senses !== 'timer') return steady;
  const periodS = circuit.water?.float?.periodS ?? defaults.sensingPeriodS;
  const feelS = circuit.water?.float?.feelS ?? defaults.sensingFeelS;
  const dryA = motorAt(facts.motor, defaults.runningSupplyV, 'dry').amps;
  return steady + (dryA * feelS) / (periodS + feelS);
}

/** A nanoampere. */
const STILL_A = 1e-9;

/** Ways in that go on by themselves; holes are for the pumps to fight, not to be lived with. */
function waysInOf({ ingress = [], circuits }: Job): SteadyWayIn[] {
  const automatic = circuits.filter((circuit) => {
    const scheme = schemeOf(circuit);
    return scheme.automatic && scheme.duty !== 'alarm';
  });
  return ingress
    .filter(({ sources }) => sources.some(comesByItself))
    .map(({ name, wellId }) => ({
      name,
      circuitId: circuits.find(({ water }) => wellId !== undefined && water?.wellId === wellId)?.id ?? null,
      pumped: automatic.some(({ water }) => wellId === undefined || water === undefined || water.wellId === wellId),
    }));
}

function comesByItself({ kind }: IngressSource): boolean {
  return kind === 'steady' || kind === 'rain' || kind === 'drip';
}
