import type { Circuit, CircuitWater } from '../job';
import { plainCircuit } from './facts.fixture';
import { ideasOf as workedOut, type FixIdea } from './finding';
import { outletJudgements } from './said.fixture';
import { asked, float, meansOf, hoseSurvey, poseOf, waterOf, windowOf } from './water.fixture';
import * as fixes from './waterFixes';

const { moveToRecommended, raiseBy, smoothWall } = fixes;
const addCheckValve = asked(fixes.addCheckValve);
const floatAtPump = asked(fixes.floatAtPump);
const movePumpTowardsFloat = asked(fixes.movePumpTowardsFloat);
const moveTowardsPump = asked(fixes.moveTowardsPump);
const thinnerHose = asked(fixes.thinnerHose);
const widenFloat = asked(fixes.widenFloat);
const widerHoses = asked(fixes.widerHoses);

const wet = (more: Partial<CircuitWater> = {}): Circuit =>
  plainCircuit({ water: { wellId: 'bilge', hose: hoseSurvey, float: { xM: 0.3, zM: 0.03 }, ...more } });
const dry = plainCircuit();

/** Water in which some height serves once what is asked of the changed circuit holds: 80 mm then. */
const servesOnce = (holds: (changed: CircuitWater) => boolean, more: Parameters<typeof waterOf>[0] = {}) =>
  waterOf({
    float: { ...float, xM: 0.3 },
    window: windowOf({ open: false, pieces: [], recommendedM: null }),
    as: (changed) =>
      waterOf({
        window: windowOf({ recommendedM: changed.water && holds(changed.water) ? 0.08 : null }),
      }),
    ...more,
  });

const labels = (ideas: readonly FixIdea[]) => ideas.map(({ label }) => label);
const only = (ideas: readonly FixIdea[]) => {
  expect(ideas).toHaveLength(1);
  return ideas[0]?.circuit.water;
};

test('nothing is changed of a circuit in no well, or without a float', () => {
  const water = servesOnce(() => true);
  const none = { ...water, float: null };
  for (const fix of [moveToRecommended, moveTowardsPump, widenFloat, movePumpTowardsFloat]) {
    expect(fix(dry, water)).toEqual([]);
    expect(fix(wet(), none)).toEqual([]);
  }
  for (const fix of [addCheckValve, thinnerHose, widerHoses, floatAtPump]) expect(fix(dry, water)).toEqual([]);
  expect(smoothWall(dry)).toEqual([]);
  expect(raiseBy(dry, water, 0.01)).toEqual([]);
  expect(raiseBy(wet(), none, 0.01)).toEqual([]);
});

