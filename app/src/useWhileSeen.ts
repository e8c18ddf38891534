import { useCallback, useContext, useSyncExternalStore } from 'react';
import { SeenContext } from './seen';
import { whenIdle } from './whenIdle';

/** Something that changes, and tells of it. */
interface Telling {
  subscribe(listener: () => void): () => void;
}

/**
 * A value of a store. What is not seen, a page under another or a station at rest, is not shown anew for it: the newest is
 * read when it is seen again, or when it is shown anew for another reason.
 * @param read the same value, by identity, as long as nothing in it changed
 * @param mayWait whether what the store tells now is shown when nothing else is to be done; always the same function
 */
export function useWhileSeen<Value>(store: Telling, read: () => Value, mayWait = never): Value {
  const seen = useContext(SeenContext);
  const subscribe = useCallback(
    (listener: () => void) => {
      let waits = (): void => undefined;
      const hear = () => {
        if (!seen.now()) return;
        waits();
        if (mayWait()) waits = whenIdle(listener);
        else listener();
      };
      const ends = [store.subscribe(hear), seen.subscribe(hear)];
      return () => {
        waits();
        for (const end of ends) end();
      };
    },
    [store, seen, mayWait],
  );
  return useSyncExternalStore(subscribe, read);
}

const never = () => false;
