import type { judgeCircuit } from './index';
import { boat, codesOf, deviceOf, factsOf, find, ideasOf, plainCircuit, protectionOf } from './facts.fixture';
import { lockedRotorSeverity } from './faults';
import { placeSeverity } from './place';
import { faultRules, feedRules, legRules, petrolRules, placeRules } from './said.fixture';

const severity = (judgements: ReturnType<typeof judgeCircuit>, code: string) => find(judgements, code)?.severity;

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
    expect(ideasOf(starting(0.01)[0])).toEqual(['Use an 8 A thermal breaker']);
    const circuit = plainCircuit({ panel: { fuse: { kind: 'blade', ratingA: 7.5 } } });
    const devices = [deviceOf('fuse'), deviceOf('panel-fuse', { inrushOpening: { kind: 'opens', seconds: 0.01 } })];
    expect(ideasOf(faultRules(factsOf({ circuit, protection: protectionOf({ devices }) }))[0])).toEqual([
      'Use an 8 A thermal breaker at the panel',
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
    const circuit = plainCircuit({ sharesFeedWith: 'a' });
    expect(feedRules(factsOf({ duty: 'backup', sharedFeed, circuit }))[0]).toMatchObject({
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
    const [asked] = petrolRules(factsOf({ boat: { ...boat, petrol: true } }));
    expect(asked).toMatchObject({ code: 'ignition-protection', severity: 'caution' });
    expect(asked?.message).toContain('Splices are not sold so marked');
  });
});
