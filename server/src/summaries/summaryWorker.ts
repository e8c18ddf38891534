import { parentPort } from 'node:worker_threads';
import type { Job } from '@harbor-latch/core/job/index';
import { summaryOf } from './summaryOf';

/** Judges boats for lists beside the server, so that no answer waits for it. */
parentPort?.on('message', (job: Job) => {
  try {
    parentPort?.postMessage(summaryOf(job));
  } catch {
    parentPort?.postMessage(null);
  }
});
