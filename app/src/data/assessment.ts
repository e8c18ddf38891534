import type { Assessment } from '@harbor-latch/core/assess/assessed';
import type { OpenJobs, YardOrder } from '@harbor-latch/core/build/openJobs';
import type { StockState } from '@harbor-latch/core/build/stockLedger';
import type { Building } from '@harbor-latch/core/build/building';
import type { BoatSummary } from '@harbor-latch/core/assess/summary';
import type { Verdicts } from '@harbor-latch/core/assess/verdicts';
import type { Finding, Fix } from '@harbor-latch/core/findings/finding';
import type { Job } from '@harbor-latch/core/job/index';
import type { Alternative } from '@harbor-latch/core/sizing/alternatives';
import { wrap } from 'comlink';
import { createContext, useCallback, useContext, useEffect, useState, useSyncExternalStore } from 'react';
import type { Proving } from '@harbor-latch/core/prove/proving';
import type { Told } from '@harbor-latch/core/log/alarm';
import type { AskedProving, AskedTrends, AssessWork, Fixes } from '../workers/assessWork';
import { Assessments, type AssessAsker } from './Assessments';
import { useUnits } from './settings';
import { spawnAssess } from './spawnAssess';
import { useAsked } from './useAsked';

/** The assessments of this device, made in a worker that starts when the first is asked for. */
export function makeAssessments(): Assessments {
  let started: AssessAsker | undefined;
  const asker = () => (started ??= wrap<AssessWork>(spawnAssess()));
  return new Assessments({
    assessAll: (...asked) => asker().assessAll(...asked),
    summaries: (...asked) => asker().summaries(...asked),
    fixes: (...asked) => asker().fixes(...asked),
    alternatives: (...asked) => asker().alternatives(...asked),
    verdicts: (...asked) => asker().verdicts(...asked),
    building: (...asked) => asker().building(...asked),
    yardOrder: (...asked) => asker().yardOrder(...asked),
    proving: (...asked) => asker().proving(...asked),
    touched: (...asked) => asker().touched(...asked),
    trends: (...asked) => asker().trends(...asked),
    alarms: (...asked) => asker().alarms(...asked),
    trace: {
      symptoms: (...asked) => asker().trace.symptoms(...asked),
      tracing: (...asked) => asker().trace.tracing(...asked),
      posts: (...asked) => asker().trace.posts(...asked),
      harness: (...asked) => asker().trace.harness(...asked),
      practiceBoat: (...asked) => asker().trace.practiceBoat(...asked),
      practiceRead: (...asked) => asker().trace.practiceRead(...asked),
      practiceResult: (...asked) => asker().trace.practiceResult(...asked),
      barePanel: (...asked) => asker().trace.barePanel(...asked),
      judged: (...asked) => asker().trace.judged(...asked),
    },
  });
}

export const AssessmentsContext = createContext<Assessments | null>(null);

/** The assessments. @throws outside their provider. */
export function useAssessments(): Assessments {
  const assessments = useContext(AssessmentsContext);
  if (!assessments) throw new Error('No assessments above this component.');
  return assessments;
}

/** A boat's assessment as it stands, and whether it is that of the job as it now is. */
export interface AssessedBoat {
  readonly known: Assessment | null;
  readonly current: boolean;
  readonly failed: boolean;
}

/** A boat assessed: the last answer, until that for the job as it now is has come. */
export function useAssessment(job: Job): AssessedBoat {
  const { boats } = useAssessments();
  const units = useUnits();
  const read = useCallback(() => boats.known(job, units), [boats, job, units]);
  const known = useSyncExternalStore(boats.subscribe, read);
  useEffect(() => boats.want(job, units), [boats, job, units]);
  const answered = known?.job === job;
  return { known: known?.answer ?? null, current: answered && !known.failed, failed: answered && known.failed };
}

/** Has a boat assessed as she now is, ahead of the page that will show it. */
export function useAssessedAhead(job: Job | undefined): void {
  const { boats } = useAssessments();
  const units = useUnits();
  useEffect(() => {
    if (job) boats.want(job, units);
  }, [boats, job, units]);
}

/** A few lines of each of several boats, by boat; of those that are known. */
export function useLines(jobs: readonly Job[]): ReadonlyMap<string, BoatSummary> {
  const { lines } = useAssessments();
  const units = useUnits();
  const [known, setKnown] = useState<ReadonlyMap<string, BoatSummary>>(new Map());
  useEffect(() => {
    const read = () =>
      setKnown((before) => {
        const now = new Map(
          jobs.flatMap((job) => {
            const answer = lines.known(job, units)?.answer;
            return answer ? [[job.boat.id, answer] as const] : [];
          }),
        );
        const same = now.size === before.size && [...now].every(([id, one]) => before.get(id) === one);
        return same ? before : now;
      });
    // From the last to the first: what was asked for last is answered first.
    for (const job of [...jobs].reverse()) lines.want(job, units);
    read();
    return lines.subscribe(read);
  }, [lines, jobs, units]);
  return known;
}

