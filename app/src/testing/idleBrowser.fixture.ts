let idle: (() => void)[] = [];

/** A browser that is idle only when it is told to be, with a clock that stands. */
export function browserThatIsBusy(): void {
  jest.useFakeTimers();
  idle = [];
  Object.assign(window, {
    requestIdleCallback: (call: () => void) => idle.push(call),
    cancelIdleCallback: (which: number) => {
      idle[which - 1] = () => undefined;
    },
  });
}

export const browserIsIdle = (): void => idle.splice(0).forEach((call) => call());

/** A finger or a key comes down now. */
export function touch(kind: 'pointerdown' | 'keydown' = 'pointerdown'): void {
  const event = new Event(kind);
  Object.defineProperty(event, 'timeStamp', { value: performance.now() });
  dispatchEvent(event);
}
