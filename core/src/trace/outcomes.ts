import type { HuntTest, Reading } from './huntTest';
import { spreadOf } from './predictions';

/** Readings further apart than so many standard deviations are never confused. */
const APART = 4;

/** A class of readings that no meter confuses with those of another. */
export interface OutcomeClass {
  /** In words: “about 12.1 V”, “0.02 to 0.4 V”, “standing”. */
  readonly words: string;
  readonly low: number | null;
  readonly high: number | null;
  readonly said: string | null;
}

const unitOf = ({ reads }: HuntTest) =>
  reads.kind === 'volts' ? 'V' : reads.kind === 'amps' ? 'A' : reads.kind === 'ohms' ? 'Ω' : '';

const digits = (value: number) =>
  Math.abs(value) < 1 ? value.toFixed(2) : value.toFixed(Math.abs(value) < 100 ? 1 : 0);
/** Without a sign before nothing. */
const plain = (value: number) => digits(Math.abs(value) < 0.005 ? 0 : value);

/**
 * Classes of a test’s readings: words each their own; figures sorted, and parted where the gap is over four standard
 * deviations of what stands on either side.
 * @returns the classes, and of each reading the number of its class
 */
export function classesOf(
  test: HuntTest,
  readings: readonly Reading[],
): { readonly classes: readonly OutcomeClass[]; readonly of: readonly number[] } {
  const figures = [...new Set(readings.filter((one) => typeof one === 'number'))].sort((a, b) => a - b);
  const runs: number[][] = [];
  for (const value of figures) {
    const run = runs[runs.length - 1];
    const last = run?.[run.length - 1];
    const near =
      last !== undefined && value - last <= APART * Math.max(spreadOf(test, last).above, spreadOf(test, value).below);
    if (run && near) run.push(value);
    else runs.push([value]);
  }
  const unit = unitOf(test);
  const told = new Set<string>();
  const numbers = runs.map((run): OutcomeClass => {
    const [low = 0] = run;
    const high = run[run.length - 1] ?? low;
    const short =
      plain(low) === plain(high) ? `about ${plain(low)} ${unit}` : `${plain(low)} to ${plain(high)} ${unit}`;
    // Two classes never go by the same words.
    const words = told.has(short) ? `${low.toPrecision(4)} to ${high.toPrecision(4)} ${unit}` : short;
    told.add(words);
    return { words, low, high, said: null };
  });
  const said = [...new Set(readings.filter((one) => typeof one === 'string'))].map((words): OutcomeClass => ({
    words,
    low: null,
    high: null,
    said: words,
  }));
  const classes = [...numbers, ...said];
  return {
    classes,
    of: readings.map((one) =>
      typeof one === 'number'
        ? numbers.findIndex(({ low, high }) => low !== null && high !== null && one >= low && one <= high)
        : numbers.length + said.findIndex((each) => each.said === one),
    ),
  };
}
