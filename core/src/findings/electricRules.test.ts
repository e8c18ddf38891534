import { ourRules } from '../reference';
import {
  boat,
  behaviourOf,
  codesOf,
  conductorOf,
  factsOf,
  find,
  ideasOf,
  plainCircuit,
  protectionOf,
  supplyOf,
} from './facts.fixture';
import {
  conductorRules,
  contactRules,
  dropRules,
  judgeCircuit,
  leadRules,
  stepDownRules,
  tapRules,
} from './said.fixture';

const severity = (judgements: ReturnType<typeof judgeCircuit>, code: string) => find(judgements, code)?.severity;

test('a circuit that nothing is wrong with has no finding', () => {
  expect(codesOf(judgeCircuit(factsOf()))).toEqual([]);
});

test('findings come worst first, equal ones in the order of their rules', () => {
  const facts = factsOf({
    boat: { ...boat, petrol: true },
    protection: protectionOf({ lockedRotorOpening: { kind: 'never' } }),
  });
  expect(judgeCircuit(facts).map((one) => one.severity)).toEqual(['stop', 'caution']);
});

describe('conductors', () => {
  it('carry what they may, and a hair more is a stop that says how much', () => {
    const carrying = (designA: number) =>
      conductorRules(factsOf({ conductors: [conductorOf('feed', { size: '16 AWG', insulationC: 60, designA })] }));
    expect(codesOf(carrying(15))).toEqual([]);
    const [over] = carrying(15.001);
    expect(over).toMatchObject({ code: 'ampacity-below-current', severity: 'stop', at: ['feed'] });
    expect(over?.message).toContain('may carry 15\u00a0A, and carries 15.001\u00a0A');
    expect(over?.message).toContain('Use a larger size, or a higher insulation rating.');
  });

  it('in an engine space or a bundle say why they may carry less', () => {
    const hot = conductorOf('feed', { insulationC: 75, engineSpace: true, designA: 16 });
    expect(conductorRules(factsOf({ conductors: [hot] }))[0]?.message).toContain(
      'may carry 15\u00a0A in an engine space,',
    );
    const bundled = { ...hot, ampacity: { ...hot.ampacity, bundlingFactor: 0.6 } };
    expect(conductorRules(factsOf({ conductors: [bundled] }))[0]?.message).toContain(
      'in an engine space and in its bundle',
    );
    const tied = { ...hot, ampacity: { ...hot.ampacity, engineSpaceFactor: 1, bundlingFactor: 0.6 } };
    expect(conductorRules(factsOf({ conductors: [tied] }))[0]?.message).toContain('15\u00a0A in its bundle');
  });

  it('overloaded together are one finding with its places, mended together', () => {
    const own = { overridden: true, size: '18 AWG', proposedSize: '12 AWG', designA: 25 };
    const facts = factsOf({
      circuit: plainCircuit({ choices: { conductors: { feed: '18 AWG', auto: '18 AWG' } } }),
      conductors: [conductorOf('feed', own), conductorOf('auto', own), conductorOf('negative')],
    });
    const over = find(conductorRules(facts), 'ampacity-below-current');
    expect(over?.at).toEqual(['feed', 'auto']);
    expect(over?.message).toContain('Use 12 AWG.');
    const [idea] = Array.isArray(over?.ideas) ? over.ideas : [];
    expect(idea?.label).toBe('Use 12 AWG throughout');
    expect(idea?.circuit.choices?.conductors).toEqual({});
    expect(ideasOf(over)).toContain('Use 105 °C cable for this leg');
  });

  it('of 60 °C insulation are forbidden in an engine space, and then not judged by amperes as well', () => {
    const metric = conductorOf('feed', { size: '2.5 mm²', insulationC: 60, engineSpace: true });
    const judged = conductorRules(
      factsOf({ conductors: [metric, { ...metric, planned: { ...metric.planned, id: 'auto' } }] }),
    );
    expect(codesOf(judged)).toEqual(['insulation-forbidden-in-engine-space']);
    expect(judged[0]?.at).toEqual(['feed', 'auto']);
    expect(judged[0]?.message).toContain('60 °C');
  });

  it('below the least size are a stop, unless something allows it', () => {
    const thin = (planned = {}) =>
      conductorRules(factsOf({ conductors: [conductorOf('auto', { size: '18 AWG', planned })] }));
    expect(thin()[0]).toMatchObject({ code: 'below-minimum-size', severity: 'stop', at: ['auto'] });
    expect(codesOf(thin({ underLeastBecause: 'It stays inside the panel.' }))).toEqual([]);
    expect(codesOf(conductorRules(factsOf({ conductors: [conductorOf('auto', { size: '16 AWG' })] })))).toEqual([]);
  });

  it('of 18 AWG may run in a sheathed multicore with 762 mm of it outside, and not a millimetre more', () => {
    const outside = (unsheathedM: number, size: '18 AWG' | '0.75 mm²' = '18 AWG') =>
      conductorRules(factsOf({ conductors: [conductorOf('auto', { size, planned: { unsheathedM } })] }));
    expect(codesOf(outside(0.762))).toEqual([]);
    expect(codesOf(outside(0, '0.75 mm²'))).toEqual([]);
    expect(outside(0.763)[0]).toMatchObject({ code: 'below-minimum-size', at: ['auto'] });
    expect(outside(0.763)[0]?.message).toContain('763\u00a0mm of it run outside the sheath');
    expect(outside(0.763)[0]?.message).toContain('within 762\u00a0mm');
  });

  it('that come with a part are a caution, not a stop, where they are thin', () => {
    const lead = conductorOf('pump-lead-plus', {
      size: '18 AWG',
      planned: { duty: 'lead', leg: 'lead', lengthM: 0.4 },
    });
    expect(conductorRules(factsOf({ conductors: [lead] }))).toEqual([
      expect.objectContaining({ code: 'leads-below-minimum', severity: 'caution', at: ['pump-lead-plus'] }),
    ]);
    const short = { ...lead, planned: { ...lead.planned, underLeastBecause: 'Leads up to 178 mm.' } };
    expect(codesOf(conductorRules(factsOf({ conductors: [short] })))).toEqual([]);
    expect(codesOf(conductorRules(factsOf({ conductors: [{ ...lead, underLeast: false }] })))).toEqual([]);
  });

  it('of no size in the tables say which limit, by how much, and never an infinite number', () => {
    const none = (limit: 'drop' | 'ampacity' | 'fuse', neededFactor: number | null) =>
      find(conductorRules(factsOf({ noSize: { largest: '2/0 AWG', limit, neededFactor } })), 'no-size-satisfies');
    expect(none('drop', 1.25)?.message).toContain('1.25 times what is allowed: shorten the route to 80 %');
    expect(none('ampacity', 1.5)?.message).toContain('1.50 times its ampacity');
    expect(none('fuse', 2)?.message).toContain('2.00 times what protects');
    for (const limit of ['ampacity', 'fuse'] as const) expect(none(limit, null)?.message).not.toMatch(/Infinity|NaN/);
    expect(none('drop', 1.25)).toMatchObject({ severity: 'stop', at: [] });
  });
});

