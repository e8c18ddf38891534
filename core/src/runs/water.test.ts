import fc from 'fast-check';
import { runs } from '../../testing/runs.fixture';
import type { CircuitWater, IngressSource, Job } from '../job';
import { defaults, ourRules } from '../reference';
import { assess } from '../assess/assess.fixture';
import { lastingFindings, wellRuns } from './lasting';
import { hoseChoices } from './hoseChoices';
import { seededDeviates, spreadOf, throwDays } from './sensitivity';
import { hose, rest, wetJob } from './wet.fixture';
import { runReport, waterReport } from './waterReport';

const waterCodes = (job: Job) =>
  assess(job).flatMap((one) =>
    one.status === 'incomplete' ? [] : one.findings.filter(({ topic }) => topic === 'water').map(({ code }) => code),
  );

function findingOf(job: Job, code: string) {
  const found = assess(job)
    .flatMap((one) => (one.status === 'incomplete' ? [] : one.findings))
    .find((one) => one.code === code);
  if (!found) throw new Error(`No finding ${code}.`);
  return found;
}

test('a pump’s flow falls with its volts, more steeply at head than into the open', () => {
  const [low, middle, high] = waterReport(wetJob()).operatingPoints;
  expect([low?.supplyV, middle?.supplyV, high?.supplyV]).toEqual([...defaults.suppliesV]);
  expect(low?.flowLPerH).toBeLessThan(middle?.flowLPerH ?? 0);
  expect((low?.flowLPerH ?? 0) / (high?.flowLPerH ?? 1)).toBeLessThan(12 / 13.6);
});

test('a float beside its pump in a plain well has nothing against it', () => {
  expect(waterCodes(wetJob({ water: { float: { xM: 0.1, zM: 0.02 } } }))).toEqual([]);
});

test('a float too deep under way is named, with the pose, and raised in one touch', () => {
  const job = wetJob({
    water: { float: { xM: -0.5, zM: 0 } },
    poses: [rest, { id: 'way', name: 'Under way', trimDeg: -3, heelDeg: 0, outsideM: 0.3 }],
  });
  const finding = findingOf(job, 'float-never-stops');
  expect(finding.message).toContain('under way');
  const fixed = finding.fix?.circuit;
  expect(fixed?.water?.float?.zM).toBeCloseTo(0.012 + 0.01 - 0.025 + 0.5 * Math.tan((3 * Math.PI) / 180) + 0.01, 2);
  expect(waterCodes({ ...job, circuits: fixed ? [fixed] : [] })).toEqual([]);
});

test('a hose that holds more than the dead-band is answered by a wider float, and then pumps bilge water', () => {
  const wells: Job['wells'] = [
    { id: 'bilge', name: 'Sump', aftM: -0.15, foreM: 0.15, section: { kind: 'box', widthM: 0.15 } },
  ];
  const job = wetJob({ wells });
  const { fix } = findingOf(job, 'float-own-water');
  expect(fix?.label).toMatch(/^Fit a float/);
  const before = [...wellRuns(job, 'bilge', 24)][0];
  const after = [...wellRuns({ ...job, circuits: fix ? [fix.circuit] : [] }, 'bilge', 24)][0];
  expect(before?.verdicts).toContain('own-water');
  expect(after?.verdicts).not.toContain('own-water');
});

test('where no height serves, float or pump is moved by the least that helps', () => {
  const [well] = wetJob().wells ?? [];
  const job = wetJob({
    water: { float: { xM: -0.5, zM: 0.02 } },
    poses: [
      rest,
      { id: 'way', name: 'Under way', trimDeg: -6, heelDeg: 0 },
      { id: 'down', name: 'Bow down', trimDeg: 6, heelDeg: 0 },
    ],
    wells: well && [{ ...well, limits: [{ id: 'joints', name: 'Joints', xM: 0, zM: 0.1 }] }],
  });
  const { fix, message } = findingOf(job, 'float-no-window');
  expect(message).toContain('nor higher than');
  expect(fix?.label).toMatch(/^Move the float .* towards the pump$/);
  const movedM = 0.5 + (fix?.circuit.water?.float?.xM ?? -0.5);
  // A centimetre less would not do.
  const less = job.circuits.map((one) => ({
    ...one,
    water: { ...one.water, wellId: 'bilge', float: { ...fix?.circuit.water?.float, xM: -0.5 + movedM - 0.01 } },
  }));
  expect(waterCodes({ ...job, circuits: less })).toContain('float-no-window');
});

