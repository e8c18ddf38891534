import { mapLegs, type Battery, type Circuit } from '../job';
import type { Plan } from './plan';
import { planCircuit } from './planCircuit';

/**
 * How a circuit is wired while its survey is still open: what is missing is
 * stood in for, so only parts, terminals, colours and roles may be read from it.
 */
export function outlinePlan(circuit: Circuit, battery: Battery): Plan {
  return planCircuit({
    circuit: {
      ...circuit,
      pump: { ...circuit.pump, currentA: circuit.pump.currentA ?? 1 },
      legs: mapLegs(circuit.legs, (leg) => ({ ...leg, lengthM: leg.lengthM ?? 1 })),
    },
    battery,
    others: [],
    alarmAlso: null,
  });
}
