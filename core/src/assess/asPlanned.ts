import type { Netlist } from '../circuit';
import type { AssessedCircuit } from './assessed';

/** The netlist of a known circuit as its plan wires it, whatever was found: what it should do is read off this one. */
export function netlistAsPlanned({
  netlist,
  plan,
  facts,
}: Exclude<AssessedCircuit, { status: 'incomplete' }>): Netlist {
  const ohms = new Map(facts.conductors.map(({ planned, resistanceOhm }) => [planned.id, resistanceOhm]));
  return {
    ...netlist,
    conductors: [...plan.conductors, ...plan.existing].map(({ id, from, to }) => ({
      id,
      from,
      to,
      ohm: ohms.get(id) ?? 0,
    })),
  };
}