describe('drop', () => {
  it('within the school is silent, over it a caution, over 10 % a stop', () => {
    const dropping = (dropPercent: number, dropSchool: 'critical' | 'general' = 'critical') =>
      severity([...dropRules(factsOf({ dropPercent, dropSchool }))], 'drop-over-school');
    expect([dropping(3), dropping(3.001), dropping(10), dropping(10.001)]).toEqual([
      undefined,
      'caution',
      'caution',
      'stop',
    ]);
    expect([dropping(10, 'general'), dropping(10.001, 'general')]).toEqual([undefined, 'stop']);
  });

  const at = (pumpV: number) => dropRules(factsOf({ supplies: [supplyOf(12, pumpV), supplyOf(12.8), supplyOf(13.6)] }));

  it('leaves 10.5 V, or is a caution; below a fifth of the label a stop', () => {
    expect(codesOf(at(10.5))).toEqual([]);
    expect(at(10.49)[0]).toMatchObject({ code: 'pump-volts-low', severity: 'caution', at: ['pump'] });
    expect(at(2.4)[0]).toMatchObject({ code: 'pump-volts-low', severity: 'caution' });
    expect(at(2.39)[0]).toMatchObject({ code: 'pump-may-not-break-away', severity: 'stop' });
    expect(at(10.49)[0]?.message).toContain('87 % of label speed');
  });

  it('is looked at from the battery as measured too, where 12.0 V find nothing', () => {
    const measured = (supplyV: number, pumpV: number) => dropRules(factsOf({ asMeasured: supplyOf(supplyV, pumpV) }));
    expect(codesOf(measured(11.2, 10.5))).toEqual([]);
    expect(measured(11.2, 10.49)[0]).toMatchObject({ code: 'pump-volts-low', severity: 'caution' });
    expect(measured(11.2, 10.49)[0]?.message).toContain('With House battery as measured, 11.20\u00a0V at rest,');
    expect(measured(11.2, 10.49)[0]?.ideas).toBeUndefined();
    expect(measured(11.2, 2.3)[0]).toMatchObject({ code: 'pump-may-not-break-away', severity: 'stop' });
    // A full battery is judged at 12.0 V alone.
    expect(codesOf(measured(12.5, 10.4))).toEqual([]);
    expect(codesOf(measured(12.49, 10.4))).toEqual(['pump-volts-low']);
  });
});

