import type { Netlist, Part } from '../circuit';
import type { SharedFeed } from '../findings';
import { surveyedCircuit } from '../schemes/schemes.fixture';
import type { Rating } from '../wiring';
import { fifteenAmps, noRating, protectionQuestion, type Protected } from './question.fixture';
import { protectionFacts, ratingInForce, withRating, type ProtectionQuestion } from './protection';

const feedOf = (rating: Rating | null): SharedFeed => ({ leaderId: 'a', leaderName: 'A', rating, sizes: {} });
const factsOf = (
  circuit = surveyedCircuit('three-way-float'),
  given: Protected = {},
  change: Partial<ProtectionQuestion> = {},
) => protectionFacts(protectionQuestion(circuit, given, change));
const panelled = (ratingA: number, more: Parameters<typeof surveyedCircuit>[1] = {}) =>
  surveyedCircuit('three-way-float', { panel: { fuse: { kind: 'blade', ratingA } }, ...more });

describe('the rating in force', () => {
  it('is that of a feed taken over, else the one chosen, else the one proposed', () => {
    const choices = { protection: { kind: 'thermalBreaker', ratingA: 8 } } as const;
    const shared: Rating = { kind: 'blade', ratingA: 20 };
    expect(ratingInForce(fifteenAmps, choices, 5, feedOf(shared))).toBe(shared);
    expect(ratingInForce(fifteenAmps, choices, 5, feedOf(null))).toEqual({ kind: 'thermalBreaker', ratingA: 8 });
    expect(ratingInForce(fifteenAmps, { protection: { ratingA: 7.5 } }, 5, null)).toEqual({
      kind: 'blade',
      ratingA: 7.5,
    });
    expect(ratingInForce(fifteenAmps, { protection: { kind: 'thermalBreaker' } }, 5, null)).toEqual({
      kind: 'blade',
      ratingA: 15,
    });
  });

  it('is the nearest above the current where none is proposed, and the largest beyond all', () => {
    const of = (amps: number) => ratingInForce(noRating, {}, amps, null);
    expect([of(7.5), of(7.51)]).toEqual([
      { kind: 'blade', ratingA: 7.5 },
      { kind: 'blade', ratingA: 10 },
    ]);
    expect([of(200), of(201)]).toEqual([
      { kind: 'classT', ratingA: 200 },
      { kind: 'classT', ratingA: 200 },
    ]);
    expect(ratingInForce(noRating, { protection: { kind: 'thermalBreaker' } }, 6, null)).toEqual({
      kind: 'thermalBreaker',
      ratingA: 8,
    });
  });

  it('is put into the circuit’s own fuse and into no other', () => {
    const fuse = (id: string): Part => ({ kind: 'fuse', id, family: 'blade', ratingA: 1, closed: true });
    const bus: Part = { kind: 'negative-bus', id: 'fuse', studs: [] };
    const netlist: Netlist = {
      ground: { part: 'bus', terminal: 'battery' },
      parts: [fuse('fuse'), fuse('panel-fuse'), bus],
      conductors: [],
    };
    expect(withRating(netlist, { kind: 'thermalBreaker', ratingA: 8 }).parts).toEqual([
      { kind: 'fuse', id: 'fuse', family: 'thermalBreaker', ratingA: 8, closed: true },
      fuse('panel-fuse'),
      bus,
    ]);
  });

  it('is overridden where this circuit chose it, not where a feed brought it', () => {
    const chosen = { choices: { protection: { ratingA: 10 } } };
    expect(factsOf().overridden).toBe(false);
    expect(factsOf(undefined, chosen).overridden).toBe(true);
    expect(factsOf(undefined, { choices: { protection: { kind: 'blade' } } }).overridden).toBe(false);
    expect(factsOf(undefined, chosen, { shared: feedOf(null) }).overridden).toBe(false);
  });

  it('stands beside what was proposed', () => {
    expect(factsOf().proposed).toEqual({ kind: 'blade', ratingA: 10 });
    expect(factsOf(undefined, {}, { answer: noRating })).toMatchObject({ proposed: null, answer: noRating });
  });
});

