import { Children, startTransition, useEffect, useState, type ReactNode } from 'react';

/**
 * Shows what is needed to fill the page at once, and the rest right after that was painted:
 * a long page stands as soon as a short one.
 */
export function Gradually({ first, children }: { readonly first: number; readonly children: ReactNode }) {
  const [whole, setWhole] = useState(false);
  useEffect(() => {
    // Two frames later the first part was painted.
    let frame = requestAnimationFrame(() => {
      frame = requestAnimationFrame(() => startTransition(() => setWhole(true)));
    });
    return () => cancelAnimationFrame(frame);
  }, []);
  const all = Children.toArray(children);
  return <>{whole ? all : all.slice(0, first)}</>;
}
