import { motorAt, type Motor, type Netlist, type Setting } from '../circuit';
import { defaults, type ConductorSize } from '../reference';
import { judgeCircuit, type CircuitFacts, type ConductorFacts, type Finding, type SupplyFacts } from '../findings';
import type { Battery, Choices, Circuit } from '../job';
import { netlistOf, schemes, type Plan, type PlannedConductor, type SurveyedCircuit } from '../schemes';
import { ampacity, proposeRating } from '../wiring';
import { needsOf, type Need } from './needs';
import { protectionFacts, ratingInForce, withRating } from './protection';
import { leastBy, runningSettings, some, solveIn, withSupply, type Solved } from './settings';
import { conductorC, ohmAt, proposeSize, sizeNamed, worstDrop, type Drop } from './sizing';
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
    };

/** Sizes, solves and judges one circuit, and tries what may answer each finding. */
export function assessCircuit(circuit: Circuit, battery: Battery): AssessedCircuit {
  const needs = needsOf(circuit);
  if (needs.length > 0 || !isSurveyed(circuit)) return { status: 'incomplete', circuit, needs };
  const { plan, netlist, settings, ...judged } = judge(circuit, battery);
  const again = (changed: Circuit) =>
    isSurveyed(changed) ? judge(changed, battery, onlyChoicesDiffer(circuit, changed) ? settings : undefined) : null;
  return { status: 'sized', circuit, plan, netlist, facts: judged.facts, findings: tryFixes(judged, again) };
}

interface JudgedCircuit extends Judged {
  readonly plan: Plan;
  readonly netlist: Netlist;
  readonly settings: readonly Setting[];
}

/** True where nothing but choices was changed, so that the circuit is still wired the same. */
function onlyChoicesDiffer(one: SurveyedCircuit, other: SurveyedCircuit): boolean {
  const { choices: _one, ...wiredAs } = one;
  const { choices: _other, ...wouldBe } = other;
  const after = new Map<string, unknown>(Object.entries(wouldBe));
  return Object.entries(wiredAs).every(([key, value]) => after.get(key) === value);
}

function judge(circuit: SurveyedCircuit, battery: Battery, known?: readonly Setting[]): JudgedCircuit {
  const plan = schemes[circuit.scheme].plan(circuit, battery);
  const choices = circuit.choices ?? {};
  const designCurrentA = circuit.pump.currentA;
  const answer = proposeRating({
    kind: choices.protection?.kind ?? 'blade',
    runningA: designCurrentA,
    ...(circuit.pump.makerFuseA === undefined ? {} : { makerA: circuit.pump.makerFuseA }),
  });
  const rating = ratingInForce(answer, choices, designCurrentA);
  const family = choices.family ?? 'awg';
  const dropSchool = choices.dropSchool ?? 'critical';
  // Which settings make the pump run does not depend on sizes: any resistance will do to find out.
  const settings =
    known ??
    runningSettings(
      withRating(
        netlistOf(plan, () => defaults.jointOhm),
        rating,
      ),
      plan.ids.pump,
    );
  const question = { plan, family, dropSchool, designCurrentA, rating: answer, settings };
  const { size: proposed, noSize } = proposeSize(question);
  const sizeOf = (conductor: PlannedConductor) => sizeInForce(conductor, choices, proposed);
  const netlist = withRating(netlistOf(plan, ohmAt(sizeOf)), rating);
  const drop = worstDrop(question, sizeOf);
  const supplies = [...defaults.suppliesV].map((supplyV) => ({
    supplyV,
    solved: solveIn(withSupply(netlist, supplyV), settings, plan.ids.pump),
  }));
  const running = supplies.find(({ supplyV }) => supplyV === defaults.runningSupplyV)?.solved ?? [];
  const conductors = plan.conductors.map((planned) =>
    conductorFacts({ planned, choices, proposed, sizeOf, designCurrentA, drop, running }),
  );
  const motor = motorOf(netlist);
  const facts: CircuitFacts = {
    circuit,
    choices,
    family,
    dropSchool,
    motor,
    designCurrentA,
    conductors,
    noSize,
    dropV: drop.dropV,
    dropPercent: (100 * drop.dropV) / defaults.ratedSupplyV,
    dropSetting: drop.setting,
    supplies: supplies.map(({ supplyV, solved }) => supplyFacts(circuit, motor, supplyV, solved)),
    protection: protectionFacts({ circuit, battery, choices, plan, netlist, settings, rating, answer, conductors }),
  };
  return { plan, netlist, settings, facts, judgements: judgeCircuit(facts) };
}

function isSurveyed(circuit: Circuit): circuit is SurveyedCircuit {
  return circuit.pump.currentA !== undefined;
}

function sizeInForce(conductor: PlannedConductor, choices: Choices, proposed: ConductorSize): ConductorSize {
  const own = choices.conductors?.[conductor.id];
  const leader = conductor.sameSizeAs === undefined ? undefined : choices.conductors?.[conductor.sameSizeAs];
  const chosen = own ?? leader;
  return chosen === undefined ? proposed : sizeNamed(chosen);
}

interface ConductorQuestion {
  readonly planned: PlannedConductor;
  readonly choices: Choices;
  readonly proposed: ConductorSize;
  readonly sizeOf: (conductor: PlannedConductor) => ConductorSize;
  readonly designCurrentA: number;
  readonly drop: Drop;
  readonly running: readonly Solved[];
}

function conductorFacts({ planned, choices, proposed, sizeOf, drop, running }: ConductorQuestion): ConductorFacts {
  const size = sizeNamed(sizeOf(planned).size);
  const resistanceOhm = ohmAt(sizeOf)(planned);
  const most = (solved: readonly Solved[]) =>
    Math.max(...solved.map(({ point }) => Math.abs(point.conductorA(planned.id))));
  const { insulationC, engineSpace } = planned;
  return {
    planned,
    size: size.size,
    family: size.family,
    areaMm2: size.areaMm2,
    proposedSize: proposed.size,
    overridden: choices.conductors?.[planned.id] !== undefined,
    temperatureC: conductorC(planned),
    resistanceOhm,
    ampacity: ampacity({ size: size.size, family: size.family, insulationC, engineSpace }),
    dropV: most(drop.solved) * resistanceOhm,
    runningA: most(running),
  };
}

function motorOf(netlist: Netlist): Motor {
  for (const part of netlist.parts) if (part.kind === 'pump') return part.motor;
  throw new RangeError('The plan has no pump.');
}

function supplyFacts(circuit: Circuit, motor: Motor, supplyV: number, solved: readonly Solved[]): SupplyFacts {
  const { pumpV, setting } = leastBy(some(solved, 'The pump runs in no setting of this scheme.'), (row) => row.pumpV);
  const { amps, speedRatio } = motorAt(motor, pumpV);
  const { openFlowLPerH, openFlowV } = circuit.pump;
  const speedAtFlowLabel = motorAt(motor, openFlowV ?? defaults.openFlowV).speedRatio;
  return {
    supplyV,
    pumpV,
    pumpA: amps,
    speedRatio,
    openFlowLPerH: openFlowLPerH === undefined ? null : (openFlowLPerH * speedRatio) / speedAtFlowLabel,
    setting,
  };
}
