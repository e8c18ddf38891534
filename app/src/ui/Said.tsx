import { createContext, useCallback, startTransition, useContext, useMemo, useState, type ReactNode } from 'react';
import { Portal, Snackbar } from 'react-native-paper';
import { footHeight } from './pageFoot';

interface Saying {
  readonly text: string;
  readonly undo?: () => void;
}

/** It is there at once: what comes in gently here has a frame painted every few milliseconds while what follows from the touch waits. */
const STILL = { animation: { scale: 0 } };

const SaidContext = createContext<(saying: Saying) => void>(() => undefined);

/** Says what was done, with a way back where there is one. */
export function useSay(): (text: string, undo?: () => void) => void {
  const say = useContext(SaidContext);
  return useCallback((text, undo) => say({ text, ...(undo ? { undo } : {}) }), [say]);
}

export function SaidProvider({ children }: { readonly children: ReactNode }) {
  const [saying, setSaying] = useState<Saying | null>(null);
  const close = useCallback(() => setSaying(null), []);
  // Each is shown for its own time: one that takes another's place does not go with it.
  const [count, setCount] = useState(0);
  const [above, setAbove] = useState(0);
  const say = useMemo(
    () => (next: Saying) => {
      const foot = footHeight();
      // What was touched answers first; that it is done is said right after.
      const show = () => {
        setAbove(foot);
        setSaying(next);
        setCount((before) => before + 1);
      };
      startTransition(show);
    },
    [],
  );
  return (
    <SaidContext.Provider value={say}>
      {children}
      <Portal>
        <Snackbar
          key={count}
          theme={STILL}
          visible={saying !== null}
          onDismiss={close}
          duration={7000}
          wrapperStyle={{ bottom: above, maxWidth: 640, alignSelf: 'center' }}
          {...(saying?.undo ? { action: { label: 'Undo', onPress: saying.undo } } : {})}
        >
          {saying?.text ?? ''}
        </Snackbar>
      </Portal>
    </SaidContext.Provider>
  );
}
