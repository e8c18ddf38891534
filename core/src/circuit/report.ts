import { CircuitError } from './circuitError';
import { motorAt } from './motor';
import { mapParts, terminalName, type Netlist } from './netlist';
import { nodeNames } from './nodeNames';
import {
  innerOf,
  isFloat,
  positionsOf,
  terminalsOf,
  type FloatPosition,
  type Part,
  type Setting,
  type SwitchPosition,
} from './parts';
import { roles } from './roles';
import { solve, type OperatingPoint } from './solve';

/** What is asked of a circuit: its switch, and floats by their part or `all`. */
export interface AskedSetting {
  readonly position: string;
  /** Other switches, mutes, fuses and isolators, each by its part. */
  readonly set?: readonly { readonly id: string; readonly position: string }[];
  readonly floats: readonly { readonly id: string; readonly position: string }[];
}

/**
 * The setting that was asked for; floats not named hang down, other circuits on the same feed or alarm are off.
 * @throws CircuitError `no-such-position` or `no-such-part`, saying what there is.
 */
export function settingOf({ parts }: Netlist, { position, floats, set: asked = [] }: AskedSetting): Setting {
  const own = parts.find(({ id }) => id === roles.switch);
  const positions = own ? positionsOf(own) : (['off'] as const);
  // Where auto is always live there is no such position: off leaves it to the float.
  const alwaysLive = position === 'auto' && !positions.some((one) => one === 'auto') && parts.some(isFloat);
  const chosen = positions.find((one) => one === (alwaysLive ? 'off' : position));
  if (chosen === undefined) {
    const there = own ? `It has: ${positions.join(', ')}.` : 'This circuit has no switch: leave it off.';
    throw new CircuitError('no-such-position', `The switch has no position “${position}”. ${there}`, roles.switch);
  }
  const floating = parts.filter(isFloat).map(({ id }) => id);
  const set: Record<string, FloatPosition> = {};
  for (const { id, position: level } of floats) {
    if (level !== 'up' && level !== 'down')
      throw new CircuitError('no-such-position', `A float is up or down, not “${level}”.`, id);
    const named = id === 'all' ? floating : floating.filter((one) => one === id);
    if (named.length === 0 && id !== 'all') {
      const there = floating.length > 0 ? `Floats: ${floating.join(', ')}, or all.` : 'This circuit has none.';
      throw new CircuitError('no-such-part', `There is no float “${id}”. ${there}`, id);
    }
    for (const one of named) set[one] = level;
  }
  const switches: Record<string, SwitchPosition> = own ? { [roles.switch]: chosen } : {};
  for (const { id, position: wanted } of asked) {
    const part = settable(parts, id);
    if (!isBreaker(part)) switches[id] = positionIn(part, wanted);
  }
  return { switches, floats: set };
}

/** A part that a hand opens and closes to take the volts away. */
function isBreaker(part: Part): part is Extract<Part, { kind: 'fuse' | 'isolator' }> {
  return part.kind === 'fuse' || part.kind === 'isolator';
}

function settable(parts: Netlist['parts'], id: string): Part {
  const all = parts.filter((part) => isBreaker(part) || positionsOf(part).length > 0);
  const found = all.find((part) => part.id === id);
  if (found) return found;
  const there = all.map((part) => part.id).join(', ');
  throw new CircuitError('no-such-part', `Nothing called “${id}” can be set. There are: ${there}.`, id);
}

/** What positions are called besides their own names: of an alarm's mute, and of a switch that is on or off. */
const OTHER_NAMES: Readonly<Partial<Record<Part['kind'], Readonly<Record<string, SwitchPosition>>>>> = {
  alarm: { muted: 'manual', sounding: 'off' },
};

function positionIn(part: Part, wanted: string): SwitchPosition {
  const positions = positionsOf(part);
  const onOff: Readonly<Record<string, SwitchPosition>> = positions.includes('auto') ? {} : { on: 'manual' };
  const named = OTHER_NAMES[part.kind] ?? onOff;
  const found = positions.find((one) => one === (named[wanted] ?? wanted));
  if (found !== undefined) return found;
  const there = [...positions, ...Object.keys(named)].join(', ');
  throw new CircuitError('no-such-position', `“${part.id}” has no position “${wanted}”. It has: ${there}.`, part.id);
}

/** Fuses pulled and isolators turned as asked: `out` or `off` opens one, `in` or `on` closes it. */
export function withSet(netlist: Netlist, set: NonNullable<AskedSetting['set']>): Netlist {
  const opened = new Map<string, boolean>();
  for (const { id, position } of set) {
    if (!isBreaker(settable(netlist.parts, id))) continue;
    const closed = ['in', 'on', 'closed'].includes(position);
    if (!closed && !['out', 'off', 'open'].includes(position))
      throw new CircuitError('no-such-position', `“${id}” is in or out, on or off, not “${position}”.`, id);
    opened.set(id, closed);
  }
  return mapParts(netlist, (part) =>
    isBreaker(part) ? { ...part, closed: opened.get(part.id) ?? part.closed } : part,
  );
}

/**
 * The operating point as plain data: volts of every node, amperes of every part
 * and conductor, what every part does, and the node of each terminal.
 * @throws CircuitError where the circuit has no answer.
 */
export function solveReport(netlist: Netlist, setting: Setting) {
  const point = solve(netlist, setting);
  const latched = new Set(netlist.parts.filter(({ id }) => point.latched(id)).map(({ id }) => id));
  const names = nodeNames(netlist, setting, latched);
  const nodes: Record<string, number> = {};
  for (const part of netlist.parts) {
    for (const terminal of [...terminalsOf(part), ...innerOf(part)]) {
      const at = { part: part.id, terminal };
      const name = names.nameAt(at);
      if (name !== '0') nodes[name] = point.voltsAt(at);
    }
  }
  return {
    nodes,
    currents: Object.fromEntries([
      ...netlist.parts.map((part) => [part.id, currentOf(part, point)] as const),
      ...netlist.conductors.map(({ id }) => [id, point.conductorA(id)] as const),
    ]),
    speedRatios: Object.fromEntries(
      netlist.parts.flatMap((part) => {
        const speedRatio = speedRatioOf(part, point);
        return speedRatio === null ? [] : [[part.id, speedRatio] as const];
      }),
    ),
    states: Object.fromEntries(netlist.parts.map(({ id }) => [id, point.wordOf(id)])),
    terminals: Object.fromEntries(
      netlist.parts.flatMap((part) =>
        terminalsOf(part).map((terminal) => {
          const at = { part: part.id, terminal };
          return [terminalName(at), names.nameAt(at)] as const;
        }),
      ),
    ),
  };
}

/** A part's own current, A; of a joint all that comes into it, which has no one end to count at. */
function currentOf(part: Part, point: OperatingPoint): number {
  if (part.kind !== 'joint') return point.partA(part.id);
  return part.ways.reduce((sum, terminal) => sum + Math.max(0, point.terminalA({ part: part.id, terminal })), 0);
}

/** How fast a pump turns, 1 at its label volts and below 0 when it turns backwards; null for what has no motor. */
function speedRatioOf(part: Part, point: OperatingPoint): number | null {
  if (part.kind === 'neighbour') return motorAt(part.motor, point.voltsAcross(part.id, 'post', 'minus')).speedRatio;
  if (part.kind !== 'pump') return null;
  if (part.condition === 'shorted') return 0;
  return motorAt(part.motor, point.voltsAcross(part.id, 'plus', 'minus'), part.condition).speedRatio;
}
