/** Where no frame comes, as in a page that lies behind another, it is not waited for any longer, ms. */
const NO_FRAME_MS = 250;

/** Resolves once the browser has painted what was changed until now. */
export function afterFrame(): Promise<void> {
  return new Promise((resolve) => {
    const late = setTimeout(resolve, NO_FRAME_MS);
    requestAnimationFrame(() => {
      setTimeout(() => {
        clearTimeout(late);
        resolve();
      });
    });
  });
}
