import fc from 'fast-check';
import { slopesOf } from './pose';
import { sectionOf, type SectionShape } from './section';
import { floorAt, isInside, poolAt, posedWell, type Well } from './well';
import { box, level } from './water.fixture';

const shapes: readonly SectionShape[] = [
  { kind: 'box', widthM: 0.5 },
  { kind: 'v', deadriseDeg: 14, widthM: 0.7 },
  { kind: 'round', radiusM: 0.4 },
  // Half-breadths of 100, 200 and 300 mm.
  {
    kind: 'table',
    rows: [
      { heightM: 0.05, areaM2: 0.01 },
      { heightM: 0.15, areaM2: 0.05 },
      { heightM: 0.3, areaM2: 0.14 },
    ],
  },
];

/** Volume by brute force: columns of a fine grid. */
function columns(well: Well, slopes: { alongX: number; alongY: number }, levelM: number): number {
  const { aftM, foreM, centreYM, floorM, floorSlope, shape } = well;
  const half = shape.kind === 'round' ? shape.radiusM : shape.kind === 'table' ? 0.3 : shape.widthM / 2;
  const bottom = sectionOf(shape, 0);
  const count = 240;
  let sum = 0;
  for (let i = 0; i < count; i += 1) {
    const x = aftM + ((i + 0.5) / count) * (foreM - aftM);
    for (let j = 0; j < count; j += 1) {
      const offset = -half + ((j + 0.5) / count) * 2 * half;
      const surface = levelM + x * slopes.alongX + (centreYM + offset) * slopes.alongY;
      sum += Math.max(0, surface - (floorM + x * floorSlope + bottom.floorM(offset)));
    }
  }
  return (sum * (foreM - aftM) * 2 * half) / (count * count);
}

test.each(shapes)('volume of a trimmed and heeled %o well agrees with brute force', (shape) => {
  const well: Well = { ...box, aftM: -0.7, foreM: 1.1, centreYM: 0.1, floorM: -0.05, floorSlope: 0.03, shape };
  for (const [trimDeg, heelDeg, levelM] of [
    [0, 0, 0.12],
    [3, 0, 0.1],
    [-4, 8, 0.15],
    [6, -12, 0.05],
    [0.5, 20, 0.3],
  ] as const) {
    const slopes = slopesOf({ trimDeg, heelDeg });
    const exact = posedWell(well, slopes).volumeM3(levelM);
    const brute = columns(well, slopes, levelM);
    expect(Math.abs(exact / brute - 1)).toBeLessThan(0.001);
  }
});

test('a table that narrows upwards counts heel too, held against every cell of its section', () => {
  const rows = [
    { heightM: 0.1, areaM2: 0.06 },
    { heightM: 0.2, areaM2: 0.08 },
    { heightM: 0.3, areaM2: 0.09 },
  ];
  const halfAt = (z: number) => (z < 0.1 ? 0.3 : z < 0.2 ? 0.1 : 0.05);
  for (const [heelDeg, levelM] of [
    [0, 0.25],
    [7, 0.05],
    [-15, 0.12],
    [25, 0.28],
  ] as const) {
    const slopes = slopesOf({ trimDeg: 0, heelDeg });
    const exact = posedWell({ ...box, shape: { kind: 'table', rows } }, slopes).volumeM3(levelM);
    let cells = 0;
    const [across, up] = [240, 300];
    for (let i = 0; i < across; i += 1) {
      const y = -0.3 + (0.6 * (i + 0.5)) / across;
      for (let j = 0; j < up; j += 1) {
        const z = (0.5 * (j + 0.5)) / up;
        if (Math.abs(y) <= halfAt(z) && z < levelM + y * slopes.alongY) cells += 1;
      }
    }
    const counted = (cells * 0.6 * 0.5) / (across * up);
    expect(Math.abs(exact / counted - 1)).toBeLessThan(0.005);
  }
});

test('a table heeled by 7° holds about half of what it held level, with the water as high at its middle', () => {
  // 600 mm wide and shallow: the water runs to one side, and over a wedge of it.
  const rows = [{ heightM: 0.2, areaM2: 0.12 }];
  const at = (heelDeg: number) =>
    posedWell({ ...box, shape: { kind: 'table', rows } }, slopesOf({ trimDeg: 0, heelDeg })).volumeM3(0);
  const slope = Math.tan((7 * Math.PI) / 180);
  expect(at(0)).toBe(0);
  expect(at(7)).toBeCloseTo((slope * 0.3 ** 2) / 2, 12);
});

