import type { Battery } from '../job';
import type { BatteryCircuit, BatteryFacts, BoatFacts } from './batteryFacts';
import { find, ideasOf, plainCircuit, type Change } from './facts.fixture';
import { ideasOf as workedOut } from './finding';
import { judgeBoat } from './said.fixture';

const circuitOf = (id: string, more: Change<BatteryCircuit> = {}): BatteryCircuit => ({
  circuit: { ...plainCircuit(), id, name: id === 'main' ? 'Main' : 'Backup' },
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
  ...(more as Partial<BatteryCircuit>),
});

const boatOf = (
  circuits: readonly BatteryCircuit[],
  battery: Partial<Battery> = {},
  more: Change<BatteryFacts> = {},
  rest: Change<BoatFacts> = {},
): BoatFacts => ({
  boat: { id: 'b', name: 'Tern' },
  units: 'metric',
  leftAloneDays: 14,
  batteries: [
    {
      battery: { id: 'house', name: 'House', ...battery },
      capacityAh: 100,
      circuits,
      postsTogetherV: 12.4,
      usableAh: 50,
      netAhPerDay: 0,
      ...(more as Partial<BatteryFacts>),
    },
  ],
  waysIn: [],
  firstCircuit: 'main',
  ...(rest as Partial<BoatFacts>),
});

const codes = (facts: BoatFacts) => judgeBoat(facts).map(({ code }) => code);

test('a boat that nothing is wrong with, or without circuits, has no finding', () => {
  expect(codes(boatOf([circuitOf('main')]))).toEqual([]);
  expect(codes(boatOf([], { seriesBank: { bankV: 24 } }, { netAhPerDay: 99 }))).toEqual([]);
});

describe('what a battery can deliver into a short', () => {
  it('is judged once a battery, with the circuits concerned, and mended for all of them at once', () => {
    const over = circuitOf('main', { sourceFaultA: 1000.1 });
    expect(codes(boatOf([circuitOf('main', { sourceFaultA: 1000 })]))).toEqual([]);
    const judged = judgeBoat(boatOf([over, circuitOf('backup', { sourceFaultA: 1500, fedA: 20 })]));
    expect(judged).toHaveLength(1);
    expect(judged[0]).toMatchObject({
      code: 'interrupt-rating-exceeded',
      severity: 'caution',
      circuitId: 'main',
      batteryId: 'house',
      at: ['fuse'],
    });
    expect(judged[0]?.message).toContain('of Main and Backup');
    // 25 A together: 125 % are 31 A.
    expect(ideasOf(judged[0])).toEqual([
      'Add a 40 A main fuse at the battery',
      'Add a 110 A main fuse at the battery',
      'Use thermal breakers',
    ]);
    const [idea] = judged[0] ? workedOut(judged[0], { waterAs: () => null }) : [];
    expect(idea?.circuit.source?.mainFuse).toEqual({ kind: 'cubeAtBattery', ratingA: 40 });
    expect(idea?.also?.map(({ source }) => source?.mainFuse?.ratingA)).toEqual([40]);
  });

  it('is told beside the first circuit that it concerns, and not of one that shares a feed', () => {
    const facts = boatOf([circuitOf('main'), circuitOf('backup', { sourceFaultA: 1500 })]);
    expect(judgeBoat(facts)[0]?.circuitId).toBe('backup');
    expect(codes(boatOf([circuitOf('main'), circuitOf('backup', { sourceFaultA: 1500, shares: true })]))).toEqual([]);
  });

  it('at the post itself decides which fuse may sit there', () => {
    const idea = (postFaultA: number) =>
      ideasOf(judgeBoat(boatOf([circuitOf('main', { sourceFaultA: 9000, postFaultA })]))[0]);
    expect(idea(10000)[0]).toBe('Add a 30 A main fuse at the battery');
    expect(idea(10001)[0]).toBe('Add a 110 A main fuse at the battery');
    expect(idea(20001)[0]).toBe('Use thermal breakers');
  });
});

describe('a battery of a series bank', () => {
  const bank = (ownPoles?: boolean, netAhPerDay = 0.5) =>
    judgeBoat(
      boatOf(
        [circuitOf('main')],
        { seriesBank: { bankV: 24, ...(ownPoles === undefined ? {} : { ownPoles }) } },
        { netAhPerDay },
        { leftAloneDays: 1 },
      ),
    );

  it('whose poles are not its own is a stop, unknown ones are asked for', () => {
    expect(find(bank(false), 'series-bank-potential')).toMatchObject({ severity: 'stop', at: ['battery'] });
    expect(find(bank(), 'series-bank-poles')?.severity).toBe('caution');
    expect(bank(true).map(({ code }) => code)).toEqual(['series-bank-draw']);
  });

  it('is drawn on by one side: told with its ampere-hours', () => {
    expect(find(bank(true), 'series-bank-draw')?.message).toContain('gives 0.5 Ah a day');
    expect(find(bank(true, -2), 'series-bank-draw')?.message).toContain('gives what is pumped, and the other');
    expect(find(bank(true, 1e-3), 'series-bank-draw')?.message).toContain('gives what is pumped');
  });
});

