import fc from 'fast-check';
import { runs } from '../../testing/runs.fixture';
import type { Job } from '../job';
import { readJob } from '../file';
import {
  isInside,
  typicalCircuitWater,
  typicalHose,
  typicalIngress,
  typicalPoses,
  typicalWell,
  wellFrom,
} from '../water';
import { assess } from './assess';
import { jobOf } from './assess.fixture';

/** A boat with nothing measured of its water: every figure is the usual one. */
function guessedBoat(hullLengthM: number, openFlowLPerH: number): Job {
  const base = jobOf({ pump: { currentA: 5, openFlowLPerH, shutOffHeadM: 4.2 } });
  return {
    ...base,
    boat: { ...base.boat, hullLengthM },
    wells: [typicalWell('bilge', hullLengthM)],
    poses: typicalPoses(hullLengthM),
    ingress: typicalIngress(hullLengthM),
    circuits: base.circuits.map((one) => ({ ...one, water: typicalCircuitWater('bilge', one.pump, hullLengthM) })),
  };
}

const hull = fc.double({ min: 3, max: 30, noNaN: true });
const flow = fc.double({ min: 800, max: 14000, noNaN: true });

describe('figures taken where nothing was measured', () => {
  it('make a job that is read back as it is, every one of them marked as a guess', () => {
    fc.assert(
      fc.property(hull, flow, (hullLengthM, openFlowLPerH) => {
        const job = guessedBoat(Number(hullLengthM.toFixed(1)), Math.round(openFlowLPerH));
        const read = readJob(JSON.parse(JSON.stringify(job)));
        expect(read.ok ? read.job : read.problems).toEqual(job);
        for (const one of [...(job.wells ?? []), ...(job.poses ?? []), ...(job.ingress ?? [])])
          expect(one.guessed).toBe(true);
        expect(job.circuits[0]?.water?.hose?.guessed).toBe(true);
      }),
      runs(100),
    );
  });

  it('put the pump inside its well, give it a hose that rises, and an answer in every pose', () => {
    fc.assert(
      fc.property(hull, flow, (hullLengthM, openFlowLPerH) => {
        const job = guessedBoat(hullLengthM, openFlowLPerH);
        const [well] = job.wells ?? [];
        expect(well && isInside(wellFrom(well), { xM: 0, yM: 0 })).toBe(true);
        const [assessed] = assess(job);
        if (assessed?.status !== 'sized') throw new Error('not sized');
        const { water } = assessed.facts;
        expect(water?.poses).toHaveLength(4);
        for (const { dips, operating, liftM } of water?.poses ?? []) {
          expect(dips).toBe(false);
          expect(liftM).toBeGreaterThan(0.4);
          for (const { flowLPerH } of operating) expect(flowLPerH).toBeGreaterThan(0);
        }
      }),
      runs(60),
    );
  });

  it('heel as far to either side, and more in a short hull than in a long one', () => {
    for (const hullLengthM of [5, 10, 20]) {
      const heels = typicalPoses(hullLengthM).map(({ heelDeg }) => heelDeg);
      expect(heels.reduce((sum, heel) => sum + heel, 0)).toBe(0);
    }
    const most = (hullLengthM: number) => Math.max(...typicalPoses(hullLengthM).map(({ heelDeg }) => heelDeg));
    expect(most(5)).toBeGreaterThan(most(15));
  });

  it('give a larger pump no thinner hose', () => {
    fc.assert(
      fc.property(flow, flow, (one, other) => {
        const bore = (openFlowLPerH: number) => typicalHose({ openFlowLPerH }).boreM;
        expect(bore(Math.max(one, other))).toBeGreaterThanOrEqual(bore(Math.min(one, other)));
      }),
    );
    expect([800, 3000, 5000, 8000, 14000].map((openFlowLPerH) => typicalHose({ openFlowLPerH }).boreM)).toEqual([
      0.019, 0.025, 0.029, 0.038, 0.051,
    ]);
  });
});