describe('the pump’s own leads', () => {
  const losing = (leadsDropV: number, dropPercent = 2.5) => leadRules(factsOf({ leadsDropV, dropPercent }));

  it('are a caution where with the cable they lose more than the school allows', () => {
    // 0.06 V are 0.5 % of 12 V.
    expect(codesOf(losing(0.06))).toEqual([]);
    expect(losing(0.0601)[0]).toMatchObject({ code: 'leads-drop', severity: 'caution' });
    expect(losing(0.12)[0]?.message).toContain('with the cable 3.5\u00a0%');
  });

  it('are not blamed for what the cable alone loses', () => {
    expect(codesOf(losing(0.12, 3.01))).toEqual([]);
    expect(codesOf(losing(0, 3))).toEqual([]);
    expect(codesOf(losing(0.01, 3))).toEqual(['leads-drop']);
  });
});

describe('contacts', () => {
  const contact = (ratingA: number | null, amps: number) =>
    contactRules(factsOf({ contacts: [{ part: 'float', name: 'Float', what: 'float', ratingA, amps }] }));

  it('carry their rating and not a hair more', () => {
    expect(codesOf(contact(5, 5))).toEqual([]);
    expect(contact(5, 5.001)[0]).toMatchObject({ code: 'contact-over-rating', severity: 'stop', at: ['float'] });
    expect(ideasOf(contact(5, 6)[0])).toEqual(['Let them drive a relay']);
  });

  it('that nobody has read are asked for from 10 A', () => {
    expect(codesOf(contact(null, 9.99))).toEqual([]);
    expect(contact(null, 10)[0]).toMatchObject({ code: 'contact-not-read', severity: 'caution', at: ['float'] });
  });

  it('unread together are one finding', () => {
    const contacts = (['switch', 'float'] as const).map((what) => ({
      part: what,
      name: what === 'switch' ? 'Switch' : 'Float',
      what,
      ratingA: null,
      amps: 12,
    }));
    const judged = contactRules(factsOf({ contacts }));
    expect(judged).toHaveLength(1);
    expect(judged[0]?.at).toEqual(['switch', 'float']);
    expect(judged[0]?.message).toContain('Switch and float: the contacts carry 12\u00a0A');
  });
});

