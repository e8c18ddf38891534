import { isOf, type KnownEntry } from '../records';
import { windowKeys, windowSettings, type Windows } from './windows';

/** The windows that were set for a boat: of each the last. @param entries those that count, in the order in which they were made */
export function windowsIn(entries: readonly KnownEntry[]): Windows {
  const set = new Map(entries.filter(isOf('window')).map(({ body }) => [body.window, body.to]));
  return Object.fromEntries(
    windowKeys.flatMap((key) => {
      const to = set.get(key) ?? null;
      return to === null || to > windowSettings[key].most ? [] : [[key, to]];
    }),
  );
}