test('a float outside the well, or behind a member without limber holes, is said so and put beside its pump', () => {
  const outside = wetJob({ water: { float: { xM: 2 } } });
  expect(waterCodes(outside)).toContain('float-outside-well');
  const { fix } = findingOf(outside, 'float-outside-well');
  expect(fix?.circuit.water?.float?.xM).toBe(0);
  const [well] = wetJob().wells ?? [];
  const behind = wetJob({
    water: { float: { xM: 0.4 } },
    wells: well && [{ ...well, members: [{ id: 'frame', xM: 0.2, limberHoles: false }] }],
  });
  expect(waterCodes(behind)).toContain('float-other-pool');
});

test('an outlet that goes under asks for a vented loop, and only for that', () => {
  const job = wetJob({ poses: [{ ...rest, outsideM: 1.1 }] });
  const { fix } = findingOf(job, 'outlet-under-water');
  expect(fix?.circuit.water?.hose?.ventedLoop).toBe(true);
});

test.each([
  ['hose-below-port', { portM: 0.038 }],
  [
    'hose-dip',
    {
      hose: {
        boreM: 0.025,
        route: [
          { alongM: 0, heightM: 0 },
          { alongM: 1, heightM: 0.8 },
          { alongM: 2, heightM: 0.2 },
          { alongM: 3, heightM: 0.9 },
        ],
      },
    },
  ],
  [
    'no-flow',
    {
      hose: {
        boreM: 0.025,
        route: [
          { alongM: 0, heightM: 0 },
          { alongM: 5, heightM: 4.9 },
        ],
      },
    },
  ],
  ['float-too-high', { float: { zM: 0.29 } }],
  ['float-below-hull', { float: { zM: -0.02 } }],
] as const)('%s is found where it is', (code, water) => {
  expect(waterCodes(wetJob({ water: water as unknown as Partial<CircuitWater> }))).toContain(code);
});

test('more ingress than the pump moves is a caution that names the way in', () => {
  expect(findingOf(wetJob({ sources: [{ kind: 'steady', flowLPerH: 4000 }] }), 'ingress-beats-pump').message).toContain(
    'Way in',
  );
});

test('a battery too small for a wet weekend is said so, and the fix that is offered lasts', () => {
  const corrugated = { ...hose, boreM: 0.013, wall: 'corrugated' as const };
  const job = {
    ...wetJob({ water: { hose: corrugated }, sources: [{ kind: 'rain', areaM2: 10, rateMmPerH: 9 }] }),
    batteries: [{ id: 'house', name: 'House', capacityAh: 60 }],
  };
  const runs = [...wellRuns(job, 'bilge', 24)];
  const [finding] = lastingFindings(job, 'bilge', runs);
  expect(finding?.code).toBe('battery-short');
  const changed = { ...job, circuits: finding?.fix ? [finding.fix.circuit] : [] };
  expect(
    Math.min(...[...wellRuns(changed, 'bilge', 24)].map(({ batteryDays }) => batteryDays ?? Infinity)),
  ).toBeGreaterThan(ourRules.weekendDays.value);
});

test('with the supply held, more ingress never means fewer litres pumped, and a check valve never raises the starts', () => {
  const held = (flowLPerH: number, checkValve: boolean) => {
    const job = wetJob({ water: { hose: { ...hose, checkValve } }, sources: [{ kind: 'steady', flowLPerH }] });
    const large = { ...job, batteries: [{ id: 'house', name: 'House', capacityAh: 5000, internalOhm: 1e-6 }] };
    return runReport({
      job: large,
      assessed: assess(large),
      wellId: 'bilge',
      pose: rest,
      ingress: large.ingress?.[0] ?? null,
      hours: 24,
      withoutLimits: true,
    });
  };
  fc.assert(
    fc.property(
      fc.double({ min: 5, max: 1500, noNaN: true }),
      fc.double({ min: 1, max: 1.5, noNaN: true }),
      (flow, factor) => {
        const [less, more, valved] = [held(flow, false), held(flow * factor, false), held(flow, true)];
        // A run that has only begun at the end of the day counts for what it pumped.
        expect(more?.pumpedL ?? 0).toBeGreaterThanOrEqual((less?.pumpedL ?? 0) - 15);
        expect(valved?.starts ?? 0).toBeLessThanOrEqual(less?.starts ?? 0);
      },
    ),
    runs(25),
  );
});

