import type { TerminalRef } from '../circuit';
import type { ConductorColour, ExistingLink, Plan, PlanIds, PlannedConductor, PlannedPart, PlanPiece } from './plan';

/** A terminal by the names of its part and itself. */
export function at(part: string, terminal: string): TerminalRef {
  return { part, terminal };
}

/** A link without resistance, named for where it goes. */
export function link(id: string, from: TerminalRef, to: TerminalRef, colour?: ConductorColour): ExistingLink {
  return colour === undefined ? { id, from, to } : { id, from, to, colour };
}

/** The links in a colour, but for those that go to the negative bus. */
export function coloured(links: readonly ExistingLink[], colour: ConductorColour): ExistingLink[] {
  return links.map((one) => (one.to.part === 'bus' ? one : link(one.id, one.from, one.to, colour)));
}

export function piece(
  parts: readonly PlannedPart[],
  conductors: readonly PlannedConductor[] = [],
  existing: readonly ExistingLink[] = [],
): PlanPiece {
  return { parts, conductors, existing };
}

/** The ids of every circuit with a pump. */
const PUMP_IDS: PlanIds = {
  battery: 'battery',
  fuse: 'fuse',
  afterFuse: 'feed',
  pump: 'pump',
  afterPump: 'negative',
};

/** Puts the pieces of a circuit with a pump together; its negative bus has a stud for each conductor that ends there. */
export function planOf(pieces: readonly PlanPiece[]): Plan {
  const parts = pieces.flatMap((one) => one.parts);
  const conductors = pieces.flatMap((one) => one.conductors);
  const existing = pieces.flatMap((one) => one.existing);
  const studs = [...conductors, ...existing].flatMap(({ from, to }) =>
    [from, to].flatMap((end) => (end.part === 'bus' && end.terminal !== 'main' ? [end.terminal] : [])),
  );
  const bus: PlannedPart = {
    part: { kind: 'negative-bus', id: 'bus', studs: [...new Set(['stud', ...studs])] },
    name: 'Negative bus',
    band: 'source',
    role: 'negative',
  };
  const fuseAt = parts.findIndex(({ part }) => part.id === 'fuse');
  return {
    ground: at('battery', 'minus'),
    parts: [...parts.slice(0, fuseAt + 1), bus, ...parts.slice(fuseAt + 1)],
    conductors,
    existing: [link('main-negative', at('bus', 'main'), at('battery', 'minus')), ...existing],
    ids: PUMP_IDS,
  };
}
