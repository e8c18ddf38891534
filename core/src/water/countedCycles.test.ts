import { PumpAtWork } from './pumpAtWork';
import { pumpOf } from './water.fixture';

test('cycles that come again are counted: begun, ended and pumped so many times more, later by so many periods', () => {
  const pump = new PumpAtWork(pumpOf({ drainBackM3: 0.001 }), null, 0.005, 0.007, 0.03);
  const before = pump.tally();
  for (const from of [10, 18]) {
    pump.start(from, 0.03, true);
    pump.took(0.002, 5);
    pump.stop(from + 5);
  }
  const later = new PumpAtWork(pumpOf({ drainBackM3: 0.001 }), null, 0.005, 0.007, 0.03);
  for (let cycle = 0; cycle < 4; cycle += 1) {
    for (const from of [10, 18]) {
      later.start(from + 20 * cycle, 0.03, true);
      later.took(0.002, 5);
      later.stop(from + 5 + 20 * cycle);
    }
  }
  pump.repeat(before, 3, 20);
  expect(pump.tally()).toEqual(later.tally());
  expect(pump.result()).toEqual(later.result());
  // A run that is under way began so much later.
  for (const one of [pump, later]) one.start(100, 0.03, true);
  const under = pump.tally();
  pump.start(110, 0.03, true);
  pump.repeat(under, 2, 10);
  pump.stop(140);
  expect(pump.result().longestRunS).toBeCloseTo(10, 12);
});

test('one that ran on through the cycles of another has pumped so much more since its start', () => {
  // Its own water is 2 L: what counts is what left through the hose since it began.
  const pump = new PumpAtWork(pumpOf({ drainBackM3: 0.002 }), null, 0.005, 0.007, 0.03);
  pump.start(0, 0.03, true);
  pump.took(0.0025, 5);
  const before = pump.tally();
  pump.took(0.0006, 5);
  pump.repeat(before, 5, 5);
  expect(pump.result().pumpedM3).toBeCloseTo(0.0011 + 5 * 0.0006, 12);
  pump.stop(60);
  expect(pump.result().ownWaterRuns).toBe(0);
});

test('one that ran on through the cycles of another and moved less than its hose holds ran on its own water', () => {
  const pump = new PumpAtWork(pumpOf({ drainBackM3: 0.002 }), null, 0.005, 0.007, 0.03);
  pump.start(0, 0.03, true);
  pump.took(0.0025, 5);
  const before = pump.tally();
  pump.took(0.00005, 5);
  pump.repeat(before, 5, 5);
  pump.stop(60);
  // 0.8 of its 2 L left the boat; half of them, a litre, would have been enough.
  expect(pump.result()).toMatchObject({ pumpedM3: expect.closeTo(0.0008, 12), ownWaterRuns: 1 });
});

test('one that ran on through the cycles of another is watched from their end', () => {
  const pump = new PumpAtWork(pumpOf(), null, 0.005, 0.007, 0.03);
  pump.start(0, 0.03, true);
  const { watchS } = pump;
  pump.repeat(pump.tally(), 10, 300);
  expect(pump.watchS).toBeCloseTo(watchS + 3000, 9);
  // The water was last lower just before that: half an hour has not gone by.
  pump.watch(3100, 0.03);
  expect(pump.result().neverStops).toBe(false);
  pump.watch(4801, 0.03);
  expect(pump.result().neverStops).toBe(true);
});
