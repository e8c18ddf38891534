import { netFlow, passTime, passTo, passUntilTaken, type Flows } from './advance';

/** What comes in at a rate that falls evenly with the water, and pumps that take as they are told. */
const flowsOf = (at0: number, fall: number, takes: Flows['takes'] = [], fineness = 1): Flows => ({
  inflow: (volumeM3) => at0 - fall * volumeM3,
  even: fall === 0,
  fineness,
  takes,
});
const steadily = (flow: number) => () => flow;
const byWater = (share: number) => (volumeM3: number) => share * volumeM3;

/** Water that follows dV/dt = −rate · (V − rest), m³. */
const decayed = (fromM3: number, restM3: number, rate: number, seconds: number) =>
  restM3 + (fromM3 - restM3) * Math.exp(-rate * seconds);
const secondsTo = (fromM3: number, toM3: number, restM3: number, rate: number) =>
  Math.log((fromM3 - restM3) / (toM3 - restM3)) / rate;

test('the net flow is what comes in less what each pump takes', () => {
  expect(netFlow(flowsOf(5e-4, 1e-3, [steadily(1e-4), byWater(2e-3)]), 0.1)).toBeCloseTo(5e-4 - 1e-4 - 1e-4 - 2e-4, 15);
});

describe('the passage to a volume', () => {
  it('of a steady flow takes its volume over the flow, and is none the other way', () => {
    expect(passTo(flowsOf(0.125, 0), 0.25, 0.75)).toEqual({ seconds: 4, inM3: 0.5, takenM3: [], volumeM3: 0.75 });
    expect(passTo(flowsOf(2e-4, 0), 0.03, 0.01)).toBeNull();
    expect(passTo(flowsOf(0, 0), 0.01, 0.03)).toBeNull();
    expect(passTo(flowsOf(2e-4, 0, [steadily(1e-4)]), 0.02, 0.02)).toEqual({
      seconds: 0,
      inM3: 0,
      takenM3: [0],
      volumeM3: 0.02,
    });
  });

  it('with pumps of a steady flow counts what each takes', () => {
    const passage = passTo(flowsOf(1e-4, 0, [steadily(2e-4), steadily(3e-4)]), 0.05, 0.01);
    expect(passage?.seconds).toBeCloseTo(0.04 / 4e-4, 9);
    expect(passage?.inM3).toBeCloseTo(0.01, 12);
    expect(passage?.takenM3[0]).toBeCloseTo(0.02, 12);
    expect(passage?.takenM3[1]).toBeCloseTo(0.03, 12);
    expect(passage?.volumeM3).toBe(0.01);
  });

  it.each([
    ['up', 0.001, 0.098],
    ['down', 0.4, 0.102],
  ])('%s towards a rest is the logarithm that the closed form gives', (_way, fromM3, toM3) => {
    // In at 1e-4 − 5e-4·V, out by 5e-4·V: at rest at 0.1 m³.
    const passage = passTo(flowsOf(1e-4, 5e-4, [byWater(5e-4)]), fromM3, toM3);
    const seconds = secondsTo(fromM3, toM3, 0.1, 1e-3);
    expect((passage?.seconds ?? NaN) / seconds).toBeCloseTo(1, 8);
    expect((passage?.inM3 ?? NaN) - (passage?.takenM3[0] ?? NaN)).toBeCloseTo(toM3 - fromM3, 9);
    // ∫ 5e-4·V dt.
    const taken = 5e-4 * (0.1 * seconds + (fromM3 - toM3) / 1e-3);
    expect((passage?.takenM3[0] ?? NaN) / taken).toBeCloseTo(1, 8);
  });

  it('over a rest on the way is none, on either side of it', () => {
    const flows = flowsOf(1e-4, 5e-4, [byWater(5e-4)]);
    expect(passTo(flows, 0.05, 0.1001)).toBeNull();
    expect(passTo(flows, 0.2, 0.0999)).toBeNull();
    expect(passTo(flows, 0.05, 0.04)).toBeNull();
  });

  it('comes nearer the finer it is asked', () => {
    const missOf = (fineness: number) => {
      const passage = passTo(flowsOf(1e-4, 1e-3, [steadily(0)], fineness), 0, 0.0999);
      return Math.abs((passage?.seconds ?? NaN) - secondsTo(0, 0.0999, 0.1, 1e-3));
    };
    expect(missOf(1)).toBeLessThan(1e-4);
    expect(missOf(0.1)).toBeGreaterThan(10 * missOf(1));
  });
});

