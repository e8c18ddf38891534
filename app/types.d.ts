declare module '*.ttf' {
  const asset: number;
  export default asset;
}

/** The renderer's own scheduler, which comes without types. */
declare module 'scheduler' {
  /** @param fps how often a second it lets the browser go on with other things, 0 to 125 */
  export function unstable_forceFrameRate(fps: number): void;
}
