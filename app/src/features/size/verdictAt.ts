import type { Verdicts } from '@harbor-latch/core/assess/verdicts';
import type { Verdict } from '../../ui/ChoiceRow';

/** The verdict of a choice, for its chip; nothing while it is not known. */
export function verdictAt(verdicts: Verdicts | null, value: string): { readonly verdict?: Verdict } {
  const known = verdicts?.of[value];
  return known ? { verdict: known.standing } : {};
}
