import { type Circuit } from '../job';
import { codesOf, find, ideasOf, plainCircuit } from './facts.fixture';
import { floatJudgements, flowJudgements, hoseJudgements, outletJudgements } from './said.fixture';
import { hoseSurvey, operatingOf, poseOf, waterOf } from './water.fixture';

// Where a rule concerns several things: which of them it names, with whose figure, and what it leaves out.

const wet = (more: Partial<NonNullable<Circuit['water']>> = {}): Circuit =>
  plainCircuit({ water: { wellId: 'bilge', hose: hoseSurvey, float: { zM: 0.03 }, ...more } });

const flowOf = (more: Parameters<typeof waterOf>[0]) => flowJudgements(wet(), waterOf(more), true);

describe('several poses', () => {
  it('are judged by the least flow at 12.8 V, not at another supply', () => {
    const at = (...flows: number[]) =>
      flows.map((flowLPerH, index) =>
        poseOf(index === 0 ? 'rest' : `pose ${index}`, { operating: operatingOf(flowLPerH) }),
      );
    const beaten = (poses: ReturnType<typeof at>, mostLPerH: number) =>
      find(flowOf({ poses, ingress: [{ id: 'g', name: 'Gland', mostLPerH }] }), 'ingress-beats-pump');
    expect(beaten(at(2000, 1000), 1000)?.message).toContain('moves 1000');
    expect(beaten(at(2000, 1000), 999)).toBeUndefined();
    const uneven = [
      poseOf('rest', {
        operating: [
          { supplyV: 12, flowLPerH: 500, headM: 1 },
          { supplyV: 12.8, flowLPerH: 1000, headM: 1 },
          { supplyV: 13.6, flowLPerH: 1500, headM: 1 },
        ],
      }),
    ];
    expect(beaten(uneven, 999)).toBeUndefined();
    expect(beaten(uneven, 1000)?.message).toContain('moves 1000');
    expect(codesOf(flowOf({ poses: [poseOf('rest', { operating: [] })], hullLengthM: 20 }))).not.toContain(
      'capacity-by-length',
    );
  });

  it('without flow name the pose where there is more than one', () => {
    const still = operatingOf(0);
    const told = (...ids: string[]) =>
      find(flowOf({ poses: ids.map((id) => poseOf(id, { operating: still })) }), 'no-flow')?.message;
    expect(told('rest')).toMatch(/^The hose climbs/);
    expect(told('rest', 'heeled')).toMatch(/^At rest: the hose climbs/);
  });

  it('have an outlet that is judged low by the first of them alone', () => {
    const low = (...overs: (number | null)[]) =>
      codesOf(
        outletJudgements(
          wet(),
          waterOf({
            poses: overs.map((outletOverM, index) => poseOf(index === 0 ? 'rest' : 'heeled', { outletOverM })),
          }),
          true,
        ),
      );
    expect([low(0.3, 0.1), low(0.1, 0.3), low(null, 0.1)]).toEqual([[], ['outlet-low'], ['outlet-not-known']]);
  });

  it('are asked of nothing without a hose', () => {
    expect(
      outletJudgements(wet(), waterOf({ hose: null, poses: [poseOf('rest', { outletOverM: null })] }), true),
    ).toEqual([]);
  });

  it('say that only a loop guards a low outlet where the loop is the higher one', () => {
    const loop = (outletOverM: number, loopOverM: number) =>
      outletJudgements(
        wet({ hose: { ...hoseSurvey, ventedLoop: true } }),
        waterOf({ poses: [poseOf('rest', { outletOverM, loopOverM })] }),
        true,
      )[0]?.message;
    expect(loop(-0.05, 0.1)).toContain('only the vented loop guards it');
    expect(loop(0.05, 0.1)).toContain('only the vented loop guards it');
    expect(loop(0.1, 0.05)).not.toContain('only the vented loop guards it');
  });

  it('of which one dips are told of once', () => {
    const dipping = [poseOf('rest', { dips: false }), poseOf('heeled', { dips: true })];
    expect(codesOf(hoseJudgements(wet(), waterOf({ poses: dipping })))).toEqual(['hose-dip']);
  });

  it('whose hoses give back most are told where no height serves', () => {
    const poses = [poseOf('rest', { drainBackL: 0.5 }), poseOf('heeled', { drainBackL: 2 })];
    const never = { rule: 'drain-back', pose: 'heeled' } as const;
    const { window } = waterOf();
    if (!window) throw new Error('The water has a window.');
    const closed = { ...window, open: false, pieces: [], never };
    expect(floatJudgements(wet(), waterOf({ poses, window: closed }))[0]?.message).toContain('2\u00a0L');
  });

  it('bound a float in the pose that is named, the hull in none', () => {
    const low = (rule: 'prime' | 'floor', ids: readonly string[]) => {
      const water = waterOf({ poses: ids.map((id) => poseOf(id)) });
      const { window } = water;
      if (!window) throw new Error('The water has a window.');
      const piece = { fromM: 0.05, toM: 0.2, lowBound: { rule, pose: 'heeled' }, highBound: null } as const;
      return floatJudgements(wet(), { ...water, window: { ...window, pieces: [piece], comfort: [piece] } })[0]?.message;
    };
    expect(low('prime', ['rest', 'heeled'])).toContain(': heeled the pump sucks air');
    expect(low('prime', ['rest'])).toContain(': the pump sucks air');
    expect(low('floor', ['rest', 'heeled'])).toContain(': that is where the hull is');
  });
});

test('a pump whose curve is not known is likened to one of its flow, and without that to one of its amperes', () => {
  const idea = (pump: Circuit['pump']) =>
    ideasOf(flowJudgements({ ...wet(), pump }, waterOf({ curve: null }), true)[0])[0];
  // One of 1 A on its label and 8000 L/h is a large one.
  expect(idea({ currentA: 1, openFlowLPerH: 8000 })).toBe(idea({ currentA: 30, openFlowLPerH: 8000 }));
  expect(idea({ currentA: 1 })).not.toBe(idea({ currentA: 30 }));
});
