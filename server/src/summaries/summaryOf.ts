import { Assessor, boatSummaryOf } from '@harbor-latch/core/assess/index';
import type { Job } from '@harbor-latch/core/job/index';
import type { Summary } from '@harbor-latch/core/wire/index';

/** How a boat stands, for lists, in both unit systems. */
export function summaryOf(job: Job): Omit<Summary, 'version'> {
  return {
    metric: boatSummaryOf(new Assessor('metric').assess(job)),
    us: boatSummaryOf(new Assessor('us').assess(job)),
  };
}
