import { readJob } from '@harbor-latch/core/file/index';
import { JOB_VERSION, type Job } from '@harbor-latch/core/job/index';
import type { RowJob } from './schema';

/**
 * A stored job in today's version; rows keep the version that they were written in.
 * @throws Error for a row that no version could have written.
 */
export function ofToday(job: RowJob): Job {
  if (job.version === JOB_VERSION) return { ...job, version: JOB_VERSION };
  const read = readJob(job);
  if (!read.ok) throw new Error(`A stored boat cannot be read: ${read.problems[0].path} ${read.problems[0].message}`);
  return read.job;
}
