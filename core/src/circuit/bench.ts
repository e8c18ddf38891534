import { faultOf, withFaults, type PlantedFault } from './faults';
import { mapParts, type Netlist } from './netlist';
import { positionsOf, type Setting } from './parts';

/** How a circuit stands on the bench. */
export interface BenchState {
  readonly setting: Setting;
  /** Fuses pulled and isolators turned off. */
  readonly open: readonly string[];
  readonly faults: readonly PlantedFault[];
}

/** The bench as it is first met: everything off and in, floats down, nothing broken. */
export const restingBench: BenchState = { setting: { switches: {}, floats: {} }, open: [], faults: [] };

/** The netlist as it stands on the bench; faults whose place is gone are left out. */
export function onBench(netlist: Netlist, { open, faults }: Pick<BenchState, 'open' | 'faults'>): Netlist {
  const fitting = faults.filter(({ code, at }) =>
    faultOf(code)
      .sites(netlist)
      .some(({ id }) => id === at),
  );
  return mapParts(withFaults(netlist, fitting), (part) =>
    (part.kind === 'fuse' || part.kind === 'isolator') && open.includes(part.id) ? { ...part, closed: false } : part,
  );
}

/** The setting with every switch that the netlist has in a position that it has. */
export function fittingSetting({ parts }: Netlist, setting: Setting): Setting {
  const switches = Object.fromEntries(
    parts.flatMap((part) => {
      const positions = positionsOf(part);
      const [rest] = positions;
      if (rest === undefined) return [];
      const asked = setting.switches[part.id];
      return [[part.id, positions.find((position) => position === asked) ?? rest]];
    }),
  );
  return { switches, floats: setting.floats };
}
