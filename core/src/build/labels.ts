import type { Circuit } from '../job';
import type { PlannedConductor } from '../schemes';
import { formatAmps } from '../units';

/** A label: what is on it, and where it goes. */
export interface Label {
  readonly text: string;
  readonly where: string;
  /** The conductor it is for; null for one at the source. */
  readonly conductor: string | null;
}

/** The circuit on its labels: what was chosen, else the first letters of its name's words and digits. */
export function labelCode({ name, build }: Pick<Circuit, 'name' | 'build'>): string {
  if (build?.labelCode) return build.labelCode;
  const words = name.match(/\p{L}+|\p{N}+/gu) ?? [];
  const code = words.map((word) => (/^\p{N}/u.test(word) ? word : word.charAt(0).toUpperCase())).join('');
  return code === '' ? 'BP' : code.slice(0, 6);
}

/** What a conductor's two ends are marked with: `CIRCUIT-CONDUCTOR-END`. */
export function endLabels(code: string, { id }: Pick<PlannedConductor, 'id'>): readonly [string, string] {
  const own = id.toUpperCase();
  return [`${code}-${own}-A`, `${code}-${own}-B`];
}

/** The labels of a conductor: at both ends, and on both sides of each bulkhead. */
export function conductorLabels(
  code: string,
  conductor: Pick<PlannedConductor, 'id' | 'name'>,
  ends: { readonly from: string; readonly to: string },
  bulkheads: number,
): Label[] {
  const [a, b] = endLabels(code, conductor);
  const { id } = conductor;
  const sides = Array.from({ length: bulkheads }, (_, at): Label[] => [
    { text: a, where: `Bulkhead ${at + 1}, dry side`, conductor: id },
    { text: b, where: `Bulkhead ${at + 1}, wet side`, conductor: id },
  ]);
  return [{ text: a, where: ends.from, conductor: id }, ...sides.flat(), { text: b, where: ends.to, conductor: id }];
}

/** The label at the source: that the isolator does not make it dead, and by what it is fused. */
export function sourceLabel({ name, source }: Pick<Circuit, 'name' | 'source'>, ratingA: number | null): Label {
  const live = source?.feed === 'isolator' ? 'THROUGH THE ISOLATOR' : 'ALWAYS LIVE';
  const rating = ratingA === null ? '' : ` · ${formatAmps(ratingA)}`;
  return { text: `${name.toUpperCase()} · ${live}${rating}`, where: 'At the fuse', conductor: null };
}
