import { sectionOf, type SectionShape } from './section';

const tan = (degrees: number) => Math.tan((degrees * Math.PI) / 180);

describe('a box of 400 mm', () => {
  const box = { kind: 'box', widthM: 0.4 } as const;

  it('holds its depth times its width where the surface is level, and nothing when dry', () => {
    const { areaM2 } = sectionOf(box, 0);
    expect([areaM2(0.1), areaM2(0), areaM2(-0.1)]).toEqual([expect.closeTo(0.04, 12), 0, 0]);
  });

  it('heeled holds a wedge, a triangle and a trapezium, worked by hand', () => {
    // The surface rises by half a metre a metre: 100 mm from the middle to each wall.
    const { areaM2, breaks } = sectionOf(box, 0.5);
    expect(areaM2(0)).toBeCloseTo((0.1 * 0.2) / 2, 12);
    // 50 mm at the middle, 150 mm at one wall, dry 100 mm off the middle on the other side.
    expect(areaM2(0.05)).toBeCloseTo((0.15 * 0.3) / 2, 12);
    expect(areaM2(0.2)).toBeCloseTo(0.08, 12);
    expect(areaM2(-0.05)).toBeCloseTo((0.05 * 0.1) / 2, 12);
    expect(areaM2(-0.1)).toBe(0);
    expect(breaks.map((at) => Number(at.toFixed(12)))).toEqual([-0.1, 0, 0.1]);
    expect(sectionOf(box, -0.5).areaM2(0.05)).toBeCloseTo(areaM2(0.05), 12);
  });

  it('has its floor at 0 between its walls and none beyond', () => {
    const { floorM } = sectionOf(box, 0);
    expect([0, 0.2, -0.2].map(floorM)).toEqual([0, 0, 0]);
    expect([0.201, -0.201].map(floorM)).toEqual([Infinity, Infinity]);
  });
});

describe('a V of 20° and 600 mm', () => {
  const vee = { kind: 'v', deadriseDeg: 20, widthM: 0.6 } as const;
  const rise = tan(20);

  it('holds a triangle up to its walls and a box above them', () => {
    const { areaM2, breaks, floorM, rooted } = sectionOf(vee, 0);
    expect(areaM2(0.05)).toBeCloseTo(0.05 ** 2 / rise, 12);
    const wallM = 0.3 * rise;
    expect(areaM2(wallM + 0.1)).toBeCloseTo((0.6 * wallM) / 2 + 0.06, 12);
    expect(breaks.map((at) => Number(at.toFixed(9)))).toEqual([0, wallM, wallM].map((at) => Number(at.toFixed(9))));
    expect([floorM(0.1), floorM(-0.1)]).toEqual([expect.closeTo(0.1 * rise, 12), expect.closeTo(0.1 * rise, 12)]);
    expect(floorM(0.31)).toBe(Infinity);
    expect(rooted).toBe(false);
  });

  it('heeled less than its deadrise holds a triangle whose sides are of two slopes', () => {
    const slope = tan(8);
    const { areaM2 } = sectionOf(vee, slope);
    expect(areaM2(0.03)).toBeCloseTo(0.03 ** 2 / 2 / (rise - slope) + 0.03 ** 2 / 2 / (rise + slope), 12);
  });
});

describe('half a circle of 300 mm', () => {
  const round = { kind: 'round', radiusM: 0.3 } as const;

  it('holds a segment of the circle, half of it, and a box above', () => {
    const { areaM2, rooted, breaks } = sectionOf(round, 0);
    const angle = Math.acos((0.3 - 0.1) / 0.3);
    expect(areaM2(0.1)).toBeCloseTo(0.09 * (angle - Math.sin(angle) * Math.cos(angle)), 12);
    expect(areaM2(0.3)).toBeCloseTo((Math.PI * 0.09) / 2, 12);
    expect(areaM2(0.4)).toBeCloseTo((Math.PI * 0.09) / 2 + 0.06, 12);
    expect([areaM2(0), areaM2(-0.1)]).toEqual([0, 0]);
    expect(rooted).toBe(true);
    expect(breaks).toEqual([0, 0.3, 0.3]);
  });

  it('heeled holds the same segment about its own lowest point, as long as no wall is wet', () => {
    const slope = tan(10);
    const { areaM2, breaks } = sectionOf(round, slope);
    const lowest = 0.3 - 0.3 / Math.cos((10 * Math.PI) / 180);
    expect(breaks[0]).toBeCloseTo(lowest, 12);
    expect(areaM2(lowest)).toBe(0);
    // Measured square to the surface, the depth is the cosine of it.
    const depth = (0.06 - lowest) * Math.cos((10 * Math.PI) / 180);
    const angle = Math.acos((0.3 - depth) / 0.3);
    expect(areaM2(0.06)).toBeCloseTo(0.09 * (angle - Math.sin(angle) * Math.cos(angle)), 9);
    expect(breaks.slice(1).map((at) => Number(at.toFixed(9)))).toEqual(
      [0.3 - slope * 0.3, 0.3 + slope * 0.3].map((at) => Number(at.toFixed(9))),
    );
  });

  it('has its floor on the circle', () => {
    const { floorM } = sectionOf(round, 0);
    expect(floorM(0.18)).toBeCloseTo(0.3 - 0.24, 12);
    expect([floorM(0.3), floorM(-0.3)]).toEqual([0.3, 0.3]);
    expect([floorM(0.301), floorM(-0.301)]).toEqual([Infinity, Infinity]);
  });
});

describe('a table of areas', () => {
  const table: SectionShape = {
    kind: 'table',
    rows: [
      { heightM: 0.3, areaM2: 0.14 },
      { heightM: 0.1, areaM2: 0.04 },
      { heightM: 0, areaM2: 0 },
    ],
  };

  it('is as wide as its area says between two heights, and goes on upright above', () => {
    const { areaM2, breaks, rooted } = sectionOf(table, 0);
    // 400 mm to a decimetre, 500 mm from there.
    expect([0.05, 0.1, 0.2, 0.3, 0.5].map(areaM2)).toEqual(
      [0.02, 0.04, 0.09, 0.14, 0.24].map((area) => expect.closeTo(area, 12)),
    );
    expect([areaM2(0), areaM2(-0.1)]).toEqual([0, 0]);
    expect(breaks.map((at) => Number(at.toFixed(9)))).toEqual([0, 0.1]);
    expect(rooted).toBe(false);
  });

  it('heeled holds a wedge of each stretch, worked by hand', () => {
    // One stretch of 400 mm, upright: a triangle against one wall.
    const one = sectionOf({ kind: 'table', rows: [{ heightM: 0.2, areaM2: 0.08 }] }, 0.1);
    expect(one.areaM2(0)).toBeCloseTo((0.2 * 0.02) / 2, 12);
    expect(one.areaM2(0.1)).toBeCloseTo(0.04, 12);
    expect(one.breaks.map((at) => Number(at.toFixed(9)))).toEqual([-0.02, 0.02]);
    // Above a decimetre 50 mm more on each side: those are wet where the surface stands over a decimetre there.
    const two = sectionOf(table, 0.2);
    expect(two.areaM2(0.1)).toBeCloseTo(0.04 - (0.2 * 0.04) / 2 + (0.25 * 0.05) / 2, 12);
    expect(two.breaks.map((at) => Number(at.toFixed(9)))).toEqual([-0.04, 0.04, 0.05, 0.06, 0.14, 0.15]);
  });
});
