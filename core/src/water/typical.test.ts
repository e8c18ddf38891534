import { typicalCircuitWater, typicalHose, typicalIngress, typicalPoses, typicalWell } from './typical';

describe('a typical well', () => {
  it('grows with the hull and stays within what wells are, all of it marked as a guess', () => {
    expect(typicalWell('w', 6)).toEqual({
      id: 'w',
      name: 'Bilge',
      aftM: -0.36,
      foreM: 0.54,
      section: { kind: 'v', deadriseDeg: 16, widthM: 0.48 },
      limits: [{ id: 'floor', name: 'Sole', kind: 'floor', zM: 0.18 }],
      guessed: true,
    });
    expect(typicalWell('w', 30)).toMatchObject({
      aftM: -1.2,
      foreM: 1.6,
      section: { deadriseDeg: 12, widthM: 1 },
      limits: [{ name: 'Floorboards', zM: 0.35 }],
    });
    expect(typicalWell('w')).toEqual(typicalWell('w', 8));
  });

  it('is a small boat’s up to 7 m', () => {
    expect([7, 7.01].map((hullM) => typicalWell('w', hullM).limits?.[0]?.name)).toEqual(['Sole', 'Floorboards']);
  });
});

test('a short hull trims and heels more than a long one: thresholds at 7 and 12 m', () => {
  const attitudes = (hullM?: number) => typicalPoses(hullM).map(({ trimDeg, heelDeg }) => [trimDeg, heelDeg]);
  expect(attitudes(7)).toEqual([
    [0, 0],
    [-4, 0],
    [0, -8],
    [0, 8],
  ]);
  expect(attitudes(7.01)).toEqual([
    [0, 0],
    [-2, 0],
    [0, -5],
    [0, 5],
  ]);
  expect(attitudes(12)[1]).toEqual([-2, 0]);
  expect(attitudes(12.01)[1]).toEqual([-1, 0]);
  expect(attitudes()).toEqual(attitudes(8));
  expect(typicalPoses().map(({ id, guessed }) => [id, guessed])).toEqual(
    ['at-rest', 'under-way', 'heeled-port', 'heeled-starboard'].map((id) => [id, true]),
  );
});

test('water to reckon with is rain on nine tenths of a metre of breadth, and a drip', () => {
  expect(typicalIngress(10)).toEqual([
    { id: 'wet-night', name: 'A wet night', sources: [{ kind: 'rain', areaM2: 9, rateMmPerH: 4 }], guessed: true },
    { id: 'drip', name: 'A steady drip', sources: [{ kind: 'drip', perMinute: 40 }], guessed: true },
  ]);
});

describe('a typical hose', () => {
  it('is as wide as the open flow asks', () => {
    const bore = (openFlowLPerH: number) => typicalHose({ currentA: 5, openFlowLPerH }).boreM;
    expect([2500, 2501, 4500, 4501, 6500, 6501, 9000, 9001].map(bore)).toEqual([
      0.019, 0.025, 0.025, 0.029, 0.029, 0.038, 0.038, 0.051,
    ]);
    expect(typicalHose({ currentA: 5 }).boreM).toBe(0.025);
  });

  it('rises, goes to the side and out a little lower, higher and further in a longer hull', () => {
    // 0.5 m and a twentieth of 10 m up; a seventh and a bit across.
    expect(typicalHose({ currentA: 5 }, 10)).toMatchObject({
      route: [
        { alongM: 0, heightM: 0.05 },
        { alongM: 1.1, heightM: 1 },
        { alongM: 2.5, heightM: 0.95, yM: 1.4 },
      ],
      bends90: 2,
      guessed: true,
    });
    expect(typicalHose({ currentA: 5 }, 30).route[1]).toEqual({ alongM: 1.7, heightM: 1.6 });
    expect(typicalHose({ currentA: 5 }, 30).route[2]?.yM).toBe(2);
  });
});

test('a circuit’s water has a hose where it has a pump', () => {
  expect(typicalCircuitWater('w', null)).toEqual({ wellId: 'w' });
  expect(typicalCircuitWater('w', { currentA: 5 }, 10).hose).toEqual(typicalHose({ currentA: 5 }, 10));
});
