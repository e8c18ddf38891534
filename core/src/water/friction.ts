/** Up to here flow is laminar, from there on turbulent. */
const LAMINAR_TO_RE = 2300;
const TURBULENT_FROM_RE = 4000;

/**
 * Darcy's friction factor of a round bore: 64/Re to Re 2300, Colebrook's from
 * 4000, and between them linear in Re, so that it never jumps.
 * @param re Reynolds number, more than 0
 * @param relativeRoughness roughness over bore, 0–0.1
 * @see C. F. Colebrook, “Turbulent flow in pipes”, Journal of the ICE 11 (1939)
 */
export function frictionFactor(re: number, relativeRoughness: number): number {
  if (re <= LAMINAR_TO_RE) return 64 / re;
  if (re >= TURBULENT_FROM_RE) return colebrook(re, relativeRoughness);
  const [low, high] = [64 / LAMINAR_TO_RE, colebrook(TURBULENT_FROM_RE, relativeRoughness)];
  return low + ((high - low) * (re - LAMINAR_TO_RE)) / (TURBULENT_FROM_RE - LAMINAR_TO_RE);
}

/** Newton's method on x = 1/√f, where Colebrook's x + 2·log10(ε/3.7 + 2.51·x/Re) rises ever and is convex. */
function colebrook(re: number, relativeRoughness: number): number {
  const rough = relativeRoughness / 3.7;
  const smooth = 2.51 / re;
  // Haaland's explicit formula is within two percent.
  let x = -1.8 * Math.log10((relativeRoughness / 3.7) ** 1.11 + 6.9 / re);
  for (let step = 0; step < 20; step += 1) {
    const inner = rough + smooth * x;
    const miss = x + 2 * Math.log10(inner);
    const change = miss / (1 + (2 * smooth) / (inner * Math.LN10));
    x -= change;
    if (Math.abs(change) < 1e-12 * x) break;
  }
  return 1 / (x * x);
}
