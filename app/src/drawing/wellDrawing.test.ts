import { posedWell, slopesOf, type Well } from '@harbor-latch/core/water/index';
import { cutThrough, floorLine, scaleOf, waterOutlines } from './wellDrawing';

const well: Well = {
  aftM: -0.5,
  foreM: 0.7,
  centreYM: 0,
  floorM: 0,
  floorSlope: 0,
  shape: { kind: 'box', widthM: 0.4 },
  members: [],
};
const upright = slopesOf({ trimDeg: 0, heelDeg: 0 });

/** Area of a closed outline by the shoelace rule, m². */
function areaOf(outline: readonly (readonly [number, number])[]): number {
  return Math.abs(
    outline.reduce((sum, [x, y], at) => {
      const [nextX, nextY] = outline[(at + 1) % outline.length] ?? [0, 0];
      return sum + (x * nextY - nextX * y) / 2;
    }, 0),
  );
}

describe('the scale of a section', () => {
  it('is the same both ways, holds the whole view, and stands in the middle of the sheet', () => {
    const scale = scaleOf({ from: -1, to: 1, low: 0, high: 0.5 }, 400, 400);
    expect(scale.perM).toBe(200);
    expect([scale.x(-1), scale.x(1)]).toEqual([0, 400]);
    expect([scale.y(0), scale.y(0.5)]).toEqual([250, 150]);
  });

  it('leads back from pixels to metres', () => {
    const scale = scaleOf({ from: -0.3, to: 0.9, low: -0.1, high: 0.8 }, 317, 211);
    expect(scale.metresX(scale.x(0.123))).toBeCloseTo(0.123, 12);
    expect(scale.metresY(scale.y(0.456))).toBeCloseTo(0.456, 12);
  });
});

describe('the water of a section', () => {
  it('has the area of the well’s length at the level, and times its width the well’s volume', () => {
    const [outline, ...others] = waterOutlines(cutThrough(well, upright, 'along'), 0.05);
    expect(others).toEqual([]);
    expect(areaOf(outline ?? [])).toBeCloseTo(1.2 * 0.05, 9);
    expect(0.4 * areaOf(outline ?? [])).toBeCloseTo(posedWell(well, upright).volumeM3(0.05), 6);
  });

  it('is a wedge against one end where trim leaves the other dry', () => {
    // By the stern by 3°: the surface meets the floor 0.02 m ÷ tan 3° forward of it.
    const slopes = slopesOf({ trimDeg: 3, heelDeg: 0 });
    const section = cutThrough(well, slopes, 'along');
    const outlines = waterOutlines(section, 0.02);
    expect(outlines).toHaveLength(1);
    const reach = 0.02 / Math.abs(slopes.alongX);
    const deep = slopes.alongX < 0 ? 0.5 : 0.7;
    const wedge = ((reach + deep) ** 2 * Math.abs(slopes.alongX)) / 2;
    expect(areaOf(outlines[0] ?? [])).toBeCloseTo(wedge, 4);
    expect(0.4 * wedge).toBeCloseTo(posedWell(well, slopes).volumeM3(0.02), 6);
  });

  it('lies on both sides of the keel of a V, as wide as its deadrise lets it', () => {
    const vee: Well = { ...well, shape: { kind: 'v', deadriseDeg: 20, widthM: 0.8 } };
    const [outline] = waterOutlines(cutThrough(vee, upright, 'across'), 0.06);
    const half = 0.06 / Math.tan((20 * Math.PI) / 180);
    const across = (outline ?? []).map(([at]) => at);
    expect(Math.min(...across)).toBeCloseTo(-half, 3);
    expect(Math.max(...across)).toBeCloseTo(half, 3);
    expect(areaOf(outline ?? [])).toBeCloseTo(half * 0.06, 4);
  });

  it('is nothing in a dry well', () => {
    expect(waterOutlines(cutThrough(well, upright, 'along'), -0.01)).toEqual([]);
  });
});

test('a section across shows a round well from wall to wall, lowest in the middle', () => {
  const round: Well = { ...well, centreYM: 0.1, shape: { kind: 'round', radiusM: 0.3 } };
  const section = cutThrough(round, upright, 'across');
  expect([section.from, section.to].map((at) => at.toFixed(3))).toEqual(['-0.200', '0.400']);
  const [lowest] = [...floorLine(section)].sort(([, one], [, other]) => one - other);
  expect(lowest?.[0]).toBeCloseTo(0.1, 2);
});

test('a table of areas is drawn as steps that widen upwards', () => {
  const table: Well = {
    ...well,
    shape: {
      kind: 'table',
      rows: [
        { heightM: 0.1, areaM2: 0.02 },
        { heightM: 0.3, areaM2: 0.1 },
      ],
    },
  };
  const section = cutThrough(table, upright, 'across');
  // 0.2 m wide up to 0.1 m, 0.4 m wide above.
  expect([section.floorM(0.05), section.floorM(0.15), section.floorM(0.5)]).toEqual([0, 0.1, Infinity]);
});
