import { jobSchema, problemsOf, jsonPath } from '@harbor-latch/core/file/index';
import { problemsAcross, type Job } from '@harbor-latch/core/job/index';
import { partAt, type JobPath } from './partAt';

export type { JobPath };

/** The value at a path of a job, or undefined. */
export function valueAt(job: unknown, path: JobPath): unknown {
  return path.reduce<unknown>((value, step) => {
    if (typeof value !== 'object' || value === null) return undefined;
    return (value as Record<string | number, unknown>)[step];
  }, job);
}

export type Changed = { readonly ok: true; readonly job: Job } | { readonly ok: false; readonly message: string };

/** The job, which is one, with one value set (undefined removes it): the part that changes is checked, and how it fits the rest. */
export function setAt(job: Job, path: JobPath, value: unknown): Changed {
  const changed = replaced(job, path, value);
  const part = partAt(jobSchema, job, path);
  const read = part.schema.safeParse(valueAt(changed, part.path));
  if (read.success) {
    const whole = replaced(job, part.path, read.data) as Job;
    if (problemsAcross(whole).length === 0) return { ok: true, job: whole };
  }
  return setWhole(changed, path);
}

/** The same, checked as a whole: what is wrong is then said with its place. */
function setWhole(changed: unknown, path: JobPath): Changed {
  const parsed = jobSchema.safeParse(changed);
  if (parsed.success) return { ok: true, job: parsed.data };
  const problems = problemsOf(parsed.error);
  const here = problems.find((problem) => problem.path === jsonPath(path));
  return { ok: false, message: (here ?? problems[0])?.message ?? 'This value does not fit.' };
}

function replaced(value: unknown, path: JobPath, leaf: unknown): unknown {
  const [step, ...rest] = path;
  if (step === undefined) return leaf;
  if (Array.isArray(value))
    return value.map((item: unknown, index) => (index === step ? replaced(item, rest, leaf) : item));
  const object: Record<string, unknown> = typeof value === 'object' && value !== null ? { ...value } : {};
  const inner = replaced(object[step], rest, leaf);
  const { [step]: _before, ...others } = object;
  return inner === undefined ? others : { ...others, [step]: inner };
}
