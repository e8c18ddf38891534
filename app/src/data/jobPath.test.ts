import { jobSchema, readJob } from '@harbor-latch/core/file/index';
import type { Job } from '@harbor-latch/core/job/index';
import alderWren from '../../../examples/alder-wren.json';
import lowSamphire from '../../../examples/low-samphire.json';
import pinnock from '../../../examples/pinnock.json';
import { boatWith } from '../testing/page.fixture';
import { setAt, valueAt, type JobPath } from './jobPath';
import { partAt } from './partAt';

const job = boatWith();

describe('a value at a path', () => {
  it('is set where nothing was, with what lies on the way', () => {
    const result = setAt(job, ['circuits', 0, 'source', 'stubLengthM'], 0.3);
    expect(result.ok && result.job.circuits[0]?.source).toEqual({ stubLengthM: 0.3 });
    expect(job.circuits[0]?.source).toBeUndefined();
  });

  it('is removed by undefined, and the rest stays', () => {
    const result = setAt(job, ['circuits', 0, 'legs', 'panelToBilge', 'lengthM'], undefined);
    expect(result.ok && result.job.circuits[0]?.legs).toEqual({
      sourceToPanel: { lengthM: 3 },
      panelToBilge: {},
      bilgeToNegative: { lengthM: 5 },
    });
  });

  it('that does not fit is refused with the message of its own field', () => {
    expect(setAt(job, ['circuits', 0, 'pump', 'currentA'], 500)).toEqual({
      ok: false,
      message: expect.stringContaining('Pump current above 100 A is not a bilge-pump circuit.'),
    });
  });

  it('that spoils another field is refused too, with the words of that field', () => {
    const wound = boatWith({ pump: { currentA: 5, windingOhm: 0.5 } });
    const result = setAt(wound, ['circuits', 0, 'pump', 'currentA'], 50);
    expect(result).toMatchObject({ ok: false, message: expect.stringContaining('winding') });
  });

  it('is undefined where the path leads nowhere', () => {
    expect(valueAt(job, ['circuits', 7, 'pump', 'currentA'])).toBeUndefined();
    expect(valueAt(job, ['boat', 'name'])).toBe('Tern');
  });
});

const examples = [alderWren, lowSamphire, pinnock].map((file): Job => {
  const read = readJob(file);
  if (!read.ok) throw new Error('An example does not read.');
  return read.job;
});

/** Every place in a document, and those that other places of its kind have besides. */
function placesIn(documents: readonly unknown[]): Map<string, Set<string>> {
  const keys = new Map<string, Set<string>>();
  const look = (value: unknown, at: string) => {
    if (typeof value !== 'object' || value === null) return;
    const here = Array.isArray(value) ? '#' : at;
    for (const [key, below] of Object.entries(value)) {
      if (here !== '#') keys.set(at, (keys.get(at) ?? new Set()).add(key));
      look(below, Array.isArray(value) ? `${at}/#` : `${at}/${key}`);
    }
  };
  for (const one of documents) look(one, '');
  return keys;
}

function pathsOf(
  value: unknown,
  keys: ReadonlyMap<string, ReadonlySet<string>>,
  path: JobPath = [],
  kind = '',
): JobPath[] {
  if (typeof value !== 'object' || value === null) return [path];
  if (Array.isArray(value))
    return [path, ...value.flatMap((one, index) => pathsOf(one, keys, [...path, index], `${kind}/#`))];
  const own = value as Readonly<Record<string, unknown>>;
  return [
    path,
    ...[...(keys.get(kind) ?? [])].flatMap((key) => pathsOf(own[key], keys, [...path, key], `${kind}/${key}`)),
  ];
}

describe('a value checked with its part alone', () => {
  const keys = placesIn(examples);
  const tries = [undefined, null, true, -1, 0, 0.4, 5, 1e9, 'x', '10 AWG', 'NaN\u0000', {}, []];

  it.each(examples.map((one) => [one.boat.name, one] as const))(
    'is taken or refused as the whole job with it would be: every fifth place of %s',
    (_name, of) => {
      let refused = 0;
      let taken = 0;
      for (const path of pathsOf(of, keys).filter(({ length }, at) => length > 0 && at % 5 === 1)) {
        for (const value of tries) {
          const outcome = setAt(of, path, value);
          const whole = jobSchema.safeParse(withOne(of, path, value));
          expect({ path, value, ok: outcome.ok }).toEqual({ path, value, ok: whole.success });
          if (outcome.ok && whole.success) expect(outcome.job).toEqual(whole.data);
          if (outcome.ok) taken += 1;
          else refused += 1;
        }
      }
      expect(Math.min(taken, refused)).toBeGreaterThan(50);
    },
  );

  it('leaves everything beside its own way the same object', () => {
    const [of] = examples;
    const result = of && setAt(of, ['circuits', 0, 'legs', 'sourceToPanel', 'lengthM'], 2.2);
    if (!result?.ok) throw new Error('It was refused.');
    expect(result.job.wells).toBe(of?.wells);
    expect(result.job.circuits[0]?.pump).toBe(of?.circuits[0]?.pump);
  });

  it('goes no deeper than a rule that looks at several fields, and no deeper than what is missing', () => {
    const [of] = examples;
    const float = ['circuits', 0, 'water', 'float', 'onM'];
    expect(partAt(jobSchema, of, float).path).toEqual(float.slice(0, 4));
    expect(partAt(jobSchema, job, ['circuits', 0, 'source', 'stubLengthM']).path).toEqual(['circuits', 0, 'source']);
    expect(partAt(jobSchema, job, ['nowhere', 1]).path).toEqual([]);
  });
});

/** Set by plain copying, apart from the code that is tested. */
function withOne(of: Job, path: JobPath, value: unknown): unknown {
  const copy: unknown = JSON.parse(JSON.stringify(of));
  let at = copy as Record<string | number, unknown>;
  for (const step of path.slice(0, -1)) {
    if (typeof at[step] !== 'object' || at[step] === null) at[step] = {};
    at = at[step] as Record<string | number, unknown>;
  }
  const last = path[path.length - 1] ?? '';
  if (value !== undefined) at[last] = value;
  else if (!Array.isArray(at)) Reflect.deleteProperty(at, last);
  else at[Number(last)] = undefined;
  return copy;
}
