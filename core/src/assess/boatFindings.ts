import {
  judgeBoat,
  type BoatJudgement,
  type Finding,
  type Fix,
  type FixIdea,
  type Judgement,
  type Severity,
} from '../findings';
import type { Job } from '../job';
import type { UnitSystem } from '../units';
import { boatFactsOf } from './boatFacts';
import type { AssessedCircuit } from './circuit';
import { answers, asFinding, NOTHING, withFix } from './tryFixes';

/** A job with its circuits assessed, the boat's own findings not yet among theirs. */
interface AssessedJob {
  readonly job: Job;
  readonly assessed: readonly AssessedCircuit[];
}

/** Findings of batteries and boat: by the circuit beside which they stand, and those that stand alone. */
interface Beside {
  readonly byCircuit: ReadonlyMap<string, readonly Finding[]>;
  readonly alone: readonly Finding[];
}

/**
 * Judges batteries and boat, and gives each finding its place: beside the first
 * circuit concerned, where that is sized. Fixes may change several circuits at once;
 * they are tried on the whole boat when they are first read.
 */
export function findingsBeside(
  job: Job,
  assessed: readonly AssessedCircuit[],
  units: UnitSystem,
  again: (job: Job) => AssessedJob,
): Beside {
  const judgements = judgeBoat(boatFactsOf(job, assessed, units));
  const byCircuit = new Map<string, Finding[]>();
  const alone: Finding[] = [];
  for (const judgement of judgements) {
    const finding = fixable(judgement, { job, assessed }, units, again);
    const place = assessed.find(({ circuit }) => circuit.id === judgement.circuitId);
    if (!place || place.status === 'incomplete') alone.push(finding);
    else byCircuit.set(place.circuit.id, [...(byCircuit.get(place.circuit.id) ?? []), finding]);
  }
  return { byCircuit, alone };
}

function fixable(
  judgement: BoatJudgement,
  before: AssessedJob,
  units: UnitSystem,
  again: (job: Job) => AssessedJob,
): Finding {
  const finding = asFinding(judgement);
  const { ideas } = judgement;
  if (ideas === undefined) return finding;
  return withFix(finding, () =>
    firstThatHelps(judgement, typeof ideas === 'function' ? ideas() : ideas, before, units, again),
  );
}

function firstThatHelps(
  finding: BoatJudgement,
  ideas: readonly FixIdea[],
  before: AssessedJob,
  units: UnitSystem,
  again: (job: Job) => AssessedJob,
): Fix | undefined {
  const was = allJudgements(before, units);
  for (const idea of ideas) {
    const changed = new Map([idea.circuit, ...(idea.also ?? [])].map((one) => [one.id, one]));
    const circuits = before.job.circuits.map((one) => changed.get(one.id) ?? one);
    const after = again({ ...before.job, circuits });
    const is = allJudgements(after, units);
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

function allJudgements({ job, assessed }: AssessedJob, units: UnitSystem) {
  const boat: readonly BoatJudgement[] = judgeBoat(boatFactsOf(job, assessed, units));
  const circuits = new Map<string, readonly Judgement[]>(
    assessed.map((one) => [one.circuit.id, one.status === 'incomplete' ? [] : one.findings.map(judgementOf)]),
  );
  return { boat, circuits };
}

function judgementOf({ code, severity, message, rule, source, at }: Finding): Judgement {
  return { code, severity, message, rule, source, at };
}
