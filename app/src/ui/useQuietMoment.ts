import { useContext, useEffect, useState } from 'react';
import { SeenContext } from '../seen';
import { whenQuiet } from '../whenQuiet';

/** So long what was just shown has the machine to itself, ms. */
const AFTER_PAINT_MS = 150;

/**
 * Calls once nobody touched anything for a while and the browser has nothing else to do, while what is around is seen; again
 * for another call, and whenever it is seen again.
 * @param call the same one as long as nothing else is to be done; null where there is nothing to do
 */
export function useQuietMoment(call: (() => void) | null): void {
  const seen = useContext(SeenContext);
  // The tap that opened the page is none that another would follow at once.
  const [openedMs] = useState(() => performance.now());
  useEffect(() => {
    if (!call) return undefined;
    let stop = (): void => undefined;
    const wait = () => {
      stop();
      const timer = setTimeout(() => {
        stop = whenQuiet(() => {
          if (seen.now()) call();
        }, openedMs);
      }, AFTER_PAINT_MS);
      stop = () => clearTimeout(timer);
    };
    if (seen.now()) wait();
    const end = seen.subscribe(wait);
    return () => {
      stop();
      end();
    };
  }, [call, seen, openedMs]);
}
