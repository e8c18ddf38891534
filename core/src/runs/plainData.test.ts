import fc from 'fast-check';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { runs } from '../../testing/runs.fixture';
import { Assessor } from '../assess';
import { readJob } from '../file';
import { newCircuit, newJob, type Job } from '../job';
import { schemeKeys } from '../schemes';
import { posesOf } from '../water';
import { wellRuns } from './lasting';
import { anyBoat } from './wholeBoats.fixture';

const examples = join(__dirname, '../../../examples');

function exampleJobs(): [string, Job][] {
  return readdirSync(examples).map((name) => {
    const read = readJob(JSON.parse(readFileSync(join(examples, name), 'utf8')));
    if (!read.ok) throw new Error(read.problems[0].message);
    return [name, read.job];
  });
}

/** Places of what is no plain data: functions, sets, instances, numbers that JSON does not know, and what is there but undefined. */
function notPlain(thing: unknown, path = ''): string[] {
  if (thing === null || typeof thing === 'string' || typeof thing === 'boolean') return [];
  if (typeof thing === 'number') return Number.isFinite(thing) && !Object.is(thing, -0) ? [] : [`${path} ${thing}`];
  if (Array.isArray(thing)) return thing.flatMap((one, at) => notPlain(one, `${path}.${at}`));
  const plain = typeof thing === 'object' && Object.getPrototypeOf(thing) === Object.prototype;
  return plain
    ? Object.entries(thing).flatMap(([key, value]) => notPlain(value, `${path}.${key}`))
    : [`${path} ${String(thing)}`];
}

/** Copies as a worker and a file would make them hold the same as the thing itself. */
function expectPlain(thing: unknown): void {
  expect(notPlain(thing)).toEqual([]);
  expect(structuredClone(thing)).toEqual(thing);
  expect(JSON.parse(JSON.stringify(thing))).toStrictEqual(thing);
}

const schemes = schemeKeys.map((scheme): [string, Job] => {
  const job = newJob({ boatId: '6d1f0f6e-0d5c-4a55-9a0e-000000000000', batteryId: 'house' }, 'Tern');
  const legs = { sourceToPanel: { lengthM: 3 }, panelToBilge: { lengthM: 5 }, bilgeToNegative: { lengthM: 5 } };
  return [
    scheme,
    { ...job, circuits: [{ ...newCircuit('main', 'Main', scheme, 'house'), legs, pump: { currentA: 5 } }] },
  ];
});

describe.each([...exampleJobs(), ...schemes])('what is known of %s', (_name, job) => {
  it.each(['metric', 'us'] as const)('is plain data, in %s', (units) => {
    const assessor = new Assessor(units);
    const assessment = assessor.assess(job);
    expect(assessment.circuits.some(({ status }) => status !== 'incomplete')).toBe(true);
    expectPlain(assessment);
    for (const one of assessment.circuits) {
      expectPlain(assessor.alternativesOf(job, one.circuit.id));
      if (one.status === 'incomplete') continue;
      for (const { id } of one.findings) expectPlain(assessor.fixOf(job, one.circuit.id, id) ?? null);
    }
  });

  it('stays plain data in a long run', () => {
    const [first] = [...(job.wells ?? [])].flatMap(({ id }) => [...wellRuns(job, id, 6)]);
    expectPlain(first ?? null);
    expect(posesOf(job).length).toBeGreaterThan(0);
  });
});

test('any whole boat is known in plain data, the same from an assessor that has known another', () => {
  const kept = new Assessor();
  fc.assert(
    fc.property(anyBoat, (boat) => {
      const job = JSON.parse(JSON.stringify(boat)) as Job;
      const assessment = kept.assess(job);
      expectPlain(assessment);
      expect(kept.assess(structuredClone(job))).toEqual(assessment);
      const other = { ...job, circuits: job.circuits.map((one, at) => (at === 0 ? { ...one, name: 'Other' } : one)) };
      expect(kept.assess(other)).toStrictEqual(new Assessor().assess(other));
    }),
    runs(60),
  );
});
