import { standingRank, type Standing } from '@harbor-latch/core/assess/standing';
import type { Draft } from '../../data/draft';

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

/**
 * The boats that fit: every word somewhere in name, craft, owner, berth, note or a circuit's name.
 * @param lines the worst that is found of each boat, by its id; one that is not known comes last
 */
export function foundIn(
  boats: readonly Draft[],
  { text, order, archived, standing }: Finding,
  lines: ReadonlyMap<string, { readonly standing: Standing }>,
): Draft[] {
  const words = text.toLowerCase().split(/\s+/).filter(Boolean);
  const fits = ({ job: { boat, circuits } }: Draft) => {
    const all = [boat.name, boat.craft, boat.owner, boat.berth, boat.note, ...circuits.map(({ name }) => name)];
    const hay = all.join('\n').toLowerCase();
    return words.every((word) => hay.includes(word));
  };
  const stands = ({ id }: Draft) => standing === null || lines.get(id)?.standing === standing;
  const found = boats.filter(
    (draft) => (draft.job.boat.archived ?? false) === archived && stands(draft) && fits(draft),
  );
  const byName = (a: Draft, b: Draft) => a.job.boat.name.localeCompare(b.job.boat.name);
  if (order === 'name') return found.sort(byName);
  const rank = ({ id }: Draft) => {
    const line = lines.get(id);
    return line === undefined ? LAST : standingRank(line.standing);
  };
  return found.sort((a, b) => rank(a) - rank(b) || byName(a, b));
}
