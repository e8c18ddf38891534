import type { Circuit } from '../job';
import { codesOf, factsOf, find, ideasOf, plainCircuit } from './facts.fixture';
import { float, hoseSurvey, operatingOf, poseOf, waterOf, windowOf } from './water.fixture';
import { floatJudgements, flowJudgements, hoseJudgements, outletJudgements, waterRules } from './said.fixture';

const wet = (more: Partial<NonNullable<Circuit['water']>> = {}): Circuit =>
  plainCircuit({ water: { wellId: 'bilge', hose: hoseSurvey, float: { zM: 0.03 }, ...more } });

test('a pump in a well that nothing is wrong with has no finding, and one in no well none', () => {
  expect(codesOf(waterRules(factsOf({ circuit: wet(), water: waterOf() })))).toEqual([]);
  expect(codesOf(waterRules(factsOf()))).toEqual([]);
});

test('every finding on water says so', () => {
  const facts = factsOf({
    circuit: wet({ portM: 0.03 }),
    water: waterOf({ window: windowOf({ open: false, pieces: [] }) }),
  });
  const judged = waterRules(facts);
  expect(judged.length).toBeGreaterThan(1);
  for (const one of judged) expect(one.topic).toBe('water');
});

describe('an outlet', () => {
  const over = (outletOverM: number | null, loopOverM: number | null = null, ventedLoop = false) =>
    outletJudgements(
      wet({ hose: { ...hoseSurvey, ventedLoop } }),
      waterOf({ poses: [poseOf('rest', { outletOverM, loopOverM })] }),
      true,
    );

  it.each([
    [0.2, []],
    [0.199, ['outlet-low']],
    [0.001, ['outlet-low']],
    [0, ['outlet-under-water']],
    [-0.05, ['outlet-under-water']],
    [null, ['outlet-not-known']],
  ] as const)('%d m over the water at rest is judged %j', (outletOverM, codes) => {
    expect(codesOf(over(outletOverM))).toEqual(codes);
  });

  it('is a stop under water, a caution with 200 mm missing', () => {
    expect(over(-0.05)[0]).toMatchObject({ severity: 'stop' });
    expect(over(-0.05)[0]?.message).toContain('50\u00a0mm under the water outside');
    expect(over(0)[0]?.message).toContain('at the level of the water outside');
    expect(over(0.1)[0]).toMatchObject({ severity: 'caution' });
  });

  it('needs its 200 mm at rest only, and no more than to stay out in the other poses', () => {
    const heeled = (outletOverM: number) =>
      codesOf(outletJudgements(wet(), waterOf({ poses: [poseOf('rest'), poseOf('heeled', { outletOverM })] }), true));
    expect(heeled(0.001)).toEqual([]);
    expect(heeled(0)).toEqual(['outlet-under-water']);
  });

  it('with a loop that answers hardly is told with both heights, neither less than nothing', () => {
    expect(over(-0.05, 0.199, true)[0]?.message).toContain(
      'the outlet lies 50\u00a0mm under the water outside, and only the vented loop guards it; 200\u00a0mm are asked',
    );
    expect(over(-0.05, 0.199, true)[0]?.message).toContain('loop’s top lies 199\u00a0mm over the water outside');
    expect(over(-0.05, -0.01, true)[0]?.message).toContain('loop’s top lies 10\u00a0mm under the water outside');
    expect(over(0.15, 0.1, true)[0]?.message).toContain(
      'lies 150\u00a0mm over the water outside; 200\u00a0mm are asked',
    );
  });

  it('is answered by a vented loop whose top is that high, and by no other', () => {
    expect(codesOf(over(-0.05, 0.2, true))).toEqual([]);
    expect(codesOf(over(-0.05, 0.199, true))).toEqual(['outlet-low']);
    expect(codesOf(over(-0.05, 0, true))).toEqual(['outlet-under-water']);
    expect(over(-0.05, -0.01, true)[0]?.message).toContain('too low to answer');
    expect(over(-0.05, null, true)[0]?.message).toContain('the height of its top is not known');
    expect(over(-0.05)[0]?.message).not.toContain('vented loop’s top');
  });

  it('that nobody measured is asked for in each pose: a caution where the pump starts by itself', () => {
    const unknown = (automatic: boolean) =>
      outletJudgements(wet(), waterOf({ poses: [poseOf('rest'), poseOf('Heeled', { outletOverM: null })] }), automatic);
    expect(unknown(true)[0]).toMatchObject({ code: 'outlet-not-known', severity: 'caution' });
    expect(unknown(false)[0]).toMatchObject({ code: 'outlet-not-known', severity: 'note' });
    expect(unknown(true)[0]?.message).toContain('“Heeled”');
    expect(codesOf(outletJudgements(wet(), waterOf({ hose: null }), true))).toEqual([]);
  });
});

