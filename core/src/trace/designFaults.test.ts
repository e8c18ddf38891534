import { assess } from '../assess';
import { readJob } from '../file';
import { exampleBoat } from '../schemes';
import { decisionTree } from './decisionTree';
import { designFaultKeys, designFaults, designSymptoms, soundLayout, spoiled } from './designFaults';
import { designModel } from './designModel';

const ids = {
  boatId: '00000000-0000-4000-8000-000000000001',
  batteryId: 'house',
  wellId: 'well',
  circuitIds: ['first', 'second'],
};
const job = soundLayout(exampleBoat('day', ids, 'Made up', undefined, undefined));
const codes = (of: typeof job) =>
  assess(of).flatMap((one) => (one.status === 'incomplete' ? [] : one.findings.map(({ id }) => id.split('@')[0])));

describe('a layout that is wrong', () => {
  it.each([...designFaultKeys])('%s is found by the assessment once it is there, and not before', (key) => {
    const { finding } = designFaults[key];
    expect(codes(job)).not.toContain(finding);
    const bad = spoiled(job, 'first', key);
    expect(readJob(bad).ok).toBe(true);
    expect(codes(bad)).toContain(finding);
  });

  it.each(Object.keys(designSymptoms) as (keyof typeof designSymptoms)[])(
    'with “%s” is told from the others by what is measured, each to its own repair',
    (symptom) => {
      const model = designModel(job, 'first', symptom, 'hard');
      if (!model) throw new Error('no model');
      const { hypotheses, tests } = model;
      expect(hypotheses).toHaveLength(4);
      expect(hypotheses.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9);
      const seen = hypotheses.map((_one, at) => tests.map(({ readings }) => readings[at]).join('|'));
      expect(new Set(seen).size).toBe(4);
      expect(decisionTree(model).minutes).toBeGreaterThan(0);
    },
  );

  it('shows by hand: the float at 22 cm switches on at 27.5 cm, the thin cable leaves under 11.5 V, the small fuse 3 A', () => {
    const read = (symptom: keyof typeof designSymptoms, key: string, id: string) => {
      const model = designModel(job, 'first', symptom, 'easy');
      const at = model?.hypotheses.findIndex((one) => one.id === key) ?? -1;
      return model?.tests.find(({ test }) => test.id === id)?.readings[at];
    };
    expect(read('stays-wet', 'float-too-high', 'heights')).toMatch(/^on 28 cm, off 25 cm/);
    expect(Number(String(read('stays-wet', 'cable-too-thin', 'pump-volts')).replace(' V', ''))).toBeLessThan(11.5);
    expect(read('stays-wet', 'fuse-too-small', 'fuse-print')).toBe('3 A; the label says 4.6 A');
    expect(read('runs-often', 'siphon', 'outlet-outside')).toBe('10 cm under the water');
    expect(read('runs-often', 'back-feed', 'lever-off')).toBe('it runs');
  });
});
