import type { Circuit, CircuitWater, IngressSource, Job, Pose } from '../job';
import { jobOf } from '../assess/assess.fixture';

const pump = { currentA: 5, openFlowLPerH: 3000, shutOffHeadM: 4.2 };
export const hose: NonNullable<CircuitWater['hose']> = {
  boreM: 0.025,
  route: [
    { alongM: 0, heightM: 0.05 },
    { alongM: 1, heightM: 0.9 },
    { alongM: 2.5, heightM: 0.9, yM: 1 },
  ],
  bends90: 2,
};
export const rest: Pose = { id: 'rest', name: 'At rest', trimDeg: 0, heelDeg: 0, outsideM: 0.3 };

interface Change {
  readonly water?: Partial<CircuitWater>;
  readonly poses?: Pose[];
  readonly sources?: IngressSource[];
  readonly circuit?: Partial<Circuit>;
  readonly wells?: Job['wells'];
}

export function wetJob({
  water,
  poses = [rest],
  sources = [{ kind: 'steady', flowLPerH: 60 }],
  circuit,
  wells,
}: Change = {}): Job {
  const job = jobOf({ pump });
  return {
    ...job,
    wells: wells ?? [
      {
        id: 'bilge',
        name: 'Bilge',
        aftM: -0.6,
        foreM: 0.6,
        section: { kind: 'box', widthM: 0.4 },
        limits: [{ id: 'floor', name: 'Floorboards', zM: 0.3 }],
      },
    ],
    poses,
    ingress: [{ id: 'way', name: 'Way in', sources }],
    circuits: job.circuits.map((one) => ({ ...one, ...circuit, water: { wellId: 'bilge', hose, ...water } })),
  };
}
