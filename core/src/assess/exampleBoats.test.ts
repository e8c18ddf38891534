import { readJob } from '../file';
import { exampleBoat, exampleBoatKeys, exampleBoats } from '../schemes';
import { Assessor } from './Assessor';

const ids = {
  boatId: '6d1f0f6e-0d5c-4a55-9a0e-000000000000',
  batteryId: 'house',
  wellId: 'bilge',
  circuitIds: ['first', 'second'],
};

describe('a worked example', () => {
  it.each(exampleBoatKeys)('%s: is a job that can be read, is sized at once, and nothing stops it', (key) => {
    for (const hullLengthM of [undefined, exampleBoats[key].hullLengthM * 0.85, exampleBoats[key].hullLengthM * 1.2]) {
      const job = exampleBoat(key, ids, 'Tern', hullLengthM, { family: 'metric' });
      expect(readJob(job)).toMatchObject({ ok: true });
      const { circuits, findings } = new Assessor().assess(job);
      expect(circuits.map(({ status }) => status)).toEqual(job.circuits.map(() => 'sized'));
      const told = [...findings, ...circuits.flatMap((one) => (one.status === 'incomplete' ? [] : one.findings))];
      expect(told.filter(({ severity }) => severity === 'stop').map(({ message }) => message)).toEqual([]);
    }
  });

  it.each(exampleBoatKeys)('%s: says of every figure that nobody measured it', (key) => {
    const job = exampleBoat(key, ids, 'Tern', undefined, undefined);
    expect(job.wells?.every(({ guessed }) => guessed)).toBe(true);
    expect(job.poses?.every(({ guessed }) => guessed)).toBe(true);
    expect(job.ingress?.every(({ guessed }) => guessed)).toBe(true);
    for (const { legs, pump, water } of job.circuits) {
      expect(Object.values(legs).every((leg) => leg.guessed === true)).toBe(true);
      expect(pump.catalogue).toBeDefined();
      expect(water?.hose?.guessed).toBe(true);
    }
  });
});
