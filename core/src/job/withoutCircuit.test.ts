import { newCircuit, newJob } from './newJob';
import { withoutCircuit } from './withoutCircuit';

const job = {
  ...newJob({ boatId: '6d1f0f6e-0d5c-4a55-9a0e-000000000000', batteryId: 'house' }, 'Tern'),
  circuits: [
    newCircuit('main', 'Main', 'three-way-float', 'house'),
    { ...newCircuit('drain', 'Drain', 'plain-switch', 'house'), sharesFeedWith: 'main' },
    { ...newCircuit('backup', 'Backup', 'backup-alarm', 'house'), alarm: { alsoFrom: 'main', diodes: false } },
    { ...newCircuit('other', 'Other', 'backup-alarm', 'house'), alarm: { alsoFrom: 'drain' } },
  ],
};

describe('removing a circuit', () => {
  it('leaves nobody hanging on its feed, and no alarm on its post', () => {
    const [drain, backup, other] = withoutCircuit(job, 'main').circuits;
    expect(drain).not.toHaveProperty('sharesFeedWith');
    expect(backup?.alarm).toEqual({ diodes: false });
    expect(other?.alarm).toEqual({ alsoFrom: 'drain' });
  });

  it('takes its photographs with it, and leaves the others', () => {
    const hung = { photo: 'a'.repeat(64), small: 'b'.repeat(64), addedAt: '2026-05-01T09:30:00Z' };
    const photographs = [
      { ...hung, id: 'boat' },
      { ...hung, id: 'own', circuitId: 'main' },
      { ...hung, id: 'other', circuitId: 'drain' },
    ];
    expect(withoutCircuit({ ...job, photographs }, 'main').photographs?.map(({ id }) => id)).toEqual(['boat', 'other']);
    expect(withoutCircuit({ ...job, photographs: photographs.slice(1, 2) }, 'main')).not.toHaveProperty('photographs');
  });

  it('touches nothing that has to do with others', () => {
    expect(withoutCircuit(job, 'other').circuits).toEqual(job.circuits.slice(0, 3));
  });
});
