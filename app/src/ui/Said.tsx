import { createContext, memo, useCallback, useContext, useEffect, useState, type ReactNode } from 'react';
import { View } from 'react-native';
import { footHeight } from './pageFoot';
import { darkPalette, lightPalette } from './palette';
import { Press } from './Press';
import { stylesFor } from './stylesFor';
import { fonts } from './theme';
import { Words } from './Words';

interface Saying {
  readonly text: string;
  readonly undo?: () => void;
}

/** What is said, over so much at the foot of the page, px. */
interface Said extends Saying {
  readonly above: number;
}

const SHOWN_MS = 7000;

/** Says something. @returns takes it back, where nothing else was said since */
type Say = (saying: Saying) => () => void;

const nothing = () => undefined;
const SaidContext = createContext<Say>(() => nothing);

/** Says what was done, with a way back where there is one. @returns takes back what is said, not what was done */
export function useSay(): (text: string, undo?: () => void) => () => void {
  const say = useContext(SaidContext);
  return useCallback((text, undo) => say({ text, ...(undo ? { undo } : {}) }), [say]);
}

export function SaidProvider({ children }: { readonly children: ReactNode }) {
  const [said, setSaid] = useState<Said | null>(null);
  const close = useCallback(() => setSaid(null), []);
  const say = useCallback<Say>((saying) => {
    const next = { ...saying, above: footHeight() };
    setSaid(next);
    return () => setSaid((now) => (now === next ? null : now));
  }, []);
  return (
    <SaidContext.Provider value={say}>
      {children}
      <Bar said={said} onClose={close} />
    </SaidContext.Provider>
  );
}

/** Stands out from the page by the colours of the other theme. */
const useStyles = stylesFor((palette) => {
  const { surface, text, accent } = palette === lightPalette ? darkPalette : lightPalette;
  return {
    place: { position: 'absolute', left: 0, right: 0, alignItems: 'center' },
    bar: {
      width: '100%',
      maxWidth: 640,
      padding: 8,
    },
    said: {
      flexDirection: 'row',
      alignItems: 'center',
      minHeight: 52,
      paddingLeft: 16,
      paddingRight: 4,
      borderRadius: 12,
      backgroundColor: surface,
      boxShadow: '0 2px 8px rgba(0, 0, 0, 0.3)',
    },
    words: { flex: 1, minWidth: 0, paddingVertical: 12, paddingRight: 12, color: text },
    undo: { minHeight: 48, minWidth: 64, paddingHorizontal: 12, alignItems: 'center', justifyContent: 'center' },
    label: { fontFamily: fonts.medium, color: accent },
  };
});

/**
 * The bar over the foot of the page. It is there at once: one that comes in gently has a frame painted every few milliseconds
 * while what follows from the touch waits.
 */
const Bar = memo(function Bar({ said, onClose }: { readonly said: Said | null; readonly onClose: () => void }) {
  const styles = useStyles();
  // Each is shown for its own time: one that takes another's place does not go with it.
  useEffect(() => {
    if (!said) return undefined;
    const timer = setTimeout(onClose, SHOWN_MS);
    return () => clearTimeout(timer);
  }, [said, onClose]);
  const undo = said?.undo;
  return (
    <View aria-live="polite" pointerEvents="box-none" style={[styles.place, { bottom: said?.above ?? 0 }]}>
      {said ? (
        <View pointerEvents="box-none" style={styles.bar}>
          <View style={styles.said}>
            <Words kind="small" style={styles.words}>
              {said.text}
            </Words>
            {undo ? (
              <Press
                role="button"
                aria-label="Undo"
                look="dim"
                onPress={() => {
                  undo();
                  onClose();
                }}
                style={styles.undo}
              >
                <Words kind="small" style={styles.label}>
                  Undo
                </Words>
              </Press>
            ) : null}
          </View>
        </View>
      ) : null}
    </View>
  );
});
