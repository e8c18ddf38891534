import { motorAt, type Motor, type Netlist, type Setting } from '../circuit';
import { conductorSizes, defaults, minimumSize, type ConductorSize } from '../reference';
import { judgeCircuit, type CircuitFacts, type ConductorFacts, type Finding, type SupplyFacts } from '../findings';
import type { Battery, Choices, Circuit, Pump } from '../job';
import {
  motorOf,
  netlistOf,
  schemes,
  type Plan,
  type PlannedConductor,
  type SharedPump,
  type SurveyedCircuit,
} from '../schemes';
import { proposeRating } from '../wiring';
import { alternativesOf, type Alternative } from './alternatives';
import { needsOf, type Need } from './needs';
import { protectionFacts, ratingInForce, withRating } from './protection';
import { leastBy, runningSettings, some, solveIn, withSupply, type Solved } from './settings';
import {
  mostA,
  ohmAt,
  piecesOf,
  proposeSize,
  sizeNamed,
  weakestPiece,
  worstDrop,
  type Drop,
  type NamedSize,
} from './sizing';
import { tryFixes, type Judged } from './tryFixes';

/** What is known about a circuit: either what is still needed, or everything. */
export type AssessedCircuit =
  | { readonly status: 'incomplete'; readonly circuit: Circuit; readonly needs: readonly Need[] }
  | {
      readonly status: 'sized';
      readonly circuit: Circuit;
      readonly plan: Plan;
      /** The netlist with sizes and rating in force, battery as surveyed. */
      readonly netlist: Netlist;
      readonly facts: CircuitFacts;
      readonly findings: readonly Finding[];
      /** Other sizes side by side; reckoned when asked for. */
      alternatives(): Alternative[];
    };

/** What a circuit stands in: its boat's battery and fuel, and what else hangs on its feed. */
export interface Surroundings {
  readonly battery: Battery;
  readonly petrol: boolean;
  readonly others: readonly SharedPump[];
  /** Sizes of a feed that another circuit decides, by conductor. */
  readonly fixed: Readonly<Record<string, string>>;
  /** What other circuits on the feed must still give. */
  readonly needs: readonly Need[];
}

/** Sizes, solves and judges one circuit, and tries what may answer each finding. */
export function assessCircuit(circuit: Circuit, around: Surroundings): AssessedCircuit {
  const needs = [...needsOf(circuit), ...around.needs];
  if (needs.length > 0 || !isSurveyed(circuit)) return { status: 'incomplete', circuit, needs };
  const { plan, netlist, settings, alternatives, ...judged } = judge(circuit, around);
  const again = (changed: Circuit) =>
    isSurveyed(changed) ? judge(changed, around, onlyChoicesDiffer(circuit, changed) ? settings : undefined) : null;
  return {
    status: 'sized',
    circuit,
    plan,
    netlist,
    facts: judged.facts,
    findings: tryFixes(judged, again),
    alternatives,
  };
}

interface JudgedCircuit extends Judged {
  readonly plan: Plan;
  readonly netlist: Netlist;
  readonly settings: readonly Setting[];
  alternatives(): Alternative[];
}

/** True where nothing but choices was changed, so that the circuit is still wired the same. */
function onlyChoicesDiffer(one: SurveyedCircuit, other: SurveyedCircuit): boolean {
  const { choices: _one, ...wiredAs } = one;
  const { choices: _other, ...wouldBe } = other;
  const after = new Map<string, unknown>(Object.entries(wouldBe));
  return Object.entries(wiredAs).every(([key, value]) => after.get(key) === value);
}

