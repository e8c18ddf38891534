import { Children, startTransition, useContext, useLayoutEffect, useState, type ReactNode } from 'react';
import { makeReady } from '../makeReady';
import { SeenContext } from '../seen';

/** Calls once what was changed until now was painted: two frames later. @returns what takes the call back */
function onceStanding(call: () => void): () => void {
  let frame = requestAnimationFrame(() => {
    frame = requestAnimationFrame(call);
  });
  return () => cancelAnimationFrame(frame);
}

/**
 * Shows what is needed to fill the page at once, and the rest right after that was painted:
 * a long page stands as soon as a short one. Where it is made ready the rest gives way to touches.
 */
export function Gradually({ first, children }: { readonly first: number; readonly children: ReactNode }) {
  const [whole, setWhole] = useState(false);
  const seen = useContext(SeenContext);
  useLayoutEffect(() => {
    if (whole) return undefined;
    let end = (): void => undefined;
    const follow = () => {
      end();
      end = onceStanding(() => {
        if (seen.now()) startTransition(() => setWhole(true));
        else
          end = makeReady(
            () => setWhole(true),
            () => setWhole(false),
          );
      });
    };
    follow();
    const stop = seen.subscribe(follow);
    return () => {
      end();
      stop();
    };
  }, [whole, seen]);
  const all = Children.toArray(children);
  return <>{whole ? all : all.slice(0, first)}</>;
}
