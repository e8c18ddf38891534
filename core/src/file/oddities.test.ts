import { newCircuit, newJob } from '../job';
import { oddities } from './oddities';
import { readJob } from './readJob';

const job = {
  ...newJob({ boatId: '6d1f0f6e-0d5c-4a55-9a0e-000000000000', batteryId: 'house' }, 'Tern'),
  circuits: [newCircuit('main', 'Main', 'three-way-float', 'house')],
};

describe('what no store keeps as it is', () => {
  it('is told by its place: keys of no character, and the one that engines take for something else', () => {
    const data = JSON.parse('{"a":{"__proto__":{"b":1}},"c":[{"d\\u0000":1},{"\\ud800":2,"😀":3}]}') as object;
    expect(oddities(data).keys).toEqual([
      { holder: ['c', 1], key: '\ud800' },
      { holder: ['c', 0], key: 'd\u0000' },
      { holder: ['a'], key: '__proto__' },
    ]);
  });

  it('is put right where it is the same: −0 is 0', () => {
    const { data, keys } = oddities({ a: [-0, { b: -0 }], c: 1 });
    expect(data).toEqual({ a: [0, { b: 0 }], c: 1 });
    expect(keys).toEqual([]);
  });

  it('is found however deep', () => {
    const deep = `${'['.repeat(50_000)}-0${']'.repeat(50_000)}`;
    expect(() => oddities(JSON.parse(deep) as object)).not.toThrow();
  });
});

describe('a job with odd keys', () => {
  it('is refused with the place that holds them', () => {
    const odd = { ...job, circuits: [{ ...job.circuits[0], panel: { posts: { 'switch.auto\u0000': '3' } } }] };
    expect(readJob(odd)).toMatchObject({ ok: false, problems: [{ path: '$.circuits[0].panel.posts' }] });
    const proto: unknown = JSON.parse(JSON.stringify(job).replace('"boat":{', '"boat":{"__proto__":{},'));
    expect(readJob(proto)).toMatchObject({ ok: false, problems: [{ path: '$.boat' }] });
  });

  it('is told of by few and short problems, however many and long the keys are', () => {
    const many = Object.fromEntries(Array.from({ length: 50_000 }, (_, index) => [`key${index}`, 1]));
    const long = { [`k${'e'.repeat(300_000)}y`]: 1 };
    for (const extra of [many, long]) {
      const read = readJob({ ...job, ...extra });
      if (read.ok) throw new Error('It was read.');
      expect(read.problems.length).toBeLessThanOrEqual(50);
      expect(JSON.stringify(read.problems).length).toBeLessThan(10_000);
    }
  });
});