describe('a battery with its own management', () => {
  const limited = (managementLimitA: number | undefined, more: Change<BatteryCircuit> = {}, capacityAh = 20) =>
    judgeBoat(
      boatOf(
        [circuitOf('main', { onChargeA: 10, inrushA: 30, lockedRotorA: 40, ...more })],
        { chemistry: 'lifepo4', ...(managementLimitA === undefined ? {} : { managementLimitA }) },
        { capacityAh },
      ),
    );

  it('under 30 Ah is asked for its limit', () => {
    expect(limited(undefined, {}, 29.9)[0]).toMatchObject({ code: 'management-limit-not-known', severity: 'caution' });
    expect(limited(undefined, {}, 30)).toEqual([]);
    expect(judgeBoat(boatOf([circuitOf('main')], {}, { capacityAh: 10 }))).toEqual([]);
  });

  it.each([
    [40, undefined],
    [39.9, 'caution'],
    [29.9, 'caution'],
    [10, 'caution'],
    [9.9, 'stop'],
  ])('that lets out %d A is judged %s', (limitA, severity) => {
    expect(limited(limitA)[0]?.severity).toBe(severity);
  });

  it('says what it does not let out', () => {
    expect(limited(9)[0]?.code).toBe('management-limit-exceeded');
    expect(limited(9)[0]?.message).toContain('running draws 10\u00a0A');
    expect(limited(20)[0]?.message).toContain('a start draws 30\u00a0A');
    expect(limited(35)[0]?.message).toContain('a stalled pump draws 40\u00a0A');
  });
});

test('pumps that do their job alone and not together sag one battery', () => {
  const both = (aloneV: number, togetherV: number) =>
    codes(boatOf([circuitOf('main', { aloneV, togetherV }), circuitOf('backup')]));
  expect(both(10.5, 10.49)).toEqual(['pumps-sag-together']);
  expect(both(10.5, 10.5)).toEqual([]);
  // What does not do its job alone has a finding of its own.
  expect(both(10.49, 10.4)).toEqual([]);
});

test('what is drawn while nobody is aboard lasts one and a half times as long as she is left alone', () => {
  // 50 Ah over 21 days.
  const drawn = (netAhPerDay: number, standingA = netAhPerDay / 24) =>
    judgeBoat(boatOf([circuitOf('main', { standingA })], {}, { netAhPerDay }));
  expect(drawn(50 / 21)).toEqual([]);
  expect(drawn(50 / 20.9)[0]).toMatchObject({ code: 'standing-draw', severity: 'caution', at: ['battery'] });
  expect(drawn(50 / 20.9)[0]?.message).toContain(
    'its charge lasts 20.9 days, and 21 are wanted for 14 days left alone',
  );
  expect(judgeBoat(boatOf([circuitOf('main')], {}, { netAhPerDay: 1e-3, usableAh: 0 }))).toEqual([]);
  expect(judgeBoat(boatOf([circuitOf('main')], {}, { netAhPerDay: 0.0011, usableAh: 0 }))).toHaveLength(1);
  const lit = { ...circuitOf('main', { standingA: 0.1 }) };
  const filament = { ...lit, circuit: { ...lit.circuit, panel: { armedLight: 'filament' as const } } };
  expect(ideasOf(judgeBoat(boatOf([filament], {}, { netAhPerDay: 3 }))[0])).toEqual(['Fit a LED as armed light']);
});

test('water that comes in by itself with nobody to pump it is told, of a boat afloat', () => {
  const ways = [{ name: 'Gland', pumped: false, circuitId: 'drain' }];
  expect(judgeBoat(boatOf([], {}, {}, { waysIn: ways }))[0]).toMatchObject({
    code: 'nobody-pumps',
    severity: 'caution',
    circuitId: 'drain',
  });
  expect(
    judgeBoat(boatOf([], {}, {}, { waysIn: [{ ...ways[0], name: 'Gland', pumped: false, circuitId: null }] }))[0]
      ?.circuitId,
  ).toBe('main');
  expect(codes(boatOf([], {}, {}, { waysIn: ways.map((way) => ({ ...way, pumped: true })) }))).toEqual([]);
  expect(codes(boatOf([], {}, {}, { waysIn: ways, boat: { id: 'b', name: 'Tern', kept: 'ashore' } }))).toEqual([]);
  expect(codes(boatOf([], {}, {}, { waysIn: ways, boat: { id: 'b', name: 'Tern', kept: 'afloat' } }))).toEqual([
    'nobody-pumps',
  ]);
});
