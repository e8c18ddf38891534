import { standingRank, type Standing } from '@harbor-latch/core/assess/standing';
import type { YardBoat } from '../../data/boats';

/** What is looked for in the yard, and in what order it is shown. */
export interface Finding {
  readonly text: string;
  readonly order: 'worst' | 'name';
  /** Only boats that stand so; null: all. */
  readonly standing: Standing | null;
  /** True: those put away; false: those in the yard. */
  readonly archived: boolean;
}

const LAST = 100;
const collator = new Intl.Collator();

/**
 * The boats that fit: every word somewhere in name, craft, owner, berth, note or a circuit's name.
 * @param lines the worst that is found of each boat, by its id; one that is not known comes last
 */
export function foundIn(
  boats: readonly YardBoat[],
  { text, order, archived, standing }: Finding,
  lines: ReadonlyMap<string, { readonly standing: Standing }>,
): YardBoat[] {
  const words = text.toLowerCase().split(/\s+/).filter(Boolean);
  const fits = ({ line: { name, craft, owner, berth, note, circuits } }: YardBoat) => {
    const all = [name, craft, owner, berth, note, ...circuits.map((circuit) => circuit.name)];
    const hay = all.join('\n').toLowerCase();
    return words.every((word) => hay.includes(word));
  };
  const stands = ({ id }: YardBoat) => standing === null || lines.get(id)?.standing === standing;
  const found = boats.filter((boat) => (boat.line.archived ?? false) === archived && stands(boat) && fits(boat));
  const byName = (a: YardBoat, b: YardBoat) => collator.compare(a.line.name, b.line.name);
  if (order === 'name') return found.sort(byName);
  const rank = ({ id }: YardBoat) => {
    const line = lines.get(id);
    return line === undefined ? LAST : standingRank(line.standing);
  };
  return found.sort((a, b) => rank(a) - rank(b) || byName(a, b));
}
