import { solve } from '../circuit';
import { newCircuit, type Circuit, type Job } from '../job';
import { Assessor } from './Assessor';
import { assess, codesOf, jobOf, sized, sizeOf, type Sized } from './assess.fixture';

const legs = {
  sourceToPanel: { lengthM: 3 },
  panelToBilge: { lengthM: 5 },
  bilgeToNegative: { lengthM: 5 },
};

function assessed(more: Partial<Circuit>, boat: Partial<Job['boat']> = {}): Sized {
  const job = jobOf({});
  const circuit: Circuit = {
    ...newCircuit('main', 'Main', 'three-way-float', 'house'),
    legs,
    pump: { currentA: 5 },
    ...more,
  };
  const [one] = assess({ ...job, boat: { ...job.boat, ...boat }, circuits: [circuit] });
  if (one?.status !== 'sized') throw new Error('not sized');
  return one;
}

const found = (one: Sized, code: string) => one.findings.find((finding) => finding.code === code);
const conductor = (one: Sized, id: string) => one.facts.conductors.find(({ planned }) => planned.id === id);

describe('the on/off scheme', () => {
  it('runs only on its switch and drops the same as manual of the three-way scheme', () => {
    const plain = assessed({ scheme: 'plain-switch' });
    expect(plain.facts.conductors.map(({ planned }) => planned.id)).toEqual(['stub', 'feed', 'manual', 'negative']);
    expect(plain.facts.dropV).toBeCloseTo(assessed({}).facts.dropV, 9);
    expect(plain.facts.automatic).toBe(false);
  });

  it('may go through the isolator without a word, an automatic one not', () => {
    const source = { feed: 'isolator' } as const;
    expect(found(assessed({ scheme: 'plain-switch', source }), 'isolator-in-automatic-feed')).toBeUndefined();
    const automatic = assessed({ source });
    expect(found(automatic, 'isolator-in-automatic-feed')?.fix?.circuit.source?.feed).toBe('unswitched');
    // The isolator's contact lies in the way of the pump's current.
    const volts = (one: Sized) => one.facts.supplies[0]?.pumpV ?? NaN;
    expect(volts(assessed({})) - volts(automatic)).toBeGreaterThan(0.015);
  });
});

describe('a leg in pieces', () => {
  const pieces = { lengthM: 3, slackM: 0.5, further: [{ lengthM: 1.5, engineSpace: true }] };

  it('adds its slack and its pieces, each warm as it runs', () => {
    const one = assessed({ legs: { ...legs, panelToBilge: pieces }, choices: { conductors: { manual: '12 AWG' } } });
    const manual = conductor(one, 'manual');
    expect(manual?.planned.lengthM).toBe(5);
    // 17.241/3.309 × (3.5 × 1.0393 + 1.5 × 1.1572) mΩ
    expect(manual?.resistanceOhm).toBeCloseTo((17.241 / 3.309 / 1000) * (3.5 * 1.0393 + 1.5 * 1.1572), 6);
  });

  it('may carry what its weakest piece may: engine space, or a bundle', () => {
    const bundled = { lengthM: 5, bundled: 6 };
    const amps = (leg: Circuit['legs']['panelToBilge']) =>
      conductor(
        assessed({ legs: { ...legs, panelToBilge: leg }, choices: { conductors: { manual: '12 AWG' } } }),
        'manual',
      )?.ampacity.amps;
    expect(amps(pieces)).toBeCloseTo(45 * 0.85, 9);
    expect(amps(bundled)).toBeCloseTo(45 * 0.6, 9);
  });
});

