import { newCircuit, type Circuit } from '../job';
import { waysOutM } from './waysOut';

const surveyed = (change: Partial<Circuit> = {}): Circuit => ({
  ...newCircuit('main', 'Main', 'three-way-float', 'house'),
  legs: { sourceToPanel: { lengthM: 2.2 }, panelToBilge: { lengthM: 4.5 }, bilgeToNegative: {} },
  ...change,
});

describe('the ways out', () => {
  it('are the feed and the cable to the bilge together', () => {
    expect(waysOutM(surveyed(), [])).toBeCloseTo(6.7, 12);
  });

  it('are not known while one of the two is not measured', () => {
    const legs = { ...surveyed().legs, panelToBilge: {} };
    expect(waysOutM(surveyed({ legs }), [])).toBeUndefined();
  });

  it('take the feed of the circuit that lends it', () => {
    const host = { ...surveyed(), id: 'host', legs: { ...surveyed().legs, sourceToPanel: { lengthM: 3 } } };
    expect(waysOutM(surveyed({ sharesFeedWith: 'host' }), [host])).toBeCloseTo(7.5, 12);
  });

  it('are not asked where nothing goes back to a bus', () => {
    expect(waysOutM(surveyed({ scheme: 'standalone-alarm' }), [])).toBeUndefined();
  });
});
