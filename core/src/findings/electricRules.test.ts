import { ourRules } from '../reference';
import { judgeCircuit } from './index';
import { conductorRules } from './conductors';
import { contactRules } from './contacts';
import { dropRules } from './drop';
import {
  behaviourOf,
  codesOf,
  conductorOf,
  deviceOf,
  factsOf,
  find,
  ideasOf,
  plainCircuit,
  protectionOf,
  supplyOf,
} from './facts.fixture';
import { faultRules, lockedRotorSeverity } from './faults';
import { feedRules } from './feed';
import { leadRules } from './leads';
import { legRules } from './legs';
import { petrolRules } from './petrol';
import { placeSeverity, placeRules } from './place';
import { nearSeverity, ratingRules } from './rating';
import { stepDownRules } from './stepDown';
import { tapRules } from './taps';

const severity = (judgements: ReturnType<typeof judgeCircuit>, code: string) => find(judgements, code)?.severity;

test('a circuit that nothing is wrong with has no finding', () => {
  expect(codesOf(judgeCircuit(factsOf()))).toEqual([]);
});

test('findings come worst first, equal ones in the order of their rules', () => {
  const facts = factsOf({ petrol: true, protection: protectionOf({ lockedRotorOpening: { kind: 'never' } }) });
  expect(judgeCircuit(facts).map((one) => one.severity)).toEqual(['stop', 'caution']);
});

