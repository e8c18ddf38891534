import type { BoatSummary } from '@harbor-latch/core/assess/summary';
import type { Job } from '@harbor-latch/core/job/index';
import { lineOf, type LineOfJob } from '@harbor-latch/core/wire/boatLine';
import type { BoatLine } from '@harbor-latch/core/wire/index';
import type { UnitSystem } from '@harbor-latch/core/units/index';
import { createContext, useContext, useEffect, useMemo, useRef } from 'react';
import { noteUse } from '../device/changes';
import { SeenContext } from '../seen';
import { useWhileSeen } from '../useWhileSeen';
import { whenIdle } from '../whenIdle';
import type { DraftStore } from './DraftStore';
import type { Draft } from './draft';
import { useYardOnDevice } from './yardOnDevice';

export const DraftsContext = createContext<DraftStore | null>(null);

/** The store of drafts. @throws outside its provider. */
export function useDrafts(): DraftStore {
  const store = useContext(DraftsContext);
  if (!store) throw new Error('No store of drafts above this component.');
  return store;
}

/** How the yard stands against the server. */
export interface YardState {
  readonly loading: boolean;
  /** True while the server cannot be reached; what this device holds is shown. */
  readonly away: boolean;
  /** True where the server holds what only a newer version of the application can read. */
  readonly newer: boolean;
  /** Why the server does not hand out the yard, where it says so. */
  readonly error: string | null;
  retry(): void;
}

/** A boat of the yard as a list shows her. */
export interface YardBoat {
  readonly id: string;
  readonly line: LineOfJob;
  /** How she stood when the server judged her, where that is how she is now. */
  readonly judged: BoatLine['summary'];
  /** The boat whole; null in a large yard for one that is not on this device. */
  readonly job: Job | null;
  /** When somebody here last opened it, ms; 0 where nobody did. */
  readonly usedAt: number;
}

export interface Yard extends YardState {
  /** Whether every boat is on this device whole. */
  readonly whole: boolean;
  readonly boats: readonly YardBoat[];
}

/** How the yard stands against the server. */
export function useYardState(): YardState {
  const { aboard, feed, sender } = useYardOnDevice();
  const ready = useWhileSeen(aboard, () => aboard.ready);
  const read = useWhileSeen(aboard, () => aboard.feed !== null);
  const state = useWhileSeen(feed, () => feed.state);
  const cut = useWhileSeen(sender, () => sender.away);
  return useMemo(
    () => ({
      loading: !ready || (!read && state.kind === 'asking'),
      away: state.kind === 'away' || cut,
      newer: state.kind === 'newer',
      error: state.kind === 'failed' ? state.message : null,
      retry: () => {
        aboard.say('send');
        sender.now();
        void feed.ask();
      },
    }),
    [ready, read, state, cut, aboard, sender, feed],
  );
}

const lines = new WeakMap<Job, LineOfJob>();

function lineOfJob(job: Job): LineOfJob {
  const known = lines.get(job);
  if (known) return known;
  const line = lineOf(job);
  lines.set(job, line);
  return line;
}

/** A boat of which this device has something. */
function yardBoat(draft: Draft | undefined, line: BoatLine | undefined, usedAt: number): YardBoat | null {
  const told = draft ? lineOfJob(draft.job) : line;
  if (!told) return null;
  const current = !draft || (draft.job === draft.base && line?.summary?.version === draft.basedOn);
  const id = draft?.id ?? line?.id ?? '';
  return { id, line: told, judged: current ? (line?.summary ?? null) : null, job: draft?.job ?? null, usedAt };
}

/** All boats: the server's, with what this device changed on top, by name. */
export function useYard(): Yard {
  const { aboard, drafts: store } = useYardOnDevice();
  const state = useYardState();
  const drafts = useWhileSeen(store, store.all);
  const told = useWhileSeen(aboard, () => aboard.lines);
  const rows = aboard.boats;
  const boats = useMemo(() => {
    const gone = (id: string) => rows.get(id)?.removed === true;
    const ids = [...new Set([...told.keys(), ...drafts.keys()])].filter((id) => drafts.has(id) || !gone(id));
    return ids
      .flatMap((id) => yardBoat(drafts.get(id), told.get(id), rows.get(id)?.usedAt ?? 0) ?? [])
      .sort((a, b) => collator.compare(a.line.name, b.line.name));
  }, [drafts, told, rows]);
  const whole = aboard.feed?.whole ?? true;
  return useMemo(() => ({ ...state, boats, whole }), [state, boats, whole]);
}

const collator = new Intl.Collator();

/** How a boat stood when the server judged her, in the units in force. */
export function judgedIn({ judged }: YardBoat, units: UnitSystem): BoatSummary | undefined {
  return judged?.[units];
}

export interface BoatAccess {
  readonly draft: Draft | undefined;
  readonly yard: YardState;
}

/**
 * One boat of the yard; one that is not on this device is brought here.
 * @param same whether a draft shows nothing that another does not: then it stays the same
 */
export function useBoat(id: string, same: (one: Draft, other: Draft) => boolean = Object.is): BoatAccess {
  const { aboard, feed, drafts: store } = useYardOnDevice();
  const yard = useYardState();
  const kept = useRef<Draft | undefined>(undefined);
  const draft = useWhileSeen(store, () => {
    const now = store.all().get(id);
    if (!now || !kept.current || !same(kept.current, now)) kept.current = now;
    return kept.current;
  });
  const ready = useWhileSeen(aboard, () => aboard.ready);
  const here = draft !== undefined;
  const seen = useContext(SeenContext);
  useEffect(() => {
    // Where it cannot be reached the page says so by the state of the yard.
    if (ready && !here) void feed.bring([id]).catch(() => undefined);
  }, [ready, here, id, feed]);
  useEffect(() => {
    if (!ready || !here) return undefined;
    // A page that is made ready uses nothing yet; of one that is opened nobody waits for this.
    let idle = (): void => undefined;
    const note = () => {
      idle();
      idle = whenIdle(() => {
        if (seen.now()) void aboard.change((change) => noteUse(change, id, Date.now()));
      });
    };
    const end = seen.subscribe(note);
    note();
    return () => {
      idle();
      end();
    };
  }, [ready, here, id, aboard, seen]);
  return useMemo(() => ({ yard, draft }), [yard, draft]);
}
