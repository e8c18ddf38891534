import { Worker } from 'node:worker_threads';
import type { Job } from '@harbor-latch/core/job/index';
import type { Summary } from '@harbor-latch/core/wire/index';

type Judged = Omit<Summary, 'version'> | null;

/** Judges boats in a thread of its own, one after the other; one that ends the thread is told as null, and the next has a new one. */
export function judgeInWorker(script: URL): { judge(job: Job): Promise<Judged>; stop(): Promise<void> } {
  let worker: Worker | undefined;
  let answer: (judged: Judged) => void = () => undefined;
  const begin = (): Worker => {
    const begun = new Worker(script);
    begun.on('message', (judged: Judged) => answer(judged));
    begun.on('error', () => undefined);
    begun.on('exit', () => {
      if (worker === begun) worker = undefined;
      answer(null);
    });
    return begun;
  };
  return {
    judge: (job) =>
      new Promise((resolve) => {
        answer = resolve;
        worker ??= begin();
        worker.postMessage(job);
      }),
    stop: async () => {
      await worker?.terminate();
    },
  };
}
