import { act, type ComponentType } from 'react';
import { Text } from 'react-native';
import { boatWith, Page, storeWith } from '../testing/page.fixture';
import { DialogComing, lazily } from './lazily';

jest.mock('expo-router', () => ({ useRouter: () => ({ navigate: () => undefined }) }));

interface Greeting {
  readonly to: string;
}

const Hello: ComponentType<Greeting> = ({ to }) => <Text>{`Hello, ${to}`}</Text>;

let page: Page;
beforeEach(() => {
  page = new Page(storeWith(boatWith()));
});
afterEach(() => {
  page.close();
  jest.useRealTimers();
});

/** Code that comes, or fails to, when the test says so. */
function onCall() {
  const settles: { come: () => Promise<void>; fail: () => Promise<void> }[] = [];
  const load = jest.fn(
    () =>
      new Promise<ComponentType<Greeting>>((resolve, reject) =>
        settles.push({
          come: () => act(async () => resolve(Hello)),
          fail: () => act(async () => reject(new Error('no connection'))),
        }),
      ),
  );
  const last = () => {
    const settle = settles[settles.length - 1];
    if (!settle) throw new Error('Nothing was asked for.');
    return settle;
  };
  return { load, last };
}

describe('a page that is loaded when it is first shown', () => {
  it('stands as soon as its code is there, and after a while says that it is coming', async () => {
    jest.useFakeTimers();
    const { load, last } = onCall();
    const Screen = lazily(load);
    page.show(() => <Screen to="Tern" />);
    expect(page.has('The page is being loaded')).toBe(false);
    act(() => jest.advanceTimersByTime(500));
    expect(page.has('The page is being loaded')).toBe(true);
    await last().come();
    expect(page.text).toBe('Hello, Tern');
    expect(page.has('The page is being loaded')).toBe(false);
  });

  it('is said in a dialog where it is one, after a while, which can be closed', async () => {
    jest.useFakeTimers();
    const close = jest.fn();
    const Asks = lazily<{ readonly onClose: () => void }>(() => new Promise(() => undefined), DialogComing);
    page.show(() => <Asks onClose={close} />);
    expect(page.text).not.toContain('One moment');
    act(() => jest.advanceTimersByTime(500));
    expect(page.text).toContain('One moment');
    jest.useRealTimers();
    await page.pressText('Close');
    expect(close).toHaveBeenCalledTimes(1);
  });

  it('stands at once where it was fetched ahead, and its code is asked for once', async () => {
    const { load, last } = onCall();
    const Screen = lazily(load);
    const ahead = Screen.fetchAhead();
    await last().come();
    await ahead;
    page.show(() => <Screen to="Tern" />);
    expect(page.text).toBe('Hello, Tern');
    page.show(() => <Screen to="Wren" />);
    expect(page.text).toBe('Hello, Wren');
    expect(load).toHaveBeenCalledTimes(1);
  });

  it('that does not come says so in plain words, and comes when it is tried again', async () => {
    const { load, last } = onCall();
    const Screen = lazily(load);
    page.show(() => <Screen to="Tern" />);
    await last().fail();
    expect(page.text).toContain('This page is not on this device yet');
    expect(page.text).toContain('What you entered is kept on this device.');
    await page.pressText('Try again');
    await last().come();
    expect(page.text).toBe('Hello, Tern');
    expect(load).toHaveBeenCalledTimes(2);
  });

  it('that failed to come ahead is asked for again when it is shown', async () => {
    const { load, last } = onCall();
    const Screen = lazily(load);
    const ahead = Screen.fetchAhead();
    await last().fail();
    await expect(ahead).resolves.toBeUndefined();
    page.show(() => <Screen to="Tern" />);
    await last().come();
    expect(page.text).toBe('Hello, Tern');
  });
});
