import { v4 } from 'uuid';

const KEY = 'latch.device';
let held: string | undefined;

/** This device, as the server tells it from others; one that may store nothing has another name each time it is opened. */
export function deviceId(): string {
  if (held !== undefined) return held;
  try {
    held = window.localStorage.getItem(KEY) ?? v4();
    window.localStorage.setItem(KEY, held);
  } catch {
    held ??= v4();
  }
  return held;
}
