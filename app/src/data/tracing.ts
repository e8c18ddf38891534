import type { Job } from '@harbor-latch/core/job/index';
import type { HarnessReading } from '@harbor-latch/core/trace/harness';
import type { PanelPosts } from '@harbor-latch/core/trace/panelPosts';
import type { PostReading, PostsFound } from '@harbor-latch/core/trace/posts';
import type { Symptom } from '@harbor-latch/core/trace/symptoms';
import type { Tracing } from '@harbor-latch/core/trace/tracing';
import { useEffect, useState } from 'react';
import type { AskedPosts, AskedTracing, HarnessTold } from '../workers/traceWork';
import { useAssessments } from './assessment';
import { useUnits } from './settings';

/** What can be stated of a circuit that is not as it should be; null until it was worked out. */
export function useSymptoms(job: Job, circuitId: string): readonly Symptom[] | null {
  const assessments = useAssessments();
  const units = useUnits();
  const [found, setFound] = useState<{ readonly circuitId: string; readonly symptoms: readonly Symptom[] } | null>(
    null,
  );
  useEffect(() => {
    let gone = false;
    void assessments.traced(circuitId, 'symptoms', { job, circuitId, units }).then(
      (symptoms) => (gone ? undefined : setFound({ circuitId, symptoms })),
      () => undefined,
    );
    return () => {
      gone = true;
    };
  }, [assessments, job, circuitId, units]);
  return found?.circuitId === circuitId ? found.symptoms : null;
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
  const [found, setFound] = useState<{
    readonly hunt: string;
    readonly key: string;
    readonly tracing: Tracing | null;
  } | null>(null);
  useEffect(() => {
    if (key === null || hunt === null || job === null) return undefined;
    let gone = false;
    const [circuitId, given, readings, proof, order] = JSON.parse(key) as [
      string,
      AskedTracing['asked'],
      AskedTracing['readings'],
      AskedTracing['proof'],
      AskedTracing['order'],
    ];
    void assessments.traced(circuitId, 'tracing', { job, circuitId, units, asked: given, readings, proof, order }).then(
      (tracing) => (gone ? undefined : setFound({ hunt, key, tracing })),
      () => undefined,
    );
    return () => {
      gone = true;
    };
  }, [assessments, job, units, key, hunt]);
  return { tracing: found?.hunt === hunt ? found.tracing : null, current: found?.key === key };
}

/** Which post of a panel is which, as far as the readings tell; null until that is known, and while there is no panel. */
export function usePosts(
  panel: PanelPosts | null,
  clips: boolean,
  readings: readonly PostReading[],
): PostsFound | null {
  const assessments = useAssessments();
  const key = panel && JSON.stringify({ panel, clips, readings });
  const [found, setFound] = useState<{ readonly key: string; readonly posts: PostsFound } | null>(null);
  useEffect(() => {
    if (key === null) return undefined;
    let gone = false;
    void assessments.traced('', 'posts', JSON.parse(key) as AskedPosts).then(
      (posts) => (gone ? undefined : setFound({ key, posts })),
      () => undefined,
    );
    return () => {
      gone = true;
    };
  }, [assessments, key]);
  return found?.key === key ? found.posts : null;
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
  const [found, setFound] = useState<HarnessTold | null>(null);
  useEffect(() => {
    let gone = false;
    const [count, read] = JSON.parse(key) as [number | null, readonly HarnessReading[]];
    void assessments.traced(circuitId, 'harness', { job, circuitId, units, wires: count, readings: read }).then(
      (told) => (gone ? undefined : setFound(told)),
      () => undefined,
    );
    return () => {
      gone = true;
    };
  }, [assessments, job, circuitId, units, key]);
  return found;
}
