import { withFigures } from './figures';
import type { Plan, Surveyed } from './plan';
import { schemeOf } from './registry';

/** A surveyed circuit as its scheme wires it, with the figures measured on it. */
export function planCircuit(surveyed: Surveyed): Plan {
  return withFigures(schemeOf(surveyed.circuit).plan(surveyed), surveyed.circuit.figures);
}
