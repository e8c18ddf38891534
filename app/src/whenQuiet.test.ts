import { browserIsIdle, browserThatIsBusy, touch } from './testing/idleBrowser.fixture';
import { hearTouches, noteMovement, whenQuiet } from './whenQuiet';

let end: () => void = () => undefined;

beforeEach(() => {
  browserThatIsBusy();
  end = hearTouches();
});
afterEach(() => {
  end();
  jest.useRealTimers();
});

describe('what nobody waits for', () => {
  it('is done once nobody touched anything for two seconds', () => {
    const done = jest.fn();
    touch();
    whenQuiet(done);
    jest.advanceTimersByTime(1990);
    browserIsIdle();
    expect(done).not.toHaveBeenCalled();
    jest.advanceTimersByTime(20);
    browserIsIdle();
    expect(done).toHaveBeenCalledTimes(1);
  });

  it('waits anew when a touch comes before the browser is idle, or something moves', () => {
    const done = jest.fn();
    touch();
    whenQuiet(done);
    jest.advanceTimersByTime(2010);
    touch();
    browserIsIdle();
    jest.advanceTimersByTime(1000);
    noteMovement();
    jest.advanceTimersByTime(1010);
    browserIsIdle();
    expect(done).not.toHaveBeenCalled();
    jest.advanceTimersByTime(2000);
    browserIsIdle();
    expect(done).toHaveBeenCalledTimes(1);
  });

  it('does not wait for a touch of before a time, and not at all once it is taken back', () => {
    const [done, takenBack] = [jest.fn(), jest.fn()];
    touch();
    jest.advanceTimersByTime(10);
    whenQuiet(done, performance.now());
    whenQuiet(takenBack)();
    browserIsIdle();
    jest.advanceTimersByTime(5000);
    browserIsIdle();
    expect(done).toHaveBeenCalledTimes(1);
    expect(takenBack).not.toHaveBeenCalled();
  });

  it('is done one thing after the other, each when the browser is idle again', () => {
    const done: string[] = [];
    touch();
    for (const name of ['first', 'second', 'third']) whenQuiet(() => done.push(name));
    jest.advanceTimersByTime(2010);
    for (const expected of [['first'], ['first', 'second'], ['first', 'second', 'third']]) {
      browserIsIdle();
      expect(done).toEqual(expected);
    }
  });

  it('lets what need not wait for a touch go before what must', () => {
    const [waits, goes] = [jest.fn(), jest.fn()];
    touch();
    whenQuiet(waits);
    jest.advanceTimersByTime(10);
    whenQuiet(goes, performance.now());
    browserIsIdle();
    expect([waits.mock.calls.length, goes.mock.calls.length]).toEqual([0, 1]);
    jest.advanceTimersByTime(2000);
    browserIsIdle();
    expect(waits).toHaveBeenCalledTimes(1);
  });
});
