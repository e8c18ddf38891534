import fc from 'fast-check';
import { barrels, conductorSizes, pullN } from '../reference';
import { barrelFor, fitBarrel } from './barrelFit';
import { built, byId } from './build.fixture';

const joined = (...areas: number[]) => areas.map((areaMm2, at) => ({ id: `c${at}`, areaMm2 }));

describe('a barrel', () => {
  it.each([
    [1.04, 'red'],
    [1.041, 'blue'],
    [2.63, 'blue'],
    [2.631, 'yellow'],
    [6.64, 'yellow'],
    [6.641, 'red (large)'],
    [10.5, 'red (large)'],
    [10.501, undefined],
  ])('for %s mm² is %s', (areaMm2, colour) => {
    expect(barrelFor(areaMm2)?.colour).toBe(colour);
  });

  it('takes two of one size plainly, folds back a thinner one, and steps down from two sizes', () => {
    expect(fitBarrel(joined(2.081, 2.081))).toMatchObject({ how: 'butt', barrel: { colour: 'blue' } });
    // 14 and 16 AWG: one size apart, both in blue.
    expect(fitBarrel(joined(2.081, 1.309))).toMatchObject({ how: 'butt', sides: [{ fold: 1 }, { fold: 1 }] });
    // 12 and 14 AWG: yellow begins at 2.63.
    expect(fitBarrel(joined(3.309, 2.081))).toMatchObject({
      how: 'butt',
      barrel: { colour: 'yellow' },
      sides: [{ fold: 1 }, { fold: 2 }],
    });
    // 12 and 16 AWG: two sizes apart.
    expect(fitBarrel(joined(3.309, 1.309))).toMatchObject({ how: 'step-down' });
    // A side folded twice that still lies loose.
    expect(fitBarrel(joined(2.7, 1.31))).toMatchObject({ how: 'step-down' });
  });

  it('takes three where they balance: the thick one against the two thin ones', () => {
    const fit = fitBarrel(joined(1.309, 2.081, 1.309));
    expect(fit).toMatchObject({ how: 'butt', barrel: { colour: 'blue' } });
    if (fit.how === 'block') throw new Error('a block');
    expect(fit.sides.map(({ ids }) => [...ids].sort())).toEqual([['c0', 'c2'], ['c1']]);
    expect(fit.sides[0].areaMm2).toBeCloseTo(2.618, 9);
  });

  it('is none for four conductors, for one, or for more copper than the largest takes', () => {
    expect(fitBarrel(joined(1, 1, 1, 1)).how).toBe('block');
    expect(fitBarrel(joined(1)).how).toBe('block');
    expect(fitBarrel(joined(10.5, 10.5)).how).toBe('butt');
    expect(fitBarrel(joined(10.6, 10.5)).how).toBe('block');
  });

  it('holds each conductor once, and on its larger side what the barrel takes', () => {
    const sizes = conductorSizes.awg.slice(0, 6).map(({ areaMm2 }) => areaMm2);
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...sizes), { minLength: 2, maxLength: 3 }), (areas) => {
        const fit = fitBarrel(joined(...areas));
        if (fit.how === 'block') return;
        expect(fit.sides.flatMap(({ ids }) => ids).sort()).toEqual(joined(...areas).map(({ id }) => id));
        expect(fit.sides[0].areaMm2).toBeGreaterThanOrEqual(fit.sides[1].areaMm2);
        expect(fit.sides[0].areaMm2).toBeLessThanOrEqual(fit.barrel.toMm2 + 1e-9);
        const smaller = barrels[barrels.findIndex(({ colour }) => colour === fit.barrel.colour) - 1];
        expect(fit.sides[0].areaMm2).toBeGreaterThan(smaller?.toMm2 ?? 0);
        if (fit.how === 'butt')
          for (const { areaMm2, fold } of fit.sides)
            expect(areaMm2 * fold).toBeGreaterThanOrEqual(fit.barrel.fromMm2 - 1e-9);
      }),
    );
  });
});

describe('the joints of the base circuit', () => {
  const choices = { conductors: { manual: '14 AWG', auto: '14 AWG', negative: '14 AWG', feed: '14 AWG' } } as const;
  const more = { choices, pump: { currentA: 4.5, labelV: 13.6, leads: { lengthM: 0.15, size: '16 AWG' } } } as const;
  const list = built('three-way-float', undefined, { ...more, floatLead: '16 AWG' });

  it('are worked by hand: what meets, its barrel, strip, sealant and pull', () => {
    const table = list.joints.map(({ id, conductors, how, barrel, areaMm2, stripM, sealant, pullN: pull, tugN }) => [
      id,
      conductors.map((one) => one.id),
      how,
      barrel?.colour,
      Number(areaMm2.toFixed(3)),
      stripM,
      sealant,
      pull,
      tugN,
    ]);
    expect(table).toEqual([
      ['joint-float', ['auto', 'float-lead-1'], 'butt', 'blue', 2.081, 0.008, false, 67, 33.5],
      // Float lead and pump lead, 2.618 mm², against manual, 2.081.
      ['joint-pump', ['manual', 'pump-lead-plus', 'float-lead-2'], 'butt', 'blue', 2.618, 0.008, true, 67, 33.5],
      ['joint-negative', ['pump-lead-minus', 'negative'], 'butt', 'blue', 2.081, 0.008, false, 67, 33.5],
    ]);
    expect(list.joints.flatMap(({ conductors }) => conductors).every(({ assumed }) => !assumed)).toBe(true);
  });

  it('take what their school says, each joint its own where decided', () => {
    const schools = built(
      'three-way-float',
      { school: 'crimp-solder', joints: { 'joint-pump': { school: 'block' } } },
      more,
    );
    expect(schools.joints.map(({ id, school, how, minutes }) => [id, school, how, minutes])).toEqual([
      ['joint-float', 'crimp-solder', 'butt', 15],
      ['joint-pump', 'block', 'block', 5],
      ['joint-negative', 'crimp-solder', 'butt', 15],
    ]);
    const solder = built('three-way-float', { school: 'solder' }, more);
    expect(solder.joints.every(({ barrel, sleeve }) => barrel === null && sleeve !== null)).toBe(true);
    expect(solder.tools).toContain('Soldering iron, rosin flux');
    expect(list.tools).not.toContain('Soldering iron, rosin flux');
  });

  it('are pulled by the smaller conductor; sizes without a published force have none', () => {
    expect(pullN['16 AWG']).toBe(67);
    expect(pullN['16 mm²']).toBeUndefined();
    expect(byId(built('three-way-float').joints, 'joint-negative')).toMatchObject({
      pullN: 67,
      conductors: [{}, { assumed: true }],
    });
  });

  it('of an enclosed float with five leads are one conductor to one', () => {
    for (const { conductors } of built('through-float').joints) expect(conductors).toHaveLength(2);
  });
});
