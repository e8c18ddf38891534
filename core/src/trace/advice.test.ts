import { adviceOf, type AdviceGround } from './advice';

const ground: AdviceGround = {
  group: 'motor',
  buys: true,
  access: 'easy',
  motorHours: null,
  provedYears: null,
  oldFloat: false,
};
const told = (with_: Partial<AdviceGround>) => adviceOf({ ...ground, ...with_ }).join(' ');

describe('repair or replace', () => {
  it('goes by the hours on the motor: nothing to 299, brushes from 300, a new one from 500', () => {
    expect(told({ motorHours: 299 })).toContain('cheaper than a second visit');
    expect(told({ motorHours: 300 })).toContain('300 hours on its motor: brushes');
    expect(told({ motorHours: 499 })).toContain('brushes');
    expect(told({ motorHours: 500 })).toContain('replace the pump');
  });

  it('frees what debris holds before it buys', () => {
    expect(told({ group: 'seized', buys: false })).toContain('Debris alone is no reason');
    expect(told({ group: 'seized', buys: false, motorHours: 500 })).toContain('replace the pump');
  });

  it('goes by the age of the float: cleaned under five years, replaced from five', () => {
    expect(told({ group: 'float-stuck-up', provedYears: 4.9 })).toContain('Clean it');
    expect(told({ group: 'float-stuck-up', provedYears: 5 })).toContain('replaced, not cleaned');
    expect(told({ group: 'float-stuck-up', oldFloat: true })).toContain('replaced, not cleaned');
    expect(told({ group: 'hose', buys: false, provedYears: 9.9 })).toBe('');
    expect(told({ group: 'hose', buys: false, provedYears: 10 })).toContain('over ten years');
  });

  it('asks for the warranty under three years, of parts that are bought', () => {
    expect(told({ provedYears: 0.5 })).toContain('less than a year ago');
    expect(told({ provedYears: 1.5 })).toContain('1 year ago');
    expect(told({ provedYears: 2.9 })).toContain('2 years ago');
    expect(told({ provedYears: 3 })).not.toContain('warranty');
    expect(told({ group: 'splice-pump', buys: false, provedYears: 1 })).not.toContain('warranty');
  });

  it('remakes neighbours, and does all in one visit where the bilge is hard to reach', () => {
    expect(told({ group: 'splice-negative', buys: false, access: 'hard' })).toMatch(
      /bright copper.*neighbours.*same visit/,
    );
    expect(told({ group: 'fuse', access: 'hard' })).toBe('');
  });
});
