import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { jobJsonSchema, readJob, readJobText, writeJobText, type JobProblem, type ReadJob } from './readJob';
import { newCircuit, newJob } from '../job';

const root = join(__dirname, '../../..');
const example = (): Record<string, unknown> => JSON.parse(readFileSync(join(root, 'examples/alder-wren.json'), 'utf8'));
const problemsOf = (read: ReadJob): readonly JobProblem[] => (read.ok ? [] : read.problems);

/** The example with a value put at a dotted path. */
function withValue(path: string, value: unknown): unknown {
  const job = example();
  const steps = path.split('.');
  const last = steps.pop() ?? '';
  const target = steps.reduce<Record<string, unknown>>((at, step) => at[step] as Record<string, unknown>, job);
  target[last] = value;
  return job;
}

describe('a job file', () => {
  it('of each demo boat is read, and written again as it was', () => {
    for (const name of readdirSync(join(root, 'examples'))) {
      const text = readFileSync(join(root, 'examples', name), 'utf8');
      const read = readJobText(text);
      expect(read).toMatchObject({ ok: true });
      if (read.ok) expect(JSON.parse(writeJobText(read.job))).toEqual(JSON.parse(text));
    }
  });

  it('of a new boat with a new circuit is valid before anything is measured', () => {
    const job = newJob({ boatId: '6d1f0f6e-0d5c-4a55-9a0e-000000000000', batteryId: 'b' }, 'Tern');
    expect(readJob({ ...job, circuits: [newCircuit('c', 'Pump', 'three-way-float', 'b')] })).toMatchObject({
      ok: true,
    });
  });

  it.each([
    ['circuits.0.legs.panelToBilge.lengthM', 0, '$.circuits[0].legs.panelToBilge.lengthM', /more than 0 m/],
    ['circuits.0.legs.panelToBilge.lengthM', -2, '$.circuits[0].legs.panelToBilge.lengthM', /more than 0 m/],
    ['circuits.0.pump.currentA', 0, '$.circuits[0].pump.currentA', /more than 0 A/],
    ['circuits.0.pump.currentA', 500, '$.circuits[0].pump.currentA', /above 100 A/],
    ['circuits.0.pump.windingOhm', 3, '$.circuits[0].pump.windingOhm', /at most 1.6 Ω/],
    ['circuits.0.pump.windingOhm', 0.01, '$.circuits[0].pump.windingOhm', /at least 0.052 Ω/],
    ['circuits.0.batteryId', 'elsewhere', '$.circuits[0].batteryId', /No battery has the id/],
    ['circuits.0.choices.conductors', { feed: '13 AWG' }, '$.circuits[0].choices.conductors.feed', /Not a size/],
    ['boat.name', 'half \ud800', '$.boat.name', /cannot be stored/],
    ['boat.name', '   ', '$.boat.name', /Give it a name/],
    ['boat.id', 'seven', '$.boat.id', /UUID/],
  ])('with %s = %j is refused at its path, with what to do', (path, value, at, message) => {
    expect(problemsOf(readJob(withValue(path, value)))).toContainEqual({
      path: at,
      message: expect.stringMatching(message),
    });
  });

  it('with a misspelt key names the key that was meant', () => {
    const [problem] = problemsOf(readJob(withValue('circuits.0.legs.panelToBilge.lenghtM', 5)));
    expect(problem).toEqual({
      path: '$.circuits[0].legs.panelToBilge.lenghtM',
      message: 'Unknown key "lenghtM". Did you mean "lengthM"?',
    });
  });

  it('from a newer version says so, and so does one that is no job at all', () => {
    expect(readJob({ ...example(), version: 2 })).toMatchObject({ ok: false, code: 'newer-version' });
    expect(readJob({ ...example(), format: 'something/else' })).toMatchObject({ ok: false, code: 'not-a-job' });
    expect(readJob([1, 2])).toMatchObject({ ok: false, code: 'not-a-job' });
    expect(readJobText('{"format": ')).toMatchObject({ ok: false, code: 'not-json' });
    expect(readJobText(' '.repeat(6 * 1024 * 1024))).toMatchObject({ ok: false, code: 'too-large' });
  });

  it('with the same id twice is refused', () => {
    const job = example();
    job['batteries'] = [...(job['batteries'] as unknown[]), ...(job['batteries'] as unknown[])];
    expect(problemsOf(readJob(job))[0]).toMatchObject({ path: '$.batteries[1].id' });
  });

  it('is described by the JSON Schema in the documents, which is up to date', () => {
    expect(JSON.parse(readFileSync(join(root, 'docs/job.schema.json'), 'utf8'))).toEqual(
      JSON.parse(JSON.stringify(jobJsonSchema())),
    );
  });
});
