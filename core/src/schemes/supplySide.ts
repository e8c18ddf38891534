import { defaults } from '../reference';
import { roles, type TerminalRef } from '../circuit';
import { at, coloured, link, piece } from './pieces';
import type { ExistingLink, PlannedConductor, PlannedPart, PlanPiece, Surveyed } from './plan';
import { legRun, stubRun } from './runs';
import { batteryPart, fusePart, givenFuse, jointPart, motorOf } from './standardParts';

const RED = { base: 'red' } as const;

/** Where the live side of the panel goes: a name for the way out of its terminal block, and the terminal. */
export type LiveEnds = Readonly<Record<string, TerminalRef>>;

/**
 * What every scheme has between the battery and its switch: battery, a fuse on
 * its post and the isolator where there are any, stub, fuse, feed, the panel's
 * own fuse where it has one. Other circuits on the same feed leave it where it
 * ends; behind the panel's fuse it divides once more where the scheme feeds more
 * than one thing.
 * @param to where the live side goes
 * @param open further ways out of the terminal block, on which the scheme hangs conductors of its own
 */
export function supplySide(
  { circuit, battery, others }: Surveyed,
  to: LiveEnds,
  open: readonly string[] = [],
): PlanPiece {
  const { source, panel } = circuit;
  const parts: PlannedPart[] = [{ part: batteryPart(battery), name: battery.name, band: 'source', role: 'supply' }];
  const existing: ExistingLink[] = [];
  let from: TerminalRef = at('battery', 'plus');
  const through = (id: string, enters: string, leaves: string) => {
    existing.push(link(`to-${id}`, from, at(id, enters)));
    from = at(id, leaves);
  };
  if (source?.mainFuse) {
    parts.push({ part: givenFuse(roles.mainFuse, source.mainFuse), name: 'Main fuse', band: 'source', role: 'supply' });
    through(roles.mainFuse, 'source', 'load');
  }
  if (source?.feed === 'isolator') {
    parts.push({
      part: { kind: 'isolator', id: 'isolator', closed: true, contactOhm: defaults.switchContactOhm },
      name: 'Isolator',
      band: 'source',
      role: 'supply',
    });
    through('isolator', 'battery', 'load');
  }
  const stub: PlannedConductor = {
    id: 'stub',
    name: 'Stub before the fuse',
    from,
    to: at('fuse', 'source'),
    role: 'supply',
    colour: RED,
    sameSizeAs: 'feed',
    ...stubRun(circuit),
  };
  parts.push({ part: fusePart(), name: 'Fuse', band: 'source', role: 'supply' });
  const ends = Object.entries(to);
  const [only] = ends;
  const divides = ends.length + open.length > 1 || !only;
  const live: TerminalRef = divides ? at('joint-live', 'in') : only[1];
  if (divides) {
    parts.push({
      part: jointPart('joint-live', ['in', ...ends.map(([way]) => way), ...open]),
      name: 'Live',
      band: 'panel',
      role: 'supply',
    });
    existing.push(...ends.map(([way, end]) => link(`live-${way}`, at('joint-live', way), end)));
  }
  const own: TerminalRef = panel?.fuse ? at(roles.panelFuse, 'source') : live;
  const shared = others.length > 0;
  const end: TerminalRef = shared ? at('joint-feed', 'feed') : own;
  if (shared) {
    const ways = ['feed', 'own', ...others.map(({ id }) => id)];
    parts.push({ part: jointPart('joint-feed', ways), name: 'Divides', band: 'panel', role: 'supply' });
    existing.push(link('feed-own', at('joint-feed', 'own'), own));
  }
  if (panel?.fuse) {
    parts.push({ part: givenFuse(roles.panelFuse, panel.fuse), name: 'Panel fuse', band: 'panel', role: 'supply' });
    existing.push(link('jumper', at(roles.panelFuse, 'load'), live));
  }
  const feed: PlannedConductor = {
    id: 'feed',
    name: 'Feed',
    from: at('fuse', 'load'),
    to: end,
    role: 'supply',
    colour: RED,
    ...legRun(circuit, 'sourceToPanel'),
  };
  for (const { id, name, pump } of others) {
    const part = `shared-${id}`;
    parts.push({ part: { kind: 'shared-load', id: part, motor: motorOf(pump) }, name, band: 'panel', role: 'auto' });
    existing.push(
      link(`${part}-plus`, at('joint-feed', id), at(part, 'plus')),
      link(`${part}-minus`, at(part, 'minus'), at('bus', id)),
    );
  }
  return piece(parts, [stub, feed], coloured(existing, RED));
}
