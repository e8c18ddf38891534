import { useQuery, useQueryClient } from '@tanstack/react-query';
import { proxy, wrap, type Remote } from 'comlink';
import { useState } from 'react';
import type { OnPart, WaterWork } from '../workers/waterWork';
import { spawnWater } from './spawnWater';

interface Crew {
  readonly worker: Worker;
  readonly work: Remote<WaterWork>;
}

/** Idle workers, kept for the next task: starting one takes longer than most runs. */
const idle: Crew[] = [];

function crew(): Crew {
  const waiting = idle.pop();
  if (waiting) return waiting;
  const worker = spawnWater();
  return { worker, work: wrap<WaterWork>(worker) };
}

/** Brings the worker's code onto the device and keeps one waiting: in the bilge there may be no connection later. */
export function fetchWorkerAhead(): void {
  if (idle.length === 0) idle.push(crew());
}

export type TaskState<T> =
  | { readonly kind: 'idle' }
  | { readonly kind: 'running'; readonly done: number; readonly of: number }
  | { readonly kind: 'done'; readonly result: T }
  | { readonly kind: 'cancelled' }
  | { readonly kind: 'failed'; readonly message: string };

export interface Task<T> {
  readonly state: TaskState<T>;
  cancel(): void;
  again(): void;
}

/** Results are kept this long after nobody shows them, ms. */
const KEPT_MS = 5 * 60_000;

/**
 * Work done in a worker whenever its key changes; a change, leaving the page or
 * cancelling ends what runs, and a result is kept for a while.
 * @param key what the work depends on, its own kind among it; null: nothing to do
 */
export function useWaterTask<T>(
  key: string | null,
  start: (work: Remote<WaterWork>, onPart: OnPart) => Promise<T>,
): Task<T> {
  const client = useQueryClient();
  const [part, setPart] = useState({ key, done: 0, of: 0 });
  const queryKey = ['water', key];
  const query = useQuery({
    queryKey,
    enabled: key !== null,
    queryFn: async ({ signal }) => {
      const own = crew();
      signal.addEventListener('abort', () => own.worker.terminate());
      const result = await start(
        own.work,
        proxy((done: number, of: number) => setPart({ key, done, of })),
      );
      if (!signal.aborted) idle.push(own);
      return { result };
    },
    staleTime: Infinity,
    gcTime: KEPT_MS,
    retry: false,
    networkMode: 'always',
    refetchOnWindowFocus: false,
  });
  const { done, of } = part.key === key ? part : { done: 0, of: 0 };
  return {
    state: stateOf(key, query, done, of),
    cancel: () => void client.cancelQueries({ queryKey }),
    again: () => void query.refetch(),
  };
}

interface Asked<T> {
  readonly data: { readonly result: T } | undefined;
  readonly error: Error | null;
  readonly isFetching: boolean;
}

function stateOf<T>(key: string | null, { data, error, isFetching }: Asked<T>, done: number, of: number): TaskState<T> {
  if (key === null) return { kind: 'idle' };
  if (data) return { kind: 'done', result: data.result };
  if (isFetching) return { kind: 'running', done, of };
  return error ? { kind: 'failed', message: error.message } : { kind: 'cancelled' };
}
