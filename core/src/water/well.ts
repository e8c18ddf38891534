import { riseAt, type Slopes } from './pose';
import { gaussLegendre, integrate } from './quadrature';
import { rootOf } from './root';
import { sectionOf, type Section, type SectionShape } from './section';

/** A member across a well; without limber holes the water behind it does not reach the pump. */
export interface Member {
  readonly xM: number;
  readonly limberHoles: boolean;
}

/** Where water gathers. Heights are over the pump's base, x forward and y to starboard of it, m. */
export interface Well {
  readonly aftM: number;
  readonly foreM: number;
  readonly centreYM: number;
  /** The lowest point of the section at the pump. */
  readonly floorM: number;
  /** How far the floor rises a metre forward. */
  readonly floorSlope: number;
  readonly shape: SectionShape;
  readonly members: readonly Member[];
}

/** The pool that a pump at a place draws from: the well between members without limber holes. */
export function poolAt(well: Well, xM: number): Well {
  const closed = well.members.filter(({ limberHoles }) => !limberHoles).map((member) => member.xM);
  return {
    ...well,
    aftM: Math.max(well.aftM, ...closed.filter((x) => x <= xM)),
    foreM: Math.min(well.foreM, ...closed.filter((x) => x > xM)),
  };
}

/** Whether a place lies within a pool's ends and walls. */
export function isInside(well: Well, place: { readonly xM: number; readonly yM: number }): boolean {
  const slack = 1e-9;
  return place.xM >= well.aftM - slack && place.xM <= well.foreM + slack && Number.isFinite(floorAt(well, place));
}

/** Height of the well's floor at a place, over the pump's base, m; infinite beyond its walls. */
export function floorAt(well: Well, { xM, yM }: { readonly xM: number; readonly yM: number }): number {
  return well.floorM + xM * well.floorSlope + sectionOf(well.shape, 0).floorM(yM - well.centreYM);
}

/** A well with the boat in one attitude: volume and level both ways. */
export interface PosedWell {
  /**
   * Water in the pool, m³.
   * @param levelM height of the surface at the pump, over its base
   */
  volumeM3(levelM: number): number;
  /** The level at which the pool holds a volume, m; the lowest wet one for 0. */
  levelM(volumeM3: number): number;
  /** Whether the well may narrow upwards, so that a float’s dead-band can hold less higher up. */
  readonly narrows: boolean;
  /** From this level at the pump upwards its sides are upright, m: more height holds evenly more. */
  readonly evenFromM: number;
  /** Highest level at which the pool is dry, m. */
  readonly dryM: number;
}

const exact = gaussLegendre(3);
const fine = gaussLegendre(24);

/**
 * A pool under a sloping surface. Every section's area is exact; along the boat
 * it is a polynomial between places where its formula changes, so three nodes a
 * piece are exact, and a round section takes more.
 */
export function posedWell(pool: Well, slopes: Slopes): PosedWell {
  const section = sectionOf(pool.shape, slopes.alongY);
  const { aftM, foreM, centreYM, floorM } = pool;
  const tilt = slopes.alongX - pool.floorSlope;
  // Depth at the middle of the section at x: over + tilt·x.
  const overOf = (levelM: number) => levelM + riseAt(slopes, { xM: 0, yM: centreYM }) - floorM;
  const volumeM3 = (levelM: number) => volumeOver(section, overOf(levelM), tilt, aftM, foreM);
  const firstWet = section.breaks[0] ?? 0;
  const deepest = Math.max(tilt * aftM, tilt * foreM);
  const dryM = firstWet - deepest - overOf(0);
  const levelM = (volume: number) => {
    if (volume <= 0) return dryM;
    let high = dryM + 0.05;
    while (volumeM3(high) < volume && high < dryM + 1e4) high = dryM + 2 * (high - dryM);
    return rootOf((level) => volumeM3(level) - volume, dryM, high);
  };
  const lastBreak = section.breaks[section.breaks.length - 1] ?? 0;
  const shallowest = Math.min(tilt * aftM, tilt * foreM);
  return { volumeM3, levelM, narrows: narrows(pool), dryM, evenFromM: lastBreak - shallowest - overOf(0) };
}

/** ∫ area(over + tilt·x) dx between the pool's ends. */
function volumeOver(section: Section, over: number, tilt: number, aftM: number, foreM: number): number {
  const depthAt = (x: number) => over + tilt * x;
  if (Math.abs(tilt * (foreM - aftM)) < 1e-12) return section.areaM2(depthAt((aftM + foreM) / 2)) * (foreM - aftM);
  const first = section.breaks[0] ?? 0;
  const ends = [aftM, foreM].map(depthAt).sort((one, other) => one - other);
  const [low, high] = [Math.max(first, ends[0] ?? 0), ends[1] ?? 0];
  if (high <= low) return 0;
  let volume = 0;
  let from = low;
  for (const to of [...section.breaks.filter((at) => at > low && at < high), high]) {
    volume += section.rooted ? rooted(section, from, to) : integrate(exact, from, to, section.areaM2);
    from = to;
  }
  return volume / Math.abs(tilt);
}

/** Near its first wet depth a round section's area grows as a power of 3/2: with depth = from + u², it is smooth. */
function rooted(section: Section, from: number, to: number): number {
  const span = Math.sqrt(to - from);
  return integrate(fine, 0, span, (u) => 2 * u * section.areaM2(from + u * u));
}

/** Only a table can say that a section grows narrower. */
function narrows({ shape }: Well): boolean {
  if (shape.kind !== 'table') return false;
  const widths = shape.rows.map(({ heightM, areaM2 }, at) => {
    const before = shape.rows[at - 1] ?? { heightM: 0, areaM2: 0 };
    return (areaM2 - before.areaM2) / (heightM - before.heightM);
  });
  return widths.some((width, at) => width < (widths[at - 1] ?? 0) - 1e-12);
}
