import type { Job } from './schema';

/** Where a value stands: keys, and ids where a list holds things with ids. */
export type FieldPath = readonly string[];

/** A value that differs between two jobs; undefined where one has none. */
export interface Difference {
  readonly path: FieldPath;
  readonly before: unknown;
  readonly after: unknown;
}

/** Values that differ from one job to the other. A boat, circuit or battery that only one has is one difference. */
export function differences(before: Job, after: Job): Difference[] {
  return differ(before, after, []);
}

function differ(before: unknown, after: unknown, path: FieldPath): Difference[] {
  if (same(before, after)) return [];
  const [one, other] = [keyed(before), keyed(after)];
  if (!one || !other) return [{ path, before, after }];
  const keys = [...new Set([...one.keys(), ...other.keys()])];
  return keys.flatMap((key) => differ(one.get(key), other.get(key), [...path, key]));
}

export type Side = 'mine' | 'theirs';

/** A value that both sides changed, each to something else. */
export interface Conflict {
  readonly path: FieldPath;
  readonly mine: unknown;
  readonly theirs: unknown;
}

export interface Merged {
  /** The job with both sides' changes, conflicts settled as `choose` says. It has still to be validated. */
  readonly job: unknown;
  readonly conflicts: readonly Conflict[];
}

/**
 * Brings together two jobs that were changed from the same one: what only one
 * side changed is taken; where both did, `choose` settles it.
 */
export function mergeJobs(base: Job, mine: Job, theirs: Job, choose: (path: FieldPath) => Side): Merged {
  const conflicts: Conflict[] = [];
  const merge = (was: unknown, here: unknown, there: unknown, path: FieldPath): unknown => {
    if (same(here, there) || same(was, there)) return here;
    if (same(was, here)) return there;
    const [one, other] = [keyed(here), keyed(there)];
    if (!one || !other) {
      conflicts.push({ path, mine: here, theirs: there });
      return choose(path) === 'mine' ? here : there;
    }
    const before = keyed(was) ?? new Map<string, unknown>();
    const merged = [...new Set([...other.keys(), ...one.keys()])].flatMap((key): [string, unknown][] => {
      const value = merge(before.get(key), one.get(key), other.get(key), [...path, key]);
      return value === undefined ? [] : [[key, value]];
    });
    return Array.isArray(here) ? merged.map(([, value]) => value) : Object.fromEntries(merged);
  };
  return { job: merge(base, mine, theirs, []), conflicts };
}

/** An object by its keys, or a list by the ids of its things; null for anything else. */
function keyed(value: unknown): Map<string, unknown> | null {
  if (typeof value !== 'object' || value === null) return null;
  if (!Array.isArray(value)) return new Map(Object.entries(value));
  const items: readonly unknown[] = value;
  const ids = items.map((item) => (typeof item === 'object' && item !== null && 'id' in item ? item.id : undefined));
  return items.length > 0 && ids.every((id): id is string => typeof id === 'string')
    ? new Map(ids.map((id, index) => [id, items[index]]))
    : null;
}

function same(one: unknown, other: unknown): boolean {
  if (Object.is(one, other)) return true;
  const [a, b] = [keyed(one), keyed(other)];
  if (a && b) {
    const keys = [...new Set([...a.keys(), ...b.keys()])];
    return Array.isArray(one) === Array.isArray(other) && keys.every((key) => same(a.get(key), b.get(key)));
  }
  if (Array.isArray(one) && Array.isArray(other)) {
    return one.length === other.length && one.every((item, index) => same(item, other[index]));
  }
  return false;
}
