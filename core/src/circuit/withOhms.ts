import type { Netlist } from './netlist';
import type { SolverMemory } from './solverMemory';

/**
 * The netlist with other resistances in its conductors.
 * @param ohms by conductor, Ω; one that is not among them keeps its own
 */
export function withOhms(netlist: Netlist, ohms: ReadonlyMap<string, number>, memory?: SolverMemory): Netlist {
  const conductors = netlist.conductors.map(({ id, from, to, ohm }) => ({ id, from, to, ohm: ohms.get(id) ?? ohm }));
  memory?.wirings.keepAlike(conductors, netlist);
  return { ...netlist, conductors };
}
