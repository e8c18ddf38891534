import { CircuitError } from './circuitError';
import { terminalName, type Netlist } from './netlist';
import { nodeNames } from './nodeNames';
import {
  innerOf,
  isFloat,
  positionsOf,
  terminalsOf,
  type FloatPosition,
  type Setting,
  type SwitchPosition,
} from './parts';
import { solve } from './solve';

/** What is asked of a circuit: its switch, and floats by their part or `all`. */
export interface AskedSetting {
  readonly position: string;
  readonly floats: readonly { readonly id: string; readonly position: string }[];
}

/**
 * The setting that was asked for; floats not named hang down, other circuits on the same feed or alarm are off.
 * @throws CircuitError `no-such-position` or `no-such-part`, saying what there is.
 */
export function settingOf({ parts }: Netlist, { position, floats }: AskedSetting): Setting {
  const own = parts.find(({ id }) => id === 'switch');
  const positions = own ? positionsOf(own) : (['off'] as const);
  // Where auto is always live there is no such position: off leaves it to the float.
  const alwaysLive = position === 'auto' && !positions.some((one) => one === 'auto') && parts.some(isFloat);
  const chosen = positions.find((one) => one === (alwaysLive ? 'off' : position));
  if (chosen === undefined) {
    const there = own ? `It has: ${positions.join(', ')}.` : 'This circuit has no switch: leave it off.';
    throw new CircuitError('no-such-position', `The switch has no position “${position}”. ${there}`, 'switch');
  }
  const floating = parts.filter(isFloat).map(({ id }) => id);
  const set: Record<string, FloatPosition> = {};
  for (const { id, position: asked } of floats) {
    if (asked !== 'up' && asked !== 'down')
      throw new CircuitError('no-such-position', `A float is up or down, not “${asked}”.`, id);
    const named = id === 'all' ? floating : floating.filter((one) => one === id);
    if (named.length === 0 && id !== 'all') {
      const there = floating.length > 0 ? `Floats: ${floating.join(', ')}, or all.` : 'This circuit has none.';
      throw new CircuitError('no-such-part', `There is no float “${id}”. ${there}`, id);
    }
    for (const one of named) set[one] = asked;
  }
  const switches: Record<string, SwitchPosition> = own ? { switch: chosen } : {};
  return { switches, floats: set };
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
      ...netlist.parts.map(({ id }) => [id, point.partA(id)] as const),
      ...netlist.conductors.map(({ id }) => [id, point.conductorA(id)] as const),
    ]),
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