test('a weekend of water balances to the millilitre in every pose', () => {
  const job = wetJob({
    poses: [rest, { id: 'heel', name: 'Heeled', trimDeg: 1, heelDeg: 12 }],
    sources: [
      { kind: 'rain', areaM2: 8, rateMmPerH: 5 },
      { kind: 'drip', perMinute: 30 },
      { kind: 'opening', diameterM: 0.004, heightM: 0.02, outsideM: 0.3 },
    ],
  });
  for (const { massErrorL } of waterReport(job, { hours: 720 }).runs) expect(Math.abs(massErrorL)).toBeLessThan(0.001);
});

test('the same dice give the same days, and wetter dice fewer', () => {
  const job = wetJob({ sources: [{ kind: 'steady', flowLPerH: 200 }] });
  const question = { job, wellId: 'bilge', poseId: 'rest', ingressId: 'way', hours: 24 };
  const thrown = (seed: number) => {
    const deviate = seededDeviates(seed);
    return Array.from({ length: 12 }, () => throwDays(question, deviate));
  };
  expect(thrown(3)).toEqual(thrown(3));
  const { low, middle, high } = spreadOf(thrown(3));
  expect(low).toBeLessThanOrEqual(middle ?? 0);
  expect(middle).toBeLessThanOrEqual(high ?? 0);
  expect(spreadOf([1, 2, null])).toEqual({ throws: 3, low: 1, middle: 2, high: null });
});

test.each<[string, IngressSource]>([
  ['steady', { kind: 'steady', flowLPerH: 60 }],
  ['rain', { kind: 'rain', areaM2: 8, rateMmPerH: 8 }],
  ['drip', { kind: 'drip', perMinute: 12000 }],
  ['opening', { kind: 'opening', diameterM: 0.003, heightM: 0.01, outsideM: 0.3 }],
  ['script', { kind: 'script', steps: [{ fromS: 0, flowLPerH: 60 }] }],
])('dice that make %s wetter take days away, dice that make it drier give some', (_kind, source) => {
  const job = wetJob({ sources: [source] });
  const question = { job, wellId: 'bilge', poseId: 'rest', ingressId: 'way', hours: 72 };
  /** Dice whose first throw is so many deviations, and whose others are none. */
  const first = (deviations: number) => {
    const thrown = [deviations];
    return () => thrown.shift() ?? 0;
  };
  const [dry, usual, wet] = [-2, 0, 2].map((deviations) => throwDays(question, first(deviations)) ?? Infinity);
  expect(wet).toBeLessThan(usual ?? NaN);
  expect(usual).toBeLessThan(dry ?? NaN);
});

test('a wider hose that gives back more takes the float along to a height that serves, and leaves one that serves', () => {
  const wells: Job['wells'] = [
    { id: 'bilge', name: 'Sump', aftM: -0.15, foreM: 0.15, section: { kind: 'v', deadriseDeg: 45, widthM: 0.6 } },
  ];
  const widened = (zM: number) => {
    const job = wetJob({ wells, water: { hose: { ...hose, boreM: 0.019 }, portM: 0.025, float: { zM } } });
    const { fix } = findingOf(job, 'hose-below-port');
    if (!fix) throw new Error('no fix');
    const codes = waterCodes({ ...job, circuits: [fix.circuit] });
    expect(codes).not.toContain('hose-below-port');
    // In a vee the water between on and off grows with the height: lower down the wider hose would give back too much.
    expect(codes).not.toContain('float-own-water');
    return fix;
  };
  expect(widened(0.03).label).toMatch(/^Use 25.mm hose, float’s base at /);
  expect(widened(0.03).circuit.water?.float?.zM).toBeGreaterThan(0.06);
  expect(widened(0.09).label).toBe('Use 25\u00a0mm hose');
  expect(widened(0.09).circuit.water?.float?.zM).toBe(0.09);
});

test('beside the hose as it is stand a wider one, fewer bends and thicker cable, each moving more', () => {
  const job = wetJob();
  const [circuit] = job.circuits;
  const [now, ...others] = circuit ? hoseChoices(job, circuit) : [];
  const running = (choice: typeof now) => choice?.flows.find(({ supplyV }) => supplyV === 12.8)?.flowLPerH ?? 0;
  expect(others.map(({ label }) => label)).toEqual([
    'Hose 29\u00a0mm',
    'One bend fewer',
    expect.stringMatching(/^Cable /),
  ]);
  for (const other of others) expect(running(other)).toBeGreaterThan(running(now));
});
