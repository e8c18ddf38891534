import { setUp } from './setUp';
import { slopesOf } from './pose';
import { box, largeBattery, level, pumpOf, questionOf } from './water.fixture';
import { posedWell } from './well';

const hole = { kind: 'opening', areaM2: 1e-4, heightM: 0.1, outsideM: 0.3 } as const;

describe('a question’s parts as its run begins', () => {
  it('have their heights as volumes of the well: 400 mL a millimetre', () => {
    const parts = setUp(
      questionOf({
        limitM: 0.25,
        topM: 0.4,
        alarms: [{ id: 'a', sensor: { kind: 'float', onM: 0.2, offM: 0.15, onDelayS: 0, runOnS: 0 } }],
        ingress: [hole, { kind: 'steady', flow: 1e-5 }, { ...hole, heightM: 0.5 }],
        batteries: [largeBattery],
      }),
    );
    const close = (value: number) => expect.closeTo(value, 12);
    expect(parts).toMatchObject({ limitM3: close(0.1), topM3: close(0.16), fineness: 1 });
    expect(parts.pumps[0]).toMatchObject({ lossM3: close(0.0048), gainM3: close(0.0072) });
    expect(parts.pumps[0]?.float).toMatchObject({ onM3: close(0.022), offM3: close(0.01) });
    expect(parts.alarms[0]).toMatchObject({ onM3: close(0.08), offM3: close(0.06) });
    // Each hole is covered at its height and at rest at the sea's, or both where that is lower.
    expect(parts.kinksM3).toEqual([0.04, 0.12, 0.2, 0.2].map(close));
    expect(parts.batteries).toHaveLength(1);
  });

  it('have no limit and no top where none is known, and no float in a pump without one', () => {
    const parts = setUp(
      questionOf({ pumps: [pumpOf({ sensor: null }), pumpOf({ sensor: { kind: 'timer', periodS: 9, feelS: 1 } })] }),
    );
    expect([parts.limitM3, parts.topM3, parts.kinksM3]).toEqual([Infinity, Infinity, []]);
    expect(parts.pumps.map(({ float }) => float)).toEqual([null, null]);
  });

  it('refuse what takes water out', () => {
    expect(() => setUp(questionOf({ ingress: [{ kind: 'steady', flow: -1e-9 }] }))).toThrow(RangeError);
    expect(() => setUp(questionOf({ ingress: [{ kind: 'steady', flow: 0 }] }))).not.toThrow();
  });

  it('know the level of every volume, as near as the thousandth part of a millimetre where it matters', () => {
    const well = posedWell(
      { ...box, shape: { kind: 'v', deadriseDeg: 20, widthM: 0.6 } },
      slopesOf({ trimDeg: 2, heelDeg: 6 }),
    );
    const { levelAt } = setUp(questionOf({ well, limitM: 0.3 }));
    const most = well.volumeM3(0.3);
    for (const share of [0.02, 0.2, 0.5, 1, 1.15, 1.3, 5]) {
      const volume = share * most;
      expect(Math.abs(levelAt(volume) - well.levelM(volume))).toBeLessThan(share < 0.1 ? 2e-5 : 2e-6);
      expect(levelAt(volume)).toBe(levelAt(volume));
    }
    const finer = setUp(questionOf({ well, limitM: 0.3, fineness: 8 }));
    const miss = (at: (volume: number) => number) =>
      Math.max(...[0.03, 0.07, 0.11].map((share) => Math.abs(at(share * most) - well.levelM(share * most))));
    expect(miss(finer.levelAt)).toBeLessThan(miss(levelAt));
  });

  it('take water by a law at the level where it stands', () => {
    const { takes } = setUp(questionOf({ pumps: [pumpOf({ moves: (speed, levelM) => speed * levelM })], limitM: 0.4 }));
    // 40 L stand 100 mm high.
    expect(takes[0]?.(2)(0.04)).toBeCloseTo(0.2, 6);
    expect(posedWell(box, level).levelM(0.04)).toBeCloseTo(0.1, 9);
  });
});
