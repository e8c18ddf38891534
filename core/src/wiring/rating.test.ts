import { nextStandardRating, proposeRating, standardRatings } from './rating';

describe('the proposed rating', () => {
  it('is the next standard one above 125 % of the running current', () => {
    expect(proposeRating({ kind: 'blade', runningA: 4.6 })).toMatchObject({
      rating: { ratingA: 7.5 },
      because: 'over-running',
    });
  });

  it('is met exactly at 125 %: 8 A is carried by 10 A, a hair more is not', () => {
    expect(proposeRating({ kind: 'blade', runningA: 8 })).toMatchObject({ rating: { ratingA: 10 } });
    expect(proposeRating({ kind: 'blade', runningA: 8.001 })).toMatchObject({ rating: { ratingA: 15 } });
  });

  it('may be exactly the maker’s figure', () => {
    expect(proposeRating({ kind: 'blade', runningA: 8, makerA: 10 })).toMatchObject({
      rating: { ratingA: 10 },
      because: 'over-running',
    });
  });

  it('is the largest standard one within the maker’s figure where 125 % would exceed it', () => {
    expect(proposeRating({ kind: 'blade', runningA: 9, makerA: 10 })).toMatchObject({
      rating: { ratingA: 10 },
      because: 'maker',
    });
    expect(proposeRating({ kind: 'blade', runningA: 9, makerA: 12 })).toMatchObject({ rating: { ratingA: 10 } });
  });

  it('is a contradiction when nothing standard lies between running current and maker’s figure', () => {
    expect(proposeRating({ kind: 'blade', runningA: 5.5, makerA: 6 })).toEqual({
      found: false,
      because: 'maker-below-running',
    });
  });

  it('goes on into the next family beyond a family’s largest rating', () => {
    expect(proposeRating({ kind: 'blade', runningA: 36 })).toMatchObject({
      rating: { kind: 'cubeAtBattery', ratingA: 50 },
    });
    expect(proposeRating({ kind: 'blade', runningA: 100 })).toMatchObject({ rating: { kind: 'classT', ratingA: 125 } });
  });

  it('has no answer beyond all families', () => {
    expect(proposeRating({ kind: 'blade', runningA: 170 })).toEqual({ found: false, because: 'beyond-all-ratings' });
  });

  it('is one of ratings that rise without repeating', () => {
    const amps = standardRatings('thermalBreaker').map((row) => row.ratingA);
    expect([...new Set(amps)].sort((a, b) => a - b)).toEqual(amps);
    expect(nextStandardRating('blade', 17)).toBe(20);
    expect(nextStandardRating('blade', 20)).toBe(20);
  });
});
