import { openingWindow, type Part } from '../circuit';
import { formatOpening } from '../units';
import { openingSeconds } from '../wiring';

/** How long a fuse holds what it carries, in words: "it opens after 0.2 s to 3 s". @param amps through it, A */
export function holdsInWords(fuse: Extract<Part, { kind: 'fuse' }>, amps: number): string {
  const { fastest, slowest } = openingWindow(fuse, amps);
  if (fastest.kind === 'not-shown') return 'no curve is published for how long it holds';
  const [from, to] = [openingSeconds(fastest), openingSeconds(slowest)];
  if (from === null) return 'it holds for ever';
  return to === null
    ? `it opens after ${formatOpening(from)} at the soonest, or never`
    : `it opens after ${formatOpening(from)} to ${formatOpening(to)}`;
}