describe('conductors', () => {
  it('carry what they may, and a hair more is a stop that says how much', () => {
    const carrying = (designA: number) =>
      conductorRules(factsOf({ conductors: [conductorOf('feed', { size: '16 AWG', insulationC: 60, designA })] }));
    expect(codesOf(carrying(15))).toEqual([]);
    const [over] = carrying(15.001);
    expect(over).toMatchObject({ code: 'ampacity-below-current', severity: 'stop', at: ['feed'] });
    expect(over?.message).toContain('may carry 15\u00a0A, and carries 15\u00a0A');
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
    const none = (limit: 'drop' | 'ampacity' | 'fuse', neededFactor: number) =>
      find(conductorRules(factsOf({ noSize: { largest: '2/0 AWG', limit, neededFactor } })), 'no-size-satisfies');
    expect(none('drop', 1.25)?.message).toContain('1.25 times what is allowed: shorten the route to 80 %');
    expect(none('ampacity', 1.5)?.message).toContain('1.50 times its ampacity');
    expect(none('fuse', 2)?.message).toContain('2.00 times what protects');
    for (const limit of ['ampacity', 'fuse'] as const)
      expect(none(limit, Infinity)?.message).not.toMatch(/Infinity|NaN/);
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

describe('ratings', () => {
  const withDevice = (more: Parameters<typeof deviceOf>[1], rest: Parameters<typeof factsOf>[0] = {}) =>
    ratingRules(factsOf({ protection: protectionOf({ devices: [deviceOf('fuse', more)] }), ...rest }));

  it('carry the running current, or open at work', () => {
    expect(severity([...withDevice({ designA: 10, onChargeA: 7 })], 'rating-below-running')).toBeUndefined();
    expect(withDevice({ designA: 10.001 })[0]).toMatchObject({
      code: 'rating-below-running',
      severity: 'stop',
      at: ['fuse'],
    });
  });

  it.each([
    [8, null],
    [8.001, 'note'],
    [9, 'note'],
    [9.001, 'caution'],
    [12, 'caution'],
  ] as const)('with %d A on charge through 10 A are judged %s', (onChargeA, expected) => {
    expect(nearSeverity({ ratingA: 10, onChargeA })).toBe(expected);
    expect(severity([...withDevice({ onChargeA })], 'rating-near-running')).toBe(expected ?? undefined);
  });

  it('near on several devices are one finding with its places, of the worst', () => {
    const devices = [deviceOf('fuse', { onChargeA: 8.5 }), deviceOf('panel-fuse', { onChargeA: 9.5 })];
    const near = find(ratingRules(factsOf({ protection: protectionOf({ devices }) })), 'rating-near-running');
    expect(near).toMatchObject({ severity: 'caution', at: ['fuse', 'panel-fuse'] });
    expect(near?.message).toContain('The panel fuse of 10\u00a0A carries 9.5\u00a0A');
    expect(ideasOf(near)).toEqual([
      'Use a 15 A blade fuse',
      'Use a 20 A blade fuse',
      'Use a 15 A blade fuse at the panel',
      'Use a 20 A blade fuse at the panel',
    ]);
  });

  it('larger ones are offered as far as maker and cable allow', () => {
    const near = (pump: { currentA: number; makerFuseA?: number }, ampsOfCable = 35) => {
      const conductor = { ...conductorOf('auto'), ampacity: { ...conductorOf('auto').ampacity, amps: ampsOfCable } };
      return ideasOf(
        find(
          ratingRules(
            factsOf({
              circuit: plainCircuit({ pump }),
              protection: protectionOf({
                devices: [deviceOf('fuse', { onChargeA: 9.5 })],
                leastProtected: { conductor, ratingA: 10 },
              }),
            }),
          ),
          'rating-near-running',
        ),
      );
    };
    expect(near({ currentA: 5, makerFuseA: 15 })).toEqual(['Use a 15 A blade fuse']);
    expect(near({ currentA: 5, makerFuseA: 14 })).toEqual([]);
    expect(near({ currentA: 5 }, 10)).toEqual(['Use a 15 A blade fuse']);
    expect(near({ currentA: 5 }, 9.9)).toEqual([]);
  });

  it('of a feed taken over are judged where they are chosen', () => {
    const sharedFeed = { leaderId: 'a', leaderName: 'Primary', rating: null, sizes: {} };
    const devices = [deviceOf('fuse', { designA: 20 }), deviceOf('panel-fuse', { designA: 20 })];
    const judged = ratingRules(factsOf({ sharedFeed, protection: protectionOf({ devices }) }));
    expect(judged.filter(({ code }) => code === 'rating-below-running').map(({ at }) => at)).toEqual([['panel-fuse']]);
  });

  it('within the maker’s figure are good, above it a stop that speaks of this pump', () => {
    const made = (makerFuseA: number, more: Parameters<typeof factsOf>[0] = {}) =>
      find(
        ratingRules(factsOf({ circuit: plainCircuit({ pump: { currentA: 5, makerFuseA } }), ...more })),
        'rating-over-maker',
      );
    expect(made(10)).toBeUndefined();
    expect(made(9.99)).toMatchObject({ severity: 'stop', at: ['fuse'] });
    expect(made(9.99, { protection: protectionOf({ panel: { kind: 'blade', ratingA: 7.5 } }) })).toBeUndefined();
    // Another pump on the feed is judged by its own circuit.
    const others = [{ id: 'b', name: 'Drain', pump: { currentA: 3, makerFuseA: 3 } }];
    expect(made(10, { others, protection: protectionOf({ makerA: 3 }) })).toBeUndefined();
    expect(made(9, { others })?.message).toContain('in a fuse of its own at the panel');
    const sharedFeed = { leaderId: 'b', leaderName: 'Drain', rating: null, sizes: {} };
    expect(made(9, { others, sharedFeed })?.message).toContain('(taken over from Drain)');
    expect(ideasOf(made(9, { others, sharedFeed }))).toEqual(['Give it its own 7.5 A fuse']);
  });

  it('protect the smallest conductor at 100 %, are tolerated to the next standard one and 150 %, and stop beyond', () => {
    const behind = (ratingA: number, amps: number) => {
      const conductor = { ...conductorOf('auto'), ampacity: { ...conductorOf('auto').ampacity, amps } };
      return ratingRules(factsOf({ protection: protectionOf({ ratingA, leastProtected: { conductor, ratingA } }) }));
    };
    expect(codesOf(behind(10, 10))).toEqual([]);
    expect(behind(10, 9)[0]).toMatchObject({ code: 'rating-above-ampacity', severity: 'note', at: ['fuse', 'auto'] });
    expect(behind(15, 10)[0]).toMatchObject({ code: 'rating-above-ampacity', severity: 'caution' });
    expect(behind(15, 9.99)[0]).toMatchObject({
      code: 'rating-over-conductor',
      severity: 'stop',
      at: ['fuse', 'auto'],
    });
    expect(behind(15, 9.99)[0]?.message).toContain('150 % of what');
    // What may carry nothing is no size: never a percentage of it.
    expect(codesOf(behind(15, 0))).toEqual([]);
  });

  it('that nobody makes are named with those that are made', () => {
    const odd = (ratingA: number) =>
      find(ratingRules(factsOf({ protection: protectionOf({ ratingA }) })), 'rating-not-standard');
    expect(odd(7.5)).toBeUndefined();
    expect(odd(8)).toMatchObject({ severity: 'caution', message: expect.stringContaining('5, 7.5, 10') });
  });

  it('that cannot exist say which figures clash', () => {
    const none = (because: 'maker-below-running' | 'beyond-all-ratings') =>
      find(
        ratingRules(
          factsOf({
            fedA: 18,
            protection: protectionOf({ makerA: 15, proposed: null, answer: { found: false, because } }),
          }),
        ),
        'no-rating-satisfies',
      );
    expect(none('maker-below-running')?.message).toContain(
      'carries the 18\u00a0A and stays within the maker’s 15\u00a0A',
    );
    expect(none('beyond-all-ratings')?.message).toContain('125 % of 18\u00a0A');
    expect(none('beyond-all-ratings')?.severity).toBe('stop');
  });

  it('chosen by hand are put back to the proposed one first', () => {
    const circuit = plainCircuit({ choices: { protection: { ratingA: 25 } }, pump: { currentA: 5, makerFuseA: 10 } });
    const protection = protectionOf({ overridden: true, ratingA: 25 });
    expect(ideasOf(find(ratingRules(factsOf({ circuit, protection })), 'rating-over-maker'))[0]).toBe(
      'Use the 7.5 A blade fuse',
    );
    const same = protectionOf({ overridden: true, ratingA: 7.5, proposed: { kind: 'blade', ratingA: 7.5 } });
    expect(
      ideasOf(
        find(
          ratingRules(factsOf({ circuit: plainCircuit({ pump: { currentA: 5, makerFuseA: 5 } }), protection: same })),
          'rating-over-maker',
        ),
      ),
    ).not.toContain('Use the 7.5 A blade fuse');
  });
});

describe('a stalled pump', () => {
  const opening = (seconds: number) => ({ kind: 'opens', seconds }) as const;

  it.each([
    [opening(10), null],
    [opening(10.01), 'caution'],
    [opening(60), 'caution'],
    [opening(60.1), 'stop'],
    [{ kind: 'never' } as const, 'stop'],
    [{ kind: 'not-shown' } as const, 'caution'],
  ])('whose device answers %j is judged %s', (lockedRotorOpening, expected) => {
    expect(lockedRotorSeverity(lockedRotorOpening)).toBe(expected);
    expect(
      severity([...faultRules(factsOf({ protection: protectionOf({ lockedRotorOpening }) }))], 'locked-rotor-slow'),
    ).toBe(expected ?? undefined);
  });

  it('that its maker guards is answered by the statement on record', () => {
    const circuit = plainCircuit({ pump: { currentA: 5, thermalGuard: 'label' } });
    expect(
      codesOf(faultRules(factsOf({ circuit, protection: protectionOf({ lockedRotorOpening: { kind: 'never' } }) }))),
    ).toEqual([]);
  });

  it('fed through legs fused apart has a finding of its own', () => {
    const legs = { manualA: 10, autoA: 10, opening: { kind: 'never' } as const };
    expect(
      codesOf(faultRules(factsOf({ protection: protectionOf({ legs, lockedRotorOpening: { kind: 'never' } }) }))),
    ).toEqual([]);
  });

  it('is told from which winding on its verdict would turn, a step milder than it would be', () => {
    const turned = (kind: ReturnType<typeof opening> | { kind: 'never' }) =>
      faultRules(
        factsOf({ protection: protectionOf({ windingTurn: { fromOhm: 0.61, opening: kind, highestOhm: 0.78 } }) }),
      )[0];
    expect(turned({ kind: 'never' })).toMatchObject({
      code: 'locked-rotor-winding',
      severity: 'caution',
      at: ['pump'],
    });
    expect(turned(opening(30))).toMatchObject({ code: 'locked-rotor-winding', severity: 'note' });
    expect(turned(opening(61))?.severity).toBe('caution');
    expect(turned(opening(30))?.message).toContain('taken by default. From 610\u00a0mΩ upwards');
  });

  it('of no device with a curve is not shown, never good', () => {
    const judged = faultRules(
      factsOf({ protection: protectionOf({ kind: 'classT', lockedRotorOpening: { kind: 'not-shown' } }) }),
    );
    expect(judged[0]?.message).toContain('no published opening curve');
  });
});

describe('a short at the pump', () => {
  it.each([
    [1, undefined],
    [1.001, 'caution'],
    [5, 'caution'],
    [5.01, 'stop'],
  ])('cleared in %d s is judged %s', (seconds, expected) => {
    const judged = faultRules(factsOf({ protection: protectionOf({ farShortOpening: { kind: 'opens', seconds } }) }));
    expect(severity([...judged], 'far-short-slow')).toBe(expected);
  });
});

describe('a starting pump', () => {
  const starting = (seconds: number, id = 'fuse') => {
    const devices = [deviceOf('fuse'), deviceOf('panel-fuse'), deviceOf('main-fuse')].map((device) =>
      device.id === id ? { ...device, inrushOpening: { kind: 'opens' as const, seconds } } : device,
    );
    return faultRules(factsOf({ protection: protectionOf({ devices }) }));
  };

  it('may open any device in the path whose fastest edge it reaches in 0.03 s', () => {
    expect(codesOf(starting(0.0301))).toEqual([]);
    for (const id of ['fuse', 'panel-fuse', 'main-fuse'])
      expect(starting(0.03, id)[0]).toMatchObject({ code: 'inrush-reaches-fuse', severity: 'caution', at: [id] });
  });

  it('never opens what never opens', () => {
    const devices = [deviceOf('fuse', { inrushOpening: { kind: 'never' } })];
    expect(codesOf(faultRules(factsOf({ protection: protectionOf({ devices }) })))).toEqual([]);
  });

  it('is answered by a slower device where it is reached', () => {
    expect(ideasOf(starting(0.01)[0])).toEqual(['Use a 8 A thermal breaker']);
    const circuit = plainCircuit({ panel: { fuse: { kind: 'blade', ratingA: 7.5 } } });
    const devices = [deviceOf('fuse'), deviceOf('panel-fuse', { inrushOpening: { kind: 'opens', seconds: 0.01 } })];
    expect(ideasOf(faultRules(factsOf({ circuit, protection: protectionOf({ devices }) }))[0])).toEqual([
      'Use a 8 A thermal breaker at the panel',
    ]);
  });
});

describe('the place of a fuse', () => {
  it.each([
    // From the battery’s own post: three bands.
    [0.178, false, true, null],
    [0.179, false, true, 'caution'],
    [1.829, false, true, 'caution'],
    [1.83, false, true, 'stop'],
    [0.179, true, true, null],
    [1.829, true, true, null],
    [1.83, true, true, 'stop'],
    // From a bus or an isolator: two.
    [0.178, false, false, null],
    [0.179, false, false, 'stop'],
    [1.016, true, false, null],
    [1.017, true, false, 'stop'],
  ] as const)('%d m away, sheathed %s, from the post %s is judged %s', (lengthM, sheathed, post, expected) => {
    expect(placeSeverity(lengthM, sheathed, post, 'us')).toBe(expected);
  });

  it('under ISO begins at 200 mm', () => {
    expect([placeSeverity(0.2, false, true, 'iso'), placeSeverity(0.201, false, true, 'iso')]).toEqual([
      null,
      'caution',
    ]);
  });

  const placed = (
    source: NonNullable<ReturnType<typeof plainCircuit>['source']>,
    more: Parameters<typeof protectionOf>[0] = {},
  ) =>
    placeRules(
      factsOf({
        circuit: plainCircuit({ source }),
        protection: protectionOf({
          stubLengthM: source.stubLengthM ?? 0.15,
          stubSheathed: source.stubSheathed ?? false,
          ...more,
        }),
      }),
    );

  it('counts from the bus or the isolator where the feed is taken there', () => {
    expect(placed({ stubLengthM: 0.5 })[0]).toMatchObject({ code: 'fuse-far', severity: 'caution', at: ['stub'] });
    expect(placed({ stubLengthM: 0.5, takenFrom: 'bus' })[0]).toMatchObject({ code: 'fuse-too-far', severity: 'stop' });
    expect(placed({ stubLengthM: 0.5, feed: 'isolator' })[0]).toMatchObject({ code: 'fuse-too-far', severity: 'stop' });
    expect(placed({ stubLengthM: 0.5, takenFrom: 'bus' })[0]?.message).toContain('or sheathe the stub');
    expect(ideasOf(placed({ stubLengthM: 0.5 })[0])).toEqual([
      'Move the fuse to 150\u00a0mm from the source',
      'Sheathe the stub',
    ]);
    expect(ideasOf(placed({ stubLengthM: 2, stubSheathed: true })[0])).toEqual([
      'Move the fuse to 150\u00a0mm from the source',
    ]);
  });

  it('is answered by a fuse on the post that protects the stub, and by no larger one', () => {
    // The stub’s 14 AWG carries 35 A: 52.5 A are 150 %.
    const main = (ratingA: number) => placed({ stubLengthM: 1.5 }, { main: { kind: 'cubeAtBattery', ratingA } });
    expect(codesOf(main(50))).toEqual([]);
    expect(codesOf(main(60))).toEqual(['fuse-far']);
  });

  it('of a feed taken over is another circuit’s to mend', () => {
    const sharedFeed = { leaderId: 'a', leaderName: 'Primary', rating: null, sizes: {} };
    expect(codesOf(placeRules(factsOf({ sharedFeed, protection: protectionOf({ stubLengthM: 3 }) })))).toEqual([]);
  });
});

describe('contacts', () => {
  const contact = (ratingA: number | undefined, amps: number) =>
    contactRules(factsOf({ contacts: [{ part: 'float', name: 'Float', what: 'float', ratingA, amps }] }));

  it('carry their rating and not a hair more', () => {
    expect(codesOf(contact(5, 5))).toEqual([]);
    expect(contact(5, 5.001)[0]).toMatchObject({ code: 'contact-over-rating', severity: 'stop', at: ['float'] });
    expect(ideasOf(contact(5, 6)[0])).toEqual(['Let them drive a relay']);
  });

  it('that nobody has read are asked for from 10 A', () => {
    expect(codesOf(contact(undefined, 9.99))).toEqual([]);
    expect(contact(undefined, 10)[0]).toMatchObject({ code: 'contact-not-read', severity: 'caution', at: ['float'] });
  });

  it('unread together are one finding', () => {
    const contacts = (['switch', 'float'] as const).map((what) => ({
      part: what,
      name: what === 'switch' ? 'Switch' : 'Float',
      what,
      ratingA: undefined,
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
    expect(cable('6 AWG', { smallerSize: () => smaller })[0]?.message).toContain(
      '8 AWG instead would cost 40\u00a0L/h of 2040\u00a0L/h, at a drop of 3.4\u00a0%',
    );
    expect(cable('6 AWG', { smallerSize: () => ({ ...smaller, flowLPerH: null }) })[0]?.message).toContain(
      'a drop of 3.4\u00a0% instead of 2.5\u00a0%',
    );
  });
});

describe('feed and legs', () => {
  it('through the isolator is a caution for a pump that starts by itself', () => {
    const fed = (automatic: boolean) =>
      feedRules(factsOf({ automatic, circuit: plainCircuit({ source: { feed: 'isolator' } }) }));
    expect(fed(true)[0]).toMatchObject({ code: 'isolator-in-automatic-feed', severity: 'caution' });
    expect(codesOf(fed(false))).toEqual([]);
    expect(codesOf(feedRules(factsOf()))).toEqual([]);
    expect(ideasOf(fed(true)[0])).toEqual(['Take the feed ahead of the isolator']);
  });

  it('of another circuit is none for a backup', () => {
    const sharedFeed = { leaderId: 'a', leaderName: 'Primary', rating: null, sizes: {} };
    expect(feedRules(factsOf({ duty: 'backup', sharedFeed }))[0]).toMatchObject({
      code: 'backup-on-primary-feed',
      severity: 'stop',
    });
    expect(codesOf(feedRules(factsOf({ duty: 'primary', sharedFeed })))).toEqual([]);
    expect(codesOf(feedRules(factsOf({ duty: 'backup' })))).toEqual([]);
  });

  it('fused apart must leave a stalled pump dead within 10 s', () => {
    const apart = (seconds: number | null) =>
      legRules(
        factsOf({
          options: ['pump', 'leg-fuses'],
          circuit: plainCircuit({ panel: { legFuses: { kind: 'blade', manualA: 10, autoA: 10 } } }),
          protection: protectionOf({
            legs: {
              manualA: 12,
              autoA: 13,
              opening: seconds === null ? { kind: 'never' } : { kind: 'opens', seconds },
            },
          }),
        }),
      );
    expect(codesOf(apart(10))).toEqual([]);
    expect(apart(10.01)[0]).toMatchObject({ code: 'legs-fused-apart', severity: 'stop' });
    expect(apart(null)[0]?.message).toContain('may never go dead');
    expect(ideasOf(apart(null)[0])).toEqual(['Use one common fuse', 'Fit a manual switch that breaks the auto leg']);
  });

  it('petrol on board asks for marked devices, and for sealed splices', () => {
    expect(codesOf(petrolRules(factsOf()))).toEqual([]);
    const [asked] = petrolRules(factsOf({ petrol: true }));
    expect(asked).toMatchObject({ code: 'ignition-protection', severity: 'caution' });
    expect(asked?.message).toContain('Splices are not sold so marked');
  });
});

test('every rule of ours has a figure, a unit and a reason', () => {
  for (const rule of Object.values(ourRules)) {
    expect(rule.value).toBeGreaterThan(0);
    expect(rule.reason.length).toBeGreaterThan(20);
  }
  expect(behaviourOf(plainCircuit()).rows).toHaveLength(6);
});
