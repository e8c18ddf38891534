import { act, useState } from 'react';
import { createRoot, type Root } from 'react-dom/client';
import { Interruptible, makeReady } from './makeReady';
import { hearTouches } from './whenQuiet';
import { browserIsIdle, browserThatIsBusy, touch } from './testing/idleBrowser.fixture';

let root: Root;
let setShown: (shown: boolean) => void;
let ends: (() => void)[] = [];
const place = document.createElement('div');

function Page() {
  const [shown, set] = useState(false);
  setShown = set;
  return (
    <>
      <Interruptible />
      {shown ? 'ready' : 'not yet'}
    </>
  );
}

const flags = globalThis as { IS_REACT_ACT_ENVIRONMENT?: boolean };
const begin = () => {
  const stands = makeReady(
    () => setShown(true),
    () => setShown(false),
  );
  ends.push(stands);
  return stands;
};

beforeEach(() => {
  browserThatIsBusy();
  flags.IS_REACT_ACT_ENVIRONMENT = true;
  ends = [hearTouches()];
  root = createRoot(place);
  act(() => root.render(<Page />));
});
afterEach(() => {
  for (const end of ends) end();
  act(() => root.unmount());
  jest.useRealTimers();
});

describe('what is made ready', () => {
  it('is shown', () => {
    act(() => void begin());
    expect(place.textContent).toBe('ready');
  });

  it.each(['pointerdown', 'keydown'] as const)(
    'is taken back by a %s before it stands, and made once nobody touches anything',
    (kind) => {
      act(() => {
        begin();
        touch(kind);
      });
      expect(place.textContent).toBe('not yet');
      jest.advanceTimersByTime(1999);
      act(browserIsIdle);
      expect(place.textContent).toBe('not yet');
      jest.advanceTimersByTime(1);
      act(browserIsIdle);
      expect(place.textContent).toBe('ready');
    },
  );

  it('is taken back by every touch that comes while it is made anew', () => {
    act(() => {
      begin();
      touch('pointerdown');
    });
    jest.advanceTimersByTime(2000);
    act(() => {
      browserIsIdle();
      touch('pointerdown');
    });
    expect(place.textContent).toBe('not yet');
    jest.advanceTimersByTime(2000);
    act(browserIsIdle);
    expect(place.textContent).toBe('ready');
  });

  it('stays once it stands', () => {
    act(() => {
      const stands = begin();
      stands();
    });
    act(() => touch('pointerdown'));
    expect(place.textContent).toBe('ready');
  });

  it('is not made anew where it is wanted no more', () => {
    let notWanted: () => void = () => undefined;
    act(() => {
      notWanted = begin();
      touch('pointerdown');
    });
    notWanted();
    jest.advanceTimersByTime(5000);
    act(browserIsIdle);
    expect(place.textContent).toBe('not yet');
  });
});
