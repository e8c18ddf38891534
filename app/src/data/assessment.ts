import type { Finding, Fix } from '@harbor-latch/core/findings/finding';
import type { Job } from '@harbor-latch/core/job/index';
import type { Alternative } from '@harbor-latch/core/sizing/alternatives';
import { wrap } from 'comlink';
import { createContext, useCallback, useContext, useEffect, useState, useSyncExternalStore } from 'react';
import type { AssessWork, Fixes } from '../workers/assessWork';
import { Assessments, type AssessAsker, type Known } from './Assessments';
import { useUnits } from './settings';
import { spawnAssess } from './spawnAssess';

/** The assessments of this device, made in a worker that starts when the first is asked for. */
export function makeAssessments(): Assessments {
  let started: AssessAsker | undefined;
  const asker = () => (started ??= wrap<AssessWork>(spawnAssess()));
  return new Assessments({
    assess: (...asked) => asker().assess(...asked),
    fixes: (...asked) => asker().fixes(...asked),
    alternatives: (...asked) => asker().alternatives(...asked),
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
  readonly known: Known | null;
  readonly current: boolean;
  readonly failed: boolean;
}

/** A boat assessed: the last answer, until that for the job as it now is has come. */
export function useAssessment(job: Job): AssessedBoat {
  const assessments = useAssessments();
  const units = useUnits();
  const read = useCallback(() => assessments.known(job, units), [assessments, job, units]);
  const known = useSyncExternalStore(assessments.subscribe, read);
  useEffect(() => assessments.want(job, units), [assessments, job, units]);
  return { known, current: known?.job === job && !known.failed, failed: known?.job === job && known.failed };
}

/** Assessments of several boats, each the last that is known; null for one that is not yet. */
export function useKnown(jobs: readonly Job[]): readonly (Known | null)[] {
  const assessments = useAssessments();
  const units = useUnits();
  const [known, setKnown] = useState<readonly (Known | null)[]>([]);
  useEffect(() => {
    const read = () =>
      setKnown((before) => {
        const now = jobs.map((job) => assessments.known(job, units));
        return now.length === before.length && now.every((one, at) => one === before[at]) ? before : now;
      });
    read();
    return assessments.subscribe(read);
  }, [assessments, jobs, units]);
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
  const [found, setFound] = useState<{ readonly job: Job; readonly fixes: Fixes } | null>(null);
  const any = findings.some(({ mayHaveFix }) => mayHaveFix);
  useEffect(() => {
    if (!any) return undefined;
    let gone = false;
    // What cannot be tried is not offered.
    void assessments.fixes(job, circuitId, units).then(
      (fixes) => (gone ? undefined : setFound({ job, fixes })),
      () => undefined,
    );
    return () => {
      gone = true;
    };
  }, [assessments, job, circuitId, units, any]);
  const take = (findingId: string, onFix: (fix: Fix) => void) => {
    const shown = found?.fixes[findingId];
    if (!shown) return;
    if (found.job === job) onFix(shown);
    else
      void assessments.fixes(job, circuitId, units).then((fixes) => {
        const now = fixes[findingId];
        if (now?.label === shown.label) onFix(now);
      });
  };
  return { known: found?.fixes ?? null, take };
}

/** Other sizes of a circuit side by side: the last that were worked out, until those of the job as it is have come. */
export function useAlternatives(job: Job, circuitId: string): readonly Alternative[] {
  const assessments = useAssessments();
  const units = useUnits();
  const [found, setFound] = useState<readonly Alternative[]>([]);
  useEffect(() => {
    let gone = false;
    void assessments.alternatives(job, circuitId, units).then(
      (alternatives) => (gone ? undefined : setFound(alternatives)),
      () => undefined,
    );
    return () => {
      gone = true;
    };
  }, [assessments, job, circuitId, units]);
  return found;
}
