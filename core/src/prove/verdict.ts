import type { ProveTest } from './proveTest';
import { windowRules, type Expected } from './windows';

/** What was read: a figure in the test's unit, or words. */
export type Read = { readonly value: number; readonly unit: string } | { readonly said: string };

export interface Judged {
  readonly verdict: 'pass' | 'look' | 'miss';
  /** What it means, in a sentence; empty where nothing is to be said. */
  readonly words: string;
}

const SLACK = 1e-9;
const pass = (words = ''): Judged => ({ verdict: 'pass', words });
const miss = (words: string): Judged => ({ verdict: 'miss', words });

/** Judges a reading by its test: inside the window, to be looked at again, or missed, and what that suggests. */
export function judged(test: ProveTest, read: Read): Judged {
  const { expect } = test;
  if ('state' in expect) {
    const said = 'said' in read ? read.said : ohmWords(read.value);
    return said === expect.state
      ? pass()
      : miss(test.missLow === '' && test.missHigh === '' ? '' : suggested(test, said));
  }
  if ('said' in read) return judgedWords(test, expect, read.said);
  return judgedFigure(test, expect, read.value);
}

const ohmWords = (ohm: number) => (Math.abs(ohm) < windowRules.closedOhm ? 'closed' : 'some ohms');

function suggested({ expect, missHigh, missLow }: ProveTest, said: string): string {
  const open = 'state' in expect && expect.state === 'open';
  // Open where closed was wanted reads high; closed where open was wanted reads low.
  return open ? missLow || missHigh : said === 'open' || said === 'some ohms' ? missHigh : missLow || missHigh;
}

function judgedWords(test: ProveTest, expect: Expected, said: string): Judged {
  if (expect.unit === 'Ω' && said === 'closed')
    return expect.low <= windowRules.closedOhm
      ? pass('A meter in the hand says no more than closed here: it does not tell a shorted winding. The amperes do.')
      : miss(test.missLow);
  if (expect.unit === 'Ω' && said === 'open') return miss(test.missHigh);
  return miss('');
}

function judgedFigure(test: ProveTest, { nominal, low, high, unit }: Expected, value: number): Judged {
  if (value >= low - SLACK && value <= high + SLACK) return pass();
  const words = value > high ? test.missHigh : test.missLow;
  const again = windowRules.lookAgain.share * Math.abs(nominal) + SLACK;
  if (unit === 'A' && test.instrument === 'clamp' && Math.abs(value - nominal) <= again)
    return { verdict: 'look', words };
  return miss(words);
}

/** Something about a typed figure that is to be asked before it is taken. */
export interface ReadingDoubt {
  readonly question: string;
  /** What may have been meant; null where nothing comes to mind. */
  readonly meant: number | null;
}

const MOST_V = 16;
const MOST_OHM = 1_000_000;

/** Doubts a figure that no 12-volt circuit shows, or that is of another instrument. @returns null where there is no doubt */
export function doubted({ expect, instrument }: ProveTest, value: number): ReadingDoubt | null {
  if ('state' in expect) return null;
  const { unit, nominal } = expect;
  if (value < 0 && (unit === 'Ω' || unit === 'L/h' || unit === 's'))
    return { question: 'It cannot be less than nothing.', meant: -value };
  if (value < 0 && unit === 'A') return { question: 'The clamp is round the conductor the other way.', meant: -value };
  if (unit === 'V' && value < -1 && nominal > 1)
    return { question: 'The probes are the other way round.', meant: -value };
  if (unit === 'V' && Math.abs(value) > MOST_V) {
    const tenth = value / 10;
    return {
      question: `A 12 V circuit shows no ${value} V.`,
      meant: tenth <= MOST_V && tenth >= 5 ? tenth : null,
    };
  }
  if (unit === 'A' && instrument === 'clamp' && value > 100 && nominal < 50)
    return { question: `${value} A would have blown every fuse: milliamperes?`, meant: value / 1000 };
  if (unit === 'Ω' && nominal < 5 && value >= 10 && value <= MOST_V && !Number.isInteger(value))
    return { question: `${value} looks like volts. The fuse must be out, and the meter on ohms.`, meant: null };
  if (unit === 'Ω' && value > MOST_OHM) return { question: 'That is as good as open.', meant: null };
  return null;
}

/** Whether readings are worth anything at this battery; the sentence where they are not. */
export function batteryTooLow(tests: readonly ProveTest[], restingV: number | undefined): string | null {
  const test = tests.find(({ id }) => id === 'battery-resting');
  if (!test || restingV === undefined || 'state' in test.expect || restingV >= test.expect.low) return null;
  return `At ${restingV} V the battery is too far down: charge it first. What is read now proves nothing.`;
}