describe('a hose', () => {
  const hosed = (more: Parameters<typeof waterOf>[0] = {}, circuit = wet()) => hoseJudgements(circuit, waterOf(more));

  it('narrower than the pump’s outlet is a caution', () => {
    expect(codesOf(hosed({}, wet({ portM: 0.025 })))).toEqual([]);
    expect(hosed({}, wet({ portM: 0.0251 }))[0]).toMatchObject({ code: 'hose-below-port', severity: 'caution' });
  });

  it('with a dip is a caution; one that locks at the lowest supply a stop', () => {
    const dip = (climbM: number, lowestShutOffM: number | null = 3) =>
      hosed({ lowestShutOffM, poses: [poseOf('rest', { dips: true, climbM })] });
    expect(dip(3)[0]).toMatchObject({ code: 'hose-dip', severity: 'caution' });
    expect(dip(3.001)[0]).toMatchObject({ code: 'hose-dip', severity: 'stop' });
    expect(dip(3.001)[0]?.message).toContain('at the lowest supply it reaches 3\u00a0m');
    expect(dip(9, null)[0]?.severity).toBe('caution');
  });

  it('with a corrugated wall says in litres what that costs, from 3 %', () => {
    const wall = (corrugatedLPerH: number) => hosed({ wall: { corrugatedLPerH, smoothLPerH: 1000 } });
    expect(codesOf(wall(970))).toEqual([]);
    expect(wall(969)[0]).toMatchObject({ code: 'corrugated-wall', severity: 'note' });
    expect(wall(700)[0]?.message).toContain(
      'moves 700\u00a0L/h at 12.8 V; a smooth one of the same bore moves 1000\u00a0L/h',
    );
    expect(ideasOf(wall(700)[0])).toEqual(['Use smooth hose of the same bore']);
  });

  it('with a check valve is a caution', () => {
    const { hose } = waterOf();
    expect(hosed({ hose: hose && { ...hose, checkValve: true } })[0]).toMatchObject({
      code: 'check-valve',
      severity: 'caution',
    });
  });

  it('that is not there is not judged', () => {
    expect(codesOf(hosed({ hose: null, poses: [poseOf('rest', { dips: true })] }))).toEqual([]);
  });
});

