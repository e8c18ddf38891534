import { CircuitError } from './circuitError';
import { isFloat, positionsOf, terminalsOf, type Part, type Setting } from './parts';

/** Where a conductor ends: a terminal of a part. */
export interface TerminalRef {
  readonly part: string;
  readonly terminal: string;
}

export interface NetConductor {
  readonly id: string;
  readonly from: TerminalRef;
  readonly to: TerminalRef;
  /** 0 joins the two terminals without loss. */
  readonly ohm: number;
}

/** Parts and the conductors between their terminals. `ground` is the terminal that is node 0: battery negative. */
export interface Netlist {
  readonly ground: TerminalRef;
  readonly parts: readonly Part[];
  readonly conductors: readonly NetConductor[];
}

/** The netlist with some parts replaced; `change` returns the part itself to keep it. */
export function mapParts(netlist: Netlist, change: (part: Part) => Part): Netlist {
  return { ...netlist, parts: netlist.parts.map(change) };
}

/**
 * Every position of switches and floats, in all combinations. Muting an alarm
 * is not one of them: it moves nothing but its sound.
 */
export function everySetting({ parts }: Pick<Netlist, 'parts'>): Setting[] {
  let settings: Setting[] = [{ switches: {}, floats: {} }];
  for (const part of parts) {
    const positions = part.kind === 'alarm' ? [] : positionsOf(part);
    if (positions.length > 0) {
      settings = settings.flatMap((setting) =>
        positions.map((position) => ({
          switches: grown(setting.switches, { [part.id]: position }),
          floats: setting.floats,
        })),
      );
    }
    if (isFloat(part)) {
      settings = settings.flatMap((setting) =>
        (['down', 'up'] as const).map((position) => ({
          switches: setting.switches,
          floats: grown(setting.floats, { [part.id]: position }),
        })),
      );
    }
  }
  return settings;
}

/**
 * A copy with keys added or changed. Assigned, not spread: engines give an object
 * that grows after a spread a shape of its own, each time anew.
 */
export function grown<T extends object, C extends object>(object: T, change: C): T & C {
  return Object.assign({}, object, change);
}

/** A terminal as text, `part.terminal`. */
export function terminalName({ part, terminal }: TerminalRef): string {
  return `${part}.${terminal}`;
}

/**
 * Checks that every id is used once and every conductor ends at a terminal that is there.
 * @throws CircuitError naming the part or conductor.
 */
export function checkNetlist({ parts, conductors, ground }: Netlist): void {
  const seen = new Set<string>();
  for (const { id } of [...parts, ...conductors]) {
    if (seen.has(id))
      throw new CircuitError(
        'repeated-id',
        `“${id}” is there twice. Every part and conductor has an id of its own.`,
        id,
      );
    seen.add(id);
  }
  const byId = new Map(parts.map((part) => [part.id, part]));
  const check = (end: TerminalRef, of: string) => {
    const part = byId.get(end.part);
    if (!part)
      throw new CircuitError(
        'no-such-part',
        `“${of}” ends at “${terminalName(end)}”, and there is no part “${end.part}”. It ends nowhere: move or remove it.`,
        of,
      );
    if (!terminalsOf(part).includes(end.terminal))
      throw new CircuitError(
        'no-such-terminal',
        `“${of}” ends at “${terminalName(end)}”, and “${end.part}” has no terminal “${end.terminal}”: it has ${terminalsOf(part).join(', ')}.`,
        of,
      );
  };
  for (const { id, from, to } of conductors) {
    check(from, id);
    check(to, id);
  }
  check(ground, 'node 0');
}
