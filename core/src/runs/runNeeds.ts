import type { FixIdea } from '../findings';
import { typicalCurve } from '../findings/flow';
import { typicalHose } from '../water';
import type { Job } from '../job';
import type { AssessedCircuit } from '../assess/assessed';
import { circuitsOf } from './circuitsOf';

/** What must be known of a pump before a run of its well can be shown, and what is typical until it is. */
export interface RunNeed {
  readonly circuitId: string;
  readonly name: string;
  readonly lacks: 'hose' | 'curve';
  readonly typical: readonly FixIdea[];
}

/** Pumps of a well of which hose or curve is not known: without them a run would be made up. */
export function runNeeds(job: Job, assessed: readonly AssessedCircuit[], wellId: string): RunNeed[] {
  return circuitsOf(assessed, wellId).flatMap((one): RunNeed[] => {
    if (one.status !== 'sized' || !one.facts.water) return [];
    const { circuit, facts } = one;
    const about = { circuitId: circuit.id, name: circuit.name };
    if (!facts.water?.hose) {
      const { water } = circuit;
      if (!water) return [];
      const hose = typicalHose(circuit.pump, job.boat.hullLengthM);
      return [
        {
          ...about,
          lacks: 'hose',
          typical: [{ label: 'Begin with a typical hose', circuit: { ...circuit, water: { ...water, hose } } }],
        },
      ];
    }
    return facts.water.curve ? [] : [{ ...about, lacks: 'curve', typical: typicalCurve(circuit, facts.units) }];
  });
}