describe('the float', () => {
  it('is raised or lowered to the height recommended, unless it hangs there to half a millimetre', () => {
    const to = (recommendedM: number | null) =>
      moveToRecommended(wet(), waterOf({ window: windowOf({ recommendedM }) }));
    expect(labels(to(0.0304))).toEqual([]);
    expect(labels(to(0.0306))).toEqual(['Raise the float by 1\u00a0mm']);
    expect(labels(to(0.02))).toEqual(['Lower the float by 10\u00a0mm']);
    expect(only(to(0.02))?.float).toEqual({ xM: 0.3, zM: 0.02 });
    expect(to(null)).toEqual([]);
    expect(moveToRecommended(wet(), waterOf({ window: null }))).toEqual([]);
  });

  it('moves the least towards its pump that leaves it a height, in whole centimetres of the way', () => {
    const water = servesOnce(({ float: at }) => (at?.xM ?? 0) <= 0.25);
    expect(labels(moveTowardsPump(wet(), water))).toEqual(['Move the float 50\u00a0mm towards the pump']);
    expect(only(moveTowardsPump(wet(), water))?.float).toEqual({ xM: 0.25, yM: 0, zM: 0.08 });
    // Along and across: 300 and 400 mm off, so that of each centimetre 6 mm go along and 8 across.
    const aslant = servesOnce(({ float: at }) => (at?.yM ?? 1) <= 0.384, { float: { ...float, xM: 0.4, yM: 0.4 } });
    const pumpAt = { xM: 0.1, yM: 0, zM: 0 };
    expect(only(moveTowardsPump(wet({ pumpAt }), aslant))?.float).toEqual({ xM: 0.388, yM: 0.384, zM: 0.08 });
    // Of 300 mm along and 400 across to a pump at 0.4 across, half.
    const across = servesOnce(({ float: at }) => (at?.yM ?? 0) >= 0.6, { float: { ...float, xM: 0, yM: 0.5 } });
    expect(labels(moveTowardsPump(wet({ pumpAt: { xM: 0, yM: 1, zM: 0 } }), across))).toEqual([
      'Move the float 100\u00a0mm towards the pump',
    ]);
    expect(
      moveTowardsPump(
        wet(),
        servesOnce(() => false),
      ),
    ).toEqual([]);
    // Beside its pump there is no way to go.
    expect(
      moveTowardsPump(
        wet(),
        servesOnce(() => true, { float }),
      ),
    ).toEqual([]);
    // All the way, and no further than 1.2 m of it.
    expect(
      only(
        moveTowardsPump(
          wet(),
          servesOnce(({ float: at }) => at?.xM === 0),
        ),
      )?.float?.xM,
    ).toBe(0);
    const far = (most: number) =>
      moveTowardsPump(
        wet(),
        servesOnce(({ float: at }) => (at?.xM ?? 9) <= most, { float: { ...float, xM: 1.5 } }),
      );
    expect(labels(far(0.3))).toEqual(['Move the float 1200\u00a0mm towards the pump']);
    expect(far(0.295)).toEqual([]);
  });

  it('is widened by steps of 5 mm until a height serves in comfort, by 250 mm and to 400 mm at most', () => {
    const opensAt = (onM: number, more: Parameters<typeof waterOf>[0] = {}) =>
      widenFloat(
        wet(),
        servesOnce(({ float: heights }) => (heights?.onM ?? 0) >= onM - 1e-9, more),
      );
    expect(labels(opensAt(0.07))).toEqual(['Fit a float with on at 70\u00a0mm, off at 25\u00a0mm']);
    expect(only(opensAt(0.07))?.float).toEqual({ xM: 0.3, zM: 0.08, onM: 0.07, offM: 0.025 });
    expect(labels(opensAt(0))).toEqual(['Fit a float with on at 60\u00a0mm, off at 25\u00a0mm']);
    expect(opensAt(0.3)).toHaveLength(1);
    expect(opensAt(0.31)).toEqual([]);
    const tall = { float: { ...float, onM: 0.2 } };
    expect(opensAt(0.395, tall)).toHaveLength(1);
    expect(opensAt(0.41, tall)).toEqual([]);
    // What is built into its pump has the heights it has.
    expect(opensAt(0.07, { sensor: 'integral' })).toEqual([]);
    const short = waterOf({ as: () => waterOf({ window: windowOf({ recommendedM: 0.08, comfort: [] }) }) });
    expect(widenFloat(wet(), short)).toEqual([]);
    expect(widenFloat(wet(), waterOf())).toEqual([]);
  });

  it('is raised by whole millimetres, upwards', () => {
    expect(labels(raiseBy(wet(), waterOf(), 0.0101))).toEqual(['Raise the float by 11\u00a0mm']);
    expect(only(raiseBy(wet(), waterOf(), 0.01))?.float?.zM).toBe(0.04);
  });

  it('goes beside its pump, at the height recommended there', () => {
    const pumpAt = { xM: 0.1, yM: -0.05, zM: 0 };
    const [at, found] = [servesOnce(() => true), servesOnce(() => false)].map((water) =>
      floatAtPump(wet({ pumpAt }), water),
    );
    expect(labels(at ?? [])).toEqual(['Fit the float beside its pump']);
    expect(only(at ?? [])?.float).toEqual({ xM: 0.1, yM: -0.05, zM: 0.08 });
    expect(only(found ?? [])?.float).toEqual({ xM: 0.1, yM: -0.05, zM: 0.03 });
    expect(only(floatAtPump(wet(), waterOf()))?.float).toMatchObject({ xM: 0, yM: 0 });
  });
});

test('the pump moves the least towards its float after which some height serves', () => {
  const water = servesOnce(({ pumpAt }) => (pumpAt?.xM ?? 0) >= 0.09 - 1e-9);
  expect(labels(movePumpTowardsFloat(wet(), water))).toEqual(['Move the pump 90\u00a0mm towards the float']);
  expect(only(movePumpTowardsFloat(wet(), water))).toMatchObject({
    pumpAt: { xM: 0.09, yM: 0, zM: 0 },
    float: { xM: 0.3, zM: 0.08 },
  });
  const raised = { xM: -0.1, yM: 0.2, zM: 0.02 };
  const aslant = servesOnce(({ pumpAt }) => (pumpAt?.yM ?? 1) <= 0.17, { float: { ...float, xM: 0.3, yM: -0.1 } });
  expect(only(movePumpTowardsFloat(wet({ pumpAt: raised }), aslant))?.pumpAt).toEqual({
    xM: -0.06,
    yM: 0.17,
    zM: 0.02,
  });
  expect(
    movePumpTowardsFloat(
      wet(),
      servesOnce(() => false),
    ),
  ).toEqual([]);
  expect(
    movePumpTowardsFloat(
      wet(),
      servesOnce(() => true, { sensor: 'integral' }),
    ),
  ).toEqual([]);
  const far = (least: number) =>
    movePumpTowardsFloat(
      wet(),
      servesOnce(({ pumpAt }) => (pumpAt?.xM ?? 0) >= least, { float: { ...float, xM: 1.5 } }),
    );
  expect(far(1.2)).toHaveLength(1);
  expect(far(1.205)).toEqual([]);
});