describe('taps', () => {
  const tapped = (ratingA: number, tapAccepted = false, amps = 10) => {
    const conductor = {
      ...conductorOf('light-tap', { planned: { duty: 'light', leg: 'panel', name: 'Light tap', lengthM: 0.1 } }),
    };
    const own = { ...conductor, ampacity: { ...conductor.ampacity, amps } };
    return tapRules(
      factsOf({
        circuit: plainCircuit({ panel: { tapAccepted } }),
        protection: protectionOf({ taps: [{ conductor: own, ratingA }] }),
      }),
    );
  };

  it('are judged by their own size: 150 % is protected, more asks for a fuse of its own', () => {
    expect(codesOf(tapped(15))).toEqual([]);
    expect(tapped(20)[0]).toMatchObject({ code: 'tap-unprotected', severity: 'caution', at: ['light-tap'] });
    expect(tapped(20)[0]?.message).toContain('100\u00a0mm behind the panel, may carry 10\u00a0A');
    expect(ideasOf(tapped(20)[0])).toEqual(['Give the tap a 1 A fuse']);
  });

  it('decided on, or forbidden there anyway, are no finding of this rule', () => {
    expect(codesOf(tapped(20, true))).toEqual([]);
    expect(codesOf(tapped(20, false, 0))).toEqual([]);
  });
});

describe('a step-down', () => {
  const cable = (size: string, more: Parameters<typeof factsOf>[0] = {}) =>
    stepDownRules(factsOf({ conductors: [conductorOf('auto', { size })], ...more }));
  const leads = (size: '16 AWG' | '14 AWG' | '12 AWG' | '1.5 mm²') =>
    ({ circuit: plainCircuit({ pump: { currentA: 5, leads: { lengthM: 0.3, size } } }) }) as const;

  it('is needed two sizes over what the cable joins', () => {
    expect(codesOf(cable('12 AWG', leads('14 AWG')))).toEqual([]);
    expect(cable('12 AWG', leads('16 AWG'))[0]).toMatchObject({ code: 'step-down', severity: 'note', at: ['auto'] });
    expect(codesOf(cable('14 AWG', leads('12 AWG')))).toEqual([]);
    expect(codesOf(cable('6 mm²', leads('1.5 mm²')))).toEqual(['step-down']);
    expect(codesOf(cable('12 AWG', { circuit: plainCircuit({ floatLead: '16 AWG' }) }))).toEqual(['step-down']);
    expect(cable('12 AWG', { circuit: plainCircuit({ floatLead: '16 AWG' }) })[0]?.message).toContain(
      'the float’s leads (16 AWG)',
    );
  });

  it('is needed where no barrel takes the cable: 10.5 mm² go, more do not', () => {
    expect(codesOf(cable('8 AWG'))).toEqual([]);
    expect(codesOf(cable('10 mm²'))).toEqual([]);
    expect(codesOf(cable('6 AWG'))).toEqual(['step-down']);
  });

  it('concerns cable that reaches the bilge, not the feed', () => {
    const feed = conductorOf('feed', { size: '6 AWG', planned: { leg: 'sourceToPanel' } });
    expect(codesOf(stepDownRules(factsOf({ conductors: [feed] })))).toEqual([]);
    const back = conductorOf('negative', { size: '6 AWG', planned: { leg: 'bilgeToNegative' } });
    expect(stepDownRules(factsOf({ conductors: [feed, back] }))[0]?.at).toEqual(['negative']);
  });

  it('says what the next smaller size would cost: litres where flows are known, else drop', () => {
    const smaller = { size: '8 AWG', dropPercent: 3.4, flowLPerH: 2000, presentFlowLPerH: 2040 };
    expect(cable('6 AWG', { smallerSize: smaller })[0]?.message).toContain(
      '8 AWG instead would cost 40\u00a0L/h of 2040\u00a0L/h, at a drop of 3.4\u00a0%',
    );
    expect(cable('6 AWG', { smallerSize: { ...smaller, flowLPerH: null } })[0]?.message).toContain(
      'a drop of 3.4\u00a0% instead of 2.5\u00a0%',
    );
  });
});

test('every rule of ours has a figure, a unit and a reason', () => {
  for (const rule of Object.values(ourRules)) {
    expect(rule.value).toBeGreaterThan(0);
    expect(rule.reason.length).toBeGreaterThan(20);
  }
  expect(behaviourOf(plainCircuit()).rows).toHaveLength(6);
});
