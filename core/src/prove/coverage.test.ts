import { schemeKeys } from '../schemes';
import { falseAlarms, faultsMissed } from './coverage.fixture';

/** So many sound circuits of each scheme; a drill takes more. */
const DRAWS = Number(process.env['DRAWS'] ?? 30);

describe('the windows', () => {
  it.each([...schemeKeys])(
    'of %s hold every sound circuit',
    (scheme) => {
      const { readings, missed } = falseAlarms(scheme, DRAWS);
      expect(readings).toBeGreaterThan(0);
      expect(missed).toEqual([]);
    },
    1_800_000,
  );

  it.each([
    // No reading tells a better negative from the negative, a fuse of another rating from its own, ohms in a light's milliamperes,
    // or a leak of a kilohm beside a winding.
    [
      'three-way-float',
      [
        'corroded@light-tap',
        'corroded@light-negative',
        'shorted-to-negative@light-negative',
        'shorted-to-negative@negative',
        'shorted-to-negative@main-negative',
        'wrong-fuse@fuse',
        'leak@joint-pump',
      ],
    ],
    [
      'through-float',
      [
        'corroded@light-tap',
        'corroded@light-negative',
        'shorted-to-negative@light-negative',
        'shorted-to-negative@negative',
        'shorted-to-negative@main-negative',
        'wrong-fuse@fuse',
        'leak@joint-manual',
        'leak@joint-pump',
      ],
    ],
  ])(
    'of %s, of those tests that a proof needs, let no fault through but those that no reading shows',
    (scheme, letThrough) => {
      expect(faultsMissed(scheme)).toEqual(letThrough);
    },
  );
});
