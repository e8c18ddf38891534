import type { Circuit, Continuity, PanelOutline } from '../job';
import { leverPositions } from '../job';
import type { PanelPosts, PostRole } from './panelPosts';
import type { Assignment, PostQuestion, PostReading } from './posts';

/** A post as it sits on the panel's back. */
export interface Spot {
  readonly id: string;
  /** Places from left to right and from top to bottom, 0 to 1. */
  readonly x: number;
  readonly y: number;
  readonly printed?: string | undefined;
  readonly post?: string | undefined;
}

/** The posts of an outline, in the order of their numbers. */
export function spotsOf(outline: PanelOutline | undefined): Spot[] {
  return Object.entries(outline?.spots ?? {})
    .map(([id, spot]) => ({ id, ...spot }))
    .sort((a, b) => (a.id < b.id ? -1 : 1));
}

/** What a spot is called: by its print, or by its number. */
export function spotName({ id, printed }: Pick<Spot, 'id' | 'printed'>): string {
  return printed ?? `post ${id.slice(1)}`;
}

/** How a reading is named in the job. */
export function readingKey({ a, b, lever }: PostQuestion, spots: readonly Spot[]): string {
  const side = (places: readonly number[]) => places.map((at) => spots[at]?.id ?? '').join('+');
  return `${side(a)}-${side(b)}-${lever}`;
}

/** Readings of an outline by the places of its posts; those of posts that are there no more are left out. */
export function readingsOf(outline: PanelOutline | undefined): PostReading[] {
  const places = new Map(spotsOf(outline).map(({ id }, at) => [id, at]));
  return inOrder(outline).flatMap(([key, { reads }]) => {
    const [a = '', b = '', position = ''] = key.split('-');
    const lever = leverPositions.find((one) => one === position);
    const side = (text: string) => text.split('+').map((id) => places.get(id));
    const [one, other] = [side(a), side(b)];
    const known = (all: readonly (number | undefined)[]): all is number[] => all.every((at) => at !== undefined);
    return lever && known(one) && known(other) ? [{ a: one, b: other, lever, reads }] : [];
  });
}

/** Readings in the order in which they were taken. */
function inOrder(outline: PanelOutline | undefined) {
  return Object.entries(outline?.readings ?? {}).sort(([, a], [, b]) => (a.at < b.at ? -1 : 1));
}

function withOutline({ panel, ...circuit }: Circuit, change: (outline: PanelOutline) => PanelOutline): Circuit {
  return { ...circuit, panel: { ...panel, outline: change(panel?.outline ?? {}) } };
}

/** Something read between posts. */
export interface KeptReading {
  readonly key: string;
  readonly reads: Continuity;
  /** ISO. */
  readonly at: string;
}

/** The circuit with one more thing read between its posts; null takes the last of them back. */
export function withReading(circuit: Circuit, reading: KeptReading | null): Circuit {
  return withOutline(circuit, ({ readings, ...outline }) => {
    const all = inOrder(readings ? { readings } : undefined);
    const next = reading
      ? [
          ...all.filter(([key]) => key !== reading.key),
          [reading.key, { reads: reading.reads, at: reading.at }] as const,
        ]
      : all.slice(0, -1);
    return next.length === 0 ? outline : { ...outline, readings: Object.fromEntries(next) };
  });
}

/** The circuit with a post more on its outline, moved, or changed; null takes it off. */
export function withSpot(circuit: Circuit, id: string, spot: Omit<Spot, 'id'> | null): Circuit {
  const changed = withOutline(circuit, ({ spots = {}, ...outline }) => {
    const { [id]: _before, ...others } = spots;
    const next = spot ? { ...others, [id]: spot } : others;
    return Object.keys(next).length === 0 ? outline : { ...outline, spots: next };
  });
  return named(changed);
}

/** The circuit with its posts as they were found. */
export function withAssignment(circuit: Circuit, { roles }: PanelPosts, assignment: Assignment): Circuit {
  const terminalOf = (role: PostRole | undefined) => roles.find((one) => one.role === role)?.terminal ?? null;
  const spots = spotsOf(circuit.panel?.outline);
  return spots.reduce((done, { id, post: _before, ...spot }, at) => {
    const post = terminalOf(assignment[at]);
    return withSpot(done, id, post === null ? spot : { ...spot, post });
  }, circuit);
}

/** Every list and drawing calls the posts by what is printed beside them, or by their numbers. */
function named(circuit: Circuit): Circuit {
  const { panel } = circuit;
  const spots = spotsOf(panel?.outline);
  const found = new Map<string, string>();
  const taken = new Set<string>();
  for (const spot of spots) {
    if (spot.post === undefined) continue;
    // Lists and drawings say “post” of themselves.
    const plain = spot.printed ?? spot.id.slice(1);
    // Two posts that bear the same print are told apart by their numbers.
    const name = taken.has(plain.toLowerCase()) ? `${plain} (${spot.id.slice(1)})` : plain;
    taken.add(name.toLowerCase());
    found.set(spot.post, name);
  }
  const others = Object.entries(panel?.posts ?? {}).filter(
    ([terminal, name]) => !found.has(terminal) && !taken.has(name.toLowerCase()),
  );
  const posts = Object.fromEntries([...others, ...found]);
  const { posts: _before, ...rest } = panel ?? {};
  return { ...circuit, panel: Object.keys(posts).length === 0 ? rest : { ...rest, posts } };
}

/** Posts that are joined by a jumper on this panel, by role. */
export function jumpersOf({ roles, fuseToCommon }: PanelPosts): readonly (readonly [PostRole, PostRole])[] {
  const has = (role: PostRole) => roles.some((one) => one.role === role);
  return has('fuseOut') && !fuseToCommon ? [['fuseOut', 'common']] : [];
}
