import { standingOf, standingRank, worstStanding } from '@harbor-latch/core/assess/index';
import { assessed } from '../../data/boats';
import type { Draft } from '../../data/draft';

/** What is looked for in the yard, and in what order it is shown. */
export interface Finding {
  readonly text: string;
  readonly order: 'worst' | 'name';
  /** True: those put away; false: those in the yard. */
  readonly archived: boolean;
}

/** The boats that fit: every word somewhere in name, craft, owner, berth, note or a circuit's name. */
export function foundIn(boats: readonly Draft[], { text, order, archived }: Finding): Draft[] {
  const words = text.toLowerCase().split(/\s+/).filter(Boolean);
  const fits = ({ job: { boat, circuits } }: Draft) => {
    const all = [boat.name, boat.craft, boat.owner, boat.berth, boat.note, ...circuits.map(({ name }) => name)];
    const hay = all.join('\n').toLowerCase();
    return words.every((word) => hay.includes(word));
  };
  const found = boats.filter((draft) => (draft.job.boat.archived ?? false) === archived && fits(draft));
  const byName = (a: Draft, b: Draft) => a.job.boat.name.localeCompare(b.job.boat.name);
  if (order === 'name') return found.sort(byName);
  const ranks = new Map(
    found.map((draft) => [draft.id, standingRank(worstStanding(assessed(draft.job).map(standingOf)))]),
  );
  return found.sort((a, b) => (ranks.get(a.id) ?? 0) - (ranks.get(b.id) ?? 0) || byName(a, b));
}
