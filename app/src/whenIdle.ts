/** Calls when the browser has nothing else to do, or after a while. @returns what takes the call back */
export function whenIdle(call: () => void): () => void {
  // Not every browser tells when it is idle.
  const { requestIdleCallback, cancelIdleCallback } = window as Partial<Window>;
  if (!requestIdleCallback || !cancelIdleCallback) {
    const timer = setTimeout(call, 2000);
    return () => clearTimeout(timer);
  }
  const idle = requestIdleCallback(call, { timeout: 5000 });
  return () => cancelIdleCallback(idle);
}
