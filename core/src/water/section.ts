/** The shape of a well's section across the boat. */
export type SectionShape =
  | { readonly kind: 'box'; readonly widthM: number }
  /** Two flat sides rising from the middle at the deadrise, between upright walls `widthM` apart. */
  | { readonly kind: 'v'; readonly deadriseDeg: number; readonly widthM: number }
  /** The lower half of a circle, with upright walls above it. */
  | { readonly kind: 'round'; readonly radiusM: number }
  /** Section area below each height, from the lowest point upwards. */
  | { readonly kind: 'table'; readonly rows: readonly { readonly heightM: number; readonly areaM2: number }[] };

/** A section under water whose surface slopes across it. */
export interface Section {
  /**
   * Area under water, m².
   * @param depthM the surface over the section's lowest point, read at the middle, m; may be below 0 where it slopes
   */
  areaM2(depthM: number): number;
  /** Depths at which the area's formula changes, rising; below the first it is 0. */
  readonly breaks: readonly number[];
  /** Whether the area grows as a root just after the first break, so that quadrature needs care there. */
  readonly rooted: boolean;
  /** Height of the section's bottom at a distance from its middle, m; infinite outside its walls. */
  floorM(offsetM: number): number;
}

/**
 * A section with the surface rising by `slope` metres a metre to starboard. Areas
 * are exact. A table of areas is taken as symmetric about its centre line: between
 * two rows its half-breadth is half of what the area gains a metre of height.
 */
export function sectionOf(shape: SectionShape, slope: number): Section {
  switch (shape.kind) {
    case 'box':
      return straight(0, shape.widthM / 2, slope);
    case 'v':
      return straight(Math.tan((shape.deadriseDeg * Math.PI) / 180), shape.widthM / 2, slope);
    case 'round':
      return round(shape.radiusM, slope);
    case 'table':
      return tabled(shape.rows, slope);
    default:
      return shape satisfies never;
  }
}

/** ∫ max(0, c + m·u) du from 0 to w. */
function wedge(c: number, m: number, w: number): number {
  const [first, last] = [Math.max(0, c), Math.max(0, c + m * w)];
  if (first > 0 && last > 0) return ((first + last) / 2) * w;
  if (first === 0 && last === 0) return 0;
  // A triangle: one end is dry.
  const high = Math.max(first, last);
  return (high * high) / (2 * Math.abs(m));
}

/** A bottom rising at `rise` to both sides of the middle; 0 is a box. */
function straight(rise: number, half: number, slope: number): Section {
  const breaks = [0, (rise - slope) * half, (rise + slope) * half].sort((one, other) => one - other);
  return {
    areaM2: (depth) => wedge(depth, slope - rise, half) + wedge(depth, -slope - rise, half),
    breaks,
    rooted: false,
    floorM: (offset) => (Math.abs(offset) > half + 1e-12 ? Infinity : rise * Math.abs(offset)),
  };
}

function round(radius: number, slope: number): Section {
  const lowest = radius - radius * Math.hypot(1, slope);
  // Area under the arc from the middle to an offset.
  const arc = (y: number) =>
    (y * Math.sqrt(Math.max(0, radius * radius - y * y)) +
      radius * radius * Math.asin(Math.max(-1, Math.min(1, y / radius)))) /
    2;
  const areaM2 = (depth: number): number => {
    if (depth <= lowest) return 0;
    // Depth at y is c + slope·y + √(R² − y²), concave, so what is wet is one interval.
    const c = depth - radius;
    const [from, to] = wetOf(c, slope, radius);
    return Math.max(0, c * (to - from) + (slope * (to * to - from * from)) / 2 + arc(to) - arc(from));
  };
  return {
    areaM2,
    breaks: [lowest, radius - Math.abs(slope) * radius, radius + Math.abs(slope) * radius],
    rooted: true,
    floorM: (offset) =>
      Math.abs(offset) > radius + 1e-12 ? Infinity : radius - Math.sqrt(Math.max(0, radius * radius - offset * offset)),
  };
}

/** Where c + slope·y + √(R² − y²) ≥ 0, within the walls. */
function wetOf(c: number, slope: number, radius: number): readonly [number, number] {
  const dry = (y: number) => c + slope * y < 0;
  // Roots of (1 + m²)y² + 2·c·m·y + c² − R² = 0.
  const a = 1 + slope * slope;
  const root = Math.sqrt(Math.max(0, c * c * slope * slope - a * (c * c - radius * radius)));
  const [first, second] = [(-c * slope - root) / a, (-c * slope + root) / a];
  const from = dry(-radius) ? first : -radius;
  const to = dry(radius) ? second : radius;
  return [Math.max(-radius, from), Math.min(radius, to)];
}

/** A stretch of a table between two rows: as wide all the way up as its area says. */
interface Slab {
  readonly lowM: number;
  /** Infinite for the last: above the table its walls go on upright. */
  readonly highM: number;
  readonly halfM: number;
}

function slabsOf(rows: readonly { readonly heightM: number; readonly areaM2: number }[]): Slab[] {
  const known = [{ heightM: 0, areaM2: 0 }, ...rows.filter(({ heightM }) => heightM > 0)].sort(
    (a, b) => a.heightM - b.heightM,
  );
  return known.flatMap((low, at): Slab[] => {
    const high = known[at + 1];
    if (!high) return [];
    const halfM = (high.areaM2 - low.areaM2) / (high.heightM - low.heightM) / 2;
    return [{ lowM: low.heightM, highM: at + 2 === known.length ? Infinity : high.heightM, halfM }];
  });
}

/** Slabs one on the other, each under its own part of the sloping surface: ∫ of what lies above its foot less what lies above its head. */
function tabled(rows: readonly { readonly heightM: number; readonly areaM2: number }[], slope: number): Section {
  const slabs = slabsOf(rows);
  const above = (depth: number, half: number) =>
    half > 0 ? wedge(depth, slope, half) + wedge(depth, -slope, half) : 0;
  const areaM2 = (depth: number): number => {
    let area = 0;
    for (const { lowM, highM, halfM } of slabs) {
      area += above(depth - lowM, halfM);
      if (highM !== Infinity) area -= above(depth - highM, halfM);
    }
    return Math.max(0, area);
  };
  const edges = slabs.flatMap(({ lowM, highM, halfM }) => {
    const reach = Math.abs(slope) * halfM;
    return [lowM - reach, lowM + reach, ...(highM === Infinity ? [] : [highM - reach, highM + reach])];
  });
  return {
    areaM2,
    breaks: [...new Set(edges)].sort((one, other) => one - other),
    rooted: false,
    floorM: (offset) => slabs.find(({ halfM }) => Math.abs(offset) <= halfM + 1e-12)?.lowM ?? Infinity,
  };
}