test('the floor of a table rises where it gains breadth, and ends at its widest', () => {
  const rows = [
    { heightM: 0.05, areaM2: 0.01 },
    { heightM: 0.15, areaM2: 0.05 },
  ];
  const section = sectionOf({ kind: 'table', rows }, 0);
  expect([0, 0.1, 0.11, -0.2].map((offset) => section.floorM(offset))).toEqual([0, 0, 0.05, 0.05]);
  expect(section.floorM(0.201)).toBe(Infinity);
});

test('closed forms: a wedge against one end, a V, and half a circle', () => {
  // A box trimmed so that a triangle of water lies against its fore end.
  const wedge = posedWell(box, slopesOf({ trimDeg: 10, heelDeg: 0 }));
  const tan = Math.tan((10 * Math.PI) / 180);
  const atEnd = 0.02 + 0.5 * tan;
  expect(wedge.volumeM3(0.02)).toBeCloseTo((0.4 * atEnd ** 2) / (2 * tan), 12);
  const vee = posedWell({ ...box, shape: { kind: 'v', deadriseDeg: 20, widthM: 2 } }, level);
  expect(vee.volumeM3(0.1)).toBeCloseTo(0.1 ** 2 / Math.tan((20 * Math.PI) / 180), 12);
  const round = posedWell({ ...box, shape: { kind: 'round', radiusM: 0.3 } }, level);
  expect(round.volumeM3(0.3)).toBeCloseTo((Math.PI * 0.3 ** 2) / 2, 9);
  expect(round.volumeM3(0.5)).toBeCloseTo((Math.PI * 0.3 ** 2) / 2 + 0.2 * 0.6, 9);
});

test('a table of areas is its own closed form', () => {
  const rows = [
    { heightM: 0.1, areaM2: 0.02 },
    { heightM: 0.2, areaM2: 0.06 },
  ];
  const well = posedWell({ ...box, shape: { kind: 'table', rows } }, level);
  expect(well.volumeM3(0.05)).toBeCloseTo(0.01, 12);
  expect(well.volumeM3(0.15)).toBeCloseTo(0.04, 12);
  expect(well.volumeM3(0.3)).toBeCloseTo(0.1, 12);
});

const anyWell = fc.record({
  shape: fc.constantFrom(...shapes),
  trimDeg: fc.double({ min: -8, max: 8, noNaN: true }),
  heelDeg: fc.double({ min: -25, max: 25, noNaN: true }),
  centreYM: fc.double({ min: -0.3, max: 0.3, noNaN: true }),
});

test('level and volume are each other’s inverse, in every attitude', () => {
  fc.assert(
    fc.property(
      anyWell,
      fc.double({ min: 1e-5, max: 0.3, noNaN: true }),
      ({ shape, trimDeg, heelDeg, centreYM }, volume) => {
        const well = posedWell({ ...box, shape, centreYM }, slopesOf({ trimDeg, heelDeg }));
        expect(well.volumeM3(well.levelM(volume))).toBeCloseTo(volume, 8);
        expect(well.volumeM3(well.dryM)).toBeCloseTo(0, 12);
      },
    ),
  );
});

test('the mirrored boat heeled the other way holds the same', () => {
  fc.assert(
    fc.property(
      anyWell,
      fc.double({ min: -0.1, max: 0.4, noNaN: true }),
      ({ shape, trimDeg, heelDeg, centreYM }, levelM) => {
        const one = posedWell({ ...box, shape, centreYM }, slopesOf({ trimDeg, heelDeg }));
        const other = posedWell({ ...box, shape, centreYM: -centreYM }, slopesOf({ trimDeg, heelDeg: -heelDeg }));
        expect(one.volumeM3(levelM)).toBeCloseTo(other.volumeM3(levelM), 10);
      },
    ),
  );
});

test('a member without limber holes ends the pool, one with them does not', () => {
  const members = [
    { xM: 0.2, limberHoles: false },
    { xM: -0.2, limberHoles: true },
  ];
  const pool = poolAt({ ...box, members }, 0);
  expect([pool.aftM, pool.foreM]).toEqual([-0.5, 0.2]);
  expect(isInside(pool, { xM: 0.3, yM: 0 })).toBe(false);
  expect(isInside(pool, { xM: 0.1, yM: 0.3 })).toBe(false);
  expect(isInside(pool, { xM: 0.1, yM: 0.1 })).toBe(true);
});

