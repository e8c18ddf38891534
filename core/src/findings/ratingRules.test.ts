import type { judgeCircuit } from './index';
import { codesOf, conductorOf, deviceOf, factsOf, find, ideasOf, plainCircuit, protectionOf } from './facts.fixture';
import { nearSeverity } from './rating';
import { ratingRules } from './said.fixture';

const severity = (judgements: ReturnType<typeof judgeCircuit>, code: string) => find(judgements, code)?.severity;

describe('ratings', () => {
  const withDevice = (more: Parameters<typeof deviceOf>[1], rest: Parameters<typeof factsOf>[0] = {}) =>
    ratingRules(factsOf({ protection: protectionOf({ devices: [deviceOf('fuse', more)] }), ...rest }));

  it('carry the running current, or open at work', () => {
    expect(severity([...withDevice({ designA: 10, onChargeA: 7 })], 'rating-below-running')).toBeUndefined();
    expect(withDevice({ designA: 10.001 })[0]).toMatchObject({
      code: 'rating-below-running',
      severity: 'stop',
      at: ['fuse'],
      message: expect.stringContaining('The 10\u00a0A blade fuse is below the running current of 10.001\u00a0A'),
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
    expect(behind(15, 9.99)[0]?.message).toContain('are 150.2 % of what');
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
