import {
  storyFactors,
  shareGroups,
  type Closed,
  type SetPercents,
  type ShareGroup,
  type SharesKnown,
  type Story,
} from '../reference';
import { isOf, type KnownEntry } from '../records';

const DAY_MS = 86_400_000;
/** Work counts as lately done for so long. */
const LATELY_DAYS = 30;
/** What was off over a winter shows itself in the first weeks afloat. */
const AFTER_LAY_UP_DAYS = 60;
/** So do new crimps: young for three years. */
const YOUNG_DAYS = 3 * 365;

export const storyKeys = Object.keys(storyFactors) as readonly (keyof Story)[];

/**
 * What a boat’s entries tell about her: laid up, worked in or rewired lately, joints young; and what was said of her when a
 * fault was hunted last, for what entries cannot tell (her water, the age of her float).
 * @param entries those that count, in the order in which they were made
 */
export function storyOf(entries: readonly KnownEntry[], nowMs: number): Story {
  const since = (days: number) => (entry: KnownEntry | undefined) =>
    entry !== undefined && nowMs - Date.parse(entry.madeAt) <= days * DAY_MS;
  const last = (kinds: readonly string[]) => entries.filter(({ kind }) => kinds.includes(kind)).pop();
  const season = entries.filter((entry) => isOf('layUp')(entry) || isOf('launch')(entry)).pop();
  const said = entries.filter(isOf('traceBegun')).pop()?.body.story ?? [];
  const found: Story = {
    laidUp: season !== undefined && (isOf('layUp')(season) || since(AFTER_LAY_UP_DAYS)(season)),
    rewired: since(LATELY_DAYS)(last(['proof'])),
    workedIn: since(LATELY_DAYS)(last(['repair', 'cleaning'])),
    freshCrimps: said.includes('freshCrimps') && since(YOUNG_DAYS)(last(['proof'])),
    salt: said.includes('salt'),
    oldFloat: said.includes('oldFloat'),
  };
  return Object.fromEntries(storyKeys.filter((key) => found[key] === true).map((key) => [key, true] as const));
}

/** What closed hunts found, by group: the shares learn from it. */
export function closedRepairs(entries: readonly KnownEntry[]): Closed {
  const counts = new Map<ShareGroup, number>();
  for (const { body } of entries.filter(isOf('traceEnded'))) {
    const group = shareGroups.find((one) => one === body.group);
    if (group) counts.set(group, (counts.get(group) ?? 0) + 1);
  }
  return Object.fromEntries(counts);
}

/** Percent of calls as they were set for a boat, the last setting of each. */
export function setPercents(entries: readonly KnownEntry[]): SetPercents {
  const set = new Map<ShareGroup, number | null>();
  for (const { body } of entries.filter(isOf('faultShare'))) {
    const group = shareGroups.find((one) => one === body.group);
    if (group) set.set(group, body.percent);
  }
  return Object.fromEntries([...set].filter(([, percent]) => percent !== null));
}

/** All that a boat’s entries say about how likely each fault is. */
export function sharesKnown(entries: readonly KnownEntry[], nowMs: number): SharesKnown {
  return { story: storyOf(entries, nowMs), closed: closedRepairs(entries), percents: setPercents(entries) };
}
