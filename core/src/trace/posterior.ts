import type { HuntTest, Reading } from './huntTest';
import { spreadOf } from './predictions';

/** A reading that was misread, or taken at the wrong place (E). */
export const MISREAD = 0.02;

/** So much of the shares goes to what is not in the list (E). */
export const ELSE_SHARE = 0.02;

/** What is looked at closely is seldom taken for something else. */
const SEEN_WRONG = 0.1;

/** Over what an instrument can show a misread figure lies anywhere. */
const RANGE = { volts: 32, amps: 100, ohms: 1000 } as const;

const ROOT_2_PI = Math.sqrt(2 * Math.PI);

/** How many different things may be said of what is seen; fewer make no difference that counts. */
const LEAST_WORDS = 3;

/** Density of a figure nobody predicts, or the chance of a word. */
export function flatDensity({ reads }: HuntTest, read: Reading, words: number): number {
  if (typeof read === 'string') return 1 / Math.max(LEAST_WORDS, words);
  return 1 / (reads.kind === 'volts' || reads.kind === 'amps' || reads.kind === 'ohms' ? RANGE[reads.kind] : 1);
}

/**
 * How likely a reading is where another was predicted: normal about the figure with half of its window’s side as standard
 * deviation, and two in a hundred anything at all.
 * @param words how many different words this test may read
 */
export function likelihood(test: HuntTest, predicted: Reading, read: Reading, words: number): number {
  const flat = MISREAD * flatDensity(test, read, words);
  if (typeof read === 'string' || typeof predicted === 'string')
    return read === predicted ? 1 - MISREAD + flat : flat * (test.reads.kind === 'shown' ? SEEN_WRONG : 1);
  const { below, above } = spreadOf(test, predicted);
  const spread = read < predicted ? below : above;
  const off = (read - predicted) / spread;
  // Both sides under one roof: the density of a normal that is wider on one side.
  return ((1 - MISREAD) * 2 * Math.exp(-0.5 * off * off)) / (ROOT_2_PI * (below + above)) + flat;
}

/** Further off than so many standard deviations a figure speaks against what was predicted. */
const AGAINST = 3;

/** Whether a reading is not what was predicted, or read before. */
export function isOff(test: HuntTest, predicted: Reading, value: Reading): boolean {
  if (typeof predicted === 'string' || typeof value === 'string') return predicted !== value;
  const { below, above } = spreadOf(test, predicted);
  return value < predicted ? predicted - value > AGAINST * below : value - predicted > AGAINST * above;
}

/** Weights in logs, as shares that sum to one. */
export function normalised(logs: readonly number[]): number[] {
  const most = Math.max(...logs);
  const weights = logs.map((log) => Math.exp(log - most));
  const sum = weights.reduce((total, one) => total + one, 0);
  return weights.map((one) => one / sum);
}

/** The log of a sum of weights that are given in logs. */
export function logOfSum(logs: readonly number[]): number {
  const most = Math.max(...logs);
  return most + Math.log(logs.reduce((sum, log) => sum + Math.exp(log - most), 0));
}
