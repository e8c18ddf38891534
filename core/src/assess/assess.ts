import {
  judgeBoat,
  severityRank,
  worstSeverity,
  type BoatJudgement,
  type Finding,
  type FixIdea,
  type Severity,
} from '../findings';
import type { Battery, Circuit, Job } from '../job';
import type { UnitSystem } from '../units';
import { boatFactsOf } from './boatFacts';
import { findingsBeside } from './boatFindings';
import { assessCircuit, judgedAgain, type AssessedCircuit, type JudgedCircuit } from './circuit';
import { feedOf, withOwnFeed } from './sharedFeed';
import type { Surroundings } from './surroundings';
import { waterSurroundings } from './waterFacts';

/** How a job is assessed. */
export interface AssessOptions {
  /** What findings are worded in. Default metric. */
  readonly units?: UnitSystem;
}

/**
 * The door to the core: a job in, everything known about its circuits out, in the
 * job's order. What is found of a battery or of the boat stands beside one circuit.
 */
export function assess(job: Job, { units = 'metric' }: AssessOptions = {}): AssessedCircuit[] {
  const assessed = assessEach(job, units);
  const beside = findingsBeside(job, assessed, units, (changed) => {
    const again = assessEach(changed, units);
    return { job: changed, assessed: again };
  });
  return beside.byCircuit.size === 0
    ? assessed
    : assessed.map((one) => {
        const more = beside.byCircuit.get(one.circuit.id);
        return more === undefined || one.status === 'incomplete'
          ? one
          : { ...one, findings: [...one.findings, ...more].sort(bySeverity) };
      });
}

/** What is found of a boat that no circuit of hers can show: she has none, or they are not sized. */
export function boatFindings(job: Job, { units = 'metric' }: AssessOptions = {}): Finding[] {
  const assessed = assessEach(job, units);
  return [
    ...findingsBeside(job, assessed, units, (changed) => ({ job: changed, assessed: assessEach(changed, units) }))
      .alone,
  ];
}

function bySeverity(one: Finding, other: Finding): number {
  return severityRank(one.severity) - severityRank(other.severity);
}

/** A job with an idea carried out. */
export function withIdea(job: Job, { circuit, also = [] }: FixIdea): Job {
  const changed = new Map([circuit, ...also].map((one) => [one.id, one]));
  return { ...job, circuits: job.circuits.map((one) => changed.get(one.id) ?? one) };
}

function assessEach(job: Job, units: UnitSystem): AssessedCircuit[] {
  const assessed = new Map<string, AssessedCircuit>();
  const [leaders, followers] = [
    job.circuits.filter(({ sharesFeedWith }) => sharesFeedWith === undefined),
    job.circuits.filter(({ sharesFeedWith }) => sharesFeedWith !== undefined),
  ];
  // A shared feed is sized by the circuit whose feed it is, so that one comes first.
  for (const circuit of [...leaders, ...followers]) assessed.set(circuit.id, assessOne(job, circuit, assessed, units));
  return job.circuits.flatMap(({ id }) => assessed.get(id) ?? []);
}

type Known = ReadonlyMap<string, AssessedCircuit>;

function assessOne(job: Job, circuit: Circuit, known: Known, units: UnitSystem): AssessedCircuit {
  const { merged, around } = surroundingsOf(job, circuit, known, units);
  // An idea may part a circuit from the feed that it hung on: then it stands in other surroundings.
  const elsewhere = (changed: Circuit) => {
    const other = withIdea(job, { label: '', circuit: changed });
    const { merged: alone, around: there } = surroundingsOf(other, changed, known, units);
    return judgedAgain(alone, there);
  };
  const beside = (judged: JudgedCircuit): BoatJudgement[] => {
    const others = [...known.values()].filter((one) => one.circuit.id !== circuit.id);
    return judgeBoat(boatFactsOf(job, [...others, asSized(circuit, judged)], units));
  };
  return withOwnFeed(assessCircuit(merged, around, elsewhere, beside), circuit);
}

/** A circuit judged with a change, as the boat's own rules take it. */
function asSized(circuit: Circuit, { plan, netlist, facts, alternatives }: JudgedCircuit): AssessedCircuit {
  return { status: 'sized', circuit, plan, netlist, facts, findings: [], wiredAs: [], alternatives };
}

function surroundingsOf(job: Job, circuit: Circuit, known: Known, units: UnitSystem) {
  const feed = feedOf(job, circuit, known);
  const around: Surroundings = {
    battery: batteryOf(job, feed.circuit),
    petrol: job.boat.petrol ?? false,
    others: feed.others,
    alarmAlso: feed.alarmAlso,
    sharedFeed: feed.shared,
    needs: feed.needs,
    units,
    water: waterSurroundings(job, units),
  };
  return { merged: feed.circuit, around };
}

/** The battery a circuit is fed from. @throws RangeError for an id the job does not hold; a read job always holds it. */
export function batteryOf(job: Job, circuit: Circuit): Battery {
  const battery = job.batteries.find((candidate) => candidate.id === circuit.batteryId);
  if (!battery) throw new RangeError(`No battery has the id "${circuit.batteryId}".`);
  return battery;
}

/** How a circuit stands: the worst that was found, or that the survey is not finished. */
export type Standing = Severity | 'incomplete' | 'good';

const standingOrder: Readonly<Record<Standing, number>> = { stop: 0, caution: 1, incomplete: 2, note: 3, good: 4 };

/** Where a standing comes in a list, worst first. */
export function standingRank(standing: Standing): number {
  return standingOrder[standing];
}

/** The standing of one circuit; notes alone leave it good. */
export function standingOf(assessed: AssessedCircuit): Standing {
  if (assessed.status === 'incomplete') return 'incomplete';
  const worst = worstSeverity(assessed.findings);
  return worst === null || worst === 'note' ? 'good' : worst;
}

/** The worst of several standings; a boat without circuits is incomplete. */
export function worstStanding(standings: readonly Standing[]): Standing {
  return standings.reduce<Standing>(
    (worst, standing) => (standingOrder[standing] < standingOrder[worst] ? standing : worst),
    standings.length === 0 ? 'incomplete' : 'good',
  );
}