function judge(circuit: SurveyedCircuit, around: Surroundings, known?: readonly Setting[]): JudgedCircuit {
  const { battery, others, fixed } = around;
  const plan = schemes[circuit.scheme].plan(circuit, battery, others);
  const choices = circuit.choices ?? {};
  const designCurrentA = circuit.pump.currentA;
  const fedA = others.reduce((sum, { pump }) => sum + pump.currentA, designCurrentA);
  const makerA = leastMakerA([circuit.pump, ...others.map(({ pump }) => pump)]);
  const answer = proposeRating({
    kind: choices.protection?.kind ?? 'blade',
    runningA: fedA,
    ...(makerA === null || circuit.panel?.fuse ? {} : { makerA }),
  });
  const rating = ratingInForce(answer, choices, fedA);
  const family = choices.family ?? 'awg';
  const dropSchool = choices.dropSchool ?? 'critical';
  const settings =
    known ??
    // Which settings make the pump run does not depend on sizes: any resistance will do to find out.
    runningSettings(
      withRating(
        netlistOf(plan, () => defaults.jointOhm),
        rating,
      ),
      plan.ids.pump,
    );
  const question = { plan, family, dropSchool, designCurrentA, rating: answer, settings, fixed };
  const { size: proposed, noSize } = proposeSize(question);
  const proposedFor = (conductor: PlannedConductor) =>
    sizeNamed(fixed[conductor.id] ?? conductor.givenSize ?? proposed.size);
  const sizeOf = (conductor: PlannedConductor) => sizeInForce(conductor, choices, proposedFor);
  const netlist = withRating(netlistOf(plan, ohmAt(sizeOf)), rating);
  const drop = worstDrop(question, sizeOf);
  const supplies = [...defaults.suppliesV].map((supplyV) => ({
    supplyV,
    solved: solveIn(withSupply(netlist, supplyV), settings, plan.ids.pump),
  }));
  const running = supplies.find(({ supplyV }) => supplyV === defaults.runningSupplyV)?.solved ?? [];
  const conductors = plan.conductors.map((planned) =>
    conductorFacts({ planned, choices, proposed: proposedFor(planned), size: sizeOf(planned), drop, running }),
  );
  const motor = motorOf(circuit.pump);
  const facts: CircuitFacts = {
    circuit,
    choices,
    automatic: schemes[circuit.scheme].automatic,
    petrol: around.petrol,
    others,
    family,
    dropSchool,
    motor,
    designCurrentA,
    fedA,
    conductors,
    noSize,
    dropV: drop.dropV,
    dropPercent: (100 * drop.dropV) / defaults.ratedSupplyV,
    dropSetting: drop.setting,
    supplies: supplies.map(({ supplyV, solved }) => supplyFacts(circuit.pump, motor, supplyV, solved)),
    protection: protectionFacts({ circuit, battery, plan, netlist, settings, rating, answer, makerA, conductors }),
  };
  const alternatives = () =>
    alternativesOf(question, proposed, netlist, (volts) => openFlowAt(circuit.pump, motor, volts));
  return { plan, netlist, settings, facts, alternatives, judgements: judgeCircuit(facts) };
}

function isSurveyed(circuit: Circuit): circuit is SurveyedCircuit {
  return circuit.pump.currentA !== undefined;
}

function leastMakerA(pumps: readonly Pump[]): number | null {
  const figures = pumps.flatMap(({ makerFuseA }) => (makerFuseA === undefined ? [] : [makerFuseA]));
  return figures.length === 0 ? null : Math.min(...figures);
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

interface ConductorQuestion {
  readonly planned: PlannedConductor;
  readonly choices: Choices;
  readonly proposed: ConductorSize;
  readonly size: NamedSize;
  readonly drop: Drop;
  readonly running: readonly Solved[];
}

function conductorFacts({ planned, choices, proposed, size, drop, running }: ConductorQuestion): ConductorFacts {
  const pieces = piecesOf(planned, size);
  const resistanceOhm = pieces.reduce((sum, piece) => sum + piece.resistanceOhm, 0);
  const runningA = mostA(running, planned.id);
  const designA = planned.duty === 'light' ? runningA : mostA(drop.solved, planned.id);
  const sizes = conductorSizes[size.family];
  return {
    planned,
    size: size.size,
    family: size.family,
    areaMm2: size.areaMm2,
    leastSize: minimumSize[size.family],
    underLeast:
      sizes.findIndex((row) => row.size === size.size) <
      sizes.findIndex((row) => row.size === minimumSize[size.family]),
    proposedSize: proposed.size,
    overridden: planned.duty !== 'lead' && choices.conductors?.[planned.id] !== undefined,
    pieces,
    resistanceOhm,
    ampacity: weakestPiece(pieces).ampacity,
    designA,
    dropV: designA * resistanceOhm,
    runningA,
  };
}

/** Open flow at the pump's volts, L/h; null while the label's open flow is not known. */
function openFlowAt(pump: Pump, motor: Motor, volts: number): number | null {
  const known = labelFlow(pump);
  if (!known) return null;
  return (known.flowLPerH * motorAt(motor, volts).speedRatio) / motorAt(motor, known.volts).speedRatio;
}

/** The open flow on the label, or where the maker's curve meets zero head. */
function labelFlow({ openFlowLPerH, openFlowV, curve }: Pump) {
  if (openFlowLPerH !== undefined) return { flowLPerH: openFlowLPerH, volts: openFlowV ?? defaults.openFlowV };
  const open = curve?.find(({ headM }) => headM === 0);
  return open && { flowLPerH: open.flowLPerH, volts: open.volts ?? openFlowV ?? defaults.openFlowV };
}

function supplyFacts(pump: Pump, motor: Motor, supplyV: number, solved: readonly Solved[]): SupplyFacts {
  const { pumpV, setting } = leastBy(some(solved, 'The pump runs in no setting of this scheme.'), (row) => row.pumpV);
  const { amps, speedRatio } = motorAt(motor, pumpV);
  return { supplyV, pumpV, pumpA: amps, speedRatio, openFlowLPerH: openFlowAt(pump, motor, pumpV), setting };
}
