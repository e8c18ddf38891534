import { startTransition, useContext, useEffect, useLayoutEffect, useRef, useState } from 'react';
import { makeReady } from '../makeReady';
import { SeenContext, type Seen } from '../seen';
import { whenQuiet } from '../whenQuiet';

const nothing = (): void => undefined;

/**
 * What was answered last to something that is worked out apart from the page; null before anything was. An answer for what is
 * not seen, a page under another or a station at rest, waits until it is, or until nobody has touched anything for a while.
 * @param of what is asked about: an answer about something else is none
 * @param ask asks; the same as long as the same is asked, null while nothing is. What cannot be answered changes nothing
 */
export function useAsked<Answer>(of: string, ask: (() => Promise<Answer>) | null): Answer | null {
  const seen = useContext(SeenContext);
  const [found, setFound] = useState<{ readonly of: string; readonly answer: Answer } | null>(null);
  const latest = useRef(found);
  const stands = useRef<() => void>(nothing);
  useLayoutEffect(() => {
    latest.current = found;
    return () => stands.current();
  }, [found]);
  useEffect(() => {
    if (!ask) return undefined;
    let end = nothing;
    let gone = false;
    const tell = (answer: Answer) => {
      const before = latest.current;
      const now = { of, answer };
      if (seen.now()) startTransition(() => setFound(now));
      else
        end = onceSeenOrQuiet(
          seen,
          () => setFound(now),
          () => {
            stands.current = makeReady(
              () => setFound(now),
              () => setFound(before),
            );
          },
        );
    };
    ask().then((answer) => (gone ? undefined : tell(answer)), nothing);
    return () => {
      gone = true;
      end();
      stands.current();
    };
  }, [ask, of, seen]);
  return found?.of === of ? found.answer : null;
}

/** Calls one of the two: which comes first. @returns what takes the call back */
function onceSeenOrQuiet(seen: Seen, onceSeen: () => void, onceQuiet: () => void): () => void {
  const stop = () => {
    for (const end of ends) end();
  };
  const first = (call: () => void) => () => {
    stop();
    call();
  };
  const ends = [seen.subscribe(first(onceSeen)), whenQuiet(first(onceQuiet))];
  return stop;
}