describe('a panel', () => {
  it('with a fuse of its own lets the smaller one answer for the pump’s maker and a stalled pump', () => {
    const pump = { currentA: 5, makerFuseA: 7.5 };
    const choices = { protection: { ratingA: 20 } };
    expect(found(assessed({ pump, choices }), 'rating-over-maker')?.severity).toBe('stop');
    const two = assessed({ pump, choices, panel: { fuse: { kind: 'blade', ratingA: 7.5 } } });
    expect(two.findings.map(({ code }) => code)).not.toContain('rating-over-maker');
    expect(two.findings.map(({ code }) => code)).not.toContain('locked-rotor-slow');
  });

  it('contact of exactly the pump’s current is enough, a hair less is a stop', () => {
    expect(found(assessed({ panel: { switchA: 5 } }), 'contact-over-rating')).toBeUndefined();
    expect(found(assessed({ panel: { switchA: 4.99 } }), 'contact-over-rating')?.severity).toBe('stop');
    expect(found(assessed({ floatA: 4.99 }), 'contact-over-rating')?.at).toEqual(['float']);
    expect(found(assessed({ floatA: 4.99, scheme: 'plain-switch' }), 'contact-over-rating')).toBeUndefined();
  });

  it('tap of a light or alarm after more than 150 % of what it may carry asks for a fuse of its own, or for the decision', () => {
    const lit = (more: Circuit['panel'], ratingA: number) =>
      assessed({ panel: { light: 'led', ...more }, pump: { currentA: 15 }, choices: { protection: { ratingA } } });
    // 18 AWG at 105 °C carries 20 A.
    expect(found(lit({}, 35), 'tap-unprotected')?.fix?.circuit.panel?.tapFuseA).toBe(1);
    expect(found(lit({}, 30), 'tap-unprotected')).toBeUndefined();
    expect(found(lit({ tapFuseA: 1 }, 35), 'tap-unprotected')).toBeUndefined();
    // At 40 A the light's negative in 16 AWG, which carries 25 A, is too thin as well: one fuse answers for both.
    expect(found(lit({}, 40), 'tap-unprotected')?.at).toEqual(['light-tap', 'light-negative']);
    expect(found(lit({}, 40), 'tap-unprotected')?.fix?.circuit.panel?.tapFuseA).toBe(1);
    expect(found(lit({ tapFuseA: 1 }, 40), 'tap-unprotected')).toBeUndefined();
    const decided = lit({ tapAccepted: true }, 35);
    expect(found(decided, 'tap-unprotected')).toBeUndefined();
    expect(decided.wiredAs.map(({ code }) => code)).toContain('tap-accepted');
    const armed = assessed({
      panel: { armedLight: 'led' },
      pump: { currentA: 15 },
      choices: { protection: { ratingA: 35 } },
    });
    expect(found(armed, 'tap-unprotected')?.at).toEqual(['armed-tap']);
    const alarm = assessed({
      scheme: 'backup-alarm',
      pump: { currentA: 15 },
      choices: { protection: { ratingA: 35 } },
    });
    expect(found(alarm, 'tap-unprotected')?.at).toEqual(['alarm-tap']);
  });

  it('LED draws what its resistor lets through at the post, fed back through the float on auto', () => {
    const one = assessed({ panel: { light: 'led' } });
    const pumpV = Math.max(...one.facts.supplies.filter(({ supplyV }) => supplyV === 12.8).map((row) => row.pumpV));
    const lampA = conductor(one, 'light-tap')?.runningA ?? 0;
    expect(lampA).toBeGreaterThan((pumpV - 2) / 680);
    expect(lampA).toBeLessThan((12.8 - 2) / 680);
    // A light weighs nothing in the drop at design current.
    expect(one.facts.dropV).toBeCloseTo(assessed({}).facts.dropV, 9);
  });
});

describe('leads and small sizes', () => {
  it('leads up to 178 mm may be thin, longer ones not', () => {
    const leads = (lengthM: number) => assessed({ pump: { currentA: 5, leads: { lengthM, size: '18 AWG' } } });
    expect(leads(0.178).wiredAs.map(({ code }) => code)).toContain('under-least-size-allowed');
    expect(found(leads(0.178), 'leads-below-minimum')).toBeUndefined();
    // They come with the pump: a caution, never a stop.
    expect(found(leads(0.179), 'leads-below-minimum')?.severity).toBe('caution');
    expect(found(leads(0.179), 'below-minimum-size')).toBeUndefined();
  });

  it('leads are counted apart from the cable: no size of it can mend them', () => {
    const choices = { dropSchool: 'general' } as const;
    const one = assessed({ choices, pump: { currentA: 5, leads: { lengthM: 0.15, size: '16 AWG' } } });
    const without = assessed({ choices });
    expect(one.facts.leadsDropV).toBeCloseTo(5 * 2 * 0.15 * (17.241 / 1.309 / 1000) * 1.0393, 6);
    expect(one.facts.dropV).toBeCloseTo(without.facts.dropV, 9);
    expect(one.facts.supplies[0]?.pumpV).toBeLessThan(without.facts.supplies[0]?.pumpV ?? 0);
    // A lead that alone loses more than 3 % leaves the cable its own size.
    const long = assessed({ pump: { currentA: 5, leads: { lengthM: 3, size: '16 AWG' } } });
    expect(conductor(long, 'manual')?.size).toBe(conductor(assessed({}), 'manual')?.size);
    expect(found(long, 'leads-drop')?.severity).toBe('caution');
    expect(found(long, 'no-size-satisfies')).toBeUndefined();
  });

  it('the least size serves 0.1 m, and 60 m is answered by size or by what is missing', () => {
    expect(sizeOf(sized({ lengths: [0.1, 0.1, 0.1], pump: { currentA: 2 } }), 'manual')).toBe('16 AWG');
    expect(codesOf({ lengths: [60, 60, 60], pump: { currentA: 15 } })).toContain('no-size-satisfies');
  });
});

