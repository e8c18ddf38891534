import { terminalName, terminalsOf, type TerminalRef } from '../circuit';
import type { Circuit } from '../job';
import type { ExistingLink, Plan } from './plan';

type Rewiring = NonNullable<Circuit['rewired']>;

/** A plan as it was found wired, and what could not be: conductors that end at nothing that is there. */
export interface Rewired {
  readonly plan: Plan;
  readonly strays: readonly { readonly conductor: string; readonly message: string }[];
}

/** A terminal from its text, `part.terminal`. */
export function terminalFrom(text: string): TerminalRef {
  const dot = text.lastIndexOf('.');
  return { part: text.slice(0, dot), terminal: text.slice(dot + 1) };
}

/**
 * The plan with its conductors as found: moved, removed, added. What ends
 * nowhere is left out and said.
 */
export function rewire(plan: Plan, rewiring: Rewiring | undefined): Rewired {
  if (!rewiring) return { plan, strays: [] };
  const strays: { conductor: string; message: string }[] = [];
  const there = new Map(plan.parts.map(({ part }) => [part.id, terminalsOf(part)]));
  const endOf = (conductor: string, text: string): TerminalRef | null => {
    const end = terminalFrom(text);
    if (there.get(end.part)?.includes(end.terminal)) return end;
    const lacks = there.has(end.part)
      ? `“${end.part}” has no terminal “${end.terminal}”`
      : `there is no part “${end.part}”`;
    strays.push({
      conductor,
      message: `“${conductor}” as found ends at “${text}”, and ${lacks} in this circuit. Move it, or put it back to plan.`,
    });
    return null;
  };
  const { removed = [], moved = {}, added = [] } = rewiring;
  const movedEnds = <C extends ExistingLink>(wire: C): C[] => {
    if (removed.includes(wire.id)) return [];
    const ends = moved[wire.id];
    if (!ends) return [wire];
    const from = ends.from === undefined ? wire.from : endOf(wire.id, ends.from);
    const to = ends.to === undefined ? wire.to : endOf(wire.id, ends.to);
    return from && to ? [{ ...wire, from, to }] : [];
  };
  const links = added.flatMap(({ id, from, to }): ExistingLink[] => {
    const [one, other] = [endOf(id, from), endOf(id, to)];
    return one && other ? [{ id, from: one, to: other }] : [];
  });
  const known = new Set([...plan.conductors, ...plan.existing].map(({ id }) => id));
  for (const id of [...removed, ...Object.keys(moved)]) {
    if (!known.has(id))
      strays.push({
        conductor: id,
        message: `“${id}” was changed as found, and there is no such conductor in this scheme.`,
      });
  }
  return {
    plan: {
      ...plan,
      conductors: plan.conductors.flatMap(movedEnds),
      existing: [...plan.existing.flatMap(movedEnds), ...links],
    },
    strays,
  };
}

/** A terminal in words, under the name printed on the panel where the user gave one: "Manual / off / auto, auto". */
export function terminalInWords(plan: Plan, end: TerminalRef, posts: Readonly<Record<string, string>> = {}): string {
  const printed = posts[terminalName(end)];
  const name = plan.parts.find(({ part }) => part.id === end.part)?.name ?? end.part;
  const own = end.terminal.replace(/-/g, ' ');
  return printed === undefined ? `${name}, ${own}` : `${name}, post ${printed} (${own})`;
}

/** How the wiring differs from the plan, one line a conductor. */
export function differencesInWords(plan: Plan, { rewired, panel }: Circuit): string[] {
  if (!rewired) return [];
  const wires = [...plan.conductors, ...plan.existing];
  const nameOf = (id: string) => plan.conductors.find((wire) => wire.id === id)?.name ?? `Lead ${id}`;
  const words = (end: TerminalRef) => terminalInWords(plan, end, panel?.posts);
  const moves = Object.entries(rewired.moved ?? {}).flatMap(([id, ends]) =>
    (['from', 'to'] as const).flatMap((which) => {
      const [now, before] = [ends[which], wires.find((wire) => wire.id === id)?.[which]];
      return now === undefined || !before
        ? []
        : [`${nameOf(id)}: moved from ${words(before)} to ${words(terminalFrom(now))}.`];
    }),
  );
  return [
    ...(rewired.removed ?? []).map((id) => `${nameOf(id)}: not there.`),
    ...moves,
    ...(rewired.added ?? []).map(
      ({ from, to }) => `Added: ${words(terminalFrom(from))} to ${words(terminalFrom(to))}.`,
    ),
  ];
}
