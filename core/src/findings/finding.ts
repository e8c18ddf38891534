import type { Choices } from '../job';
import type { CircuitFacts } from './facts';

export type Severity = 'stop' | 'caution' | 'note';

/** A change of choices that answers a finding. */
export interface Fix {
  readonly label: string;
  /** The circuit's choices after the fix. */
  readonly choices: Choices;
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
  readonly fix?: Fix;
}

/** A family of rules: facts in, findings out. */
export type RuleFamily = (facts: CircuitFacts) => readonly Finding[];

const order: Readonly<Record<Severity, number>> = { stop: 0, caution: 1, note: 2 };

/** Worst first; equal severities keep their order. */
export function bySeverity(findings: readonly Finding[]): Finding[] {
  return [...findings].sort((one, other) => order[one.severity] - order[other.severity]);
}

/** The worst severity present, or null when there is nothing to say. */
export function worstSeverity(findings: readonly Finding[]): Severity | null {
  return bySeverity(findings)[0]?.severity ?? null;
}
