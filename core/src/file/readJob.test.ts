import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { jobJsonSchema, readJob, readJobText, writeJobText, type JobProblem, type ReadJob } from './readJob';
import { assess } from '../assess';
import { JOB_VERSION, newCircuit, newJob } from '../job';
import { migrate } from './migrate';

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

  it('with a photograph of a circuit that is not there, or twice under one id, is refused at its place', () => {
    const hung = { id: 'one', photo: 'a'.repeat(64), small: 'b'.repeat(64), addedAt: '2026-05-01T09:30:00Z' };
    const read = (...photographs: readonly object[]) =>
      problemsOf(readJob({ ...example(), photographs })).map(({ path }) => path);
    expect(read(hung)).toEqual([]);
    expect(read({ ...hung, circuitId: 'gone' })).toEqual(['$.photographs[0].circuitId']);
    expect(read(hung, hung)).toEqual(['$.photographs[1].id']);
    expect(read({ ...hung, photo: 'A'.repeat(64) })).toEqual(['$.photographs[0].photo']);
    expect(read({ ...hung, addedAt: 'yesterday' })).toEqual(['$.photographs[0].addedAt']);
  });

  it('with a misspelt key names the key that was meant', () => {
    const [problem] = problemsOf(readJob(withValue('circuits.0.legs.panelToBilge.lenghtM', 5)));
    expect(problem).toEqual({
      path: '$.circuits[0].legs.panelToBilge.lenghtM',
      message: 'Unknown key "lenghtM". Did you mean "lengthM"?',
    });
  });

  it('from a newer version says so, and so does one that is no job at all', () => {
    expect(readJob({ ...example(), version: JOB_VERSION + 1 })).toMatchObject({ ok: false, code: 'newer-version' });
    expect(readJob({ ...example(), format: 'something/else' })).toMatchObject({ ok: false, code: 'not-a-job' });
    expect(readJob([1, 2])).toMatchObject({ ok: false, code: 'not-a-job' });
    expect(readJobText('{"format": ')).toMatchObject({ ok: false, code: 'not-json' });
    expect(readJobText(' '.repeat(6 * 1024 * 1024))).toMatchObject({ ok: false, code: 'too-large' });
  });

  it.each(readdirSync(join(__dirname, 'kept')))('kept from an earlier version opens as one of today: %s', (name) => {
    const text = readFileSync(join(__dirname, 'kept', name), 'utf8');
    const kept: Record<string, unknown> = JSON.parse(text);
    expect(kept['version']).toBeLessThan(JOB_VERSION);
    const read = readJobText(text);
    if (!read.ok) throw new Error(read.problems[0].message);
    expect(read.job.version).toBe(JOB_VERSION);
    // Nothing that was entered is lost or changed.
    const { version: _now, ...now } = read.job;
    const { version: _then, ...then } = kept;
    expect(now).toEqual(then);
    expect(readJobText(writeJobText(read.job))).toEqual(read);
    for (const one of assess(read.job)) expect(one.status).not.toBe('incomplete');
  });

  it('of each version there was is kept', () => {
    const versions = readdirSync(join(__dirname, 'kept')).map((name) => Number(/^v(\d+)-/.exec(name)?.[1]));
    expect([...new Set(versions)].sort((a, b) => a - b)).toEqual(
      Array.from({ length: JOB_VERSION - 1 }, (_, at) => at + 1),
    );
  });

  it('that is of no earlier version is handed on as it is', () => {
    for (const version of [JOB_VERSION, JOB_VERSION + 1, 0, -1, 1.5, '1', null])
      expect(migrate({ version })).toEqual({ version });
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
