import { useLocalSearchParams, useNavigation } from 'expo-router';
import { memo, useLayoutEffect, useMemo, useRef, useState, type ComponentType, type RefObject } from 'react';
import { View } from 'react-native';
import { SeenContext, type Seen } from '../seen';
import { cardsFollow, elementOf, keepInSight, layOutAtRest, SETTLED_MS } from './atRest';
import { makeReady } from '../makeReady';

interface PageNavigation {
  isFocused(): boolean;
  addListener(kind: 'focus' | 'blur', listener: () => void): () => void;
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
    const [begun, setBegun] = useState(() => navigation.isFocused());
    if (!begun && navigation.isFocused()) setBegun(true);
    // What is made ready gives way to every touch.
    useLayoutEffect(
      () =>
        begun
          ? undefined
          : makeReady(
              () => setBegun(true),
              () => setBegun(false),
            ),
      [begun],
    );
    useLaidOut(root, navigation, begun, Object.values(useLocalSearchParams()).join('/'));
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
 * @param at what its address says: the end of it, by which it is found when it is opened (`ahead.ts`)
 */
function useLaidOut(root: RefObject<View | null>, navigation: PageNavigation, begun: boolean, at: string): void {
  useLayoutEffect(() => {
    const page = pageAround(elementOf(root.current));
    if (!page || !begun) return undefined;
    let stop = (): void => undefined;
    const shown = () => {
      stop();
      page.dataset.page = 'rests';
      delete page.dataset.ready;
      delete page.dataset.ahead;
      stop = cardsFollow(page);
    };
    if (navigation.isFocused()) shown();
    else {
      // Laid out once, unseen, then left out: until it is shown it takes no time.
      page.dataset.page = 'settles';
      page.dataset.ready = at;
      const timer = setTimeout(() => {
        page.dataset.page = 'rests';
        stop = layOutAtRest(page);
      }, SETTLED_MS);
      stop = () => clearTimeout(timer);
    }
    const under = () => {
      stop();
      stop = keepInSight(page);
    };
    const ends = [navigation.addListener('focus', shown), navigation.addListener('blur', under)];
    return () => {
      stop();
      for (const end of ends) end();
    };
  }, [root, navigation, begun, at]);
}

/** What the stack shows and hides: around what it puts around a page. */
function pageAround(root: HTMLElement | null): HTMLElement | null {
  return root?.parentElement?.parentElement?.parentElement ?? null;
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
