/** Whether two sets of a field's properties say the same: paths, steps and choices are written out anew each time. */
export function sameProps(one: object, other: object): boolean {
  const [ours, theirs] = [Object.entries(one), new Map<string, unknown>(Object.entries(other))];
  return ours.length === theirs.size && ours.every(([key, value]) => theirs.has(key) && same(value, theirs.get(key)));
}

function same(one: unknown, other: unknown): boolean {
  if (one === other) return true;
  if (typeof one !== 'object' || typeof other !== 'object' || one === null || other === null) return false;
  return JSON.stringify(one) === JSON.stringify(other);
}
