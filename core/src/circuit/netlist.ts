import type { Part, Setting, SwitchPosition } from './parts';

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

const switchPositions: Readonly<Partial<Record<Part['kind'], readonly SwitchPosition[]>>> = {
  'three-way-switch': ['off', 'manual', 'auto'],
  'on-off-switch': ['off', 'manual'],
  'shared-load': ['off', 'manual'],
};

/** Every switch and float position of a netlist, in all combinations. */
export function everySetting(netlist: Netlist): Setting[] {
  let settings: Setting[] = [{ switches: {}, floats: {} }];
  for (const part of netlist.parts) {
    const positions = switchPositions[part.kind];
    if (positions) {
      settings = settings.flatMap((setting) =>
        positions.map((position) => ({ ...setting, switches: { ...setting.switches, [part.id]: position } })),
      );
    } else if (part.kind === 'float-switch') {
      settings = settings.flatMap((setting) =>
        (['down', 'up'] as const).map((position) => ({
          ...setting,
          floats: { ...setting.floats, [part.id]: position },
        })),
      );
    }
  }
  return settings;
}
