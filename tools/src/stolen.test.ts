import { processorTime, stolenShare } from './stolen';

const stat = (idle: number, stolen: number) =>
  `cpu  100 10 40 ${idle} 5 0 5 ${stolen} 7 7\ncpu0 1 2 3 4 5 6 7 8 9 10\n`;

describe('what the machine under this one takes', () => {
  it('is the eighth figure of all processors together; guests are counted as users already', () => {
    expect(processorTime(stat(800, 40))).toEqual({ all: 1000, stolen: 40 });
  });

  it('is a share of the time since it was watched', () => {
    const said = [stat(800, 40), stat(950, 90)];
    const share = stolenShare(() => said.shift() ?? '');
    expect(share()).toBeCloseTo(50 / 200, 9);
  });

  it('is none where nothing passed, or nothing is told', () => {
    expect(stolenShare(() => stat(800, 40))()).toBe(0);
    expect(stolenShare(() => '')()).toBe(0);
    expect(processorTime('cpu  1 2 3 4')).toEqual({ all: 10, stolen: 0 });
  });

  it('of this machine is a share', () => {
    const share = stolenShare();
    expect(share()).toBeGreaterThanOrEqual(0);
    expect(share()).toBeLessThanOrEqual(1);
  });
});
