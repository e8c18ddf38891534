import {
  createContext,
  useContext,
  useEffect,
  useLayoutEffect,
  useMemo,
  useRef,
  useState,
  type ReactNode,
} from 'react';
import { StyleSheet, View, type ViewStyle } from 'react-native';
import { SeenContext, type Seen } from '../seen';
import { cardsFollow, elementOf, keepInSight, layOutAtRest, SETTLED_MS } from './atRest';
import { makeReady } from '../makeReady';
import { whenQuiet } from '../whenQuiet';

const ShownContext = createContext(true);

/** Whether what is around this is shown, or kept for later: nothing plays that nobody sees. */
export function useShown(): boolean {
  return useContext(ShownContext);
}

const unseen = { visibility: 'hidden', pointerEvents: 'none' };
/** Of all that lies in what is left out nothing need be worked out anew; a browser that cannot do it hides each. */
const rests =
  typeof CSS !== 'undefined' && CSS.supports('content-visibility', 'hidden')
    ? { contentVisibility: 'hidden', zIndex: -1 }
    : unseen;

const { room, hidden, resting } = StyleSheet.create({
  room: { position: 'absolute', top: 0, right: 0, bottom: 0, left: 0 },
  hidden: unseen as ViewStyle,
  /** The browser keeps what it worked out for it, and paints, finds, reads and focuses nothing of it. */
  resting: rests as ViewStyle,
});

/**
 * What was shown once is kept as it stands: shown again it is there at once. It fills the room around it.
 * What changes in it while it rests is laid out when nobody waits for anything.
 */
export function Kept({
  name,
  shown,
  of,
  children,
}: {
  /** What it is called among those that are kept in one room (`showKept`). */
  readonly name: string;
  readonly shown: boolean;
  /** What it shows; another when there is something new to lay out. */
  readonly of: unknown;
  readonly children: ReactNode;
}) {
  const [laidOut, setLaidOut] = useState(shown);
  const ready = shown || laidOut;
  const seen = useSeenIf(shown);
  const root = useRef<View>(null);
  useEffect(() => {
    if (ready) return undefined;
    const timer = setTimeout(() => setLaidOut(true), SETTLED_MS);
    return () => clearTimeout(timer);
  }, [ready]);
  if (shown && !laidOut) setLaidOut(true);
  const wasShown = useRef(shown);
  useEffect(() => {
    const layOut = wasShown.current ? keepInSight : layOutAtRest;
    wasShown.current = shown;
    if (shown) return cardsFollow(elementOf(root.current));
    return ready ? layOut(elementOf(root.current)) : undefined;
  }, [shown, ready, of]);
  return (
    <View
      ref={root}
      style={shown ? room : [room, ready ? resting : hidden]}
      aria-hidden={!shown}
      {...({ dataSet: { kept: name } } as object)}
    >
      <ShownContext.Provider value={shown}>
        <SeenContext.Provider value={seen}>{children}</SeenContext.Provider>
      </ShownContext.Provider>
    </View>
  );
}

/** Seen as long as it is shown and what is around it is seen. */
function useSeenIf(shown: boolean): Seen {
  const around = useContext(SeenContext);
  const now = useRef(shown);
  const [listeners] = useState(() => new Set<() => void>());
  useLayoutEffect(() => {
    const again = shown && !now.current;
    now.current = shown;
    if (again) for (const listener of listeners) listener();
  }, [shown, listeners]);
  return useMemo(
    () => ({
      now: () => now.current && around.now(),
      subscribe: (listener) => {
        listeners.add(listener);
        const end = around.subscribe(listener);
        return () => {
          listeners.delete(listener);
          end();
        };
      },
    }),
    [around, listeners],
  );
}

/**
 * A value as long as it is shown; while it is not, the one from then, and the newest once
 * nothing else is to be done.
 */
export function useKept<T>(value: T, shown: boolean): T {
  const [held, setHeld] = useState(value);
  if (shown && held !== value) setHeld(value);
  useLayoutEffect(() => {
    if (shown || held === value) return undefined;
    let end = (): void => undefined;
    // While one change follows another nothing else is made ready.
    const stop = whenQuiet(() => {
      end = makeReady(
        () => setHeld(value),
        () => setHeld(held),
      );
    });
    return () => {
      stop();
      end();
    };
  }, [shown, held, value]);
  return shown ? value : held;
}
