import { newCircuit } from '../job';
import type { BatteryCircuit, BatteryFacts, BoatFacts } from './batteryFacts';
import { codesOf, conductorOf, deviceOf, factsOf, find, ideasOf, plainCircuit, protectionOf } from './facts.fixture';
import { ideasOf as workedOut, type Judgement } from './finding';
import { feedRules, judgeBoat, placeRules, ratingRules } from './said.fixture';

// Where a rule concerns several things: which of them it names, with whose figure, and what it leaves out.

describe('several circuits on one battery', () => {
  const circuitOf = (id: string, more: Partial<BatteryCircuit> = {}): BatteryCircuit => ({
    circuit: {
      ...newCircuit(id, id === 'main' ? 'Main' : 'Backup', 'three-way-float', 'house'),
      pump: { currentA: 5 },
    },
    firstDevice: 'blade',
    interruptA: 1000,
    sourceFaultA: 900,
    postFaultA: 2000,
    fedA: 5,
    onChargeA: 5.5,
    inrushA: 25,
    lockedRotorA: 22,
    shares: false,
    standingA: 0,
    aloneV: 12.2,
    togetherV: 12,
    ...more,
  });
  const judged = (circuits: readonly BatteryCircuit[], more: Partial<BatteryFacts> = {}) => {
    const facts: BoatFacts = {
      boat: { id: 'b', name: 'Tern' },
      units: 'metric',
      leftAloneDays: 14,
      batteries: [
        {
          battery: { id: 'house', name: 'House' },
          capacityAh: 100,
          circuits,
          postsTogetherV: 12.4,
          usableAh: 50,
          netAhPerDay: 0,
          ...more,
        },
      ],
      waysIn: [],
      firstCircuit: 'main',
    };
    return judgeBoat(facts);
  };

  it('are named with commas and an and', () => {
    const over = ['main', 'second', 'third'].map((id) => circuitOf(id, { sourceFaultA: 1500 }));
    const named = over.map((one) => ({ ...one, circuit: { ...one.circuit, name: one.circuit.id } }));
    expect(judged(named)[0]?.message).toContain('of main, second and third');
  });

  it('get one main fuse by the worst fault at the post, and none that no family is made for', () => {
    const worst = [
      circuitOf('main', { sourceFaultA: 9000, postFaultA: 9500 }),
      circuitOf('backup', { sourceFaultA: 9000, postFaultA: 10500 }),
    ];
    expect(ideasOf(judged(worst)[0])).toEqual(['Add a 110 A main fuse at the battery', 'Use thermal breakers']);
    // 161 A together: 125 % are over 200 A.
    const huge = [
      circuitOf('main', { sourceFaultA: 1500, fedA: 81 }),
      circuitOf('backup', { sourceFaultA: 1500, fedA: 80 }),
    ];
    expect(ideasOf(judged(huge)[0])).toEqual(['Use thermal breakers']);
    // No breaker carries 81 A: those circuits stay as they are.
    const worked = (one: Judgement | undefined) => (one ? workedOut(one, { waterAs: () => null }) : []);
    const [idea] = worked(judged(huge)[0]);
    expect([idea?.circuit.choices, idea?.also?.[0]?.choices]).toEqual([undefined, undefined]);
    expect(idea?.also).toHaveLength(1);
    const [alone] = judged([circuitOf('main', { sourceFaultA: 1500 })]);
    expect(worked(alone).map((one) => 'also' in one)).toEqual([false, false, false]);
  });

  it('draw on a management’s limit together, leaving out what shares a feed; a start and a stall count alone', () => {
    const battery = { id: 'house', name: 'House', chemistry: 'lifepo4', managementLimitA: 11 } as const;
    const two = [
      circuitOf('main', { inrushA: 5, lockedRotorA: 5 }),
      circuitOf('backup', { inrushA: 6, lockedRotorA: 6 }),
    ];
    expect(judged(two, { battery })).toEqual([]);
    expect(judged(two, { battery: { ...battery, managementLimitA: 10.9 } })[0]?.message).toContain('running draws 11');
    const shared = [...two, circuitOf('third', { shares: true, inrushA: 90, lockedRotorA: 90 })];
    expect(judged(shared, { battery })).toEqual([]);
    const starts = [
      circuitOf('main', { inrushA: 5, lockedRotorA: 5 }),
      circuitOf('backup', { inrushA: 30, lockedRotorA: 40 }),
    ];
    expect(judged(starts, { battery })[0]?.message).toContain('a start draws 30');
    const stalls = [
      circuitOf('main', { inrushA: 5, lockedRotorA: 5 }),
      circuitOf('backup', { inrushA: 6, lockedRotorA: 40 }),
    ];
    expect(judged(stalls, { battery })[0]?.message).toContain('a stalled pump draws 40');
  });

  it('are listed in what is drawn while nobody is aboard where they draw anything', () => {
    const drawn = judged([circuitOf('main', { standingA: 0.1 }), circuitOf('backup', { standingA: 1e-5 })], {
      netAhPerDay: 3,
    });
    expect(drawn[0]?.message).toContain('Main 2.4 Ah a day flows out of House');
    // What would read as nothing is not named: from 0.005 Ah a day on.
    const little = (standingA: number) =>
      judged([circuitOf('main', { standingA: 0.1 }), circuitOf('backup', { standingA })], { netAhPerDay: 3 })[0]
        ?.message;
    expect(little(0.0051 / 24)).toContain('Main 2.4 Ah a day and Backup 0.01 Ah a day flow');
    expect(little(0.0049 / 24)).toContain('Main 2.4 Ah a day flows');
    const least = judged([circuitOf('main', { standingA: 1e-4 })], { netAhPerDay: 0.0024, usableAh: 0 });
    expect(least[0]?.message).toContain('a little flows out of House');
    const both = judged([circuitOf('main', { standingA: 0.1 }), circuitOf('backup', { standingA: 0.2 })], {
      netAhPerDay: 8,
    });
    expect(both[0]?.message).toContain('Main 2.4 Ah a day and Backup 4.8 Ah a day flow out of House');
  });
});

