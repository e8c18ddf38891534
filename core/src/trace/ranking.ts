import type { HuntPlace } from './huntTest';
import type { Problem } from './problem';
import type { Left, Search } from './search';

/** The best tests next, the best first. */
export function ranked(search: Search, all: Left, place: HuntPlace, best: number | null, many: number): number[] {
  if (best === null) return [];
  const { tests } = search.problem;
  const others = tests
    .map((test, at) => ({
      at,
      minutes: at === best || search.parts(test, all).length < 2 ? Infinity : search.withFirst(at, all, place),
    }))
    .filter(({ minutes }) => minutes < Infinity)
    .sort((a, b) => a.minutes - b.minutes);
  const seen = new Set([partition(search, best, all)]);
  const chosen = [best];
  for (const { at } of others) {
    if (chosen.length >= many) break;
    // Another test that parts the same as one before it is no other way.
    const key = partition(search, at, all);
    if (seen.has(key)) continue;
    seen.add(key);
    chosen.push(at);
  }
  return chosen;
}

function partition(search: Search, at: number, all: Left): string {
  const test = search.problem.tests[at];
  return test
    ? search
        .parts(test, all)
        .map(({ left }) => left.join())
        .sort()
        .join('|')
    : '';
}

const outward: readonly HuntPlace[] = ['source', 'panel', 'bilge'];

/** The order in which faults are hunted by habit: from the source outward, everything at one place before the next. */
export function textbookOrder({ tests }: Pick<Problem, 'tests'>): number[] {
  return tests
    .map(({ place }, at) => ({ at, rank: outward.indexOf(place) }))
    .sort((a, b) => a.rank - b.rank || a.at - b.at)
    .map(({ at }) => at);
}
