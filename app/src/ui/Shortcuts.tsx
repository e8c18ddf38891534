import {
  createContext,
  useCallback,
  useContext,
  useEffect,
  useMemo,
  useReducer,
  useRef,
  useState,
  type ReactNode,
} from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { ScrollView, View } from 'react-native';
import { Button, Dialog } from 'react-native-paper';
import { ModalDialog } from './ModalDialog';
import { SeenContext, type Seen } from '../seen';
import { stylesFor } from './stylesFor';
import { fonts } from './theme';
import { Words } from './Words';

/** A key and what it does, as it is listed. */
export interface Shortcut {
  /** What is listened for: `mod+z`, `1,2,3`, `?`. */
  readonly keys: string;
  /** The same in words. */
  readonly shown: string;
  readonly does: string;
  /** Whether it also works while a field is typed in. */
  readonly inFields?: boolean;
}

/** What the key beside the letter is called on this device. */
export const mod = /Mac|iPhone|iPad/.test(navigator.userAgent) ? '⌘' : 'Ctrl';

/** The same wherever something can be undone; in a field it is the field's own. */
export const undoKey: Shortcut = { keys: 'mod+z', shown: `${mod} Z`, does: 'Undo the last change' };

interface Listed extends Shortcut {
  readonly seen: Seen;
}

interface Shortcuts {
  /** @returns what takes it off the list */
  list(shortcut: Listed): () => void;
  show(): void;
}

const ShortcutsContext = createContext<Shortcuts>({ list: () => () => undefined, show: () => undefined });

/** Opens the list of all shortcuts. */
export function useShowShortcuts(): () => void {
  return useContext(ShortcutsContext).show;
}

/** Keys are the dialog's while one is open. */
const inDialog = () => document.querySelector('[role="dialog"]') !== null;

const isTypedIn = (target: EventTarget | null) =>
  target instanceof HTMLInputElement || target instanceof HTMLTextAreaElement;

/** Listens for a key while the page around it is the one that is seen, and lists it. */
export function useShortcut(shortcut: Shortcut, run: (key: string) => void): void {
  const { list } = useContext(ShortcutsContext);
  const seen = useContext(SeenContext);
  const { keys, shown, does, inFields = false } = shortcut;
  useEffect(() => list({ keys, shown, does, seen }), [list, keys, shown, does, seen]);
  useHotkeys(keys, (event) => run(event.key), {
    useKey: true,
    preventDefault: true,
    // Radios and sliders count as fields there; only where letters are typed are keys the field's own.
    enableOnFormTags: true,
    ignoreEventWhen: ({ target }) => !seen.now() || inDialog() || (!inFields && isTypedIn(target)),
  });
}

/** What works everywhere. */
const everywhere = [
  { shown: '← ↑ → ↓', does: 'The next of a row of choices, of tabs, or in the drawing' },
  { shown: 'Space, Enter', does: 'Choose it' },
  { shown: 'Esc', does: 'Close what lies over the page' },
] as const;

/** Keeps the list of the shortcuts that exist on the page that is seen, and shows it. */
export function ShortcutsProvider({ children }: { readonly children: ReactNode }) {
  // Nothing is shown anew for what only the list tells, unless it is open.
  const [listed] = useState(() => new Set<Listed>());
  const [open, setOpen] = useState(false);
  const [, changed] = useReducer((times: number) => times + 1, 0);
  const shown = useRef(open);
  useEffect(() => {
    shown.current = open;
  }, [open]);
  const shortcuts = useMemo(
    () => ({
      list: (shortcut: Listed) => {
        listed.add(shortcut);
        if (shown.current) changed();
        return () => void listed.delete(shortcut);
      },
      show: () => setOpen(true),
    }),
    [listed],
  );
  const close = useCallback(() => setOpen(false), []);
  return (
    <ShortcutsContext.Provider value={shortcuts}>
      <Own onShow={shortcuts.show} />
      {children}
      {open ? <ShortcutList listed={[...listed].filter(({ seen }) => seen.now())} onClose={close} /> : null}
    </ShortcutsContext.Provider>
  );
}

function Own({ onShow }: { readonly onShow: () => void }) {
  useShortcut({ keys: '?', shown: '?', does: 'This list' }, onShow);
  return null;
}

const useStyles = stylesFor(({ line, raised }) => ({
  row: { flexDirection: 'row', alignItems: 'center', gap: 12, paddingVertical: 6 },
  keys: { width: 120, alignItems: 'flex-start' },
  key: {
    paddingHorizontal: 8,
    paddingVertical: 2,
    borderRadius: 6,
    borderWidth: 1,
    borderColor: line,
    backgroundColor: raised,
  },
  keyWords: { fontFamily: fonts.medium },
  does: { flex: 1, minWidth: 0 },
  list: { maxHeight: 420 },
}));

function ShortcutList({
  listed,
  onClose,
}: {
  readonly listed: readonly Pick<Shortcut, 'shown' | 'does'>[];
  readonly onClose: () => void;
}) {
  const styles = useStyles();
  return (
    <ModalDialog title="Keys" onClose={onClose}>
      <Dialog.ScrollArea style={styles.list}>
        <ScrollView>
          {[...listed, ...everywhere].map(({ shown, does }) => (
            <View key={shown + does} style={styles.row}>
              <View style={styles.keys}>
                <View style={styles.key}>
                  <Words style={styles.keyWords}>{shown}</Words>
                </View>
              </View>
              <Words style={styles.does}>{does}</Words>
            </View>
          ))}
        </ScrollView>
      </Dialog.ScrollArea>
      <Dialog.Actions>
        <Button onPress={onClose} contentStyle={{ minHeight: 48 }}>
          Close
        </Button>
      </Dialog.Actions>
    </ModalDialog>
  );
}
