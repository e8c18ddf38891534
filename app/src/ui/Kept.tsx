import { createContext, startTransition, useContext, useEffect, useState, type ReactNode } from 'react';
import { View } from 'react-native';
import { whenIdle } from './whenIdle';

/** So long nothing must have changed before what is not shown is brought up to date, ms. */
const QUIET_MS = 800;

const ShownContext = createContext(true);

/** Whether what is around this is shown, or kept for later: nothing plays that nobody sees. */
export function useShown(): boolean {
  return useContext(ShownContext);
}

const ROOM = { position: 'absolute', top: 0, right: 0, bottom: 0, left: 0 } as const;
/** The browser keeps what it worked out for it, and paints, finds, reads and focuses nothing of it. */
const UNSEEN = { visibility: 'hidden', contentVisibility: 'hidden', pointerEvents: 'none' } as object;

/** What was shown once is kept as it stands: shown again it is there at once. It fills the room around it. */
export function Kept({ shown, children }: { readonly shown: boolean; readonly children: ReactNode }) {
  return (
    <View style={[ROOM, shown ? null : UNSEEN]} aria-hidden={!shown}>
      <ShownContext.Provider value={shown}>{children}</ShownContext.Provider>
    </View>
  );
}

/**
 * A value as long as it is shown; while it is not, the one from then, and the newest once
 * nothing else is to be done.
 */
export function useKept<T>(value: T, shown: boolean): T {
  const [held, setHeld] = useState(value);
  if (shown && held !== value) setHeld(value);
  useEffect(() => {
    if (shown || held === value) return undefined;
    // While one change follows another nothing else is made ready.
    let stop = (): void => undefined;
    const timer = setTimeout(() => {
      stop = whenIdle(() => startTransition(() => setHeld(value)));
    }, QUIET_MS);
    return () => {
      clearTimeout(timer);
      stop();
    };
  }, [shown, held, value]);
  return shown ? value : held;
}
