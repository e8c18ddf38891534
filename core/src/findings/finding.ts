import type { Circuit } from '../job';
import type { CircuitFacts } from './facts';
import type { WaterFacts } from './waterFacts';

export type Severity = 'stop' | 'caution' | 'note';

/** A change that may answer a finding; offered only after it was tried. */
export interface FixIdea {
  readonly label: string;
  /** The circuit as it would be. */
  readonly circuit: Circuit;
  /** Other circuits of the boat as they would be, where it changes more than one. */
  readonly also?: readonly Circuit[];
}

/** A change that was tried and answers its finding without a new stop. */
export interface Fix extends FixIdea {
  /** What it changes, each figure before and after: "drop 6.2 % → 2.9 %". */
  readonly effect: readonly string[];
}

/** A judgement: what, with its numbers, the rule and where the rule comes from. Plain data; its fix is asked for by its id. */
export interface Finding {
  /** Its code and its first place: no two findings of a circuit have the same. */
  readonly id: string;
  readonly code: string;
  readonly severity: Severity;
  /** What is wrong, the number, what to do. */
  readonly message: string;
  readonly rule: string;
  readonly source: string;
  /** Conductors, parts, circuits or batteries that it is about; the first gives it its place. */
  readonly at: readonly string[];
  readonly topic: Topic;
  /** Whether there is something that may answer it; what does is told when its fix is asked for. */
  readonly mayHaveFix: boolean;
}

/** What a finding is of: how it is wired and sized, its water, or the battery that several circuits share. */
export type Topic = 'wiring' | 'water' | 'battery';

/** What the working out of an idea may ask of the circuit that it is for. */
export interface Means {
  /** The same water with another place, float or hose; null where there is none. */
  waterAs(circuit: Circuit): WaterFacts | null;
}

/** A finding as its rule states it, with ideas of what may answer it, the best first; those that take reckoning are asked for later. */
export interface Judgement extends Omit<Finding, 'id' | 'topic' | 'mayHaveFix'> {
  /** Left out: wiring. */
  readonly topic?: Topic;
  readonly ideas?: readonly FixIdea[] | ((means: Means) => readonly FixIdea[]);
}

/** The ideas of a judgement, worked out. */
export function ideasOf({ ideas = [] }: Judgement, means: Means): readonly FixIdea[] {
  return typeof ideas === 'function' ? ideas(means) : ideas;
}

/** A family of rules: facts in, judgements out. */
export type RuleFamily<Facts = CircuitFacts> = (facts: Facts) => readonly Judgement[];

const order: Readonly<Record<Severity, number>> = { stop: 0, caution: 1, note: 2 };

/** Where a severity comes in a list, worst first; nothing to say comes last. */
export function severityRank(severity: Severity | null): number {
  return severity === null ? 3 : order[severity];
}

/** Worst first; equal severities keep their order. */
export function bySeverity<F extends { readonly severity: Severity }>(findings: readonly F[]): F[] {
  return [...findings].sort((one, other) => order[one.severity] - order[other.severity]);
}

/** The worst severity present, or null when there is nothing to say. */
export function worstSeverity(findings: readonly { readonly severity: Severity }[]): Severity | null {
  return bySeverity(findings)[0]?.severity ?? null;
}

/** A judgement's id: its code, and its first place where it has one. */
export function findingId({ code, at }: Pick<Judgement, 'code' | 'at'>): string {
  const [first] = at;
  return first === undefined ? code : `${code}@${first}`;
}