describe('the hose', () => {
  const plain = waterOf();
  const hoseOf = (ideas: readonly FixIdea[]) => ideas.map(({ circuit }) => circuit.water?.hose);

  it('gets a check valve where it has none, and is then no guess', () => {
    expect(labels(addCheckValve(wet(), plain))).toEqual(['Fit a check valve in the hose']);
    expect(hoseOf(addCheckValve(wet({ hose: { ...hoseSurvey, guessed: true } }), plain))).toEqual([
      { ...hoseSurvey, checkValve: true, guessed: false },
    ]);
    expect(addCheckValve(wet({ hose: { ...hoseSurvey, checkValve: true } }), plain)).toEqual([]);
  });

  it('takes its float along where that must hang otherwise then', () => {
    const then = (recommendedM: number | null, opens = true) =>
      addCheckValve(
        wet(),
        waterOf({
          float: { ...float, zM: 0.3 },
          as: () => waterOf({ window: windowOf({ recommendedM, ...(opens ? {} : { open: false, pieces: [] }) }) }),
        }),
      );
    expect(labels(then(0.08))).toEqual(['Fit a check valve in the hose, float’s base at 80\u00a0mm']);
    expect(only(then(0.08))?.float?.zM).toBe(0.08);
    expect(labels(then(null, false))).toEqual(['Fit a check valve in the hose']);
    const within = waterOf({ as: () => waterOf({ window: windowOf({ recommendedM: 0.08 }) }) });
    expect(only(addCheckValve(wet(), within))?.float?.zM).toBe(0.03);
    const without = waterOf({ float: null, as: () => waterOf() });
    expect(labels(addCheckValve(wet(), without))).toEqual(['Fit a check valve in the hose']);
  });

  it('goes a size down, or up to three sizes up', () => {
    const of = (boreM: number) => wet({ hose: { ...hoseSurvey, boreM } });
    expect(hoseOf(thinnerHose(of(0.025), plain)).map((hose) => hose?.boreM)).toEqual([0.019]);
    expect(labels(thinnerHose(of(0.03), plain))).toEqual(['Use 29\u00a0mm hose']);
    expect(thinnerHose(of(0.013), plain)).toEqual([]);
    expect(labels(widerHoses(of(0.013), plain))).toEqual([
      'Use 16\u00a0mm hose',
      'Use 19\u00a0mm hose',
      'Use 25\u00a0mm hose',
    ]);
    expect(labels(widerHoses(of(0.038), plain))).toEqual(['Use 51\u00a0mm hose']);
    expect(widerHoses(of(0.051), plain)).toEqual([]);
    const none = plainCircuit({ water: { wellId: 'bilge' } });
    expect([thinnerHose(none, plain), widerHoses(none, plain), smoothWall(none), addCheckValve(none, plain)]).toEqual([
      [],
      [],
      [],
      [],
    ]);
  });
});

describe('a vented loop', () => {
  const ideas = (loops: readonly (number | null)[], hose = hoseSurvey) => {
    const water = waterOf({
      poses: [poseOf('rest', { outletOverM: -0.05 })],
      as: (changed) =>
        waterOf({
          poses: loops.map((loopOverM, index) => {
            expect(changed.water?.hose).toMatchObject({ ventedLoop: true, ventedLoopM: 0 });
            return poseOf(index === 0 ? 'rest' : 'heeled', { loopOverM });
          }),
        }),
    });
    const [told] = outletJudgements(wet({ hose }), water, true);
    return told ? workedOut(told, meansOf(water)) : [];
  };
  const offered = (loops: readonly (number | null)[]) => ideas(loops)[0]?.label.replace('\u00a0', ' ');

  it('is offered as high as the hose at least, 200 mm over the water at rest and clear of it heeled', () => {
    // The hose climbs to 1.2 m.
    expect(offered([-0.9])).toBe('Fit a vented loop, its top 1200 mm over the pump');
    expect(offered([-1.15])).toBe('Fit a vented loop, its top 1350 mm over the pump');
    expect(offered([-0.9, -1.3])).toBe('Fit a vented loop, its top 1310 mm over the pump');
    // To whole centimetres, upwards.
    expect(offered([-1.151])).toBe('Fit a vented loop, its top 1360 mm over the pump');
    expect(offered([null, -1.3])).toBe('Fit a vented loop, its top 1310 mm over the pump');
    expect(offered([null])).toBeUndefined();
    const [idea] = ideas([-1.15]);
    expect(idea?.circuit.water?.hose).toEqual({ ...hoseSurvey, ventedLoop: true, ventedLoopM: 1.35, guessed: false });
  });
});
