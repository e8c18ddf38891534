/** Starts the worker that makes photographs fit to be kept. */
export function spawnPhoto(): Worker {
  return new Worker(new URL('../workers/photo.worker', import.meta.url));
}
