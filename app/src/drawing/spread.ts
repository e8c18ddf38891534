/** Something drawn upright about its own place across, px. */
export interface Upright {
  readonly id: string;
  readonly x: number;
  /** How far it reaches to the left and right of x. */
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom: number;
}

/** Places tried beside one's own come at this distance, px. */
const STEP = 6;

function meet(one: Upright, dx: number, other: Upright, otherDx: number): boolean {
  const [x, otherX] = [one.x + dx, other.x + otherDx];
  return (
    x - one.left < otherX + other.right &&
    otherX - other.left < x + one.right &&
    one.top < other.bottom &&
    other.top < one.bottom
  );
}

/**
 * How far beside its own place each is drawn so that none lies over another, px: the first stand where they are,
 * the others at the nearest free place, to the right before the left.
 * @param from and `to`: the sheet's edges, px; what finds no place between them stays where it is
 */
export function spread(all: readonly Upright[], from: number, to: number): ReadonlyMap<string, number> {
  const placed: { readonly one: Upright; readonly dx: number }[] = [];
  for (const one of all) {
    const free = (dx: number) =>
      one.x + dx - one.left >= from &&
      one.x + dx + one.right <= to &&
      !placed.some((other) => meet(one, dx, other.one, other.dx));
    let dx = 0;
    // What lies outside the sheet is not drawn, and moves nothing.
    if (one.x >= from && one.x <= to)
      for (let far = 0; far <= to - from && !free(dx); far += STEP) dx = free(far) ? far : free(-far) ? -far : 0;
    placed.push({ one, dx });
  }
  return new Map(placed.map(({ one, dx }) => [one.id, dx]));
}
