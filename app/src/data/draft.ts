import type { Job } from '@harbor-latch/core/job/index';
import { followGuesses } from '@harbor-latch/core/water/followGuesses';
import { replaceEqualDeep } from '@tanstack/react-query';
import type { StoredBoat } from './api';

/** How a boat on this device stands against the server. */
export type SaveState =
  | { readonly kind: 'saved' }
  /** Being kept on the device, or about to be sent. */
  | { readonly kind: 'unsaved' }
  | { readonly kind: 'saving' }
  /** Kept on the device until there is a signal. */
  | { readonly kind: 'away' }
  | { readonly kind: 'refused'; readonly message: string }
  | { readonly kind: 'conflict'; readonly current: StoredBoat | null };

/** A boat as this device holds it: the job, what it is based on, and what was typed but is not valid yet. */
export interface Draft {
  readonly id: string;
  readonly job: Job;
  /** Version of the server's copy this was changed from; null for a boat the server has not seen. */
  readonly basedOn: number | null;
  /** The server's copy this was changed from; null where there was none. */
  readonly base: Job | null;
  /** Texts that could not be read as values, by path; kept so that nothing typed is lost. */
  readonly typed: Readonly<Record<string, string>>;
  readonly past: readonly Job[];
  readonly save: SaveState;
  /** True while the device could not keep it: it is then held in memory alone. */
  readonly unkept?: boolean;
  /** Counts changes that came from elsewhere than the fields: forms start anew. */
  readonly reloads: number;
}

/** What a page holds of a boat: her job, what was typed, and the way back. */
export type Worked = Pick<Draft, 'job' | 'typed' | 'past' | 'reloads'>;

const MOST_UNDO = 100;

/** A boat as she is opened. */
export function opened(job: Job, typed: Draft['typed']): Worked {
  return { job, typed, past: [], reloads: 0 };
}

/** The boat with another job; the job before can be had back by undo. */
export function changed<Of extends Worked>(of: Of, next: Job): Of {
  // What stays the same stays the same object: nothing that shows it is shown anew.
  const job = replaceEqualDeep(of.job, next);
  return { ...of, job, past: [...of.past, of.job].slice(-MOST_UNDO) };
}

/** The boat with her guesses made anew where the last change moved their ground; one undo takes back both. */
export function following<Of extends Worked>(of: Of, before: Job): Of {
  const job = followGuesses(before, of.job);
  return job === of.job ? of : { ...of, job: replaceEqualDeep(of.job, job), reloads: of.reloads + 1 };
}

/** The boat as she was before the last change. */
export function undone<Of extends Worked>(of: Of): Of {
  const job = of.past[of.past.length - 1];
  return job ? { ...of, job, past: of.past.slice(0, -1), reloads: of.reloads + 1 } : of;
}

/** The boat with a text that is not a value yet, or without it once it is. */
export function withTyped<Of extends Worked>(of: Of, path: string, text: string | null): Of {
  const { [path]: _before, ...rest } = of.typed;
  return { ...of, typed: text === null ? rest : { ...rest, [path]: text } };
}

/** The boat as another tab or device left her; the job that was here can be had back by undo where that is wanted. */
export function adopted<Of extends Worked>(of: Of, next: Job, typed: Draft['typed'], undoable = false): Of {
  const job = replaceEqualDeep(of.job, next);
  const texts = replaceEqualDeep(of.typed, typed);
  if (job === of.job) return texts === of.typed ? of : { ...of, typed: texts };
  return {
    ...of,
    job,
    typed: texts,
    past: undoable ? [...of.past, of.job].slice(-MOST_UNDO) : of.past,
    reloads: of.reloads + 1,
  };
}
