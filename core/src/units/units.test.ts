import fc from 'fast-check';
import {
  aRating,
  formatAmps,
  formatOpening,
  formatOhms,
  formatQuantity,
  formatVolume,
  fromUnit,
  parseQuantity,
  quantities,
  toldApart,
  toUnit,
  type Quantity,
  type QuantityKey,
} from '.';

const base = (text: string, key: QuantityKey, system: 'metric' | 'us' = 'metric') => {
  const parsed = parseQuantity(text, key, system);
  return parsed.ok ? parsed.base : parsed.message;
};

describe('what is typed into a field', () => {
  it('is in the unit of the system unless it names another', () => {
    expect(base('12', 'length')).toBe(12);
    expect(base('10', 'length', 'us')).toBeCloseTo(3.048, 12);
    expect(base('10 ft', 'length')).toBeCloseTo(3.048, 12);
    expect(base("10'", 'length')).toBeCloseTo(3.048, 12);
    expect(base('7 in', 'shortLength')).toBeCloseTo(0.1778, 12);
    expect(base('800 gph', 'flow')).toBeCloseTo(3028.33, 2);
    expect(base('6 mΩ', 'resistance')).toBeCloseTo(0.006, 12);
    expect(base('140 °F', 'temperature')).toBeCloseTo(60, 9);
  });

  it('may use a comma and spaces', () => {
    expect(base(' 3,6 ', 'length')).toBe(3.6);
  });

  it.each([
    ['3/4 in', 0.75],
    ['1 3/4 in', 1.75],
    ['1-3/4 in', 1.75],
    ['1¾"', 1.75],
    ['½ in', 0.5],
    ['-1 1/2 in', -1.5],
    ['−2 in', -2],
    ['2 ft 6 in', 30],
    ['2\' 6"', 30],
    ['2’6½″', 30.5],
    ['2 ft 6 1/2 in', 30.5],
    ['-2 ft 6 in', -30],
    ['1.5 ft 3 in', 21],
  ])('may be a fraction, or feet and inches: %s', (text, inches) => {
    expect(base(text, 'shortLength')).toBeCloseTo(inches * 0.0254, 12);
    expect(base(text, 'length')).toBeCloseTo(inches * 0.0254, 12);
  });

  it('takes a fraction without a unit in that of the system', () => {
    expect(base('2 1/2', 'shortLength', 'us')).toBeCloseTo(0.0635, 12);
    expect(base('2 1/2', 'current')).toBe(2.5);
    expect(base('12/1', 'length')).toBe(12);
  });

  it.each([
    ['1/0 in', /"1\/0" is no fraction/],
    ['2 ft 1/0 in', /"1\/0" is no fraction/],
    ['2 in 6 ft', /is not a unit of length/],
    ['2 ft 6', /"ft 6" is not a unit of length/],
    ['1/ in', /"\/ in" is not a unit/],
    ['/2', /Type a number/],
    ['1 2/3/4', /is not a unit/],
  ])('that is no fraction is answered: %s', (text, message) => expect(base(text, 'shortLength')).toMatch(message));

  it('knows no feet and inches where there are none', () => {
    expect(base('2 ft 6 in', 'current')).toMatch(/is not a unit of current/);
    expect(base('2 ft 6 in', 'head')).toMatch(/is not a unit of head/);
  });

  it('that is no number, or in a foreign unit, is answered with what to type', () => {
    expect(base('about five', 'length')).toMatch(/Type a number in m/);
    expect(base('5 kg', 'length')).toMatch(/"kg" is not a unit of length/);
    expect(base('', 'current')).toMatch(/Type a number in A/);
    expect(base('9'.repeat(400), 'length')).toMatch(/too large/);
  });

  it('comes back the same through every unit', () => {
    const units = Object.values(quantities).flatMap((quantity: Quantity) => quantity.units);
    fc.assert(
      fc.property(fc.constantFrom(...units), fc.double({ min: -1e6, max: 1e6, noNaN: true }), (unit, value) => {
        expect(toUnit(fromUnit(value, unit), unit)).toBeCloseTo(value, 6);
      }),
    );
  });
});

describe('what is shown', () => {
  it('joins number and unit, without zeros that say nothing', () => {
    expect(formatQuantity(3.6, 'length', 'metric')).toBe('3.6\u00a0m');
    expect(formatQuantity(3.6, 'length', 'us')).toBe('11.8\u00a0ft');
    expect(formatOhms(0.0134)).toBe('13.4\u00a0mΩ');
  });

  it('says times to open as a person would', () => {
    expect([formatOpening(null), formatOpening(0.1), formatOpening(600), formatOpening(7200)]).toEqual([
      'never opens',
      '0.1\u00a0s',
      '10\u00a0min',
      '2\u00a0h',
    ]);
  });
});

describe('a volume', () => {
  it('is given as finely as its size asks, in litres or in gallons', () => {
    const both = (litres: number) => [formatVolume(litres, 'metric'), formatVolume(litres, 'us')];
    expect(both(0)).toEqual(['0\u00a0L', '0\u00a0gal']);
    // A US gallon is 3.785411784 L.
    expect(both(0.84)).toEqual(['0.84\u00a0L', '0.22\u00a0gal']);
    expect(both(12.34)).toEqual(['12.3\u00a0L', '3.26\u00a0gal']);
    expect(both(99.96)).toEqual(['100\u00a0L', '26.4\u00a0gal']);
    expect(both(1234.5)).toEqual(['1235\u00a0L', '326\u00a0gal']);
  });
});

test('two figures that differ are never written alike, as far as three digits more tell', () => {
  expect(toldApart(15, 20, formatAmps)).toEqual(['15\u00a0A', '20\u00a0A']);
  expect(toldApart(15, 15.04, formatAmps)).toEqual(['15\u00a0A', '15.04\u00a0A']);
  expect(toldApart(15, 15.004, formatAmps)).toEqual(['15\u00a0A', '15.004\u00a0A']);
  expect(toldApart(15, 15.00001, formatAmps)).toEqual(['15\u00a0A', '15\u00a0A']);
});

test('a rating has the article that is spoken', () => {
  expect([1, 7.5, 8, 10, 11, 15, 18, 80, 100, 110].map(aRating)).toEqual(
    ['a 1', 'a 7.5', 'an 8', 'a 10', 'an 11', 'a 15', 'an 18', 'an 80', 'a 100', 'a 110'].map((text) => `${text} A`),
  );
});