describe('what the pump moves', () => {
  const flow = (more: Parameters<typeof waterOf>[0] = {}, automatic = true, circuit = wet()) =>
    flowJudgements(circuit, waterOf(more), automatic);

  it('is asked for where no curve is known, with a typical one in one tap', () => {
    const circuit = { ...wet(), pump: { currentA: 5, openFlowLPerH: 3000 } };
    const [asked] = flow({ curve: null }, true, circuit);
    expect(asked).toMatchObject({ code: 'flow-not-known', severity: 'caution' });
    expect(asked?.message).toContain('its shut-off head is not entered');
    expect(ideasOf(asked)).toEqual(['Take what is typical: shuts off at 4.2\u00a0m']);
    expect(flow({ curve: null }, false, circuit)[0]?.severity).toBe('note');
    expect(flow({ curve: null })[0]?.message).toContain('open flow and shut-off head are');
    expect(codesOf(flow({ curve: null, hose: null, poses: [poseOf('rest', { operating: [] })] }))).toEqual([]);
  });

  it('is a stop where at some supply in some pose nothing leaves the boat', () => {
    const still = { ...operatingOf(2000)[0], supplyV: 12, flowLPerH: 0, headM: 3 };
    const poses = [poseOf('rest'), poseOf('Loaded', { operating: [still] })];
    expect(flow({ poses })[0]).toMatchObject({ code: 'no-flow', severity: 'stop' });
    expect(flow({ poses })[0]?.message).toContain('Loaded: the hose climbs 1.2\u00a0m');
  });

  it('is beaten by ingress as large', () => {
    const ingress = (mostLPerH: number) => flow({ ingress: [{ id: 'a', name: 'Inlet', mostLPerH }] });
    expect(codesOf(ingress(1999))).toEqual([]);
    expect(ingress(2000)[0]).toMatchObject({ code: 'ingress-beats-pump', severity: 'caution' });
  });

  it('is at least what the length of the hull asks', () => {
    const hull = (lPerH: number, hullLengthM: number) =>
      codesOf(flow({ hullLengthM, poses: [poseOf('rest', { operating: operatingOf(lPerH) })] }));
    expect(hull(600, 6)).toEqual([]);
    expect(hull(599, 6)).toEqual(['capacity-by-length']);
    expect(hull(900, 6.1)).toEqual([]);
    expect(hull(899, 12)).toEqual(['capacity-by-length']);
    expect(hull(1800, 12.1)).toEqual([]);
    expect(hull(1799, 12.1)).toEqual(['capacity-by-length']);
  });

  it('comes back and primes a sensing pump again, or it does not', () => {
    expect(codesOf(flow({ sensor: 'timer', reprimes: true }))).toEqual(['reprimes-itself']);
    expect(codesOf(flow({ sensor: 'timer' }))).toEqual([]);
    expect(codesOf(flow({ sensor: 'hinged', reprimes: true }))).toEqual([]);
  });
});

