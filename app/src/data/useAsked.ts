import { startTransition, useContext, useEffect, useLayoutEffect, useRef, useState } from 'react';
import { makeReady } from '../makeReady';
import { SeenContext } from '../seen';
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
    let gone = false;
    const tell = (answer: Answer) => {
      const before = latest.current;
      const show = () => setFound({ of, answer });
      if (seen.now()) return startTransition(show);
      let end = whenQuiet(() => {
        end = makeReady(show, () => setFound(before));
      });
      // Also where the touch that shows it took back what was begun.
      const unheard = seen.subscribe(() => {
        stands.current();
        show();
      });
      stands.current = () => {
        end();
        unheard();
      };
    };
    ask().then((answer) => (gone ? undefined : tell(answer)), nothing);
    return () => {
      gone = true;
      stands.current();
    };
  }, [ask, of, seen]);
  return found?.of === of ? found.answer : null;
}
