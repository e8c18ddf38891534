import { motorAt, withOhms, type Motor, type Netlist, type Setting } from '../circuit';
import { defaults } from '../reference';
import {
  judgeCircuit,
  wiredAsOf,
  type CircuitFacts,
  type Finding,
  type Judgement,
  type Statement,
  type SupplyFacts,
} from '../findings';
import type { Choices, Circuit, Pump } from '../job';
import {
  hasPump,
  motorOf,
  netlistOf,
  planCircuit,
  schemeOf,
  type Plan,
  type PlannedConductor,
  type PumpPlan,
  type SurveyedCircuit,
} from '../schemes';
import { proposeRating } from '../wiring';
import { assessAlarm, type AssessedAlarm } from './alarm';
import {
  type Alternative,
  alternativesOf,
  behaviourOf,
  conductorFacts,
  contactsOf,
  dropInForce,
  leastBy,
  type NamedSize,
  netlistAsWired,
  ohmsAt,
  ownFeedOnly,
  proposeSize,
  protectionFacts,
  ratingInForce,
  rowsAt,
  runningSettings,
  sizeNamed,
  smallerSizeOf,
  type Solved,
  solveIn,
  withRating,
  withSupply,
} from '../sizing';
import { needsOf, type Need } from './needs';
import type { Surroundings } from './surroundings';
import { pumpEffect, tryFixes, type Judged } from './tryFixes';
import { waterFactsOf } from './waterFacts';

/** What is known about a circuit: what is still needed, everything, or of an alarm with its own battery what there is. */
export type AssessedCircuit =
  | AssessedAlarm
  | { readonly status: 'incomplete'; readonly circuit: Circuit; readonly needs: readonly Need[] }
  | {
      readonly status: 'sized';
      readonly circuit: Circuit;
      readonly plan: PumpPlan;
      /** The netlist as wired, with sizes and rating in force and the battery as surveyed. */
      readonly netlist: Netlist;
      readonly facts: CircuitFacts;
      readonly findings: readonly Finding[];
      /** How it is wired, as somebody decided. */
      readonly wiredAs: readonly Statement[];
      /** Other sizes side by side; reckoned when asked for. */
      alternatives(): Alternative[];
    };

/** Sizes, solves and judges one circuit, and tries what may answer each finding. */
export function assessCircuit(
  circuit: Circuit,
  around: Surroundings,
  elsewhere: (changed: Circuit) => Judged | null,
  beside: (judged: JudgedCircuit) => readonly Judgement[],
): AssessedCircuit {
  const needs = [...needsOf(circuit), ...around.needs];
  if (needs.length > 0) return { status: 'incomplete', circuit, needs };
  if (!schemeOf(circuit).options.includes('pump')) return assessAlarm(circuit, around);
  if (!isSurveyed(circuit)) return { status: 'incomplete', circuit, needs };
  const judged = judge(circuit, around);
  const { plan, netlist, settings, alternatives } = judged;
  const again = (changed: Circuit) => {
    if (changed.sharesFeedWith !== circuit.sharesFeedWith) return elsewhere(changed);
    return isSurveyed(changed)
      ? judge(changed, around, onlyChoicesDiffer(circuit, changed) ? settings : undefined)
      : null;
  };
  return {
    status: 'sized',
    circuit,
    plan,
    netlist,
    facts: judged.facts,
    findings: tryFixes(judged, again, pumpEffect(around.units), (one) => (isWhole(one) ? beside(one) : [])),
    wiredAs: wiredAsOf(judged.facts),
    alternatives,
  };
}

/** Whether all that is known of a judged circuit is there, or only its facts. */
function isWhole(judged: Judged): judged is JudgedCircuit {
  return 'netlist' in judged;
}

/** A circuit with everything that is known of it, its fixes not tried. */
export interface JudgedCircuit extends Judged {
  readonly plan: PumpPlan;
  readonly netlist: Netlist;
  readonly settings: readonly Setting[];
  alternatives(): Alternative[];
}

/** A circuit judged in its surroundings; null while something is still needed. */
export function judgedAgain(circuit: Circuit, around: Surroundings): Judged | null {
  const missing = [...needsOf(circuit), ...around.needs].length > 0;
  return missing || !isSurveyed(circuit) || !schemeOf(circuit).options.includes('pump') ? null : judge(circuit, around);
}

/** True where nothing but choices was changed, so that the circuit is still wired the same. */
function onlyChoicesDiffer(one: SurveyedCircuit, other: SurveyedCircuit): boolean {
  const { choices: _one, ...wiredAs } = one;
  const { choices: _other, ...wouldBe } = other;
  const after = new Map<string, unknown>(Object.entries(wouldBe));
  return Object.entries(wiredAs).every(([key, value]) => after.get(key) === value);
}

