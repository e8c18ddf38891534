import { asBuilt } from './asBuilt';
import { withFigures } from './figures';
import type { Plan, Surveyed } from './plan';
import { schemeOf } from './registry';

/** A surveyed circuit as its scheme wires it, with the figures measured on it, as it was built. */
export function planCircuit(surveyed: Surveyed): Plan {
  return asBuilt(plannedCircuit(surveyed), surveyed.circuit);
}

/** The same before anything was built: what its lists begin from. */
export function plannedCircuit(surveyed: Surveyed): Plan {
  return withFigures(schemeOf(surveyed.circuit).plan(surveyed), surveyed.circuit.figures);
}
