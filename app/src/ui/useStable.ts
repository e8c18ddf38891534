import { useCallback, useLayoutEffect, useRef } from 'react';

/** A function that is the same at every repaint and does what the last one given does: what takes it is not shown anew. */
export function useStable<Asked extends readonly unknown[], Told>(
  latest: (...asked: Asked) => Told,
): (...asked: Asked) => Told {
  const kept = useRef(latest);
  useLayoutEffect(() => {
    kept.current = latest;
  });
  return useCallback((...asked: Asked) => kept.current(...asked), []);
}