describe('several ways in', () => {
  it('come in, each named, beside the first circuit that is there', () => {
    const way = (name: string, circuitId: string | null) => ({ name, pumped: false, circuitId });
    const told = judgeBoat({
      boat: { id: 'b', name: 'Tern' },
      units: 'metric',
      leftAloneDays: 14,
      batteries: [],
      waysIn: [way('Gland', null), way('Rain', 'drain')],
      firstCircuit: 'main',
    });
    expect(told[0]?.message).toContain('“Gland” and “Rain” come in');
    expect(told[0]?.circuitId).toBe('drain');
  });
});

describe('a feed and its place', () => {
  it('behind the isolator that another circuit answers for is not told twice', () => {
    const circuit = plainCircuit({ source: { feed: 'isolator' } });
    const shared = { leaderId: 'a', leaderName: 'A', rating: null, sizes: {} };
    expect(codesOf(feedRules(factsOf({ circuit })))).toEqual(['isolator-in-automatic-feed']);
    expect(feedRules(factsOf({ circuit, sharedFeed: shared }))).toEqual([]);
  });

  it('is protected by a main fuse that fits the stub, not another conductor', () => {
    const main = { kind: 'cubeAtBattery', ratingA: 60 } as const;
    const stubOf = (size: string) => conductorOf('stub', { size, planned: { leg: 'stub' } });
    const placed = (...conductors: ReturnType<typeof stubOf>[]) =>
      codesOf(placeRules(factsOf({ conductors, protection: protectionOf({ main, stubLengthM: 3 }) })));
    // 40 A of 12 AWG… 45 A at 105 °C × 1.5 is 67.5 A; of 14 AWG 52.5 A.
    expect(placed(stubOf('12 AWG'))).toEqual([]);
    expect(placed(conductorOf('feed', { size: '12 AWG' }), stubOf('14 AWG'))).toEqual(['fuse-too-far']);
  });

  it('beyond a bus may be mended by a sheath while that is long enough', () => {
    const told = (stubLengthM: number, stubSheathed: boolean, takenFrom: 'bus' | 'battery' = 'bus') =>
      placeRules(
        factsOf({
          circuit: plainCircuit({ source: { takenFrom } }),
          protection: protectionOf({ stubLengthM, stubSheathed }),
        }),
      )[0]?.message;
    expect(told(1, false)).toContain(', or sheathe the stub.');
    expect(told(1.1, false)).not.toContain('or sheathe');
    expect(told(1.1, true)).not.toContain('or sheathe');
    expect(told(2, false, 'battery')).not.toContain('or sheathe');
  });
});

describe('a feed taken over', () => {
  const shared = { leaderId: 'a', leaderName: 'Primary', rating: null, sizes: {} };

  it('is judged where it is chosen: rating, own and main fuse', () => {
    const odd = protectionOf({ ratingA: 8 });
    expect(find(ratingRules(factsOf({ protection: odd, sharedFeed: shared })), 'rating-not-standard')).toBeUndefined();
    const devices = ['main-fuse', 'fuse', 'panel-fuse'].map((id) => deviceOf(id, { designA: 20 }));
    const told = ratingRules(factsOf({ protection: protectionOf({ devices }), sharedFeed: shared }));
    expect(told.filter(({ code }) => code === 'rating-below-running').map(({ at }) => at)).toEqual([['panel-fuse']]);
  });

  it('says so of a maker’s figure, unless a panel fuse of its own stands before the pump', () => {
    const circuit = plainCircuit({ pump: { currentA: 3, makerFuseA: 5 } });
    const told = (panel: { kind: 'blade'; ratingA: number } | null) =>
      find(
        ratingRules(factsOf({ circuit, sharedFeed: shared, protection: protectionOf({ ratingA: 15, panel }) })),
        'rating-over-maker',
      )?.message;
    expect(told(null)).toContain('(taken over from Primary)');
    expect(told({ kind: 'blade', ratingA: 7.5 })).not.toContain('taken over');
  });
});
