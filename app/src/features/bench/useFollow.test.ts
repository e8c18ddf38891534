import { restingBench } from '@harbor-latch/core/circuit/index';
import { touchedBetween } from './useFollow';

const { setting } = restingBench;

describe('what was touched on the bench', () => {
  it('is the switch that was flipped and the float that was lifted', () => {
    const flipped = { ...restingBench, setting: { ...setting, switches: { switch: 'auto' as const } } };
    const lifted = { ...flipped, setting: { ...flipped.setting, floats: { float: 'up' as const } } };
    expect(touchedBetween(restingBench, flipped)).toEqual(['switch']);
    expect(touchedBetween(flipped, lifted)).toEqual(['float']);
    expect(touchedBetween(lifted, restingBench)).toEqual(['switch', 'float']);
  });

  it('is the fuse that was pulled or put back, and both ends of what was swapped', () => {
    const pulled = { ...restingBench, open: ['fuse'] };
    expect(touchedBetween(restingBench, pulled)).toEqual(['fuse']);
    expect(touchedBetween(pulled, restingBench)).toEqual(['fuse']);
    const swapped = { ...restingBench, faults: [{ code: 'swapped-at-panel' as const, at: 'manual~auto' }] };
    expect(touchedBetween(restingBench, swapped)).toEqual(['manual', 'auto']);
    expect(touchedBetween(swapped, swapped)).toEqual([]);
  });
});
