import { buildRules } from '../reference';
import { built, byId } from './build.fixture';

/** Worked by hand: 1.05 × route + what its ends take, up to the next 100 mm. */
const HAND: readonly (readonly [string, string, number, string])[] = [
  ['three-way-float', 'stub', 0.15, 'as short as it is'],
  ['three-way-float', 'feed', 2.4, '2.1 + 0.3'],
  ['three-way-float', 'manual', 5.2, '4.2 + 0.3 + 0.45 + 0.1 + 0.05 + 0.1'],
  ['three-way-float', 'auto', 5.2, 'as manual'],
  ['three-way-float', 'negative', 6, '5.25 + 0.45 + 0.1 + 0.05 + 0.1 = 5.95'],
  ['three-way-integral', 'auto', 5.2, 'as manual'],
  ['through-float', 'negative', 6, '5.25 + 0.7'],
  ['relay', 'auto-back', 5.3, '4.2 + 0.3 + 0.45 + 0.1 + 0.05 for each of two joints + 0.1 = 5.25'],
  ['relay', 'coil-negative', 2.4, '2.1 + 0.3'],
  ['standalone-alarm', 'alarm-out', 5.2, '4.2 + 0.3 + 0.7'],
  ['standalone-alarm', 'alarm-back', 5.2, '4.2 + 0.3 + 0.7'],
  ['hot-auto', 'manual', 5.2, '4.2 + 0.3 + 0.7'],
];

describe('a conductor is cut to', () => {
  it.each(HAND)('%s, %s: %s m (%s)', (scheme, id, metres) => {
    expect(byId(built(scheme).conductors, id).cutM).toBeCloseTo(metres, 9);
  });

  it('the sum of what is shown, to the last part', () => {
    for (const { cutM, slackM, id, leg } of built('relay', undefined, { panel: { light: 'led' } }).conductors) {
      if (cutM === null || !slackM) continue;
      const route = { sourceToPanel: 2, panelToBilge: 4, bilgeToNegative: 5, panel: 0.1, stub: 0.15 }[leg];
      expect([id, Object.values(slackM).reduce((sum, one) => sum + one, route ?? NaN)]).toEqual([
        id,
        expect.closeTo(cutM, 9),
      ]);
    }
  });

  it('slack of one’s own in place of the defaults, but never less than lifts the pump out', () => {
    const manual = (slack: NonNullable<Parameters<typeof built>[1]>['slack']) =>
      byId(built('three-way-float', { slack }).conductors, 'manual');
    expect(manual({ panelEndM: 0.5 }).slackM?.panelEnd).toBe(0.5);
    expect(manual({ benchM: 0.44 }).slackM?.bench).toBe(buildRules.benchM.value);
    expect(manual({ benchM: 0.46 }).slackM?.bench).toBe(0.46);
    expect(manual({ dripLoopM: 0, jointM: 0, remakeM: 0 }).cutM).toBeCloseTo(5, 9);
  });

  it('the longest of its cable where it is a core of one, and its own way where auto goes another', () => {
    const legs = {
      sourceToPanel: { lengthM: 2 },
      panelToBilge: { lengthM: 4, autoLengthM: 6 },
      bilgeToNegative: { lengthM: 5 },
    };
    const apart = built('three-way-float', undefined, { legs });
    expect([byId(apart.conductors, 'manual').cutM, byId(apart.conductors, 'auto').cutM]).toEqual([5.2, 7.3]);
    const sheathed = { ...legs, panelToBilge: { ...legs.panelToBilge, multicore: true } };
    const { conductors, order } = built('three-way-float', undefined, { legs: sheathed });
    expect([byId(conductors, 'manual').cutM, byId(conductors, 'auto').cutM]).toEqual([7.3, 7.3]);
    expect(byId(conductors, 'manual').cable).toBe('cable-panelToBilge');
    expect(byId(conductors, 'negative').cable).toBeNull();
    expect(order.find(({ colour }) => colour === '2 cores, sheathed')).toMatchObject({ pieces: 1, metres: 8.1 });
  });

  it('the route as surveyed, whatever was pulled; what was pulled counts for its resistance', () => {
    const { conductors, problems } = built('three-way-float', { pulledM: { manual: 5.1, negative: 4.9 } });
    expect(byId(conductors, 'manual')).toMatchObject({ cutM: 5.2, netM: 5.1, pulledM: 5.1 });
    expect(problems).toEqual([
      {
        at: 'negative',
        refused: false,
        message: expect.stringContaining('4.9 m as pulled is shorter than its route of 5 m'),
      },
    ]);
    expect(built('three-way-float', { pulledM: { negative: 5 } }).problems).toEqual([]);
  });
});

describe('a spare core', () => {
  const spares = (pull: NonNullable<NonNullable<Parameters<typeof built>[1]>['pulls']>['panelToBilge']) =>
    built('three-way-float', { pulls: { panelToBilge: pull } }).spares.map(({ leg, decided }) => [leg, decided]);

  it('is proposed where the pull is hard: beyond two bends, or through a space that is closed', () => {
    expect(spares({ bends: 2 })).toEqual([]);
    expect(spares({ bends: 3 })).toEqual([['panelToBilge', false]]);
    expect(spares({ sealedSpace: true })).toEqual([['panelToBilge', false]]);
    expect(spares({ bends: 3, spareCore: false })).toEqual([]);
    expect(spares({ spareCore: true })).toEqual([['panelToBilge', true]]);
  });
});
