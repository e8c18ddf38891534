/** How near a root is found: a thousandth of a micrometre, or of a millilitre a second. */
const CLOSE = 1e-12;

/**
 * The root of a function that rises through it, between `low` and `high`, by
 * false position with halved ends (Illinois).
 */
export function rootOf(f: (x: number) => number, low: number, high: number): number {
  let [a, b] = [low, high];
  let [atA, atB] = [f(a), f(b)];
  if (atA >= 0) return a;
  if (atB <= 0) return b;
  let kept = 0;
  let last = NaN;
  for (let step = 0; step < 200; step += 1) {
    const x = (a * atB - b * atA) / (atB - atA);
    const at = f(x);
    // Two steps that agree are near the root from the same side or both: the other end is halved until it follows.
    if (at === 0 || b - a < CLOSE || Math.abs(x - last) < CLOSE / 10) return x;
    last = x;
    if (at < 0) {
      [a, atA] = [x, at];
      if (kept < 0) atB /= 2;
      kept = -1;
    } else {
      [b, atB] = [x, at];
      if (kept > 0) atA /= 2;
      kept = 1;
    }
  }
  return (a + b) / 2;
}
