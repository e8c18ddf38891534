import { doneByNow, oncePainted } from './oncePainted';

const follow = jest.fn();
let hidden = false;

beforeEach(() => {
  jest.useFakeTimers();
  follow.mockClear();
  hidden = false;
  Object.defineProperty(document, 'hidden', { configurable: true, get: () => hidden });
});
afterEach(() => {
  doneByNow();
  jest.useRealTimers();
});

describe('what follows from a touch', () => {
  it('is done after the frame, not with it', () => {
    oncePainted(follow);
    expect(follow).not.toHaveBeenCalled();
    // The frame itself.
    jest.advanceTimersToNextTimer();
    expect(follow).not.toHaveBeenCalled();
    jest.advanceTimersToNextTimer();
    expect(follow).toHaveBeenCalledTimes(1);
  });

  it.each(['pointerdown', 'click', 'keydown', 'popstate', 'visibilitychange', 'pagehide'])(
    'is done before a %s is heard, and once',
    (kind) => {
      const order: string[] = [];
      oncePainted(() => order.push('followed'));
      const hear = () => order.push('heard');
      document.addEventListener(kind, hear);
      document.dispatchEvent(new Event(kind, { bubbles: true }));
      document.removeEventListener(kind, hear);
      jest.runAllTimers();
      expect(order).toEqual(['followed', 'heard']);
    },
  );

  it('waits for nothing else', () => {
    oncePainted(follow);
    for (const kind of ['pointermove', 'pointerup', 'scroll', 'input'])
      document.dispatchEvent(new Event(kind, { bubbles: true }));
    expect(follow).not.toHaveBeenCalled();
  });

  it('is done before what follows from the next one', () => {
    const order: string[] = [];
    oncePainted(() => order.push('first'));
    oncePainted(() => order.push('second'));
    expect(order).toEqual(['first']);
    jest.runAllTimers();
    expect(order).toEqual(['first', 'second']);
  });

  it('is done at once where nothing is painted', () => {
    hidden = true;
    oncePainted(follow);
    expect(follow).toHaveBeenCalledTimes(1);
    jest.runAllTimers();
    expect(follow).toHaveBeenCalledTimes(1);
  });

  it('is done at once where that is asked for, and not again', () => {
    oncePainted(follow);
    doneByNow();
    doneByNow();
    jest.runAllTimers();
    expect(follow).toHaveBeenCalledTimes(1);
  });

  it('may itself show something', () => {
    oncePainted(() => oncePainted(follow));
    doneByNow();
    expect(follow).not.toHaveBeenCalled();
    jest.runAllTimers();
    expect(follow).toHaveBeenCalledTimes(1);
  });
});
