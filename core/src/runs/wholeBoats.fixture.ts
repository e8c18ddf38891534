import fc from 'fast-check';
import { newCircuit, newJob, type Circuit, type Job } from '../job';
import { conductorSizes } from '../reference';
import { schemeKeys, schemeOf } from '../schemes';

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

export const anyBoat: fc.Arbitrary<Job> = fc
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
