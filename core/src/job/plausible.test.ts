import { newCircuit, type Circuit } from '.';
import { doubtsOf } from './plausible';

const circuit = (pump: Circuit['pump'], legs: Partial<Circuit['legs']> = {}): Circuit => {
  const fresh = newCircuit('main', 'Main', 'three-way-float', 'house');
  return { ...fresh, pump, legs: { ...fresh.legs, ...legs } };
};
const doubts = (pump: Circuit['pump'], legs?: Partial<Circuit['legs']>, hullLengthM?: number) =>
  doubtsOf(circuit(pump, legs), hullLengthM).map(({ path, message }) => [path.join('.'), message]);

describe('a figure that looks mistaken', () => {
  it('is asked about, and none of a usual pump is', () => {
    expect(doubts({})).toEqual([]);
    expect(doubts({ currentA: 3, openFlowLPerH: 1900, shutOffHeadM: 3 })).toEqual([]);
    expect(doubts({ currentA: 15, openFlowLPerH: 13600, shutOffHeadM: 6 })).toEqual([]);
  });

  it('is perhaps gallons taken for litres', () => {
    // 500 gal/h of a 2 A pump, typed as litres: 250 L/h an ampere is too little, 946 is usual.
    expect(doubts({ currentA: 2, openFlowLPerH: 500 })).toEqual([
      ['pump.openFlowLPerH', expect.stringContaining('Then it is 1893\u00a0L/h')],
    ]);
  });

  it('is perhaps amperes off by ten, either way', () => {
    expect(doubts({ currentA: 0.3, openFlowLPerH: 1900 })).toEqual([
      ['pump.currentA', expect.stringContaining('Is it 3 A?')],
    ]);
    expect(doubts({ currentA: 60, openFlowLPerH: 4000 })).toEqual([
      ['pump.currentA', expect.stringContaining('Is it 6 A?')],
    ]);
    expect(doubts({ currentA: 0.3 })).toEqual([['pump.currentA', expect.stringContaining('Is it 3 A?')]]);
    expect(doubts({ currentA: 45 })).toEqual([['pump.currentA', expect.stringContaining('Is it 4.5 A?')]]);
  });

  it('is perhaps feet taken for metres, of head or of a leg', () => {
    expect(doubts({ shutOffHeadM: 12 })).toEqual([
      ['pump.shutOffHeadM', expect.stringContaining('Then it is 3.7\u00a0m')],
    ]);
    expect(doubts({}, { panelToBilge: { lengthM: 26 } }, 10)).toEqual([
      ['legs.panelToBilge.lengthM', expect.stringMatching(/26\sm is long for a hull of 10\sm.*7\.92\sm/)],
    ]);
    expect(doubts({}, { panelToBilge: { lengthM: 25 } }, 10)).toEqual([]);
    expect(doubts({}, { panelToBilge: { lengthM: 31 } })).toEqual([
      ['legs.panelToBilge.lengthM', expect.stringContaining('is long for a leg')],
    ]);
  });
});
