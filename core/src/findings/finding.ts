import type { Circuit } from '../job';
import type { CircuitFacts } from './facts';

export type Severity = 'stop' | 'caution' | 'note';

/** A change that may answer a finding; offered only after it was tried. */
export interface FixIdea {
  readonly label: string;
  /** The circuit as it would be. */
  readonly circuit: Circuit;
}

/** A change that was tried and answers its finding without a new stop. */
export interface Fix extends FixIdea {
  /** What it changes, each figure before and after: "drop 6.2 % → 2.9 %". */
  readonly effect: readonly string[];
}

/** A judgement: what, with its numbers, the rule and where the rule comes from. */
export interface Finding {
  readonly code: string;
  readonly severity: Severity;
  readonly message: string;
  readonly rule: string;
  readonly source: string;
  /** The conductor or part it is about. */
  readonly about?: string;
  /** Tried when it is first read. */
  readonly fix?: Fix | undefined;
}

/** A finding as its rule states it, with ideas of what may answer it, the best first; those that take reckoning are asked for later. */
export interface Judgement extends Omit<Finding, 'fix'> {
  readonly ideas?: readonly FixIdea[] | (() => readonly FixIdea[]);
}

/** A family of rules: facts in, judgements out. */
export type RuleFamily = (facts: CircuitFacts) => readonly Judgement[];

const order: Readonly<Record<Severity, number>> = { stop: 0, caution: 1, note: 2 };

/** Worst first; equal severities keep their order. */
export function bySeverity<F extends { readonly severity: Severity }>(findings: readonly F[]): F[] {
  return [...findings].sort((one, other) => order[one.severity] - order[other.severity]);
}

/** The worst severity present, or null when there is nothing to say. */
export function worstSeverity(findings: readonly { readonly severity: Severity }[]): Severity | null {
  return bySeverity(findings)[0]?.severity ?? null;
}
