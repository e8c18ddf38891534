import { conductorSizes } from './conductors';

/** A butt barrel and the areas of copper that it takes, mm². */
export interface Barrel {
  readonly colour: string;
  readonly sizes: string;
  readonly fromMm2: number;
  readonly toMm2: number;
}

/** Barrels by size as commonly sold; a joint of more copper than the largest takes a block or a step-down. */
export const barrels: readonly Barrel[] = [
  { colour: 'red', sizes: '22-18 AWG', fromMm2: 0.26, toMm2: 1.04 },
  { colour: 'blue', sizes: '16-14 AWG', fromMm2: 1.04, toMm2: 2.63 },
  { colour: 'yellow', sizes: '12-10 AWG', fromMm2: 2.63, toMm2: 6.64 },
  { colour: 'red (large)', sizes: '8 AWG', fromMm2: 6.64, toMm2: 10.5 },
];

/** The most copper that any barrel takes, mm². */
export const largestBarrelMm2 = 10.5;

/** How many sizes of the AWG table lie between two areas, mm²; below 0 where the second is the larger. */
export function sizesApart(areaMm2: number, otherMm2: number): number {
  return nearestSize(areaMm2) - nearestSize(otherMm2);
}

/** The place in the AWG table of the size nearest to an area. */
function nearestSize(mm2: number): number {
  const away = (one: number) => Math.abs(Math.log(one / mm2));
  return conductorSizes.awg.reduce(
    (best, { areaMm2 }, index, rows) => (away(areaMm2) < away(rows[best]?.areaMm2 ?? 1) ? index : best),
    0,
  );
}
