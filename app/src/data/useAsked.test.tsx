import { act } from 'react';
import { createRoot, type Root } from 'react-dom/client';
import { SeenContext, type Seen } from '../seen';
import { browserIsIdle, browserThatIsBusy, touch } from '../testing/idleBrowser.fixture';
import { hearTouches } from '../whenQuiet';
import { useAsked } from './useAsked';

Object.assign(globalThis, { IS_REACT_ACT_ENVIRONMENT: true });

const place = document.createElement('div');
let root: Root;
let isSeen: boolean;
let seenAgain: (() => void)[];
let end: () => void;
const seen: Seen = {
  now: () => isSeen,
  subscribe: (listener) => {
    seenAgain.push(listener);
    return () => void (seenAgain = seenAgain.filter((one) => one !== listener));
  },
};

function Page({ of, ask }: { readonly of: string; readonly ask: (() => Promise<string>) | null }) {
  return useAsked(of, ask) ?? 'nothing';
}

const show = (of: string, ask: (() => Promise<string>) | null) =>
  act(async () =>
    root.render(
      <SeenContext.Provider value={seen}>
        <Page of={of} ask={ask} />
      </SeenContext.Provider>,
    ),
  );
const answers = (answer: string) => () => Promise.resolve(answer);
const told = () => place.textContent;

beforeEach(() => {
  browserThatIsBusy();
  end = hearTouches();
  isSeen = true;
  seenAgain = [];
  root = createRoot(place);
});
afterEach(() => {
  act(() => root.unmount());
  end();
  jest.useRealTimers();
});

describe('what is worked out apart from the page', () => {
  it('is shown where it is seen as soon as it is answered; the last answer stands until the next', async () => {
    await show('feed', answers('10 AWG'));
    expect(told()).toBe('10 AWG');
    let answer: (text: string) => void = () => undefined;
    const later = new Promise<string>((resolve) => (answer = resolve));
    await show('feed', () => later);
    expect(told()).toBe('10 AWG');
    await act(async () => answer('8 AWG'));
    expect(told()).toBe('8 AWG');
  });

  it('is none about something else, and while nothing is asked the last stands', async () => {
    await show('feed', answers('10 AWG'));
    await show('return', null);
    expect(told()).toBe('nothing');
    await show('feed', null);
    expect(told()).toBe('10 AWG');
  });

  it('changes nothing where it cannot be answered', async () => {
    await show('feed', answers('10 AWG'));
    await show('feed', () => Promise.reject(new Error('No answer.')));
    expect(told()).toBe('10 AWG');
  });

  it('waits where it is not seen until nobody has touched anything for a while', async () => {
    isSeen = false;
    touch();
    await show('feed', answers('10 AWG'));
    jest.advanceTimersByTime(1999);
    act(browserIsIdle);
    expect(told()).toBe('nothing');
    jest.advanceTimersByTime(1);
    act(browserIsIdle);
    expect(told()).toBe('10 AWG');
  });

  it('is shown as soon as it is seen', async () => {
    isSeen = false;
    touch();
    await show('feed', answers('10 AWG'));
    expect(told()).toBe('nothing');
    isSeen = true;
    act(() => seenAgain.forEach((listener) => listener()));
    expect(told()).toBe('10 AWG');
    expect(seenAgain).toHaveLength(0);
  });

  it('is shown as soon as it is seen, though the touch that shows it took back what was begun', async () => {
    isSeen = false;
    touch();
    await show('feed', answers('10 AWG'));
    jest.advanceTimersByTime(2000);
    act(() => {
      browserIsIdle();
      touch();
    });
    expect(told()).toBe('nothing');
    isSeen = true;
    act(() => seenAgain.forEach((listener) => listener()));
    expect(told()).toBe('10 AWG');
  });

  it('leaves a page as it is that asked for something else meanwhile', async () => {
    isSeen = false;
    touch();
    await show('feed', answers('10 AWG'));
    await show('feed', answers('8 AWG'));
    jest.advanceTimersByTime(2000);
    act(browserIsIdle);
    act(browserIsIdle);
    expect(told()).toBe('8 AWG');
  });
});
