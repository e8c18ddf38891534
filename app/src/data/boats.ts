import { useQuery, type QueryClient } from '@tanstack/react-query';
import { createContext, useCallback, useContext, useEffect, useMemo, useRef, useSyncExternalStore } from 'react';
import { SeenContext } from '../seen';
import { listBoats, ServerAway, type StoredBoat } from './api';
import { browserWorld, DraftStore } from './DraftStore';
import type { Draft } from './draft';

const BOATS = ['boats'] as const;
/** So long the server's list is taken as it was told, ms. */
const FRESH_MS = 5000;

/** The store of drafts whose writes keep the list of boats in step. */
export function makeDraftStore(client: QueryClient): DraftStore {
  return new DraftStore(
    browserWorld((boat) =>
      client.setQueryData<StoredBoat[]>(
        BOATS,
        (boats) => boats && [...boats.filter((other) => other.id !== boat.id), boat],
      ),
    ),
  );
}

export const DraftsContext = createContext<DraftStore | null>(null);

/** The store of drafts. @throws outside its provider. */
export function useDrafts(): DraftStore {
  const store = useContext(DraftsContext);
  if (!store) throw new Error('No store of drafts above this component.');
  return store;
}

export interface Yard {
  readonly boats: readonly Draft[];
  readonly loading: boolean;
  /** True while the server cannot be reached; what this device holds is shown. */
  readonly away: boolean;
  readonly error: Error | null;
  retry(): void;
}

/** The drafts as long as the page is the one that is seen: those under it keep what they showed. */
function useDraftsWhileSeen(store: DraftStore): ReadonlyMap<string, Draft> {
  const seen = useContext(SeenContext);
  const last = useRef(store.all());
  const subscribe = useCallback(
    (listener: () => void) => {
      const ends = [store.subscribe(listener), seen.subscribe(listener)];
      return () => {
        for (const end of ends) end();
      };
    },
    [store, seen],
  );
  return useSyncExternalStore(subscribe, () => {
    if (seen.now()) last.current = store.all();
    return last.current;
  });
}

/** All boats: the server's, with what this device changed on top. */
export function useYard(): Yard {
  const store = useDrafts();
  const drafts = useDraftsWhileSeen(store);
  const query = useQuery({
    queryKey: BOATS,
    queryFn: listBoats,
    networkMode: 'always',
    // From page to page the list is not asked for again.
    staleTime: FRESH_MS,
    retry: (failures, error) => error instanceof ServerAway && failures < 2,
    retryDelay: 800,
  });
  const { data } = query;
  useEffect(() => {
    for (const stored of data ?? []) store.open(stored);
  }, [data, store]);
  const boats = useMemo(
    () => [...drafts.values()].sort((a, b) => a.job.boat.name.localeCompare(b.job.boat.name)),
    [drafts],
  );
  return {
    boats,
    loading: query.isPending,
    away: query.error instanceof ServerAway,
    error: query.error,
    retry: () => void query.refetch(),
  };
}

export interface BoatAccess {
  readonly draft: Draft | undefined;
  readonly yard: Yard;
}

/** One boat of the yard. */
export function useBoat(id: string): BoatAccess {
  const yard = useYard();
  return { yard, draft: yard.boats.find((draft) => draft.id === id) };
}
