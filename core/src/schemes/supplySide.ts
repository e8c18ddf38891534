import { defaults } from '../reference';
import type { TerminalRef } from '../circuit';
import type { Battery } from '../job';
import type { ExistingLink, PlannedConductor, PlannedPart, SharedPump, SurveyedCircuit } from './plan';
import { legRun, stubRun } from './runs';
import { batteryPart, fusePart, givenFuse, jointPart, motorOf } from './standardParts';

/** Parts, conductors and links that one side of a circuit brings to its plan. */
export interface PlanPiece {
  readonly parts: readonly PlannedPart[];
  readonly conductors: readonly PlannedConductor[];
  readonly existing: readonly ExistingLink[];
}

const RED = { base: 'red' } as const;

/**
 * What every scheme has between the battery and its switch: battery, a fuse on
 * its post and the isolator where there are any, stub, fuse, feed, the panel's
 * own fuse where it has one; and the negative bus. Other circuits on the same
 * feed leave it where it ends.
 * @param to where the feed goes: the switch's common or input
 */
export function supplySide(
  circuit: SurveyedCircuit,
  battery: Battery,
  to: TerminalRef,
  others: readonly SharedPump[],
): PlanPiece {
  const { source, panel } = circuit;
  const parts: PlannedPart[] = [{ part: batteryPart(battery), name: battery.name, band: 'source', role: 'supply' }];
  const existing: ExistingLink[] = [
    { id: 'main-negative', from: { part: 'bus', terminal: 'main' }, to: { part: 'battery', terminal: 'minus' } },
  ];
  let from: TerminalRef = { part: 'battery', terminal: 'plus' };
  const through = (id: string, enters: string, leaves: string) => {
    existing.push({ id: `to-${id}`, from, to: { part: id, terminal: enters } });
    from = { part: id, terminal: leaves };
  };
  if (source?.mainFuse) {
    parts.push({ part: givenFuse('main-fuse', source.mainFuse), name: 'Main fuse', band: 'source', role: 'supply' });
    through('main-fuse', 'source', 'load');
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
    to: { part: 'fuse', terminal: 'source' },
    role: 'supply',
    colour: RED,
    sameSizeAs: 'feed',
    ...stubRun(circuit),
  };
  parts.push({ part: fusePart(), name: 'Fuse', band: 'source', role: 'supply' });
  const lit = panel?.light !== undefined && panel.light !== 'none';
  const studs = ['stud', ...(lit ? ['light'] : []), ...others.map(({ id }) => id)];
  parts.push({
    part: { kind: 'negative-bus', id: 'bus', studs },
    name: 'Negative bus',
    band: 'source',
    role: 'negative',
  });
  const own: TerminalRef = panel?.fuse ? { part: 'panel-fuse', terminal: 'source' } : to;
  const shared = others.length > 0;
  const end: TerminalRef = shared ? { part: 'joint-feed', terminal: 'feed' } : own;
  if (shared) {
    const ways = ['feed', 'own', ...others.map(({ id }) => id)];
    parts.push({ part: jointPart('joint-feed', ways), name: 'Divides', band: 'panel', role: 'supply' });
    existing.push({ id: 'feed-own', from: { part: 'joint-feed', terminal: 'own' }, to: own });
  }
  if (panel?.fuse) {
    parts.push({ part: givenFuse('panel-fuse', panel.fuse), name: 'Panel fuse', band: 'panel', role: 'supply' });
    existing.push({ id: 'jumper', from: { part: 'panel-fuse', terminal: 'load' }, to });
  }
  const feed: PlannedConductor = {
    id: 'feed',
    name: 'Feed',
    from: { part: 'fuse', terminal: 'load' },
    to: end,
    role: 'supply',
    colour: RED,
    ...legRun(circuit, 'sourceToPanel'),
  };
  for (const { id, name, pump } of others) {
    const part = `shared-${id}`;
    parts.push({ part: { kind: 'shared-load', id: part, motor: motorOf(pump) }, name, band: 'panel', role: 'auto' });
    existing.push(
      { id: `${part}-plus`, from: { part: 'joint-feed', terminal: id }, to: { part, terminal: 'plus' } },
      { id: `${part}-minus`, from: { part, terminal: 'minus' }, to: { part: 'bus', terminal: id } },
    );
  }
  return { parts, conductors: [stub, feed], existing };
}
