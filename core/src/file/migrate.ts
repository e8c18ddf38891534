import { JOB_VERSION } from '../job';

type Step = (job: Readonly<Record<string, unknown>>) => Record<string, unknown>;

/**
 * What turns a job of each version into one of the next, by the version it starts
 * from. A step is pure, knows nothing of today's schema, and is never changed once
 * jobs of its version may be about.
 */
const steps: Readonly<Record<number, Step>> = {
  // Version 2 adds keys, each with a default that says what version 1 meant; none is renamed.
  1: (job) => ({ ...job, version: 2 }),
  // Version 3 adds photographs, and how circuits are built.
  2: (job) => ({ ...job, version: 3 }),
  // Version 4 adds the outline of a panel, parts that are on board, and the step that a photograph shows.
  3: (job) => ({ ...job, version: 4 }),
};

/**
 * A job of any earlier version as one of this version; anything else is handed back as it is.
 * Whatever brings a job in (a file, a row, the device's store) goes through here.
 */
export function migrate(data: object): object {
  let job: Record<string, unknown> = { ...data };
  for (;;) {
    const { version } = job;
    const step = typeof version === 'number' && version < JOB_VERSION ? steps[version] : undefined;
    if (!step) return job;
    job = step(job);
  }
}
