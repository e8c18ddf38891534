import fc from 'fast-check';
import { newCircuit, newJob, type Circuit, type Job } from '../job';
import { readJob } from '../file';
import { conductorSizes, defaults } from '../reference';
import { schemeKeys, schemeOf } from '../schemes';
import { posesOf } from '../water';
import { assess, withIdea } from './assess';
import type { AssessedCircuit } from './circuit';
import { lastingFindings } from './lasting';
import { runReport, waterReport } from './waterReport';

const maybe = <T>(value: fc.Arbitrary<T>) => fc.option(value, { nil: undefined, freq: 2 });
const metres = (min: number, max: number) =>
  fc.double({ min, max, noNaN: true }).map((m) => Math.round(m * 1000) / 1000);
const amps = fc.constantFrom(1.5, 2.8, 4.6, 6.5, 8.4, 12, 15.5, 22);
const size = fc.constantFrom(
  ...conductorSizes.awg.map((row) => row.size),
  ...conductorSizes.metric.map((row) => row.size),
);
const rating = fc.constantFrom(2, 5, 7.5, 8, 10, 15, 20, 30, 40);

/** Leaves out keys that were not chosen, as a survey does. */
function known<T extends object>(object: T): { [K in keyof T]: Exclude<T[K], undefined> } {
  return Object.fromEntries(Object.entries(object).filter(([, value]) => value !== undefined)) as never;
}

const leg = fc
  .record({
    lengthM: metres(0.2, 25),
    slackM: maybe(metres(0, 2)),
    insulationC: maybe(fc.constantFrom(60, 75, 90, 105)),
    engineSpace: maybe(fc.boolean()),
    bundled: maybe(fc.constantFrom(3, 6)),
    multicore: maybe(fc.boolean()),
    unsheathedM: maybe(metres(0, 1.5)),
  })
  .map(known);

const hose = fc.record({
  boreM: fc.constantFrom(0.013, 0.019, 0.025, 0.038),
  wall: fc.constantFrom('smooth' as const, 'corrugated' as const),
  riseM: metres(0.2, 3),
  acrossM: metres(0.2, 3),
  fallM: metres(-0.1, 0.3),
  dip: fc.boolean(),
  checkValve: fc.boolean(),
  ventedLoop: fc.boolean(),
  ventedLoopM: maybe(metres(0.5, 2)),
});

const water = fc.record({
  hose,
  zM: metres(-0.02, 0.3),
  xM: metres(-0.4, 0.4),
  kind: maybe(fc.constantFrom('hinged' as const, 'enclosed' as const, 'probe' as const)),
});

type Hose = typeof hose extends fc.Arbitrary<infer H> ? H : never;

function hoseOf({ riseM, acrossM, fallM, dip, ventedLoopM, ...more }: Hose) {
  const top = riseM + 0.1;
  return {
    ...known({ ...more, ventedLoopM }),
    route: [
      { alongM: 0, heightM: 0.05 },
      { alongM: top, heightM: riseM },
      ...(dip ? [{ alongM: top + acrossM / 2, heightM: Math.max(0, riseM - acrossM / 4) }] : []),
      { alongM: top + acrossM, heightM: dip ? riseM : riseM - Math.min(fallM, acrossM / 2) },
    ],
  };
}

