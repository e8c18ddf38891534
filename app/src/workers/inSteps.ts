/** So long a worker does not look whether anything else is asked of it, ms. */
const AT_A_TIME_MS = 8;

/** What was asked meanwhile is answered; then it goes on. */
function othersFirst(): Promise<void> {
  return new Promise((resolve) => setTimeout(resolve, 0));
}

/**
 * Does a long piece of work step by step, so that what is asked of the worker meanwhile waits for a step and not for all of it.
 * @returns what the work comes to
 */
export async function inSteps<T>(work: Iterator<undefined, T>): Promise<T> {
  let begun = performance.now();
  for (;;) {
    const step = work.next();
    if (step.done === true) return step.value;
    if (performance.now() - begun < AT_A_TIME_MS) continue;
    await othersFirst();
    begun = performance.now();
  }
}