describe('a pool', () => {
  const members = [
    { xM: -0.3, limberHoles: false },
    { xM: -0.1, limberHoles: true },
    { xM: 0.2, limberHoles: false },
    { xM: 0.4, limberHoles: false },
  ];
  const ends = (xM: number) => {
    const pool = poolAt({ ...box, members }, xM);
    return [pool.aftM, pool.foreM];
  };

  it('ends at the nearest closed members on either side of its pump', () => {
    expect(ends(0)).toEqual([-0.3, 0.2]);
    expect(ends(-0.4)).toEqual([-0.5, -0.3]);
    expect(ends(0.3)).toEqual([0.2, 0.4]);
    expect(ends(0.45)).toEqual([0.4, 0.5]);
    expect(ends(0.2)).toEqual([0.2, 0.4]);
    // A member beyond the well's end is none.
    expect(poolAt({ ...box, members: [{ xM: 0.9, limberHoles: false }] }, 0).foreM).toBe(0.5);
  });

  it('is inside to its ends and walls, and its floor rises as it does', () => {
    expect([-0.5, 0.5].map((xM) => isInside(box, { xM, yM: 0 }))).toEqual([true, true]);
    expect([-0.5001, 0.5001].map((xM) => isInside(box, { xM, yM: 0 }))).toEqual([false, false]);
    const vee: Well = {
      ...box,
      centreYM: 0.1,
      floorM: -0.02,
      floorSlope: 0.05,
      shape: { kind: 'v', deadriseDeg: 20, widthM: 0.6 },
    };
    expect(floorAt(vee, { xM: 0.4, yM: 0.3 })).toBeCloseTo(-0.02 + 0.02 + 0.2 * Math.tan((20 * Math.PI) / 180), 12);
    expect(floorAt(vee, { xM: -0.4, yM: 0.1 })).toBeCloseTo(-0.04, 12);
    expect([0.39, 0.41].map((yM) => isInside(vee, { xM: 0, yM }))).toEqual([true, false]);
  });
});

describe('a well in an attitude', () => {
  const table = (...rows: readonly (readonly [number, number])[]): Well => ({
    ...box,
    shape: { kind: 'table', rows: rows.map(([heightM, areaM2]) => ({ heightM, areaM2 })) },
  });

  it('narrows where a table says so, and no other', () => {
    const narrows = (well: Well) => posedWell(well, level).narrows;
    expect(narrows(box)).toBe(false);
    expect(narrows(table([0.1, 0.04], [0.3, 0.14]))).toBe(false);
    expect(narrows(table([0.1, 0.04], [0.3, 0.12]))).toBe(false);
    expect(narrows(table([0.1, 0.04], [0.3, 0.119]))).toBe(true);
  });

  it('is dry up to its lowest wet level, and upright above its last break', () => {
    const sloped = posedWell({ ...box, floorM: -0.03 }, slopesOf({ trimDeg: 10, heelDeg: 0 }));
    const tan = Math.tan((10 * Math.PI) / 180);
    // At the fore end the water stands half a metre times the slope higher.
    expect(sloped.dryM).toBeCloseTo(-0.03 - 0.5 * tan, 12);
    expect(sloped.evenFromM).toBeCloseTo(-0.03 + 0.5 * tan, 12);
    expect([sloped.levelM(0), sloped.levelM(-1)]).toEqual([sloped.dryM, sloped.dryM]);
    expect(sloped.volumeM3(sloped.dryM)).toBe(0);
    expect(sloped.volumeM3(sloped.dryM + 1e-3)).toBeGreaterThan(0);
    const aside = posedWell({ ...box, centreYM: 0.2 }, slopesOf({ trimDeg: 0, heelDeg: 5 }));
    expect(aside.dryM).toBeCloseTo(-(0.2 + 0.2) * Math.tan((5 * Math.PI) / 180), 12);
    const short = posedWell({ ...box, aftM: -0.1, foreM: 0.9 }, level);
    expect(short.volumeM3(0.1)).toBeCloseTo(0.04, 12);
    expect(short.levelM(0.04)).toBeCloseTo(0.1, 9);
    // Far above what was ever looked at.
    expect(short.levelM(40)).toBeCloseTo(100, 6);
  });

  it('that is not a metre long, nor about its middle, holds its length of it', () => {
    const long = posedWell({ ...box, aftM: -0.2, foreM: 2.3 }, level);
    expect(long.volumeM3(0.1)).toBeCloseTo(0.1, 12);
    const tan = Math.tan((4 * Math.PI) / 180);
    const down = posedWell({ ...box, aftM: -0.2, foreM: 2.3 }, slopesOf({ trimDeg: 4, heelDeg: 0 }));
    expect([down.dryM, down.evenFromM]).toEqual([expect.closeTo(-2.3 * tan, 12), expect.closeTo(0.2 * tan, 12)]);
    const up = posedWell({ ...box, aftM: -0.2, foreM: 2.3 }, slopesOf({ trimDeg: -4, heelDeg: 0 }));
    expect([up.dryM, up.evenFromM]).toEqual([expect.closeTo(-0.2 * tan, 12), expect.closeTo(2.3 * tan, 12)]);
  });
});