describe('the passage of a time', () => {
  it('of a steady flow is its closed form', () => {
    expect(passTime(flowsOf(2e-4, 0), 0.01, 50)).toEqual({ seconds: 50, inM3: 0.01, takenM3: [], volumeM3: 0.02 });
  });

  it.each([
    [0.001, 30],
    [0.001, 4000],
    [0.4, 900],
    [0.1, 600],
  ])('from %d m³ over %d s follows the closed form, and what passes adds up', (fromM3, seconds) => {
    const passage = passTime(flowsOf(1e-4, 5e-4, [byWater(3e-4), byWater(2e-4)]), fromM3, seconds);
    const toM3 = decayed(fromM3, 0.1, 1e-3, seconds);
    expect(passage.seconds).toBe(seconds);
    expect(Math.abs(passage.volumeM3 - toM3)).toBeLessThan(1e-8);
    const [first = NaN, second = NaN] = passage.takenM3;
    expect(Math.abs(passage.inM3 - first - second - (toM3 - fromM3))).toBeLessThan(1e-7);
    const mean = 0.1 * seconds + (fromM3 - toM3) / 1e-3;
    expect(first / (3e-4 * mean)).toBeCloseTo(1, 5);
    expect(second / (2e-4 * mean)).toBeCloseTo(1, 5);
  });

  it('with a pump of a steady flow is exact, in one step', () => {
    const asked: number[] = [];
    const take = (volumeM3: number) => {
      asked.push(volumeM3);
      return 3e-4;
    };
    const passage = passTime(flowsOf(1e-4, 0, [take]), 0.1, 100);
    expect(passage.volumeM3).toBeCloseTo(0.08, 14);
    expect(passage.inM3).toBeCloseTo(0.01, 14);
    expect(passage.takenM3[0]).toBeCloseTo(0.03, 14);
    // A whole step and two halves, each asked a handful of times.
    expect(asked.length).toBeLessThan(40);
  });

  it('takes longer steps again once the water has come to rest', () => {
    let asked = 0;
    const take = (volumeM3: number) => {
      asked += 1;
      return 0.02 * volumeM3;
    };
    passTime(flowsOf(1e-3, 0, [take]), 0.4, 86400);
    expect(asked).toBeLessThan(20_000);
  });

  it('never takes out more than there is', () => {
    const passage = passTime(flowsOf(0, 0, [steadily(1e-3)]), 0.05, 50);
    expect(passage.volumeM3).toBeGreaterThanOrEqual(0);
    expect(passage.volumeM3).toBeCloseTo(0, 9);
  });
});

describe('the passage until a pump has taken a volume', () => {
  it('of steady flows is that volume over its flow', () => {
    const passage = passUntilTaken(flowsOf(1e-4, 0, [steadily(2e-4), steadily(5e-4)]), 0.1, 1, 0.01, 1000);
    expect(passage.seconds).toBeCloseTo(20, 9);
    expect(passage.takenM3[1]).toBeCloseTo(0.01, 13);
    expect(passage.takenM3[0]).toBeCloseTo(0.004, 12);
    expect(passage.volumeM3).toBeCloseTo(0.1 + 20 * (1e-4 - 7e-4), 12);
  });

  it('of one that takes by the water is the closed form, falling or rising', () => {
    // dV/dt = −k·V: taken V₀·(1 − e^(−k·t)).
    const falling = passUntilTaken(flowsOf(0, 0, [byWater(1e-2)]), 0.1, 0, 0.03, 1000);
    expect(falling.seconds).toBeCloseTo(-Math.log(1 - 0.3) / 1e-2, 6);
    expect(falling.volumeM3).toBeCloseTo(0.07, 9);
    const rising = passUntilTaken(flowsOf(3e-3, 0, [byWater(1e-2)]), 0.1, 0, 0.03, 1000);
    expect(rising.takenM3[0]).toBeCloseTo(0.03, 12);
    expect(rising.volumeM3).toBeCloseTo(decayed(0.1, 0.3, 1e-2, rising.seconds), 8);
  });

  it('at rest is its volume over its flow too, whatever the time that is left', () => {
    const resting = flowsOf(2e-4, 0, [steadily(2e-4)]);
    for (const mostS of [60, 1000]) {
      const passage = passUntilTaken(resting, 0.1, 0, 0.01, mostS);
      expect(passage.seconds).toBeCloseTo(50, 9);
      expect(passage.volumeM3).toBeCloseTo(0.1, 12);
      expect(passage.takenM3[0]).toBeCloseTo(0.01, 12);
    }
    // Hardly falling, so that its flow falls with the water.
    const nearly = passUntilTaken(flowsOf(9.95e-4, 0, [byWater(1e-2)]), 0.1, 0, 0.01, 1000);
    expect(nearly.takenM3[0]).toBeCloseTo(0.01, 10);
    expect(nearly.volumeM3).toBeCloseTo(decayed(0.1, 0.0995, 1e-2, nearly.seconds), 9);
  });
});