/** The fixes of some findings. */
export interface FoundFixes {
  /** By finding; those of before a change until the new ones were tried. Null before any were. */
  readonly known: Fixes | null;
  /** Carries a fix out as it is now: after a change it is tried anew first, and left where it is another by then. */
  take(findingId: string, onFix: (fix: Fix) => void): void;
}

/** The fixes of the findings beside a circuit, or of the boat's own. */
export function useFixes(job: Job, circuitId: string | null, findings: readonly Finding[]): FoundFixes {
  const assessments = useAssessments();
  const units = useUnits();
  const any = findings.some(({ mayHaveFix }) => mayHaveFix);
  const ask = useCallback(
    async () => ({ job, fixes: await assessments.fixes(job, circuitId, units, 'shown') }),
    [assessments, job, circuitId, units],
  );
  // What cannot be tried is not offered.
  const found = useAsked('', any ? ask : null);
  const take = (findingId: string, onFix: (fix: Fix) => void) => {
    const shown = found?.fixes[findingId];
    if (!shown) return;
    if (found.job === job) onFix(shown);
    else
      void assessments.fixes(job, circuitId, units, 'taken').then(
        (fixes) => {
          const now = fixes[findingId];
          if (now?.label === shown.label) onFix(now);
        },
        () => undefined,
      );
  };
  return { known: found?.fixes ?? null, take };
}

/** Other sizes of a circuit side by side: the last that were worked out, until those of the job as it is have come. Null before any. */
export function useAlternatives(job: Job, circuitId: string): readonly Alternative[] | null {
  const assessments = useAssessments();
  const units = useUnits();
  const ask = useCallback(() => assessments.alternatives(job, circuitId, units), [assessments, job, circuitId, units]);
  return useAsked('', ask);
}

/**
 * What each rating of a circuit’s fuse (conductor null) or each size of a conductor would bring; after a change
 * the last verdicts stand until the new ones have come. Null before any.
 */
export function useVerdicts(job: Job, circuitId: string, conductorId: string | null): Verdicts | null {
  const assessments = useAssessments();
  const units = useUnits();
  const ask = useCallback(
    () => assessments.verdicts(job, circuitId, conductorId, units),
    [assessments, job, circuitId, conductorId, units],
  );
  return useAsked(`${circuitId} ${conductorId}`, ask);
}

/** What building a circuit takes: the last that was worked out, until that of the job as it is has come. Null before any. */
export function useBuilding(job: Job, circuitId: string, temperatureC: number): Building | null {
  const assessments = useAssessments();
  const units = useUnits();
  const ask = useCallback(
    () => assessments.building({ job, circuitId, units, temperatureC, nowMs: Date.now() }),
    [assessments, job, circuitId, units, temperatureC],
  );
  return useAsked(circuitId, ask);
}

/** The tests of a circuit: the last that were worked out, until those of the job as it is have come. Null before any. */
export function useProving(asked: Omit<AskedProving, 'units'>): Proving | null {
  const assessments = useAssessments();
  const units = useUnits();
  const { job, circuitId, phase, battery, signed, windows } = asked;
  const { restingV, runningV } = battery;
  const ask = useCallback(
    () => assessments.proving({ job, circuitId, units, phase, battery: { restingV, runningV }, signed, windows }),
    [assessments, job, circuitId, units, phase, restingV, runningV, signed, windows],
  );
  return useAsked(`${job.boat.id} ${circuitId} ${phase}`, ask);
}

/** What the log of a circuit shows; null until it was worked out. */
export function useTrends({ entries, circuit, load }: Omit<AskedTrends, 'nowMs'>): Told | null {
  const assessments = useAssessments();
  const ask = useCallback(
    () => assessments.trends({ entries, circuit, load, nowMs: Date.now() }),
    [assessments, entries, circuit, load],
  );
  return useAsked(circuit, ask);
}

/** What the boats given take beyond the stock; the last that was worked out until the new is there, null before any. */
export function useYardOrder(what: string, jobs: readonly Job[], stock: StockState, which: OpenJobs): YardOrder | null {
  const assessments = useAssessments();
  const units = useUnits();
  const ask = useCallback(
    () => assessments.yardOrder(what, { jobs, units, stock, which }),
    [assessments, what, jobs, units, stock, which],
  );
  return useAsked('', ask);
}
