import { built } from './build.fixture';
import { estimateOf } from './estimate';
import { itemKey, stockOf } from './stockLedger';

const none = stockOf([]);
const list = built('three-way-float');
const minutes = list.steps.reduce((sum, step) => sum + step.minutes, 0);

describe('an estimate', () => {
  it('is none without a price or a rate', () => {
    expect(estimateOf(list, none)).toBeNull();
    expect(estimateOf(list, { ...none, prices: { Elsewhere: 4 } })).toBeNull();
  });

  it('adds what has a price, by its number, and the work by the hour', () => {
    const spares = list.parts.find(({ item }) => item.startsWith('Blade fuse'));
    const prices = { 'Bilge pump': 80, [itemKey(spares?.item ?? '')]: 2 };
    expect(spares?.quantity).toBe(3);
    // 80 + 3 × 2, and every minute of the steps at 60 an hour.
    expect(estimateOf(list, { ...none, prices, perHour: 60 })).toEqual({
      parts: 86,
      priced: 2,
      of: list.parts.length,
      hours: minutes / 60,
      labour: expect.closeTo(minutes, 9) as number,
      sum: expect.closeTo(86 + minutes, 9) as number,
    });
    expect(estimateOf(list, { ...none, prices })).toMatchObject({ labour: null, sum: 86 });
  });

  it('leaves out what is on board', () => {
    const aboard = built('three-way-float', { aboard: { pump: true } });
    expect(estimateOf(aboard, { ...none, prices: { 'Bilge pump': 80 } })).toBeNull();
    expect(estimateOf(aboard, { ...none, perHour: 1 })?.of).toBe(list.parts.length - 1);
  });
});
