import { act } from 'react';
import { createRoot } from 'react-dom/client';
import { browserIsIdle, browserThatIsBusy } from './testing/idleBrowser.fixture';
import { SeenContext, type Seen } from './seen';
import { useWhileSeen } from './useWhileSeen';

Object.assign(globalThis, { IS_REACT_ACT_ENVIRONMENT: true });

/** A value that tells of its changes. */
function telling(first: number) {
  const listeners = new Set<() => void>();
  let value = first;
  return {
    now: () => value,
    subscribe: (listener: () => void) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    tell: (next: number) => {
      value = next;
      for (const listener of listeners) listener();
    },
    heard: () => listeners.size,
  };
}

describe('a value of a store', () => {
  it('is followed while it is seen, rests while it is not, and is the newest when it is seen again', () => {
    const [store, shown] = [telling(1), telling(1)];
    const seen: Seen = { now: () => shown.now() === 1, subscribe: shown.subscribe };
    const painted: number[] = [];
    const Value = () => {
      const value = useWhileSeen(store, store.now);
      painted.push(value);
      return <span>{value}</span>;
    };
    const place = document.createElement('div');
    const root = createRoot(place);
    act(() =>
      root.render(
        <SeenContext.Provider value={seen}>
          <Value />
        </SeenContext.Provider>,
      ),
    );
    act(() => store.tell(2));
    expect(place.textContent).toBe('2');
    act(() => shown.tell(0));
    act(() => store.tell(3));
    act(() => store.tell(4));
    expect(painted).toEqual([1, 2]);
    act(() => shown.tell(1));
    expect([place.textContent, painted]).toEqual(['4', [1, 2, 4]]);
    act(() => root.unmount());
    expect([store.heard(), shown.heard()]).toEqual([0, 0]);
  });

  it('that may wait is shown once nothing else is to be done, and not at all where another came or nobody looks any more', () => {
    browserThatIsBusy();
    const store = telling(1);
    const even = () => store.now() % 2 === 0;
    const painted: number[] = [];
    const Value = () => {
      painted.push(useWhileSeen(store, store.now, even));
      return null;
    };
    const root = createRoot(document.createElement('div'));
    act(() => root.render(<Value />));
    act(() => store.tell(2));
    expect(painted).toEqual([1]);
    act(() => browserIsIdle());
    expect(painted).toEqual([1, 2]);
    act(() => store.tell(4));
    act(() => store.tell(5));
    expect(painted).toEqual([1, 2, 5]);
    act(() => browserIsIdle());
    act(() => store.tell(6));
    act(() => root.unmount());
    act(() => browserIsIdle());
    expect(painted).toEqual([1, 2, 5]);
    jest.useRealTimers();
  });
});
