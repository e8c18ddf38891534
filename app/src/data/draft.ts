import type { Job } from '@harbor-latch/core/job/index';
import { followGuesses } from '@harbor-latch/core/water/followGuesses';
import { replaceEqualDeep } from '@tanstack/react-query';
import type { StoredBoat } from './api';

/** How a boat on this device stands against the server. */
export type SaveState =
  | { readonly kind: 'saved' }
  | { readonly kind: 'unsaved' }
  | { readonly kind: 'saving' }
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

const MOST_UNDO = 100;

/** A draft of what the server holds. */
export function draftOf(stored: StoredBoat): Draft {
  return {
    id: stored.id,
    job: stored.job,
    basedOn: stored.version,
    base: stored.job,
    typed: {},
    past: [],
    save: { kind: 'saved' },
    reloads: 0,
  };
}

/** A draft of a boat the server has not seen. */
export function newDraft(job: Job): Draft {
  return {
    id: job.boat.id,
    job,
    basedOn: null,
    base: null,
    typed: {},
    past: [],
    save: { kind: 'unsaved' },
    reloads: 0,
  };
}

/** The draft with another job, to be saved; the job before can be had back by undo. */
export function changed(draft: Draft, next: Job): Draft {
  // What stays the same stays the same object: nothing that shows it is shown anew.
  const job = replaceEqualDeep(draft.job, next);
  return { ...draft, job, past: [...draft.past, draft.job].slice(-MOST_UNDO), save: waiting(draft.save) };
}

/** The draft with its guesses made anew where the last change moved their ground; one undo takes back both. */
export function following(draft: Draft, before: Job): Draft {
  const job = followGuesses(before, draft.job);
  return job === draft.job ? draft : { ...draft, job: replaceEqualDeep(draft.job, job), reloads: draft.reloads + 1 };
}

/** The draft as it was before the last change. */
export function undone(draft: Draft): Draft {
  const job = draft.past[draft.past.length - 1];
  if (!job) return draft;
  return { ...draft, job, past: draft.past.slice(0, -1), save: waiting(draft.save), reloads: draft.reloads + 1 };
}

/** A conflict stays until the user has chosen; everything else is to be saved again. */
function waiting(save: SaveState): SaveState {
  return save.kind === 'conflict' ? save : { kind: 'unsaved' };
}

/** The draft with a text that is not a value yet, or without it once it is. */
export function withTyped(draft: Draft, path: string, text: string | null): Draft {
  const { [path]: _before, ...rest } = draft.typed;
  return { ...draft, typed: text === null ? rest : { ...rest, [path]: text } };
}

/** The draft after the server took `sent`: saved, unless it was changed meanwhile. */
export function taken(draft: Draft, sent: Job, stored: StoredBoat): Draft {
  const save: SaveState = draft.job === sent ? { kind: 'saved' } : { kind: 'unsaved' };
  return { ...draft, basedOn: stored.version, base: stored.job, save };
}

/** Both copies are known: keep the one on this device and write it over the other. */
export function keepMine(draft: Draft, current: StoredBoat | null): Draft {
  return { ...draft, basedOn: current?.version ?? null, base: current?.job ?? null, save: { kind: 'unsaved' } };
}

/** Both copies are known: take the server's; the one on this device can be had back by undo. */
export function takeTheirs(draft: Draft, current: StoredBoat): Draft {
  return {
    ...draft,
    job: current.job,
    basedOn: current.version,
    base: current.job,
    past: [...draft.past, draft.job].slice(-MOST_UNDO),
    save: { kind: 'saved' },
    reloads: draft.reloads + 1,
  };
}

/** Both copies are known: save what was brought together of them; the one on this device can be had back by undo. */
export function takeMerged(draft: Draft, current: StoredBoat, merged: Job): Draft {
  return { ...takeTheirs(draft, current), job: merged, save: { kind: 'unsaved' } };
}