const circuit = fc
  .record({
    scheme: fc.constantFrom(...schemeKeys),
    sourceToPanel: leg,
    panelToBilge: leg,
    autoLengthM: maybe(metres(0.5, 20)),
    bilgeToNegative: leg,
    currentA: amps,
    makerFuseA: maybe(fc.constantFrom(4, 5, 7.5, 10, 15, 25)),
    openFlowLPerH: maybe(fc.constantFrom(1900, 3000, 7500)),
    shutOffHeadM: maybe(fc.constantFrom(2, 3, 5.5)),
    thermalGuard: maybe(fc.constant('on its label')),
    leads: maybe(
      fc.record({
        lengthM: metres(0.1, 1.5),
        size: fc.constantFrom('18 AWG' as const, '16 AWG' as const, '0.75 mm²' as const),
      }),
    ),
    source: fc
      .record({
        stubLengthM: maybe(metres(0.05, 2.5)),
        stubSheathed: maybe(fc.boolean()),
        takenFrom: maybe(fc.constantFrom('battery' as const, 'bus' as const)),
        feed: maybe(fc.constantFrom('unswitched' as const, 'isolator' as const)),
        mainFuse: maybe(
          fc.constantFrom({ kind: 'cubeAtBattery' as const, ratingA: 40 }, { kind: 'classT' as const, ratingA: 110 }),
        ),
      })
      .map(known),
    panel: fc
      .record({
        switchA: maybe(fc.constantFrom(5, 10, 20)),
        fuse: maybe(rating.map((ratingA) => ({ kind: 'blade' as const, ratingA }))),
        light: maybe(fc.constantFrom('led' as const, 'filament' as const)),
        lightWired: maybe(fc.constantFrom('to-negative' as const, 'auto-to-manual' as const)),
        armedLight: maybe(fc.constantFrom('led' as const, 'filament' as const)),
        tapFuseA: maybe(fc.constant(1)),
        manualBreaksAuto: maybe(fc.boolean()),
        legFuses: maybe(rating.map((manualA) => ({ kind: 'blade' as const, manualA, autoA: 10 }))),
      })
      .map(known),
    relay: fc.record({ suppression: fc.constantFrom('diode' as const, 'none' as const) }),
    diodes: fc.boolean(),
    floatA: maybe(fc.constantFrom(5, 15)),
    protection: maybe(
      fc.record({ kind: fc.constantFrom('blade' as const, 'thermalBreaker' as const), ratingA: rating }),
    ),
    conductors: fc.dictionary(fc.constantFrom('feed', 'manual', 'auto', 'negative'), size, { maxKeys: 2 }),
    family: maybe(fc.constantFrom('awg' as const, 'metric' as const)),
    dropSchool: maybe(fc.constantFrom('critical' as const, 'general' as const)),
    water: maybe(water),
  })
  .map((one) => (id: string): Circuit => {
    const pump = known({
      currentA: one.currentA,
      makerFuseA: one.makerFuseA,
      openFlowLPerH: one.openFlowLPerH,
      shutOffHeadM: one.shutOffHeadM,
      thermalGuard: one.thermalGuard,
      leads: one.leads,
    });
    return {
      ...newCircuit(id, `Circuit ${id}`, one.scheme, 'house'),
      legs: {
        sourceToPanel: one.sourceToPanel,
        panelToBilge: {
          ...one.panelToBilge,
          ...(one.autoLengthM === undefined ? {} : { autoLengthM: one.autoLengthM }),
        },
        bilgeToNegative: one.bilgeToNegative,
      },
      pump,
      source: one.source,
      panel: one.panel,
      relay: one.relay,
      alarm: { diodes: one.diodes },
      ...(one.floatA === undefined ? {} : { floatA: one.floatA }),
      choices: known({
        protection: one.protection,
        conductors: one.conductors,
        family: one.family,
        dropSchool: one.dropSchool,
      }),
      ...(one.water
        ? {
            water: {
              wellId: 'bilge',
              hose: hoseOf(one.water.hose),
              float: known({ xM: one.water.xM, zM: one.water.zM, kind: one.water.kind }),
            },
          }
        : {}),
    };
  });

