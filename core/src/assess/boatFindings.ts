import type { SolverMemory } from '../circuit';
import {
  ideasOf,
  judgeBoat,
  type BoatJudgement,
  type Finding,
  type Fix,
  type Judgement,
  type Severity,
} from '../findings';
import type { Job } from '../job';
import type { UnitSystem } from '../units';
import type { AssessedCircuit } from './assessed';
import { boatFactsOf } from './boatFacts';
import { answers, NOTHING } from './tryFix';

/** A job with its circuits assessed, the boat's own findings not among theirs. */
export interface AssessedJob {
  readonly job: Job;
  readonly circuits: readonly AssessedCircuit[];
}

/** What is found of batteries and boat, and the circuit beside which each stands: the first concerned, where that is sized; null for none. */
export function boatJudgementsOf(
  { job, circuits }: AssessedJob,
  units: UnitSystem,
  memory?: SolverMemory,
): { readonly judgement: BoatJudgement; readonly besideId: string | null }[] {
  return judgeBoat(boatFactsOf(job, circuits, units, memory)).map((judgement) => {
    const place = circuits.find(({ circuit }) => circuit.id === judgement.circuitId);
    return { judgement, besideId: !place || place.status === 'incomplete' ? null : place.circuit.id };
  });
}

/** No idea of these asks for the water of one circuit. */
const NO_MEANS = { waterAs: () => null };

/**
 * The fix of a finding of battery or boat, which may change several circuits at once:
 * tried on the whole boat.
 * @param again assesses the circuits of a changed job
 */
export function tryBoatFix(
  finding: BoatJudgement,
  before: AssessedJob,
  units: UnitSystem,
  memory: SolverMemory,
  again: (job: Job) => readonly AssessedCircuit[],
): Fix | undefined {
  const was = allJudgements(before, units, memory);
  for (const idea of ideasOf(finding, NO_MEANS)) {
    const changed = new Map([idea.circuit, ...(idea.also ?? [])].map((one) => [one.id, one]));
    const job = { ...before.job, circuits: before.job.circuits.map((one) => changed.get(one.id) ?? one) };
    const is = allJudgements({ job, circuits: again(job) }, units, memory);
    // The same of another battery is another finding.
    const own = is.boat.filter(({ batteryId }) => batteryId === finding.batteryId);
    if (!answers(finding, was.boat, own)) continue;
    const newStop = [...is.circuits].some(
      ([id, judgements]) => !answers(NOTHING, was.circuits.get(id) ?? [], judgements),
    );
    if (newStop) continue;
    const moved = [...movedCounts(was, is), ...(changed.size === 1 ? [] : [`changes ${changed.size} circuits`])];
    return { ...idea, effect: moved.length > 0 ? moved : ['this finding goes, another comes'] };
  }
  return undefined;
}

type Judgements = ReturnType<typeof allJudgements>;

/** How many stops and cautions the boat has before and after, where that changes. */
function movedCounts(was: Judgements, is: Judgements): string[] {
  const count = ({ boat, circuits }: Judgements, severity: Severity) =>
    [...boat, ...[...circuits.values()].flat()].filter((one) => one.severity === severity).length;
  return (['stop', 'caution'] as const).flatMap((severity) => {
    const [before, after] = [count(was, severity), count(is, severity)];
    return before === after ? [] : [`${severity}s on this boat ${before} → ${after}`];
  });
}

function allJudgements({ job, circuits: assessed }: AssessedJob, units: UnitSystem, memory: SolverMemory) {
  const boat: readonly BoatJudgement[] = judgeBoat(boatFactsOf(job, assessed, units, memory));
  const circuits = new Map<string, readonly Judgement[]>(
    assessed.map((one) => [one.circuit.id, one.status === 'incomplete' ? [] : one.findings.map(judgementOf)]),
  );
  return { boat, circuits };
}

function judgementOf({ code, severity, message, rule, source, at }: Finding): Judgement {
  return { code, severity, message, rule, source, at };
}
