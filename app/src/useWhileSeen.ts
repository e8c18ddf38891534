import { useCallback, useContext, useSyncExternalStore } from 'react';
import { SeenContext } from './seen';

/** Something that changes, and tells of it. */
interface Telling {
  subscribe(listener: () => void): () => void;
}

/**
 * A value of a store. What is not seen, a page under another or a station at rest, is not shown anew for it: the newest is
 * read when it is seen again, or when it is shown anew for another reason.
 * @param read the same value, by identity, as long as nothing in it changed
 */
export function useWhileSeen<Value>(store: Telling, read: () => Value): Value {
  const seen = useContext(SeenContext);
  const subscribe = useCallback(
    (listener: () => void) => {
      const hear = () => {
        if (seen.now()) listener();
      };
      const ends = [store.subscribe(hear), seen.subscribe(hear)];
      return () => {
        for (const end of ends) end();
      };
    },
    [store, seen],
  );
  return useSyncExternalStore(subscribe, read);
}
