import { startTransition, useEffect, useReducer } from 'react';
import { flushSync } from 'react-dom';
import { whenQuiet } from './whenQuiet';

const TOUCHES = ['pointerdown', 'keydown'] as const;

/** Has the renderer drop what it is about, as an urgent change does; it goes on after. */
let interrupt: (() => void) | null = null;

/** Lets what is made ready be interrupted; nothing is to be seen of it. */
export function Interruptible(): null {
  const [, changed] = useReducer((times: number) => times + 1, 0);
  useEffect(() => {
    interrupt = () => flushSync(changed);
    return () => {
      interrupt = null;
    };
  }, []);
  return null;
}

/**
 * Has something shown that nobody waits for, as a station that is made ready. The renderer does it in many small steps, but the
 * answer to a touch would come between them or after them: a touch before it stands takes it back, and it is begun anew
 * when nobody has touched anything for a while.
 * @param show changes what is shown
 * @param takeBack changes it back to what it was
 * @returns what is called once it stands, or where it is not wanted any more
 */
export function makeReady(show: () => void, takeBack: () => void): () => void {
  let end = (): void => undefined;
  const begin = () => {
    startTransition(show);
    const touched = () => {
      end();
      startTransition(takeBack);
      interrupt?.();
      end = whenQuiet(begin);
    };
    for (const kind of TOUCHES) addEventListener(kind, touched, { capture: true });
    end = () => {
      for (const kind of TOUCHES) removeEventListener(kind, touched, { capture: true });
    };
  };
  begin();
  return () => end();
}
