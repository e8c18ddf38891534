import { sectionOf, type Slopes, type Well } from '@harbor-latch/core/water/index';

/** Which way a section is cut: along the boat through the pump, or across it there. */
export type Cut = 'along' | 'across';

/** What a section shows of the boat, m: `from` to `to` to the right, `low` to `high` upwards. */
export interface View {
  readonly from: number;
  readonly to: number;
  readonly low: number;
  readonly high: number;
}

/** Metres on paper: one scale both ways, so that heights and lengths can be read off alike. */
export interface Scale {
  readonly view: View;
  readonly perM: number;
  x(metres: number): number;
  y(metres: number): number;
  /** Back from pixels. */
  metresX(pixels: number): number;
  metresY(pixels: number): number;
}

/** The scale at which a view fills a sheet. */
export function scaleOf(view: View, width: number, height: number): Scale {
  const perM = Math.min(width / (view.to - view.from), height / (view.high - view.low));
  const left = (width - perM * (view.to - view.from)) / 2;
  const bottom = height - (height - perM * (view.high - view.low)) / 2;
  return {
    view,
    perM,
    x: (metres) => left + perM * (metres - view.from),
    y: (metres) => bottom - perM * (metres - view.low),
    metresX: (pixels) => view.from + (pixels - left) / perM,
    metresY: (pixels) => view.low + (bottom - pixels) / perM,
  };
}

/** A section through the well: what stands to the right on paper, and where the floor is. */
export interface Section {
  readonly cut: Cut;
  readonly from: number;
  readonly to: number;
  /** Height of the floor, m; infinite beyond the walls. */
  floorM(at: number): number;
  /** Height of the water's surface with level h at the pump, m. */
  surfaceM(at: number, levelM: number): number;
}

/** The section through the pump. */
export function cutThrough(pool: Well, slopes: Slopes, cut: Cut): Section {
  if (cut === 'along') {
    const middle = sectionOf(pool.shape, 0);
    const atPump = Math.min(middle.floorM(-pool.centreYM), 10);
    return {
      cut,
      from: pool.aftM,
      to: pool.foreM,
      floorM: (x) => pool.floorM + x * pool.floorSlope + atPump,
      surfaceM: (x, levelM) => levelM + x * slopes.alongX,
    };
  }
  const half = halfWidth(pool);
  const across = sectionOf(pool.shape, 0);
  return {
    cut,
    from: pool.centreYM - half,
    to: pool.centreYM + half,
    floorM: (y) => pool.floorM + floorAcross(pool, across.floorM, y - pool.centreYM),
    surfaceM: (y, levelM) => levelM + y * slopes.alongY,
  };
}

function halfWidth({ shape }: Well): number {
  switch (shape.kind) {
    case 'box':
    case 'v':
      return shape.widthM / 2;
    case 'round':
      return shape.radiusM;
    case 'table':
      return Math.max(...widthsOf(shape.rows).map(({ widthM }) => widthM)) / 2;
    default:
      return shape satisfies never;
  }
}

/** A table of areas as steps of equal width to both sides: how wide it is between two heights. */
function widthsOf(rows: readonly { readonly heightM: number; readonly areaM2: number }[]) {
  return rows.map(({ heightM, areaM2 }, at) => {
    const before = rows[at - 1] ?? { heightM: 0, areaM2: 0 };
    return { fromM: before.heightM, widthM: (areaM2 - before.areaM2) / (heightM - before.heightM) };
  });
}

function floorAcross({ shape }: Well, floorM: (offset: number) => number, offset: number): number {
  if (shape.kind !== 'table') return floorM(offset);
  return widthsOf(shape.rows).find(({ widthM }) => Math.abs(offset) <= widthM / 2 + 1e-9)?.fromM ?? Infinity;
}

const STEPS = 96;

/** The floor as points, m, from one end to the other. */
export function floorLine(section: Section): readonly (readonly [number, number])[] {
  return Array.from({ length: STEPS + 1 }, (_, step) => {
    const at = section.from + ((section.to - section.from) * step) / STEPS;
    return [at, section.floorM(at)] as const;
  }).filter(([, height]) => Number.isFinite(height));
}

/** The water as outlines, m: one for each stretch of floor that lies under the surface. */
export function waterOutlines(section: Section, levelM: number): (readonly (readonly [number, number])[])[] {
  const outlines: (readonly [number, number])[][] = [];
  let wet: (readonly [number, number])[] = [];
  const close = () => {
    const [first, last] = [wet[0], wet[wet.length - 1]];
    if (first && last && wet.length > 1)
      outlines.push([
        ...wet,
        [last[0], section.surfaceM(last[0], levelM)],
        [first[0], section.surfaceM(first[0], levelM)],
      ]);
    wet = [];
  };
  let before: readonly [number, number] | null = null;
  for (const [at, floor] of floorLine(section)) {
    const under = section.surfaceM(at, levelM) - floor;
    if (under > 0) {
      if (wet.length === 0 && before) wet.push(crossing(section, levelM, before, [at, floor]));
      wet.push([at, floor]);
    } else if (wet.length > 0 && before) {
      wet.push(crossing(section, levelM, before, [at, floor]));
      close();
    }
    before = [at, floor];
  }
  close();
  return outlines;
}

/** Where floor and surface meet between two points. */
function crossing(
  section: Section,
  levelM: number,
  [a, floorA]: readonly [number, number],
  [b, floorB]: readonly [number, number],
): readonly [number, number] {
  const [depthA, depthB] = [section.surfaceM(a, levelM) - floorA, section.surfaceM(b, levelM) - floorB];
  const share = depthA / (depthA - depthB);
  return [a + share * (b - a), floorA + share * (floorB - floorA)];
}
