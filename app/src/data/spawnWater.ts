/** Starts the worker for long runs of wells. */
export function spawnWater(): Worker {
  return new Worker(new URL('../workers/water.worker', import.meta.url));
}