describe('what protects a conductor', () => {
  const leastOf = (facts: ReturnType<typeof factsOf>) => [
    facts.leastProtected.conductor.planned.id,
    facts.leastProtected.ratingA,
  ];
  const tapsOf = (facts: ReturnType<typeof factsOf>) =>
    facts.taps.map(({ conductor, ratingA }) => [conductor.planned.id, ratingA]);
  /** With one conductor’s ampacity as given. */
  const carrying = (amps: Readonly<Record<string, number>>, circuit = surveyedCircuit('three-way-float')) => {
    const question = protectionQuestion(circuit);
    const conductors = question.conductors.map((one) => {
      const given = amps[one.planned.id];
      return given === undefined ? one : { ...one, ampacity: { ...one.ampacity, amps: given } };
    });
    return protectionFacts({ ...question, conductors });
  };

  it('is judged where ampacity over rating is least, the first of equals', () => {
    expect(leastOf(factsOf())).toEqual(['feed', 10]);
    expect(leastOf(carrying({ auto: 30 }))).toEqual(['auto', 10]);
  });

  it('is the panel’s fuse behind the panel, and not before it', () => {
    // The feed’s 45 A behind 10 A are less than the others’ behind 7.5 A.
    expect(leastOf(factsOf(panelled(7.5)))).toEqual(['feed', 10]);
    expect(leastOf(factsOf(panelled(15)))).toEqual(['feed', 10]);
    expect(leastOf(carrying({ manual: 30 }, panelled(7.5)))).toEqual(['manual', 7.5]);
    expect(leastOf(carrying({ manual: 30 }, panelled(15)))).toEqual(['manual', 10]);
  });

  it('is not asked of the stub, of leads and of taps', () => {
    const circuit = surveyedCircuit('three-way-float', {
      panel: { light: 'filament' },
      pump: { leads: { lengthM: 0.15, size: '18 AWG' } },
    });
    const thin = { stub: 1, 'pump-lead-plus': 1, 'light-tap': 1, 'light-negative': 1 };
    expect(leastOf(carrying(thin, circuit))).toEqual(['feed', 10]);
  });

  it('leaves out a size that may carry nothing there, unless none may carry anything', () => {
    expect(leastOf(carrying({ feed: 0 }))).toEqual(['manual', 10]);
    expect(leastOf(carrying({ feed: 0, manual: 0, auto: 0, negative: 0 }))[1]).toBe(10);
  });

  it('of a tap is its own small fuse, else what stands before the panel', () => {
    const lit = (tapFuseA?: number) =>
      surveyedCircuit('three-way-float', { panel: { light: 'led', ...(tapFuseA === undefined ? {} : { tapFuseA }) } });
    expect(tapsOf(factsOf(lit()))).toEqual([
      ['light-tap', 10],
      ['light-negative', 10],
    ]);
    expect(tapsOf(factsOf(lit(1)))).toEqual([
      ['light-tap', 1],
      ['light-negative', 1],
    ]);
    expect(
      tapsOf(factsOf(panelled(7.5, { panel: { light: 'led', fuse: { kind: 'blade', ratingA: 7.5 } } })))[0],
    ).toEqual(['light-tap', 7.5]);
  });

  it('of legs fused apart is the own one of each, and both together for what both feed', () => {
    const legs = (manualA: number, autoA: number) =>
      surveyedCircuit('hot-auto', { panel: { legFuses: { kind: 'blade', manualA, autoA } } });
    const only = (id: string) => leastOf(carrying({ [id]: 0.5 }, legs(3, 5)));
    expect([only('manual'), only('auto'), only('negative'), only('feed')]).toEqual([
      ['manual', 3],
      ['auto', 5],
      ['negative', 8],
      ['feed', 10],
    ]);
    // The circuit’s own 10 A is less than both together.
    expect(leastOf(carrying({ negative: 0.5 }, legs(7.5, 5)))).toEqual(['negative', 10]);
  });

  it('is told of main and panel, and of the stub', () => {
    const main: Rating = { kind: 'cubeAtBattery', ratingA: 40 };
    expect(factsOf()).toMatchObject({ panel: null, main: null, makerA: null, stubLengthM: 0.15, stubSheathed: false });
    const circuit = panelled(7.5, { source: { mainFuse: main, stubLengthM: 0.4, stubSheathed: true } });
    expect(factsOf(circuit, {}, { makerA: 9 })).toMatchObject({
      panel: { kind: 'blade', ratingA: 7.5 },
      main,
      makerA: 9,
      stubLengthM: 0.4,
      stubSheathed: true,
    });
  });
});

describe('legs fused apart', () => {
  const circuit = surveyedCircuit('hot-auto', { panel: { legFuses: { kind: 'blade', manualA: 7.5, autoA: 7.5 } } });

  it('share a stalled motor’s current, and each opens on its own share', () => {
    const facts = factsOf(circuit, {}, { rating: { kind: 'blade', ratingA: 20 } });
    const { legs } = facts;
    expect(legs).not.toBeNull();
    const together = (legs?.manualA ?? 0) + (legs?.autoA ?? 0);
    // The manual leg has the switch, the auto one the float: 5 and 10 mΩ.
    expect(legs?.manualA).toBeGreaterThan(legs?.autoA ?? Infinity);
    expect(together).toBeGreaterThan(facts.lockedRotorA);
    expect(legs?.opening.kind).toBe('opens');
    expect(facts.windingTurn).toBeNull();
  });

  it('are none where there is one fuse, or where only one leg is ever fed', () => {
    expect(factsOf(surveyedCircuit('hot-auto')).legs).toBeNull();
    const question = protectionQuestion(circuit);
    const single = question.settings.filter(
      ({ switches, floats }) => switches.switch === 'manual' && floats.pump === 'down',
    );
    expect(protectionFacts({ ...question, settings: single }).legs).toBeNull();
  });

  it('each carry more than a hundredth of an ampere: less is no second way', () => {
    const question = protectionQuestion(circuit);
    const both = question.settings.filter(
      ({ switches, floats }) => switches.switch === 'manual' && floats.pump === 'up',
    );
    const at = (id: 'manual' | 'auto', ohm: number) =>
      protectionFacts({
        ...question,
        settings: both,
        netlist: {
          ...question.netlist,
          conductors: question.netlist.conductors.map((wire) => (wire.id === id ? { ...wire, ohm } : wire)),
        },
      }).legs;
    // Some 3 V lie across the legs of a stalled pump with 14 m of 12 AWG around it: 0.01 A through about 100 Ω.
    expect([at('manual', 20), at('auto', 20)].every((legs) => legs !== null)).toBe(true);
    expect([at('manual', 2000), at('auto', 2000)]).toEqual([null, null]);
  });
});
