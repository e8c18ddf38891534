import { severityRank, type Judgement, type Severity } from '../findings';

/** What comes of a choice before it is made. */
export interface Verdict {
  readonly standing: 'good' | 'caution' | 'stop';
  /** The worst that is then found; null where nothing is. */
  readonly reason: string | null;
  /** Its code: choices that fail for the same reason share it. */
  readonly code: string | null;
}

/** What each of several choices would bring. */
export interface Verdicts {
  /** By the choice's value in text; a choice that could not be judged has none. */
  readonly of: Readonly<Record<string, Verdict>>;
  /** What is found of the thing itself whichever is taken: choosing answers none of it. */
  readonly always: readonly { readonly severity: Severity; readonly message: string }[];
}

const GOOD: Verdict = { standing: 'good', reason: null, code: null };

/**
 * The verdict of each choice: the worst that is found with it and not with every other.
 * @param tried what is found with each choice; null where it could not be judged
 * @param at conductor or part that is chosen for
 */
export function verdictsOf(tried: Readonly<Record<string, readonly Judgement[] | null>>, at: string): Verdicts {
  const judged = Object.entries(tried).flatMap(([value, found]) => {
    const counted = found?.filter(({ severity }) => severity !== 'note');
    return counted ? [[value, counted] as const] : [];
  });
  // One finding may speak of several places: what is said of a place whichever is taken says nothing of the choice.
  const sayings = judged.map(([, found]) => new Set(found.flatMap(sayingsOf)));
  const common = (saying: string) => sayings.every((said) => said.has(saying));
  const [first] = judged;
  return {
    of: Object.fromEntries(
      judged.map(([value, found]) => [value, verdictBy(found.filter((one) => !sayingsOf(one).every(common)))]),
    ),
    always: (first?.[1] ?? [])
      .filter((one) => one.at.includes(at) && sayingsOf(one).every(common))
      .map(({ severity, message }) => ({ severity, message })),
  };
}

/** What a finding says of each of its places. */
function sayingsOf({ code, severity, at }: Judgement): string[] {
  return (at.length === 0 ? [''] : at).map((place) => `${code} ${severity} ${place}`);
}

function verdictBy(found: readonly Judgement[]): Verdict {
  const [worst] = [...found].sort((one, other) => severityRank(one.severity) - severityRank(other.severity));
  return !worst || worst.severity === 'note'
    ? GOOD
    : { standing: worst.severity, reason: worst.message, code: worst.code };
}
