import { startTransition, useEffect, useRef, useState, type ReactNode, type RefObject } from 'react';
import type { View } from 'react-native';
import { elementOf } from './atRest';

/** By element: told whether it lies in sight. One observer hears of all of them. */
const told = new Map<Element, (inSight: boolean) => void>();
let observer: IntersectionObserver | null = null;

/** The observer; null in a browser that has none, where everything is taken to lie in sight. */
function theObserver(): IntersectionObserver | null {
  if (typeof IntersectionObserver === 'undefined') return null;
  observer ??= new IntersectionObserver((entries) => {
    for (const { target, isIntersecting } of entries) told.get(target)?.(isIntersecting);
  });
  return observer;
}

/** Whether an element lies in sight, and what it shows; of one of which nothing was told yet it is taken that it does. */
class Sight {
  private inSight = true;
  private before: ReactNode;
  /** What was due when something newer had been shown already. */
  private spent: ReactNode;

  constructor(first: ReactNode) {
    this.before = first;
    this.spent = first;
  }

  /** What is to be shown now of something new; of what never rests out of sight, as a run that plays, what was due last. */
  shows(next: ReactNode, due: ReactNode): ReactNode {
    if (this.inSight || due === next) return next;
    return due === this.spent ? this.before : due;
  }

  /** What is shown by now. */
  keeps(shown: ReactNode, due: ReactNode): void {
    this.before = shown;
    if (shown !== due) this.spent = due;
  }

  /** Hears where it lies. @returns what ends that */
  watch(element: Element): () => void {
    told.set(element, (inSight) => {
      this.inSight = inSight;
    });
    theObserver()?.observe(element);
    return () => {
      told.delete(element);
      theObserver()?.unobserve(element);
    };
  }
}

/**
 * What a card shows: out of sight it shows what is new right after all that is in sight does.
 */
export function useOnceInSight(children: ReactNode): {
  readonly root: RefObject<View | null>;
  readonly shown: ReactNode;
} {
  const [sight] = useState(() => new Sight(children));
  /** What may be shown wherever it lies. */
  const [due, setDue] = useState(children);
  const shown = sight.shows(children, due);
  useEffect(() => {
    sight.keeps(shown, due);
    if (shown !== children) startTransition(() => setDue(children));
  }, [sight, shown, due, children]);
  const root = useRef<View>(null);
  useEffect(() => {
    const element = elementOf(root.current);
    return element ? sight.watch(element) : undefined;
  }, [sight]);
  return { root, shown };
}