const anyBoat: fc.Arbitrary<Job> = fc
  .record({
    circuits: fc.array(circuit, { minLength: 1, maxLength: 3 }),
    shares: fc.boolean(),
    alsoFrom: fc.boolean(),
    petrol: fc.boolean(),
    battery: fc
      .record({
        chemistry: maybe(fc.constantFrom('lead-acid' as const, 'lifepo4' as const)),
        capacityAh: maybe(fc.constantFrom(12, 45, 100, 400)),
        stateOfCharge: maybe(fc.constantFrom(0.2, 0.6, 1)),
        restV: maybe(fc.constantFrom(11.6, 12.3, 12.7)),
        chargeA: maybe(fc.constantFrom(0.05, 0.5)),
        managementLimitA: maybe(fc.constantFrom(15, 40)),
        seriesBank: maybe(fc.constantFrom({ bankV: 24 as const }, { bankV: 24 as const, ownPoles: true })),
      })
      .map(known),
    section: fc.constantFrom<NonNullable<Job['wells']>[number]['section']>(
      { kind: 'box' as const, widthM: 0.4 },
      { kind: 'v' as const, deadriseDeg: 14, widthM: 0.6 },
      { kind: 'round' as const, radiusM: 0.35 },
      {
        kind: 'table' as const,
        rows: [
          { heightM: 0.1, areaM2: 0.05 },
          { heightM: 0.3, areaM2: 0.075 },
        ],
      },
    ),
    outsideM: maybe(metres(0, 1)),
    lPerH: fc.constantFrom(0, 2, 60, 900, 4000),
    hole: maybe(
      fc.record({ diameterM: fc.constantFrom(0.005, 0.02), heightM: metres(-0.02, 0.1), xM: metres(-0.4, 0.4) }),
    ),
    hullLengthM: maybe(fc.constantFrom(5, 9, 14)),
  })
  .map(({ circuits, shares, alsoFrom, petrol, battery, section, outsideM, lPerH, hole, hullLengthM }): Job => {
    const base = newJob({ boatId: '6d1f0f6e-0d5c-4a55-9a0e-000000000000', batteryId: 'house' }, 'Tern');
    const made = circuits.map((make, index) => make(`c${index}`));
    return {
      ...base,
      boat: { ...base.boat, petrol, ...(hullLengthM === undefined ? {} : { hullLengthM }) },
      batteries: [{ id: 'house', name: 'House battery', ...battery }],
      wells: [
        {
          id: 'bilge',
          name: 'Bilge',
          aftM: -0.5,
          foreM: 0.6,
          floorM: -0.02,
          section,
          limits: [{ id: 'sole', name: 'Sole', zM: 0.32 }],
        },
      ],
      poses: [
        { id: 'rest', name: 'At rest', trimDeg: 0, heelDeg: 0, ...(outsideM === undefined ? {} : { outsideM }) },
        {
          id: 'heel',
          name: 'Heeled',
          trimDeg: -1,
          heelDeg: 7,
          ...(outsideM === undefined ? {} : { outsideM: outsideM + 0.05 }),
        },
      ],
      ingress: [
        { id: 'way', name: 'Way in', sources: [{ kind: 'steady', flowLPerH: lPerH }] },
        ...(hole ? [{ id: 'hole', name: 'Hole', sources: [{ kind: 'opening' as const, ...hole }] }] : []),
      ],
      circuits: made.map((one, index) => ({
        ...one,
        ...(shares &&
        index === 1 &&
        schemeOf(one).options.includes('pump') &&
        schemeOf(made[0] ?? one).options.includes('pump')
          ? { sharesFeedWith: 'c0' }
          : {}),
        ...(alsoFrom && index === 2 && schemeOf(one).options.includes('alarm')
          ? { alarm: { ...one.alarm, alsoFrom: 'c0' } }
          : {}),
      })),
    };
  });

type Judged = Exclude<AssessedCircuit, { status: 'incomplete' }>;
const judgedOf = (job: Job): Judged[] => assess(job).filter((one): one is Judged => one.status !== 'incomplete');

