import type { Circuit } from '../job';
import { conductorOf, deviceOf, factsOf, plainCircuit, protectionOf } from './facts.fixture';
import type { FixIdea } from './finding';
import {
  addPanelFuse,
  backToPlan,
  oneCommonFuse,
  useBetterInsulation,
  useFamily,
  useLargerDevice,
  useProposedRating,
  useProposedSizesOf,
  useRelay,
  useSmallerRating,
  withIdeas,
} from './fixes';

const labels = (ideas: readonly FixIdea[]) => ideas.map(({ label }) => label);

describe('going back to proposed sizes', () => {
  const other = (id: string, size: string, overridden = true) =>
    conductorOf(id, { size, overridden, proposedSize: '12 AWG' });
  const circuit = plainCircuit({
    choices: { conductors: { auto: '16 AWG', manual: '14 AWG' }, dropSchool: 'general' },
  });

  it('drops the choice of the conductor concerned, and of no other', () => {
    const idea = useProposedSizesOf(circuit, [other('auto', '16 AWG')]);
    expect(idea?.label).toBe('Use 12 AWG for the auto');
    expect(idea?.circuit.choices).toEqual({ conductors: { manual: '14 AWG' }, dropSchool: 'general' });
    const both = useProposedSizesOf(circuit, [other('auto', '16 AWG'), other('manual', '14 AWG')]);
    expect(both?.label).toBe('Use 12 AWG throughout');
    expect(both?.circuit.choices?.conductors).toEqual({});
  });

  it('is nothing where nobody chose, or the choice is what is proposed', () => {
    expect(useProposedSizesOf(circuit, [other('auto', '16 AWG', false)])).toBeUndefined();
    expect(useProposedSizesOf(circuit, [other('auto', '12 AWG')])).toBeUndefined();
    const one = useProposedSizesOf(circuit, [other('auto', '12 AWG'), other('manual', '14 AWG')]);
    expect(one?.circuit.choices?.conductors).toEqual({ auto: '16 AWG' });
    expect(useProposedSizesOf(plainCircuit(), [other('auto', '16 AWG')])?.circuit.choices?.conductors).toEqual({});
  });
});

describe('other ratings', () => {
  const shared = { leaderId: 'a', leaderName: 'Primary', rating: null, sizes: {} };
  const chosen = (more: Parameters<typeof protectionOf>[0], rest: Parameters<typeof factsOf>[0] = {}) =>
    factsOf({
      circuit: plainCircuit({ choices: { protection: { kind: 'blade', ratingA: 20 } } }),
      protection: protectionOf({ ratingA: 20, overridden: true, ...more }),
      ...rest,
    });

  it('go back to what is proposed, keeping the family that was chosen', () => {
    const idea = useProposedRating(chosen({}));
    expect(idea?.label).toBe('Use the 7.5 A blade fuse');
    expect(idea?.circuit.choices).toEqual({ protection: { kind: 'blade' } });
    expect(useProposedRating(factsOf({ protection: protectionOf({ overridden: true }) }))?.circuit.choices).toEqual({
      protection: {},
    });
  });

  it('go nowhere from what is proposed, from no choice, on another’s feed, or where there is no proposal', () => {
    expect(useProposedRating(chosen({ ratingA: 7.5 }))).toBeUndefined();
    expect(useProposedRating(chosen({ ratingA: 7.5, kind: 'thermalBreaker' }))).toBeDefined();
    expect(useProposedRating(chosen({ overridden: false }))).toBeUndefined();
    expect(useProposedRating(chosen({}, { sharedFeed: shared }))).toBeUndefined();
    expect(useProposedRating(chosen({ proposed: null }))).toBeUndefined();
  });

  it('go down one by one as long as they carry the current', () => {
    expect(labels(useSmallerRating(chosen({}, { fedA: 7.5 })))).toEqual([
      'Use a 15 A blade fuse',
      'Use a 10 A blade fuse',
      'Use a 7.5 A blade fuse',
    ]);
    expect(labels(useSmallerRating(chosen({}, { fedA: 7.51 }))).at(-1)).toBe('Use a 10 A blade fuse');
    expect(useSmallerRating(chosen({}, { fedA: 7.5 }))[0]?.circuit.choices?.protection).toEqual({
      kind: 'blade',
      ratingA: 15,
    });
    expect(useSmallerRating(chosen({}, { sharedFeed: shared }))).toEqual([]);
  });

  it('go up as far as maker and cable allow, where the device is', () => {
    const facts = (makerFuseA: number | undefined, amps: number) => {
      const conductor = { ...conductorOf('auto'), ampacity: { ...conductorOf('auto').ampacity, amps } };
      return factsOf({
        circuit: plainCircuit({ pump: { currentA: 5, ...(makerFuseA === undefined ? {} : { makerFuseA }) } }),
        protection: protectionOf({ leastProtected: { conductor, ratingA: 10 } }),
      });
    };
    const up = (id: string, makerFuseA?: number, amps = 100) =>
      useLargerDevice(facts(makerFuseA, amps), deviceOf(id, { ratingA: 10 }));
    expect(labels(up('fuse'))).toEqual(['Use a 15 A blade fuse', 'Use a 20 A blade fuse']);
    expect(labels(up('fuse', 15))).toEqual(['Use a 15 A blade fuse']);
    expect(up('fuse', 14.9)).toEqual([]);
    expect(labels(up('fuse', undefined, 10))).toEqual(['Use a 15 A blade fuse']);
    expect(up('fuse')[0]?.circuit.choices?.protection).toEqual({ kind: 'blade', ratingA: 15 });
    expect(up('panel-fuse')[0]).toMatchObject({
      label: 'Use a 15 A blade fuse at the panel',
      circuit: { panel: { fuse: { kind: 'blade', ratingA: 15 } } },
    });
    expect(up('main-fuse')[0]).toMatchObject({
      label: 'Use a 15 A blade fuse at the battery',
      circuit: { source: { mainFuse: { kind: 'blade', ratingA: 15 } } },
    });
    expect(up('manual-fuse')).toEqual([]);
  });

  it('of another family are the first a quarter over the current', () => {
    // 125 % of 6.4 A are 8 A.
    expect(labels(useFamily(plainCircuit(), 'thermalBreaker', 6.4))).toEqual(['Use an 8 A thermal breaker']);
    expect(labels(useFamily(plainCircuit(), 'thermalBreaker', 6.41))).toEqual(['Use a 10 A thermal breaker']);
    expect(useFamily(plainCircuit(), 'blade', 1000)).toEqual([]);
    expect(useFamily(plainCircuit(), 'blade', 6.4)[0]?.circuit.choices?.protection).toEqual({
      kind: 'blade',
      ratingA: 10,
    });
  });

  it('of its own in the panel carry the pump, within the maker’s figure, a quarter over where that goes', () => {
    const own = (currentA: number, makerFuseA?: number, panel?: Circuit['panel']) =>
      addPanelFuse({
        circuit: plainCircuit({
          pump: { currentA, ...(makerFuseA === undefined ? {} : { makerFuseA }) },
          ...(panel ? { panel } : {}),
        }),
        designCurrentA: currentA,
      });
    expect(labels(own(6))).toEqual(['Give it its own 7.5 A fuse']);
    expect(labels(own(6.1))).toEqual(['Give it its own 10 A fuse']);
    expect(labels(own(7, 7.5))).toEqual(['Give it its own 7.5 A fuse']);
    expect(labels(own(7.5, 7.5))).toEqual(['Give it its own 7.5 A fuse']);
    expect(own(7.6, 7.5)).toEqual([]);
    expect(own(6, 5)).toEqual([]);
    expect(own(6, undefined, { fuse: { kind: 'blade', ratingA: 10 } })).toEqual([]);
    expect(own(6, undefined, { light: 'led' })[0]?.circuit.panel).toEqual({
      light: 'led',
      fuse: { kind: 'blade', ratingA: 7.5 },
    });
  });
});