describe('a float', () => {
  const placed = (zM: number, more: Parameters<typeof waterOf>[0] = {}) =>
    floatJudgements(wet({ float: { zM } }), waterOf({ float: { ...float, zM }, ...more }));

  it('within its window is good, to a thousandth of a millimetre of either end', () => {
    expect([placed(0.02), placed(0.2)].map(codesOf)).toEqual([[], []]);
    expect(placed(0.0199)[0]).toMatchObject({ code: 'float-never-stops', severity: 'stop', at: ['float'] });
    expect(placed(0.2001)[0]).toMatchObject({ code: 'float-too-high', severity: 'stop' });
  });

  it.each([
    ['floor', 'float-below-hull'],
    ['drain-back', 'float-own-water'],
    ['order', 'float-order'],
  ] as const)('below what “%s” asks is %s', (rule, code) => {
    const [piece] = windowOf().pieces;
    if (!piece) throw new Error('no piece');
    const pieces = [{ ...piece, lowBound: { rule, pose: 'rest' } }];
    expect(codesOf(placed(0.01, { window: windowOf({ pieces }) }))).toEqual([code]);
  });

  it('in a window of two pieces is judged by the nearer end where it hangs between them', () => {
    const low = {
      fromM: 0.02,
      toM: 0.06,
      lowBound: { rule: 'prime', pose: 'rest' } as const,
      highBound: { rule: 'drain-back', pose: 'rest' } as const,
    };
    const high = {
      fromM: 0.12,
      toM: 0.2,
      lowBound: { rule: 'drain-back', pose: 'rest' } as const,
      highBound: { rule: 'limit', pose: 'rest' } as const,
    };
    const window = windowOf({ pieces: [low, high], comfort: [low, high] });
    expect(codesOf(placed(0.05, { window }))).toEqual([]);
    expect(codesOf(placed(0.15, { window }))).toEqual([]);
    expect(placed(0.07, { window })[0]).toMatchObject({ code: 'float-own-water' });
    expect(placed(0.07, { window })[0]?.message).toContain('so narrow that less lies between on and off');
    expect(placed(0.11, { window })[0]?.message).toContain('needs 120\u00a0mm');
    expect(codesOf(placed(0.21, { window }))).toEqual(['float-too-high']);
  });

  it('whose runs are short there is a caution that says where they are longer', () => {
    const comfort = [{ fromM: 0.05, toM: 0.1 }];
    const at = (zM: number) => placed(zM, { window: windowOf({ comfort, comfortMinM: 0.05 }) });
    expect(at(0.04)[0]).toMatchObject({ code: 'float-short-run', severity: 'caution' });
    expect(at(0.04)[0]?.message).toContain('Between 50\u00a0mm and 100\u00a0mm runs are longer.');
    expect(codesOf(at(0.05))).toEqual([]);
    expect(codesOf(at(0.1))).toEqual([]);
    expect(codesOf(at(0.11))).toEqual(['float-short-run']);
    expect(placed(0.04, { window: windowOf({ comfort: [{ fromM: 0.05, toM: null }] }) })[0]?.message).toContain(
      'From 50\u00a0mm upwards',
    );
    expect(placed(0.04, { window: windowOf({ comfort: [] }) })[0]?.message).toContain('a wider dead-band does');
    expect(codesOf(placed(0.04, { hose: null, window: windowOf({ comfort: [] }) }))).toEqual([]);
  });

  it('with no height that serves says which ends clash, or that none ever will', () => {
    const none = windowOf({ open: false, pieces: [], minM: 0.25, maxM: 0.2, recommendedM: null });
    expect(placed(0.03, { window: none })[0]).toMatchObject({ code: 'float-no-window', severity: 'stop' });
    const never = windowOf({ open: false, pieces: [], never: { rule: 'drain-back', pose: 'rest' } });
    expect(placed(0.03, { window: never })[0]).toMatchObject({ code: 'float-own-water', severity: 'stop' });
  });

  it('outside its well or pool is a stop', () => {
    const outside = floatJudgements(wet({ float: { xM: 0.6, zM: 0.03 } }), waterOf({ float: { ...float, xM: 0.6 } }));
    expect(codesOf(outside)).toEqual(['float-outside-well']);
    const { pool } = waterOf();
    const elsewhere = floatJudgements(wet(), waterOf({ float: { ...float, xM: 0.4 }, pool: { ...pool, foreM: 0.2 } }));
    expect(codesOf(elsewhere)).toEqual(['float-other-pool']);
    expect(codesOf(floatJudgements(wet(), waterOf({ float: null })))).toEqual([]);
  });

  it('of a backup hangs 50 mm above the first pump’s, or slop calls it', () => {
    const above = (aboveFirstM: number) =>
      placed(0.03, { poses: [poseOf('rest', { aboveFirstM: 0.2 }), poseOf('Heeled', { aboveFirstM })] });
    expect(codesOf(above(0.05))).toEqual([]);
    expect(above(0.049)[0]).toMatchObject({ code: 'float-close-above', severity: 'note' });
    expect(above(0.04)[0]?.message).toContain('Heeled: this float switches on 40\u00a0mm above');
    expect(codesOf(above(0))).toEqual(['float-close-above']);
    // Below it altogether is a stop of its own.
    expect(codesOf(above(-0.01))).toEqual([]);
    expect(ideasOf(find(above(0.04), 'float-close-above'))).toEqual(['Raise the float by 10\u00a0mm']);
  });
});

test('findings on water speak one unit system', () => {
  const judged = (units: 'metric' | 'us') =>
    waterRules(
      factsOf({
        circuit: wet({ portM: 0.038 }),
        water: waterOf({
          units,
          float: { ...float, zM: 0.3 },
          poses: [poseOf('rest', { outletOverM: 0.1 })],
          ingress: [{ id: 'a', name: 'Inlet', mostLPerH: 5000 }],
        }),
      }),
    ).map(({ message }) => message);
  expect(judged('metric').join(' ')).not.toMatch(/\d\u00a0(in|gal|ft)\b/);
  expect(judged('us').join(' ')).not.toMatch(/\d\u00a0(mm|L\/h|L|m)\b/);
});
