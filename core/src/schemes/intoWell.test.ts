import { newCircuit, newJob, type Job } from '../job';
import { typicalPoses } from '../water';
import { intoTypicalWell, intoWell } from './intoWell';

const bare = newJob({ boatId: '6d1f0f6e-0d5c-4a55-9a0e-000000000000', batteryId: 'house' }, 'Tern', 8);
const job: Job = {
  ...bare,
  circuits: [
    newCircuit('main', 'Main', 'three-way-float', 'house'),
    newCircuit('alarm', 'Alarm', 'standalone-alarm', 'house'),
  ],
};

describe('a circuit put into a well', () => {
  it('begins one with what a hull of its length mostly has, all of it guessed, and leaves the others where they are', () => {
    const { wells, poses, circuits } = intoTypicalWell(job, 'main', 'sump');
    expect(wells).toEqual([expect.objectContaining({ id: 'sump', guessed: true })]);
    expect(poses).toEqual(typicalPoses(8));
    expect(circuits[0]?.water).toMatchObject({ wellId: 'sump', hose: { guessed: true } });
    expect(circuits[1]?.water).toBeUndefined();
  });

  it('keeps the poses that were there, and gives no hose to what has no pump', () => {
    const poses = [{ id: 'still', name: 'Still', trimDeg: 0, heelDeg: 0 }];
    const begun = intoTypicalWell({ ...job, poses }, 'main', 'sump');
    expect(begun.poses).toBe(poses);
    const [, alarm] = intoWell(begun, 'alarm', 'sump').circuits;
    expect(alarm?.water).toEqual({ wellId: 'sump' });
  });
});
