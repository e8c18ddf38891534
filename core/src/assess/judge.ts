import { withOhms, type Netlist, type Setting } from '../circuit';
import { defaults } from '../reference';
import { judgeCircuit, stepsDown, type CircuitFacts, type SupplyFacts, type WaterFacts } from '../findings';
import type { Choices, Circuit } from '../job';
import { netlistOf, schemeOf, type PlannedConductor, type PumpPlan, type SurveyedCircuit } from '../schemes';
import {
  type Alternative,
  alternativesOf,
  behaviourOf,
  conductorFacts,
  contactsOf,
  type Drop,
  dropInForce,
  type NamedSize,
  netlistAsWired,
  ohmsAt,
  ownFeedOnly,
  proposeSize,
  protectionFacts,
  rowsAt,
  runningSettings,
  type SizingQuestion,
  type SizingMemory,
  sizeNamed,
  smallerSizeOf,
  solveBehaviour,
  type SolvedBehaviour,
  type Solved,
  solveIn,
  withRating,
  withSupply,
} from '../sizing';
import { askedOf, type Asked } from './asked';
import { openFlowAt, supplyFacts } from './supplyFacts';
import type { Surroundings } from './surroundings';
import type { Judged } from './tryFix';
import { waterFactsOf, type PumpFacts } from './waterFacts';

/** A circuit with a pump, judged, and what its fixes are tried with. */
export interface JudgedPump extends Judged<CircuitFacts> {
  readonly plan: PumpPlan;
  readonly netlist: Netlist;
  readonly settings: readonly Setting[];
  /** Other sizes side by side. */
  alternatives(): Alternative[];
  waterAs(circuit: Circuit): WaterFacts | null;
}

/**
 * Sizes, solves and judges a circuit with a pump.
 * @param memory what its owner remembers from other circuits
 * @param known settings in which it runs, where its wiring was judged before
 */
export function judgePump(
  circuit: SurveyedCircuit,
  around: Surroundings,
  memory: SizingMemory,
  known?: readonly Setting[],
): JudgedPump {
  const asked = askedOf(circuit, around, memory);
  const wiring = wiringOf(asked, known);
  const sized = sizesOf(asked, wiring, around);
  const solved = solvedAt(asked, wiring, sized);
  const pump: PumpFacts = { motor: asked.motor, supplies: solved.supplyRows, reversed: solved.behaviour.reversed };
  const water = waterFactsOf(circuit, around.water, pump);
  const facts = factsOf(asked, around, wiring, sized, solved, water);
  const openFlow = (volts: number) => openFlowAt(circuit.pump, asked.motor, volts);
  const { question, proposed, planned } = sized;
  return {
    plan: asked.plan,
    netlist: sized.netlist,
    settings: wiring.settings,
    facts,
    judgements: judgeCircuit(facts),
    alternatives: () => alternativesOf(question, proposed, planned, openFlow),
    waterAs: (other) => waterFactsOf(other, around.water, pump),
  };
}

/** How the circuit is joined, whatever its sizes, and the settings in which its pump runs. */
interface Wiring {
  readonly unsized: Netlist;
  /** The same by its own feed alone. */
  readonly ownFeed: Netlist;
  readonly settings: readonly Setting[];
}

function wiringOf({ plan, rating, memory }: Asked, known: readonly Setting[] | undefined): Wiring {
  // A pump runs or stands by its wiring, so any resistance will do before sizes are known.
  const unsized = withRating(
    netlistOf(plan, () => defaults.jointOhm),
    rating,
  );
  const ownFeed = ownFeedOnly(unsized);
  return { unsized, ownFeed, settings: known ?? runningSettings(ownFeed, plan.ids.pump, memory) };
}

/** The size proposed, those in force, and the circuit at those. */
interface Sizes {
  readonly question: SizingQuestion;
  readonly proposed: NamedSize;
  readonly noSize: CircuitFacts['noSize'];
  readonly proposedFor: (conductor: PlannedConductor) => NamedSize;
  readonly sizeOf: (conductor: PlannedConductor) => NamedSize;
  readonly drop: Drop;
  /** The circuit as planned, by its own feed. */
  readonly planned: Netlist;
  /** The circuit as wired. */
  readonly netlist: Netlist;
}

function sizesOf(asked: Asked, { unsized, ownFeed, settings }: Wiring, { sharedFeed }: Surroundings): Sizes {
  const { plan, family, dropSchool, designCurrentA, answer, circuit, choices, memory } = asked;
  const fixed = sharedFeed?.sizes ?? {};
  const question = {
    plan,
    netlist: ownFeed,
    family,
    dropSchool,
    designCurrentA,
    rating: answer,
    settings,
    fixed,
    memory,
  };
  const sizing = proposeSize(question);
  const proposedFor = (conductor: PlannedConductor) =>
    sizeNamed(fixed[conductor.id] ?? conductor.givenSize ?? sizing.size.size);
  const sizeOf = (conductor: PlannedConductor) => sizeInForce(conductor, choices, proposedFor);
  const ohms = ohmsAt(plan.conductors, sizeOf);
  const planned = withOhms(ownFeed, ohms, memory);
  return {
    question,
    proposed: sizeNamed(sizing.size.size),
    noSize: sizing.noSize,
    proposedFor,
    sizeOf,
    drop: dropInForce(question, sizing, ohms),
    planned,
    netlist: netlistAsWired(ownFeed === unsized ? planned : withOhms(unsized, ohms, memory), plan, circuit),
  };
}