describe('rules', () => {
  it('of ISO allow a stub of 200 mm, the US ones 178 mm', () => {
    const place = (rules: 'us' | 'iso', stubLengthM: number) =>
      codesOf({ source: { stubLengthM }, choices: { rules } }).filter((code) => code.startsWith('fuse-'));
    expect([place('us', 0.2), place('iso', 0.2), place('iso', 0.201)]).toEqual([['fuse-far'], [], ['fuse-far']]);
  });

  it('of petrol aboard ask for ignition protection', () => {
    expect(found(assessed({}, { petrol: true }), 'ignition-protection')?.severity).toBe('caution');
  });

  it('of a high-interrupt fuse on the post answer for a bank that can deliver more than a blade fuse breaks', () => {
    const job = jobOf({});
    const [one] = assess({ ...job, batteries: [{ id: 'house', name: 'Bank', chemistry: 'lifepo4', capacityAh: 300 }] });
    if (one?.status !== 'sized') throw new Error('not sized');
    const fix = found(one, 'interrupt-rating-exceeded')?.fix;
    // 13.4 kA at the post itself, where no stub limits it: more than a cube breaks.
    expect(fix?.circuit.source?.mainFuse).toEqual({ kind: 'classT', ratingA: 110 });
    expect(fix?.effect).toEqual(['cautions on this boat 1 → 0']);
  });

  it('of a battery by its measured volts and resistance replace its defaults', () => {
    const job = jobOf({});
    const [one] = assess({ ...job, batteries: [{ id: 'house', name: 'Bank', restV: 12.4, internalOhm: 0.02 }] });
    if (one?.status !== 'sized') throw new Error('not sized');
    const stub = conductor(one, 'stub')?.resistanceOhm ?? 0;
    expect(one.facts.protection.sourceFaultA).toBeCloseTo(12.7 / (0.02 + stub), 6);
    expect(one.netlist.parts[0]).toMatchObject({ emfV: 12.4, internalOhm: 0.02 });
  });
});

describe('a shared feed', () => {
  const job = jobOf({ pump: { currentA: 5 } });
  const follower: Circuit = {
    ...newCircuit('second', 'Second', 'plain-switch', 'house'),
    sharesFeedWith: 'main',
    legs: { sourceToPanel: {}, panelToBilge: { lengthM: 4 }, bilgeToNegative: { lengthM: 4 } },
    pump: { currentA: 3 },
  };
  const both = assess({ ...job, circuits: [...job.circuits, follower] });
  const [leader, second] = both;
  if (leader?.status !== 'sized' || second?.status !== 'sized') throw new Error('not sized');

  it('carries the currents of all its circuits, under one fuse', () => {
    for (const one of [leader, second]) {
      expect(one.facts.fedA).toBe(8);
      expect(one.facts.protection.ratingA).toBe(10);
      expect(conductor(one, 'feed')?.designA).toBeCloseTo(8, 9);
      expect(conductor(one, 'negative')?.designA).toBeCloseTo(one.facts.designCurrentA, 9);
    }
  });

  it('is one conductor of one size in both', () => {
    expect(sizeOf(second, 'feed')).toBe(sizeOf(leader, 'feed'));
    // 8 A in the feed, 3 A in the rest: worked by hand for 4 + 4 m.
    const ohm = (id: string) => conductor(second, id)?.resistanceOhm ?? NaN;
    expect(second.facts.dropV).toBeCloseTo(8 * (ohm('stub') + ohm('feed')) + 3 * (ohm('manual') + ohm('negative')), 9);
  });

  it('starves a pump that runs while the other does', () => {
    const pumpV = (other: 'off' | 'manual') =>
      solve(leader.netlist, {
        switches: { switch: 'manual', 'shared-second': other },
        floats: { float: 'down' },
      }).voltsAcross('pump', 'plus', 'minus');
    // The other pump's 3 A cost at least what they drop in the feed.
    const feedOhm = conductor(leader, 'feed')?.resistanceOhm ?? NaN;
    expect(pumpV('off') - pumpV('manual')).toBeGreaterThan(2.5 * feedOhm);
    expect(leader.facts.supplies[0]?.setting.switches['shared-second']).toBe('manual');
  });

  it('offers no fix in one circuit that would change the other’s feed', () => {
    for (const { fix } of second.findings) expect(fix?.circuit.source).toBeUndefined();
  });

  it('asks for the amperes of everything on it', () => {
    const [open] = assess({ ...job, circuits: [...job.circuits, { ...follower, pump: {} }] });
    expect(open?.status === 'incomplete' && open.needs.map(({ label }) => label)).toEqual([
      'Amperes of Second, on the same feed',
    ]);
  });

  it('cannot be that of a circuit which hangs on another’s', () => {
    const third = { ...follower, id: 'third', sharesFeedWith: 'second' };
    expect(() => assess({ ...job, circuits: [...job.circuits, follower, third] })).not.toThrow();
  });
});

describe('sizes side by side', () => {
  it('show what both schools propose and what more copper gives', () => {
    const rows = new Assessor().alternativesOf(jobOf({ pump: { currentA: 5, openFlowLPerH: 3000 } }), 'main');
    expect(rows.find(({ schools }) => schools.includes('critical'))?.size).toBe('12 AWG');
    expect(rows.find(({ schools }) => schools.includes('general'))?.size).toBe('16 AWG');
    const rising = (values: readonly number[]) =>
      values.every((value, index) => index === 0 || value > (values[index - 1] ?? 0));
    expect([rows.map(({ pumpV }) => pumpV), rows.map((row) => row.openFlowLPerH ?? 0)].every(rising)).toBe(true);
  });
});
