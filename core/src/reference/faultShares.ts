/**
 * How often each group of faults is the one, in percent of service calls on existing 12 V pumps. Ours (E): they are shown,
 * can be set, and are learned from the yard's own repairs. Single faults of a group share its percentage equally.
 */
export const groupShares = {
  'splice-negative': { name: 'Splice in the negative', percent: 8 },
  'splice-pump': { name: 'Splice at the pump’s positive', percent: 8 },
  'splice-float': { name: 'Splice at the float’s leads', percent: 7 },
  'float-dead': { name: 'Float that does not close', percent: 8 },
  'float-stuck-down': { name: 'Float stuck down', percent: 3 },
  'float-stuck-up': { name: 'Float stuck up or fouled', percent: 6 },
  'float-place': { name: 'Float too low or wrongly mounted', percent: 2 },
  blocked: { name: 'Strainer blocked', percent: 9 },
  impeller: { name: 'Impeller', percent: 2 },
  hose: { name: 'Hose or air lock', percent: 3 },
  valve: { name: 'Check valve', percent: 1 },
  fuse: { name: 'Fuse blown', percent: 6 },
  holder: { name: 'Fuse holder', percent: 6 },
  motor: { name: 'Brushes or winding', percent: 6 },
  seized: { name: 'Rotor seized', percent: 5 },
  battery: { name: 'Battery, its terminals, isolator', percent: 8 },
  panel: { name: 'Switch, jumper or panel terminal', percent: 5 },
  'wired-wrong': { name: 'Wired wrong', percent: 4 },
  shorted: { name: 'Chafed and shorted', percent: 2 },
  broken: { name: 'Chafed through, or leaking', percent: 1 },
  light: { name: 'Light', percent: 2 },
  alarm: { name: 'Alarm', percent: 2 },
  pairs: { name: 'Two at once', percent: 4 },
  sound: { name: 'Nothing wrong', percent: 3 },
} as const satisfies Readonly<Record<string, { readonly name: string; readonly percent: number }>>;

export type ShareGroup = keyof typeof groupShares;
export const shareGroups = Object.keys(groupShares) as readonly ShareGroup[];

/** What of a boat's story moves the shares. */
export interface Story {
  readonly salt?: boolean;
  /** Joints with adhesive crimps that are younger than three years. */
  readonly freshCrimps?: boolean;
  /** A hinged float over five years old. */
  readonly oldFloat?: boolean;
  /** Work was done in the boat lately. */
  readonly workedIn?: boolean;
  /** The wiring was worked on in the last month. */
  readonly rewired?: boolean;
  readonly laidUp?: boolean;
}

export const storyFactors = { salt: 2, freshCrimps: 0.5, oldFloat: 2, workedIn: 2, rewired: 6, laidUp: 3 } as const;
const splices: readonly ShareGroup[] = ['splice-negative', 'splice-pump', 'splice-float'];
const floats: readonly ShareGroup[] = ['float-dead', 'float-stuck-down', 'float-stuck-up'];
const water: readonly ShareGroup[] = ['blocked', 'impeller', 'hose', 'valve'];

export const movedBy: Readonly<Record<keyof Story, readonly ShareGroup[]>> = {
  salt: splices,
  freshCrimps: splices,
  oldFloat: floats,
  workedIn: water,
  rewired: ['wired-wrong'],
  laidUp: ['battery'],
};

/** Calls that our own shares count for against those of the yard. */
const OUR_CALLS = 20;

/** Repairs that were closed, by the group of the fault that was found. */
export type Closed = Readonly<Partial<Record<ShareGroup, number>>>;

/** Percent of calls as they were set for a boat, in place of ours. */
export type SetPercents = Readonly<Partial<Record<ShareGroup, number>>>;

/** What is known about a boat and a yard that makes one fault likelier than another. */
export interface SharesKnown {
  readonly story?: Story;
  readonly closed?: Closed;
  readonly percents?: SetPercents;
}

/** The percentage of a group as it was set, or ours, moved by the boat’s story. */
export function percentOf(group: ShareGroup, { story = {}, percents = {} }: SharesKnown = {}): number {
  const told = (Object.keys(storyFactors) as (keyof Story)[]).filter((key) => story[key] === true);
  return told.reduce<number>(
    (share, key) => (movedBy[key].includes(group) ? share * storyFactors[key] : share),
    percents[group] ?? groupShares[group].percent,
  );
}

/**
 * The share of each group: ours or as set, moved by the boat’s story, and learned from the yard’s closed repairs as
 * Dirichlet counts, ours weighing twenty calls. They sum to one over those that are asked for.
 */
export function sharesOf(groups: readonly ShareGroup[], known: SharesKnown = {}): Map<ShareGroup, number> {
  const { closed = {} } = known;
  const asked = [...new Set(groups)];
  const ours = asked.reduce<number>((sum, group) => sum + percentOf(group, known), 0);
  const counted = asked.map(
    (group) => [group, (ours > 0 ? OUR_CALLS * (percentOf(group, known) / ours) : 0) + (closed[group] ?? 0)] as const,
  );
  const all = counted.reduce((sum, [, count]) => sum + count, 0);
  return new Map(counted.map(([group, count]) => [group, all > 0 ? count / all : 0]));
}
