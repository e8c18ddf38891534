import { seen, testOf, type ProveTest } from './proveTest';
import { batteryTooLow, doubted, judged } from './verdict';

const value = (
  unit: 'V' | 'A' | 'Ω' | 'L/h',
  nominal: number,
  low: number,
  high: number,
  more: Partial<ProveTest> = {},
) =>
  testOf({
    id: 'one',
    phase: 'commission',
    place: 'panel',
    text: '',
    expect: { nominal, low, high, unit },
    missHigh: 'too high',
    missLow: 'too low',
    ...more,
  });
const amps = value('A', 4, 3.4, 4.6, { instrument: 'clamp' });
const verdictAt = (test: ProveTest, read: number) => judged(test, { value: read, unit: '' }).verdict;

describe('a reading', () => {
  it('passes up to the edge of its window', () => {
    const volts = value('V', 12.5, 12.2, 12.7);
    expect([12.2, 12.7].map((read) => verdictAt(volts, read))).toEqual(['pass', 'pass']);
    expect(judged(volts, { value: 12.701, unit: 'V' })).toEqual({ verdict: 'miss', words: 'too high' });
    expect(judged(volts, { value: 12.199, unit: 'V' })).toEqual({ verdict: 'miss', words: 'too low' });
  });

  it('of amperes is looked at again up to thirty per cent, and is another fault beyond', () => {
    expect([2.8, 5.2].map((read) => verdictAt(amps, read))).toEqual(['look', 'look']);
    expect([2.799, 5.201].map((read) => verdictAt(amps, read))).toEqual(['miss', 'miss']);
  });

  it('“closed” passes below half an ohm and says what it does not tell', () => {
    expect(judged(value('Ω', 0.6, 0.3, 1.1), { said: 'closed' })).toMatchObject({
      verdict: 'pass',
      words: /shorted winding/,
    });
    expect(judged(value('Ω', 0.8, 0.5, 1.3), { said: 'closed' }).verdict).toBe('pass');
    expect(judged(value('Ω', 0.9, 0.51, 1.4), { said: 'closed' }).verdict).toBe('miss');
    expect(judged(value('Ω', 0.6, 0.3, 1.1), { said: 'open' })).toEqual({ verdict: 'miss', words: 'too high' });
  });

  it('in ohms where only closed or open is asked is read as one of them', () => {
    const closed = testOf({ id: 'c', phase: 'bench', place: 'bench', text: '', expect: seen('closed', ['open']) });
    expect([0.49, 0.5].map((read) => verdictAt(closed, read))).toEqual(['pass', 'miss']);
  });

  it('in words says what a miss suggests on the side it lies', () => {
    const sides = { missHigh: 'does not close', missLow: 'never opens' };
    const test = (expected: string) =>
      testOf({
        id: 'c',
        phase: 'bench',
        place: 'bench',
        text: '',
        expect: seen(expected, ['open', 'closed']),
        ...sides,
      });
    expect(judged(test('closed'), { said: 'open' }).words).toBe('does not close');
    expect(judged(test('open'), { said: 'closed' }).words).toBe('never opens');
  });
});

describe('a figure that cannot be', () => {
  it.each<[string, ProveTest, number, number | null]>([
    ['126 for 12.6', value('V', 12.6, 12.4, 12.8), 126, 12.6],
    ['probes the other way round', value('V', 12.6, 12.4, 12.8), -12.6, 12.6],
    ['less than no ohms', value('Ω', 0.6, 0.3, 1.1), -0.6, 0.6],
    ['the clamp the other way', amps, -3.9, 3.9],
    ['milliamperes', amps, 3900, 3.9],
    ['volts in the field of ohms', value('Ω', 0.6, 0.3, 1.1), 12.6, null],
    ['less than no water', value('L/h', 1000, 800, 1200), -1000, 1000],
  ])('is asked before it is taken: %s', (_name, test, read, meant) => {
    expect(doubted(test, read)?.meant ?? null).toBe(meant);
    expect(doubted(test, read)).not.toBeNull();
  });

  it('and one that can be is taken without a question', () => {
    for (const read of [12.6, 0, -0.02, 16]) expect(doubted(value('V', 12.6, 12.4, 12.8), read)).toBeNull();
    expect(doubted(value('V', 12.6, 12.4, 12.8), 16.01)).not.toBeNull();
    expect(doubted(value('V', 0, -0.15, 0.15), -3)).toBeNull();
    expect(doubted(amps, 99)).toBeNull();
    expect(doubted(value('Ω', 0.6, 0.3, 1.1), 9.99)).toBeNull();
    expect(
      doubted(testOf({ id: 'c', phase: 'bench', place: 'bench', text: '', expect: seen('open', []) }), -4),
    ).toBeNull();
  });
});

it('a battery that is too far down proves nothing', () => {
  const tests = [value('V', 12.7, 12.25, 14.8, { id: 'battery-resting' })];
  expect(batteryTooLow(tests, 12.25)).toBeNull();
  expect(batteryTooLow(tests, 12.24)).toContain('charge it first');
  expect(batteryTooLow(tests, undefined)).toBeNull();
  expect(batteryTooLow([], 9)).toBeNull();
});