function judge(circuit: SurveyedCircuit, around: Surroundings, known?: readonly Setting[]): JudgedCircuit {
  const { battery, others, alarmAlso, sharedFeed } = around;
  const fixed = sharedFeed?.sizes ?? NOTHING_FIXED;
  const scheme = schemeOf(circuit);
  const plan = withPump(planCircuit({ circuit, battery, others, alarmAlso }));
  const choices = circuit.choices ?? {};
  const designCurrentA = circuit.pump.currentA;
  const fedA = others.reduce((sum, { pump }) => sum + pump.currentA, designCurrentA);
  const makerA = leastMakerA([circuit.pump, ...others.map(({ pump }) => pump)]);
  const answer = proposeRating({
    kind: choices.protection?.kind ?? 'blade',
    runningA: fedA,
    ...(makerA === null || circuit.panel?.fuse ? {} : { makerA }),
  });
  const rating = ratingInForce(answer, choices, fedA, sharedFeed);
  const family = choices.family ?? 'awg';
  const dropSchool = choices.dropSchool ?? 'critical';
  // A pump runs or stands by its wiring, so any resistance will do before sizes are known.
  const unsized = withRating(
    netlistOf(plan, () => defaults.jointOhm),
    rating,
  );
  const ownFeed = ownFeedOnly(unsized);
  const settings = known ?? runningSettings(ownFeed, plan.ids.pump);
  const question = { plan, netlist: ownFeed, family, dropSchool, designCurrentA, rating: answer, settings, fixed };
  const sizing = proposeSize(question);
  const { size: proposed, noSize } = sizing;
  const proposedFor = (conductor: PlannedConductor) =>
    sizeNamed(fixed[conductor.id] ?? conductor.givenSize ?? proposed.size);
  const sizeOf = (conductor: PlannedConductor) => sizeInForce(conductor, choices, proposedFor);
  const ohms = ohmsAt(plan.conductors, sizeOf);
  const planned = withOhms(ownFeed, ohms);
  const netlist = netlistAsWired(ownFeed === unsized ? planned : withOhms(unsized, ohms), plan, circuit);
  const drop = dropInForce(question, sizing, ohms);
  const behaviour = behaviourOf(netlist, plan, circuit, emfOf(netlist), settings);
  const supplies = [...defaults.suppliesV].map((supplyV) => ({
    supplyV,
    solved:
      (netlist === planned && rowsAt(behaviour, supplyV, settings, plan.ids.pump)) ||
      solveIn(withSupply(planned, supplyV), settings, plan.ids.pump),
  }));
  const running = supplies.find(({ supplyV }) => supplyV === defaults.runningSupplyV)?.solved ?? [];
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
  const motor = motorOf(circuit.pump);
  const supplyRows = supplies.map(({ supplyV, solved }) => supplyFacts(circuit.pump, motor, supplyV, solved));
  // In the setting that gives the pump least.
  const weakest = supplyRows[0] ? [supplyRows[0].setting] : settings;
  const asMeasured = supplyFacts(circuit.pump, motor, emfOf(planned), solveIn(planned, weakest, plan.ids.pump));
  const water = waterFactsOf(circuit, around.water, { motor, supplies: supplyRows, reversed: behaviour.reversed });
  const facts: CircuitFacts = {
    circuit,
    choices,
    automatic: scheme.automatic,
    duty: scheme.duty,
    units: around.units,
    options: scheme.options,
    petrol: around.petrol,
    others,
    sharedFeed,
    battery,
    family,
    dropSchool,
    motor,
    designCurrentA,
    fedA,
    conductors,
    noSize,
    dropV: drop.dropV,
    dropPercent: (100 * drop.dropV) / defaults.ratedSupplyV,
    leadsDropV: drop.leadsDropV,
    dropSetting: drop.setting,
    supplies: supplyRows,
    asMeasured,
    smallerSize: () =>
      smallerSizeOf({
        question,
        proposed,
        netlist: planned,
        motor,
        water,
        supplyRows,
        openFlowAt: (volts) => openFlowAt(circuit.pump, motor, volts),
      }),
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
      onCharge: supplies.find(({ supplyV }) => supplyV === defaults.chargingSupplyV)?.solved ?? [],
      shared: sharedFeed,
    }),
    contacts: contactsOf(plan, circuit, drop),
    behaviour,
    water,
  };
  const alternatives = () =>
    alternativesOf(question, proposed, planned, (volts) => openFlowAt(circuit.pump, motor, volts));
  return { plan, netlist, settings, facts, alternatives, judgements: judgeCircuit(facts) };
}

const NOTHING_FIXED: Readonly<Record<string, string>> = {};
const NOTHING_RUNS = { pumpV: 0, setting: { switches: {}, floats: {} } } as const;

/** @throws RangeError for a scheme that says it has a pump and plans none. */
function withPump(plan: Plan): PumpPlan {
  if (!hasPump(plan)) throw new RangeError('The scheme names a pump and plans none.');
  return plan;
}

function emfOf({ parts }: Netlist): number {
  return parts.reduce((least, part) => (part.kind === 'battery' ? Math.min(least, part.emfV) : least), Infinity);
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
  const [first, ...rest] = solved;
  // A relay that chatters in every running setting leaves nothing to show.
  const { pumpV, setting } = first ? leastBy([first, ...rest], (row) => row.pumpV) : NOTHING_RUNS;
  const { amps, speedRatio } = motorAt(motor, pumpV);
  return { supplyV, pumpV, pumpA: amps, speedRatio, openFlowLPerH: openFlowAt(pump, motor, pumpV), setting };
}
