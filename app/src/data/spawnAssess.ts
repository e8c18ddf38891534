/** Starts the worker that assesses jobs. */
export function spawnAssess(): Worker {
  return new Worker(new URL('../workers/assess.worker', import.meta.url));
}