describe('better insulation', () => {
  const further = [{ lengthM: 1, insulationC: 60 }];
  const circuit = plainCircuit({
    legs: {
      sourceToPanel: { lengthM: 1, insulationC: 60 },
      panelToBilge: { lengthM: 2, insulationC: 60, further },
      bilgeToNegative: { lengthM: 3, insulationC: 60 },
    },
  });
  const inLeg = (leg: 'stub' | 'panel' | 'lead' | 'sourceToPanel' | 'panelToBilge' | 'bilgeToNegative') =>
    conductorOf('one', { planned: { leg } });

  it('goes into the legs concerned, every stretch of them, and into no other', () => {
    const one = useBetterInsulation(circuit, [inLeg('panelToBilge')]);
    expect(one?.label).toBe('Use 105 °C cable for this leg');
    expect(one?.circuit.legs).toEqual({
      ...circuit.legs,
      panelToBilge: { lengthM: 2, insulationC: 105, further: [{ lengthM: 1, insulationC: 105 }] },
    });
    const two = useBetterInsulation(circuit, [inLeg('stub'), inLeg('bilgeToNegative'), inLeg('panel')]);
    expect(two?.label).toBe('Use 105 °C cable for these legs');
    expect(two?.circuit.legs).toEqual({
      ...circuit.legs,
      sourceToPanel: { lengthM: 1, insulationC: 105 },
      bilgeToNegative: { lengthM: 3, insulationC: 105 },
    });
  });

  it('is nothing inside a panel or for a part’s own leads', () => {
    expect(useBetterInsulation(circuit, [inLeg('panel'), inLeg('lead')])).toBeUndefined();
    expect(useBetterInsulation(circuit, [inLeg('lead'), inLeg('stub')])?.label).toBe('Use 105 °C cable for this leg');
    expect(useBetterInsulation(circuit, [inLeg('panel'), inLeg('stub')])?.label).toBe('Use 105 °C cable for this leg');
  });
});

test('ideas that are none leave no trace', () => {
  const idea = { label: 'One', circuit: plainCircuit() };
  expect(withIdeas(undefined)).toEqual({});
  expect(withIdeas(undefined, idea)).toEqual({ ideas: [idea] });
  expect(backToPlan(plainCircuit())).toBeUndefined();
  expect(useRelay(plainCircuit({ scheme: 'plain-switch' }))).toBeUndefined();
  expect(useRelay(plainCircuit())?.circuit.scheme).toBe('relay');
  expect(oneCommonFuse(plainCircuit()).circuit).toMatchObject({ panel: {}, choices: {} });
});
