import { createContext, useContext } from 'react';
import { useDrafts } from '../../data/boats';
import { setAt, valueAt, type JobPath } from '../../data/jobPath';
import type { Draft } from '../../data/draft';

/** The boat whose fields are below. */
export const FieldDraftContext = createContext<Draft | null>(null);

/** Doubts about figures, by the path of their field. */
export const DoubtsContext = createContext<ReadonlyMap<string, string>>(new Map());

/** What makes the figure at a path look mistaken, where anything does. */
export function useDoubt(path: JobPath): string | undefined {
  return useContext(DoubtsContext).get(path.join('/'));
}

/** What a field is begun anew by: its place, and changes of its boat that came from elsewhere. */
export function useRound(path: JobPath): string {
  const draft = useContext(FieldDraftContext);
  return [draft?.id, draft?.reloads, ...path].join('/');
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

/** Reading and writing one value of the boat's job. */
export function useField(path: JobPath): FieldAccess {
  const drafts = useDrafts();
  const draft = useContext(FieldDraftContext);
  if (!draft) throw new Error('A field needs a boat above it.');
  const key = path.join('/');
  return {
    value: valueAt(draft.job, path),
    typed: draft.typed[key],
    check: (value) => {
      const result = setAt(draft.job, path, value);
      return result.ok ? null : result.message;
    },
    take: (value) => {
      const result = setAt(draft.job, path, value);
      if (!result.ok || valueAt(draft.job, path) === value) return;
      drafts.change(draft.id, result.job);
    },
    replace: (value) => {
      const result = setAt(draft.job, path, value);
      if (!result.ok) return;
      // Texts kept for fields below would stand for fields that may be gone.
      for (const below of Object.keys(draft.typed)) {
        if (below.startsWith(`${key}/`)) drafts.type(draft.id, below, null);
      }
      drafts.replace(draft.id, result.job);
    },
    keep: (text) => drafts.type(draft.id, key, text),
  };
}
