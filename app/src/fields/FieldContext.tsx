import { isEstimate } from '@harbor-latch/core/job/isEstimate';
import { createContext, useContext, useRef } from 'react';
import { useDrafts } from '../data/boats';
import type { Draft } from '../data/draft';
import { setAt, valueAt, type Changed, type JobPath } from '../data/jobPath';
import { useWhileSeen } from '../useWhileSeen';

/** The boat whose fields are below, by its id: each field listens for its own value and for nothing else. */
export const FieldBoatContext = createContext<string | null>(null);

/** Doubts about figures, by the path of their field. */
export const DoubtsContext = createContext<ReadonlyMap<string, string>>(new Map());

/** What makes the figure at a path look mistaken, where anything does. */
export function useDoubt(path: JobPath): string | undefined {
  return useContext(DoubtsContext).get(path.join('/'));
}

/** One part of the boat's draft; who asks is shown anew when it changes, and an object that reads the same is the same. */
function useDraftPart<T>(read: (draft: Draft) => T): T | undefined {
  const drafts = useDrafts();
  const id = useContext(FieldBoatContext);
  const kept = useRef<{ readonly part: T; readonly text: string } | null>(null);
  return useWhileSeen(drafts, () => {
    const draft = drafts.all().get(id ?? '');
    if (!draft) return undefined;
    const part = read(draft);
    if (typeof part !== 'object' || part === null) return part;
    const text = JSON.stringify(part);
    if (kept.current?.text !== text) kept.current = { part, text };
    return kept.current.part;
  });
}

/**
 * What a field is begun anew by: its place, and changes of its value that came from
 * elsewhere than itself.
 */
export function useRound(path: JobPath): string {
  const drafts = useDrafts();
  const id = useContext(FieldBoatContext);
  const kept = useRef({ reloads: -1, text: '', round: 0 });
  const round = useWhileSeen(drafts, () => {
    const draft = drafts.all().get(id ?? '');
    const last = kept.current;
    if (!draft) return last.round;
    const text = JSON.stringify(valueAt(draft.job, path) ?? null);
    const anew = last.reloads >= 0 && draft.reloads !== last.reloads && text !== last.text;
    kept.current = { reloads: draft.reloads, text, round: last.round + (anew ? 1 : 0) };
    return kept.current.round;
  });
  return [id, round, ...path].join('/');
}

/** Whether the figure at a path is one that nobody measured. */
export function useEstimated(path: JobPath): boolean {
  return useDraftPart(({ job }) => isEstimate(job, path)) ?? false;
}

export interface FieldAccess {
  readonly value: unknown;
  /** A text kept from before that could not be read as a value. */
  readonly typed: string | undefined;
  /** Checks a value without taking it. @returns what is wrong, or null. */
  check(value: unknown): string | null;
  /** Takes a value; undefined goes back to the default. */
  take(value: unknown): void;
  /** Takes a value and starts the fields below it anew. */
  replace(value: unknown): void;
  /** Keeps a text that is no value, so that it is not lost; null forgets it. */
  keep(text: string | null): void;
}

/** What came of setting a value: the field, its form and what takes it all ask for the same. */
interface Tried {
  readonly before: Draft['job'];
  readonly value: unknown;
  readonly outcome: Changed;
}

/** Reading and writing one value of the boat's job. */
export function useField(path: JobPath): FieldAccess {
  const drafts = useDrafts();
  const id = useContext(FieldBoatContext);
  if (id === null) throw new Error('A field needs a boat above it.');
  const key = path.join('/');
  const value = useDraftPart((draft) => valueAt(draft.job, path));
  const typed = useDraftPart((draft) => draft.typed[key]);
  const tried = useRef<Tried | null>(null);
  const job = () => drafts.all().get(id)?.job;
  const outcomeOf = (wanted: unknown): Changed => {
    const before = job();
    if (!before) return { ok: false, message: 'This boat is not on this device any more.' };
    const known = tried.current;
    if (known && known.before === before && known.value === wanted) return known.outcome;
    const outcome = setAt(before, path, wanted);
    tried.current = { before, value: wanted, outcome };
    return outcome;
  };
  return {
    value,
    typed,
    check: (wanted) => {
      const result = outcomeOf(wanted);
      return result.ok ? null : result.message;
    },
    take: (wanted) => {
      const result = outcomeOf(wanted);
      if (!result.ok || valueAt(job(), path) === wanted) return;
      drafts.change(id, result.job);
    },
    replace: (wanted) => {
      const result = outcomeOf(wanted);
      if (!result.ok) return;
      // Texts kept for fields below would stand for fields that may be gone.
      for (const below of Object.keys(drafts.all().get(id)?.typed ?? {})) {
        if (below.startsWith(`${key}/`)) drafts.type(id, below, null);
      }
      drafts.replace(id, result.job);
    },
    keep: (text) => drafts.type(id, key, text),
  };
}