/** The circuit solved at its supplies and in its settings. */
interface SolvedCircuit {
  readonly behaviour: CircuitFacts['behaviour'];
  readonly supplyRows: readonly SupplyFacts[];
  readonly asMeasured: SupplyFacts;
  /** In each setting in which the pump runs. */
  readonly running: readonly Solved[];
  readonly onCharge: readonly Solved[];
}

function solvedAt(
  { circuit, motor, plan, memory }: Asked,
  { settings }: Wiring,
  { netlist, planned }: Sizes,
): SolvedCircuit {
  const { pump } = plan.ids;
  const behaviour = solveBehaviour(netlist, emfOf(netlist), settings, memory);
  const supplies = [...defaults.suppliesV].map((supplyV) => ({
    supplyV,
    solved: solvedBefore(behaviour, supplyV) ?? solveIn(withSupply(planned, supplyV), settings, pump, memory),
  }));
  const at = (volts: number) => supplies.find(({ supplyV }) => supplyV === volts)?.solved ?? [];
  const supplyRows = supplies.map(({ supplyV, solved }) => supplyFacts(circuit.pump, motor, supplyV, solved));
  // In the setting that gives the pump least.
  const weakest = supplyRows[0] ? [supplyRows[0].setting] : settings;
  return {
    behaviour: behaviourOf(netlist, plan, circuit, behaviour),
    supplyRows,
    asMeasured: supplyFacts(circuit.pump, motor, emfOf(planned), solveIn(planned, weakest, pump, memory)),
    running: at(defaults.runningSupplyV),
    onCharge: at(defaults.chargingSupplyV),
  };

  /** As wired is as planned: then its settings were solved already. */
  function solvedBefore(known: SolvedBehaviour, supplyV: number): readonly Solved[] | null {
    return netlist === planned ? rowsAt(known, supplyV, settings, pump) : null;
  }
}

function factsOf(
  asked: Asked,
  { boat, battery, others, sharedFeed, units }: Surroundings,
  { settings }: Wiring,
  { question, proposed, noSize, proposedFor, sizeOf, drop, planned }: Sizes,
  { behaviour, supplyRows, asMeasured, running, onCharge }: SolvedCircuit,
  water: WaterFacts | null,
): CircuitFacts {
  const { circuit, plan, choices, motor, rating, answer, makerA } = asked;
  const { automatic, duty, options } = schemeOf(circuit);
  const conductors = plan.conductors.map((conductor) =>
    conductorFacts({
      planned: conductor,
      choices,
      proposed: proposedFor(conductor),
      size: sizeOf(conductor),
      drop: drop.solved,
      running,
    }),
  );
  return {
    kind: 'pump',
    circuit,
    boat,
    choices,
    automatic,
    duty,
    units,
    options,
    others,
    sharedFeed,
    battery,
    family: asked.family,
    dropSchool: asked.dropSchool,
    motor,
    designCurrentA: asked.designCurrentA,
    fedA: asked.fedA,
    conductors,
    noSize,
    dropV: drop.dropV,
    dropPercent: (100 * drop.dropV) / defaults.ratedSupplyV,
    leadsDropV: drop.leadsDropV,
    dropSetting: drop.setting,
    supplies: supplyRows,
    asMeasured,
    smallerSize: stepsDown({ circuit, conductors })
      ? smallerSizeOf({
          question,
          proposed,
          netlist: planned,
          motor,
          water,
          supplyRows,
          openFlowAt: (volts) => openFlowAt(circuit.pump, motor, volts),
        })
      : null,
    protection: protectionFacts({
      circuit,
      battery,
      plan,
      netlist: planned,
      settings,
      rating,
      answer,
      makerA,
      conductors,
      design: drop.solved,
      onCharge,
      shared: sharedFeed,
      memory: asked.memory,
    }),
    contacts: contactsOf(plan, circuit, drop),
    behaviour,
    water,
  };
}

function emfOf({ parts }: Netlist): number {
  return parts.reduce((least, part) => (part.kind === 'battery' ? Math.min(least, part.emfV) : least), Infinity);
}

function sizeInForce(
  conductor: PlannedConductor,
  choices: Choices,
  proposedFor: (conductor: PlannedConductor) => NamedSize,
): NamedSize {
  const own = choices.conductors?.[conductor.id];
  const leader = conductor.sameSizeAs === undefined ? undefined : choices.conductors?.[conductor.sameSizeAs];
  const chosen = conductor.duty === 'lead' ? undefined : (own ?? leader);
  return chosen === undefined ? proposedFor(conductor) : sizeNamed(chosen);
}