/** Holds what no reader should ever see, or is nothing at all. */
function expectPlainWords(text: string): void {
  expect(text).not.toMatch(/Infinity|NaN|undefined|null|\[object|-0(\.0+)?\u00a0/);
  expect(text).not.toMatch(/-\d[\d.]*\u00a0?(Ah|L\/h|L\b|mΩ)/);
  expect(text.trim().length).toBeGreaterThan(0);
}

const runs = { numRuns: Number(process.env['WHOLE_BOATS'] ?? 500) };

test('any whole boat is judged in words that hold no Infinity, no NaN, nothing and nothing less than nothing', () => {
  fc.assert(
    fc.property(anyBoat, (job) => {
      const read = readJob(job);
      if (!read.ok) throw new Error(`${read.problems[0].path}: ${read.problems[0].message}`);
      for (const one of judgedOf(read.job)) {
        const ids = one.findings.map(({ id }) => id);
        expect(new Set(ids).size).toBe(ids.length);
        for (const { message, rule, source } of one.findings) [message, rule, source].forEach(expectPlainWords);
        for (const { text } of one.wiredAs) expectPlainWords(text);
      }
    }),
    runs,
  );
});

test('every fix offered on any whole boat says what it does, removes its finding and adds no stop', () => {
  let offered = 0;
  const places = (judged: readonly Judged[], severity?: 'stop') =>
    new Set(
      judged.flatMap(({ circuit: { id }, findings }) =>
        findings
          .filter((one) => severity === undefined || one.severity === severity)
          .flatMap(({ code, at }) =>
            at.length === 0 ? [`${id} ${code}`] : at.map((place) => `${id} ${code} ${place}`),
          ),
      ),
    );
  fc.assert(
    fc.property(anyBoat, (job) => {
      const before = judgedOf(job);
      const stops = places(before, 'stop');
      for (const {
        circuit: { id },
        findings,
      } of before) {
        for (const { code, at, fix, topic } of findings) {
          if (!fix) continue;
          offered += 1;
          expect(fix.effect.length).toBeGreaterThan(0);
          [fix.label, ...fix.effect].forEach(expectPlainWords);
          const after = judgedOf(withIdea(job, fix));
          const left = places(after);
          if (topic !== 'battery')
            for (const place of at.length === 0 ? [''] : at)
              expect(left).not.toContain(`${id} ${code} ${place}`.trim());
          else expect([...left].some((one) => one.includes(` ${code}`))).toBe(false);
          // A fix is tried on its own circuit, and for a battery on the whole boat.
          const own = after.filter((one) => topic === 'battery' || one.circuit.id === id);
          for (const place of places(own, 'stop')) expect(stops).toContain(place);
        }
      }
    }),
    { numRuns: Math.max(60, Math.round(runs.numRuns / 4)) },
  );
  expect(offered).toBeGreaterThan(50);
});

test('runs and operating points of any boat never contradict each other', () => {
  fc.assert(
    fc.property(anyBoat, (job) => {
      const assessed = assess(job);
      const report = waterReport(job, { hours: 6 });
      for (const run of report.runs) {
        for (const figure of [run.pumpedL, run.ampHours, run.maxLevelM, run.dutyShare])
          expect(Number.isFinite(figure)).toBe(true);
        expect(run.ampHours).toBeGreaterThanOrEqual(0);
        expect(run.pumpedL).toBeGreaterThanOrEqual(-1e-9);
        expect(run.dutyShare).toBeLessThanOrEqual(1 + 1e-9);
        expect(Math.abs(run.massErrorL)).toBeLessThan(1e-3);
        for (const own of run.circuits) {
          const one = assessed.find(({ circuit: { id } }) => id === own.id);
          if (one?.status !== 'sized' || !one.facts.water) throw new Error('a pump without facts ran');
          // What no supply lifts in this pose leaves the boat in no run: the operating point has water at the pump's base, a run up to the top.
          const pose = one.facts.water.poses.find((facts) => facts.pose.id === run.pose);
          const shutOffM = 1.3 ** 2 * (one.facts.water.curve?.shutOffM ?? 0);
          if (pose?.liftM !== null && pose !== undefined && pose.liftM - run.maxLevelM - 0.5 > shutOffM)
            expect(own.pumpedL).toBeCloseTo(0, 6);
          // And what its flow would take in the time it ran is what it took, within its speeds.
          const most = Math.max(0, ...(pose?.operating ?? []).map(({ flowLPerH }) => flowLPerH));
          const openLPerH = (one.facts.water.curve?.openFlow ?? 0) * 3.6e6 * 1.3;
          if (most === 0 && run.maxLevelM < 0.2) continue;
          expect(own.pumpedL).toBeLessThanOrEqual(openLPerH * own.dutyShare * 6 + 1e-6);
        }
      }
      // Where no curve is known nothing is run, and it is asked for instead.
      for (const one of assessed) {
        if (one.status !== 'sized' || !one.facts.water?.hose || one.facts.water.curve) continue;
        expect(one.findings.map(({ code }) => code)).toContain('flow-not-known');
        expect(report.runs.flatMap(({ circuits }) => circuits.map(({ id }) => id))).not.toContain(one.circuit.id);
      }
    }),
    { numRuns: Math.max(40, Math.round(runs.numRuns / 6)) },
  );
});

test('the findings of long runs offer fixes that last', () => {
  fc.assert(
    fc.property(anyBoat, (job) => {
      const assessed = assess(job);
      const reports = posesOf(job).flatMap((pose) =>
        (job.ingress ?? []).flatMap(
          (ingress) => runReport({ job, assessed, wellId: 'bilge', pose, ingress, hours: 24 }) ?? [],
        ),
      );
      for (const { message, fix } of lastingFindings(job, 'bilge', reports)) {
        expect(message).not.toMatch(/Infinity|NaN/);
        if (fix) expect(fix.effect.length).toBeGreaterThan(0);
      }
    }),
    { numRuns: 25 },
  );
  expect(defaults.suppliesV).toHaveLength(3);
});
