/** Marks what stays under a page: what is said for a moment stands above it. */
export const pageFoot = { dataSet: { pageFoot: '' } } as object;

/** How high what stays under the page that is shown is, px; 0 where there is nothing. */
export function footHeight(): number {
  const feet = [...document.querySelectorAll<HTMLElement>('[data-page-foot]')];
  // A page under another is still there, and not seen.
  return Math.max(0, ...feet.filter((foot) => foot.offsetParent !== null).map(({ offsetHeight }) => offsetHeight));
}
