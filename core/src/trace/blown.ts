import { everySetting, SolverMemory, solve, withFaults, type Netlist, type PlantedFault } from '../circuit';

/**
 * The fuses that a fault blows: in every position of lever and float the one that is furthest over its rating.
 * @returns their ids, each once; none where the fault loads no fuse over its rating
 */
export function fusesBlownBy(netlist: Netlist, fault: PlantedFault, memory = new SolverMemory()): string[] {
  const faulty = withFaults(netlist, [fault]);
  const fuses = netlist.parts.flatMap((part) => (part.kind === 'fuse' ? [part] : []));
  const blown = everySetting(faulty).flatMap((setting): string[] => {
    try {
      const point = solve(faulty, setting, memory);
      const loads = fuses.map(({ id, ratingA }) => ({ id, times: Math.abs(point.partA(id)) / ratingA }));
      const most = loads.reduce<(typeof loads)[number] | null>(
        (best, one) => (best && best.times >= one.times ? best : one),
        null,
      );
      return most && most.times > 1 ? [most.id] : [];
    } catch {
      // A circuit that comes to no rest says nothing.
      return [];
    }
  });
  return [...new Set(blown)];
}
