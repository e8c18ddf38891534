import { defaults } from '../reference';
import type { Circuit, LegKey } from '../job';
import type { PlannedConductor } from './plan';

type Run = Pick<PlannedConductor, 'leg' | 'lengthM' | 'insulationC' | 'engineSpace'>;

/** How a conductor in a surveyed leg runs, with the defaults for what was left open. */
export function legRun(circuit: Circuit, leg: LegKey): Run {
  const { lengthM, insulationC, engineSpace } = circuit.legs[leg];
  if (lengthM === undefined) throw new RangeError(`The leg ${leg} has no length yet.`);
  return { leg, lengthM, insulationC: insulationC ?? defaults.insulationC, engineSpace: engineSpace ?? false };
}

/** The stub from the battery to the fuse: it runs in the surroundings of the feed. */
export function stubRun(circuit: Circuit): Run {
  const { insulationC, engineSpace } = legRun(circuit, 'sourceToPanel');
  return { leg: 'stub', lengthM: circuit.source?.stubLengthM ?? defaults.stubLengthM, insulationC, engineSpace };
}
