import { Worker } from 'node:worker_threads';
import type { Job } from '@harbor-latch/core/job/index';
import type { Summary } from '@harbor-latch/core/wire/index';

type Judged = Omit<Summary, 'version'> | null;

/** Judges boats in a thread of its own, one at a time. */
export function judgeInWorker(script: URL): { judge(job: Job): Promise<Judged>; stop(): Promise<void> } {
  let worker: Worker | undefined;
  const judge = (job: Job) =>
    new Promise<Judged>((resolve) => {
      worker ??= new Worker(script);
      const one = worker;
      const end = (judged: Judged) => {
        one.removeAllListeners();
        resolve(judged);
      };
      one.once('message', end);
      one.once('error', () => {
        worker = undefined;
        end(null);
      });
      one.postMessage(job);
    });
  return {
    judge,
    stop: async () => {
      await worker?.terminate();
    },
  };
}
