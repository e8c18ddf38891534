import type { Battery, Circuit, Leg } from '../job';
import type { Plan } from './plan';
import { planCircuit } from './planCircuit';

/**
 * How a circuit is wired while its survey is still open: what is missing is
 * stood in for, so only parts, terminals, colours and roles may be read from it.
 */
export function outlinePlan(circuit: Circuit, battery: Battery): Plan {
  const measured = (leg: Leg): Leg => ({ ...leg, lengthM: leg.lengthM ?? 1 });
  const { sourceToPanel, panelToBilge, bilgeToNegative } = circuit.legs;
  return planCircuit({
    circuit: {
      ...circuit,
      pump: { ...circuit.pump, currentA: circuit.pump.currentA ?? 1 },
      legs: {
        sourceToPanel: measured(sourceToPanel),
        panelToBilge: measured(panelToBilge),
        bilgeToNegative: measured(bilgeToNegative),
      },
    },
    battery,
    others: [],
    alarmAlso: null,
  });
}
