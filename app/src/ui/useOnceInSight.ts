import { startTransition, useCallback, useEffect, useState, type ReactNode, type RefCallback } from 'react';
import type { View } from 'react-native';
import { elementOf } from './atRest';

/** By element: told whether it lies in sight. One observer hears of all of them. */
const told = new Map<Element, (inSight: boolean) => void>();
const observer =
  typeof IntersectionObserver === 'undefined'
    ? null
    : new IntersectionObserver((entries) => {
        for (const { target, isIntersecting } of entries) told.get(target)?.(isIntersecting);
      });

/** Whether an element lies in sight, and what it shows; of one of which nothing was told yet it is taken that it does. */
class Sight {
  private inSight = true;
  private before: ReactNode;

  constructor(first: ReactNode) {
    this.before = first;
  }

  /** What is to be shown now of something new. */
  shows(next: ReactNode, due: ReactNode): ReactNode {
    return this.inSight || due === next ? next : this.before;
  }

  /** What is shown by now. */
  keeps(shown: ReactNode): void {
    this.before = shown;
  }

  /** Hears where it lies. @returns what ends that */
  watch(element: Element): () => void {
    told.set(element, (inSight) => {
      this.inSight = inSight;
    });
    observer?.observe(element);
    return () => {
      told.delete(element);
      observer?.unobserve(element);
    };
  }
}

/**
 * What a card shows: out of sight it shows what is new right after all that is in sight does.
 */
export function useOnceInSight(children: ReactNode): { readonly root: RefCallback<View>; readonly shown: ReactNode } {
  const [sight] = useState(() => new Sight(children));
  /** What may be shown wherever it lies. */
  const [due, setDue] = useState(children);
  const shown = sight.shows(children, due);
  useEffect(() => {
    sight.keeps(shown);
    if (shown !== children) startTransition(() => setDue(children));
  }, [sight, shown, children]);
  const root = useCallback(
    (view: View | null) => {
      const element = elementOf(view);
      return element ? sight.watch(element) : undefined;
    },
    [sight],
  );
  return { root, shown };
}
