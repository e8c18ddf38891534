import type { FixIdea, Judgement, Means, Severity } from './finding';

interface Saying {
  readonly code: string;
  readonly severity: Severity;
  readonly message: string;
  readonly rule: string;
  readonly source?: string;
  readonly at?: readonly string[];
  readonly ideas?: (means: Means) => readonly FixIdea[];
}

/** A judgement on water; what it stands on is mostly the levels and volumes of the well. */
export function saying({ at = ['pump'], ...said }: Saying): Judgement {
  return { source: 'Levels and volumes of this well in every pose', at, topic: 'water', ...said };
}
