import type { Job } from '@harbor-latch/core/job/index';
import type { HarnessReading } from '@harbor-latch/core/trace/harness';
import type { PanelPosts } from '@harbor-latch/core/trace/panelPosts';
import type { PostReading, PostsFound } from '@harbor-latch/core/trace/posts';
import type { Symptom } from '@harbor-latch/core/trace/symptoms';
import type { Tracing } from '@harbor-latch/core/trace/tracing';
import { useCallback, useMemo } from 'react';
import type { AskedPosts, AskedTracing, HarnessTold } from '../workers/traceWork';
import { useAssessments } from './assessment';
import { useUnits } from './settings';
import { useAsked } from './useAsked';

/** What can be stated of a circuit that is not as it should be; null until it was worked out. */
export function useSymptoms(job: Job, circuitId: string): readonly Symptom[] | null {
  const assessments = useAssessments();
  const units = useUnits();
  const ask = useCallback(
    () => assessments.traced(circuitId, 'symptoms', { job, circuitId, units }),
    [assessments, job, circuitId, units],
  );
  return useAsked(circuitId, ask);
}

/** How a hunt stands: the last that was worked out, until that after the last reading is there. Null before any, and while there is none. */
export function useTracing(asked: Omit<AskedTracing, 'units'> | null): {
  readonly tracing: Tracing | null;
  readonly current: boolean;
} {
  const assessments = useAssessments();
  const units = useUnits();
  const key = asked && JSON.stringify([asked.circuitId, asked.asked, asked.readings, asked.proof, asked.order]);
  const hunt = asked && JSON.stringify([asked.circuitId, asked.asked]);
  const job = asked?.job ?? null;
  const ask = useMemo(() => {
    if (key === null || job === null) return null;
    const [circuitId, given, readings, proof, order] = JSON.parse(key) as [
      string,
      AskedTracing['asked'],
      AskedTracing['readings'],
      AskedTracing['proof'],
      AskedTracing['order'],
    ];
    const all = { job, circuitId, units, asked: given, readings, proof, order };
    return async () => ({ key, tracing: await assessments.traced(circuitId, 'tracing', all) });
  }, [assessments, job, units, key]);
  const found = useAsked(hunt ?? '', ask);
  return { tracing: found?.tracing ?? null, current: found?.key === key };
}

/** Which post of a panel is which, as far as the readings tell; null until that is known, and while there is no panel. */
export function usePosts(
  panel: PanelPosts | null,
  clips: boolean,
  readings: readonly PostReading[],
): PostsFound | null {
  const assessments = useAssessments();
  const key = panel && JSON.stringify({ panel, clips, readings });
  const ask = useMemo(
    () => (key === null ? null : () => assessments.traced('', 'posts', JSON.parse(key) as AskedPosts)),
    [assessments, key],
  );
  return useAsked(key ?? '', ask);
}

/** Which wire of a harness is which, as far as the readings tell; the last that was worked out until the next is there. */
export function useHarness(
  job: Job,
  circuitId: string,
  wires: number | null,
  readings: readonly HarnessReading[],
): HarnessTold | null {
  const assessments = useAssessments();
  const units = useUnits();
  const key = JSON.stringify([wires, readings]);
  const ask = useCallback(() => {
    const [count, read] = JSON.parse(key) as [number | null, readonly HarnessReading[]];
    return assessments.traced(circuitId, 'harness', { job, circuitId, units, wires: count, readings: read });
  }, [assessments, job, circuitId, units, key]);
  return useAsked('', ask);
}
