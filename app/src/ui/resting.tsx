import { useNavigation } from 'expo-router';
import {
  memo,
  startTransition,
  useEffect,
  useLayoutEffect,
  useMemo,
  useRef,
  useState,
  type ComponentType,
  type RefObject,
} from 'react';
import { View } from 'react-native';
import { SeenContext, type Seen } from '../seen';
import { layOutAtRest, SETTLED_MS } from './layOutAtRest';

interface PageNavigation {
  isFocused(): boolean;
  addListener(kind: 'focus', listener: () => void): () => void;
}

/**
 * A page that follows changes only while it is seen: those under it in the stack rest, and so does one that is made ready
 * (`useNextPage`). That another page came over it, or went, shows nothing of it anew.
 */
export function resting(Screen: ComponentType<object>) {
  const Page = memo(Screen);
  return function Resting() {
    const navigation = useNavigation<PageNavigation>();
    const seen = useSeenOf(navigation);
    const root = useRef<View>(null);
    const focused = navigation.isFocused();
    const [begun, setBegun] = useState(focused);
    if (focused && !begun) setBegun(true);
    // What is made ready gives way to every touch.
    useEffect(() => {
      if (!begun) startTransition(() => setBegun(true));
    }, [begun]);
    useLaidOut(root, focused, begun);
    return (
      <View ref={root} style={{ flex: 1 }}>
        <SeenContext.Provider value={seen}>{begun ? <Page /> : null}</SeenContext.Provider>
      </View>
    );
  };
}

/**
 * Keeps the layout of a page that is not shown, so that nothing of it is worked out anew when it is: the stack takes such a
 * page out of the layout, the style of the whole page (`pageStyle.ts`) goes over that.
 */
function useLaidOut(root: RefObject<View | null>, focused: boolean, begun: boolean): void {
  useLayoutEffect(() => {
    const page = pageAround(root.current);
    if (!page || !begun) return undefined;
    // Laid out once, unseen, then left out: until it is shown again it takes no time.
    page.dataset.page ??= focused ? 'rests' : 'settles';
    if (page.dataset.page === 'rests') return undefined;
    let stop = (): void => undefined;
    const timer = setTimeout(() => {
      page.dataset.page = 'rests';
      stop = layOutAtRest(page);
    }, SETTLED_MS);
    return () => {
      clearTimeout(timer);
      stop();
      page.dataset.page = 'rests';
    };
  }, [root, focused, begun]);
}

/** What the stack shows and hides: around what it puts around a page. */
function pageAround(root: View | null): HTMLElement | null {
  return (root as unknown as HTMLElement | null)?.parentElement?.parentElement?.parentElement ?? null;
}

/** Seen as long as its page is the one that is shown. A page that was made ready gets its place in the stack when it is. */
function useSeenOf(navigation: PageNavigation): Seen {
  const latest = useRef(navigation);
  const [listeners] = useState(() => new Set<() => void>());
  useLayoutEffect(() => {
    const tell = () => {
      for (const listener of listeners) listener();
    };
    const placed = latest.current !== navigation;
    latest.current = navigation;
    if (placed && navigation.isFocused()) tell();
    return navigation.addListener('focus', tell);
  }, [navigation, listeners]);
  return useMemo(
    () => ({
      now: () => latest.current.isFocused(),
      subscribe: (listener) => {
        listeners.add(listener);
        return () => void listeners.delete(listener);
      },
    }),
    [listeners],
  );
}
