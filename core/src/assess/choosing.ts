import type { Choices } from '../job';
import { conductorSizes, protectionFamilies } from '../reference';
import type { JudgedPump } from './judge';

/** What is chosen for, and a circuit's choices with each value that may be taken, by the value in text. */
export interface Choosing {
  /** Conductor or part. */
  readonly at: string;
  readonly choices: Readonly<Record<string, Choices>>;
}

/** The ratings of a circuit's fuse, or the sizes of one of its conductors; null where there is nothing to choose. */
export function choosingOf({ facts, plan }: JudgedPump, conductorId: string | null): Choosing | null {
  const { choices = {} } = facts.circuit;
  const each = (values: readonly (string | number)[], taking: (value: string) => Choices) =>
    Object.fromEntries(values.map((value) => [String(value), { ...choices, ...taking(String(value)) }]));
  if (conductorId === null) {
    const { kind, ratingA } = facts.protection;
    if (facts.sharedFeed) return null;
    const ratings = [...new Set([...protectionFamilies[kind].ratingsA, ratingA])];
    return { at: plan.ids.fuse, choices: each(ratings, (value) => ({ protection: { kind, ratingA: Number(value) } })) };
  }
  const conductor = facts.conductors.find(({ planned }) => planned.id === conductorId);
  if (!conductor) return null;
  const sizes = conductorSizes[conductor.family].map(({ size }) => size);
  return {
    at: conductorId,
    choices: each(sizes, (size) => ({ conductors: { ...choices.conductors, [conductorId]: size } })),
  };
}
