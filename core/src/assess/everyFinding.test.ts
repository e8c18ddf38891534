import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { newCircuit, type Circuit, type Job } from '../job';
import { assess, codesOf, jobOf, sized, type Survey } from './assess.fixture';

const severityOf = (survey: Survey, code: string) =>
  sized(survey).findings.find((finding) => finding.code === code)?.severity;

/** One size in every conductor of the circuit. */
const allOf = (size: string) => ({ feed: size, manual: size, auto: size, negative: size });

describe('conductors', () => {
  it('may carry what the table gives them and not a tenth of an ampere more', () => {
    // 18 AWG with 60 °C insulation carries 10 A.
    const thin = (currentA: number): Survey => ({
      lengths: [1, 1, 1],
      insulationC: 60,
      pump: { currentA },
      choices: { dropSchool: 'general', conductors: allOf('18 AWG') },
    });
    expect(codesOf(thin(10))).not.toContain('ampacity-below-current');
    expect(severityOf(thin(10.1), 'ampacity-below-current')).toBe('stop');
  });

  it('in an engine space carry less, and their finding says so', () => {
    const { findings } = sized({
      lengths: [1, 1, 1],
      engineSpace: true,
      insulationC: 75,
      pump: { currentA: 9 },
      choices: { dropSchool: 'general', conductors: allOf('18 AWG') },
    });
    const found = findings.find(({ code }) => code === 'ampacity-below-current');
    expect(found?.message).toContain('may carry 7.5\u00a0A in an engine space, and carries 9\u00a0A');
  });
});

describe('volts at the pump', () => {
  /** The same thin circuit, longer and longer. */
  const long = (metres: number): Survey => ({
    lengths: [metres, metres, metres],
    choices: { conductors: allOf('16 AWG'), protection: { ratingA: 7.5 } },
  });
  const lengths = [1, 5, 10, 15, 20, 30, 45, 60, 90, 130, 180, 250, 400];
  const volts = (metres: number) =>
    sized(long(metres)).facts.supplies.find(({ supplyV }) => supplyV === 12)?.pumpV ?? NaN;

  it('below 10.5 V at 12.0 V are a caution, below a fifth of the label’s a stop, and never both', () => {
    const told = lengths.map((metres) => [
      volts(metres) < 10.5 && volts(metres) >= 2.4,
      severityOf(long(metres), 'pump-volts-low') === 'caution',
      volts(metres) < 2.4,
      severityOf(long(metres), 'pump-may-not-break-away') === 'stop',
    ]);
    for (const [low, saidLow, dead, saidDead] of told) expect([saidLow, saidDead]).toEqual([low, dead]);
    // All three kinds were among them.
    expect(told.some(([low, , dead]) => !low && !dead)).toBe(true);
    expect(told.some(([low]) => low)).toBe(true);
    expect(told.some(([, , dead]) => dead)).toBe(true);
  });
});

describe('a short at the pump', () => {
  it('opens the fuse within a second, or is a caution up to five and a stop beyond', () => {
    const thin = (metres: number): Survey => ({
      lengths: [metres, metres, metres],
      pump: { currentA: 6 },
      choices: { conductors: allOf('14 AWG'), protection: { ratingA: 10 } },
    });
    const told = Array.from({ length: 30 }, (_, index) => 2 * (index + 1)).map((metres) => {
      const opening = sized(thin(metres)).facts.protection.farShortOpening;
      const seconds = opening.kind === 'opens' ? opening.seconds : Infinity;
      const expected = seconds > 5 ? 'stop' : seconds > 1 ? 'caution' : undefined;
      expect(severityOf(thin(metres), 'far-short-slow')).toBe(expected);
      return expected;
    });
    expect(new Set(told)).toEqual(new Set([undefined, 'caution', 'stop']));
  });

  it('is 12 V over what lies between battery and pump', () => {
    // Copper at 50 °C: 2.081 mm² of 14 AWG over 20 + 20 + 20 m, the stub, fuse, switch, float and three joints.
    const { facts } = sized({
      lengths: [20, 20, 20],
      choices: { conductors: allOf('14 AWG'), protection: { ratingA: 10 } },
    });
    const stubOhm = facts.conductors.find(({ planned }) => planned.id === 'stub')?.resistanceOhm ?? NaN;
    const copperOhm = (17.241 / 2.081 / 1000) * 60 * (1 + 0.00393 * 10) + stubOhm;
    expect(facts.protection.farShortA).toBeCloseTo(12 / (copperOhm + 0.0085 + 0.005 + 0.01 + 0.003), 2);
  });
});

describe('a starting pump', () => {
  it('whose current a fast fuse may not outlast is a caution', () => {
    const fused = (ratingA: number): Survey => ({ lengths: [1, 1, 1], choices: { protection: { ratingA } } });
    // About 27 A at 14.4 V for 0.03 s. Of 5 A that is over five times: the fastest blade fuse opens in 0.024 s or sooner.
    const { inrushA } = sized(fused(5)).facts.protection;
    expect(inrushA / 5).toBeGreaterThan(5);
    expect(severityOf(fused(5), 'inrush-reaches-fuse')).toBe('caution');
    // Of 7.5 A it is under four times: 0.035 s at least.
    expect(inrushA / 7.5).toBeLessThan(4);
    expect(codesOf(fused(7.5))).not.toContain('inrush-reaches-fuse');
  });
});

describe('a rating', () => {
  it('that no shop has is a caution which names those that are', () => {
    const chosen = (ratingA: number): Survey => ({ choices: { protection: { ratingA } } });
    expect(codesOf(chosen(7.5))).not.toContain('rating-not-standard');
    const found = sized(chosen(8)).findings.find(({ code }) => code === 'rating-not-standard');
    expect(found).toMatchObject({ severity: 'caution', message: expect.stringContaining('7.5, 10, 15') });
  });

  it('under the maker’s figure and over the current may not exist: a stop that says which figures clash', () => {
    const found = (pump: Circuit['pump']) =>
      sized({ pump }).findings.find(({ code }) => code === 'no-rating-satisfies');
    expect(found({ currentA: 5, makerFuseA: 5 })).toBeUndefined();
    expect(found({ currentA: 5, makerFuseA: 4.9 })).toMatchObject({
      severity: 'stop',
      message: expect.stringContaining('within the maker’s 4.9\u00a0A'),
    });
  });
});

describe('manual', () => {
  it('that stays on is stated; one that springs back is not', () => {
    const job = jobOf({});
    const codes = (manual: Circuit['manual']) =>
      assess({ ...job, circuits: job.circuits.map((one) => ({ ...one, manual })) }).flatMap((one) =>
        one.status === 'incomplete' ? [] : one.wiredAs.map(({ code }) => code),
      );
    expect(codes('latching')).toContain('manual-can-be-forgotten');
    expect(codes('momentary')).not.toContain('manual-can-be-forgotten');
  });
});

describe('pump, hose and float in a well', () => {
  const hose = {
    boreM: 0.019,
    route: [
      { alongM: 0, heightM: 0.05 },
      { alongM: 1.5, heightM: 1.1 },
      { alongM: 3, heightM: 1 },
    ],
  };
  const box = (lengthM: number, widthM: number): NonNullable<Job['wells']> => [
    {
      id: 'bilge',
      name: 'Bilge',
      aftM: -lengthM / 2,
      foreM: lengthM / 2,
      section: { kind: 'box', widthM },
      limits: [{ id: 'floor', name: 'Floorboards', zM: 0.4 }],
    },
  ];
  const pump = { currentA: 3, openFlowLPerH: 1300, shutOffHeadM: 3 };

  interface Wet {
    readonly water?: Partial<NonNullable<Circuit['water']>>;
    readonly scheme?: string;
    readonly wells?: Job['wells'];
    readonly hullLengthM?: number;
    readonly also?: readonly Circuit[];
  }

  function wet({ water, scheme = 'three-way-float', wells = box(1, 0.5), hullLengthM, also = [] }: Wet): Job {
    const job = jobOf({ pump });
    const own = job.circuits.map((one) => ({ ...one, scheme, water: { wellId: 'bilge', hose, ...water } }));
    return {
      ...job,
      boat: { ...job.boat, ...(hullLengthM === undefined ? {} : { hullLengthM }) },
      wells,
      circuits: [...own, ...also],
    };
  }

  const assessedAs = (job: Job, id = 'main') => {
    const one = assess(job).find(({ circuit }) => circuit.id === id);
    if (one?.status !== 'sized') throw new Error('not sized');
    return one;
  };
  const found = (job: Job, code: string, id = 'main') =>
    assessedAs(job, id).findings.find((finding) => finding.code === code);

  it('move at least what the length of the hull asks: 10 L/min to 6 m, 15 to 12 m, 30 above', () => {
    const flow = assessedAs(wet({})).facts.water?.poses[0]?.operating.find(({ supplyV }) => supplyV === 12.8);
    const litresPerMinute = (flow?.flowLPerH ?? NaN) / 60;
    expect(litresPerMinute).toBeGreaterThan(10);
    expect(litresPerMinute).toBeLessThan(15);
    expect(found(wet({}), 'capacity-by-length')).toBeUndefined();
    expect(found(wet({ hullLengthM: 6 }), 'capacity-by-length')).toBeUndefined();
    expect(found(wet({ hullLengthM: 6.01 }), 'capacity-by-length')).toMatchObject({ severity: 'caution' });
    expect(found(wet({ hullLengthM: 12.01 }), 'capacity-by-length')?.message).toContain('1800');
  });

  it('have a check valve cautioned, as what it is not', () => {
    expect(found(wet({}), 'check-valve')).toBeUndefined();
    const noted = found(wet({ water: { hose: { ...hose, checkValve: true } } }), 'check-valve');
    expect(noted).toMatchObject({ severity: 'caution', message: expect.stringContaining('only guard') });
  });

  it('run ten seconds at least, or it is said from which height they would', () => {
    // The higher in a vee, the more water between on and off.
    const narrow = box(0.6, 0.3).map((well) => ({
      ...well,
      section: { kind: 'v' as const, deadriseDeg: 45, widthM: 0.6 },
    }));
    const { window } = assessedAs(wet({ wells: narrow })).facts.water ?? {};
    const [least, comfort] = [window?.minM ?? NaN, window?.comfortMinM ?? NaN];
    expect(comfort).toBeGreaterThan(least);
    const at = (zM: number) => found(wet({ wells: narrow, water: { float: { zM } } }), 'float-short-run');
    expect(at((least + comfort) / 2)).toMatchObject({ severity: 'caution' });
    expect(at((least + comfort) / 2)?.message).toContain(`${Math.round(1000 * comfort)}`);
    expect(at(comfort + 0.001)).toBeUndefined();
  });

  it('of a backup let the first pump’s float come first', () => {
    const backup = (zM: number): Circuit => ({
      ...newCircuit('backup', 'Backup', 'backup-alarm', 'house'),
      legs: { sourceToPanel: { lengthM: 2 }, panelToBilge: { lengthM: 4 }, bilgeToNegative: { lengthM: 4 } },
      pump,
      water: { wellId: 'bilge', hose, float: { xM: 0.1, zM } },
    });
    const job = (zM: number) => wet({ water: { float: { xM: 0.1, zM: 0.05 } }, also: [backup(zM)] });
    expect(found(job(0.049), 'float-order', 'backup')).toMatchObject({
      severity: 'stop',
      message: expect.stringContaining('before the first pump’s float'),
    });
    expect(found(job(0.12), 'float-order', 'backup')).toBeUndefined();
    // The first pump itself has nothing to come after.
    expect(found(job(0.049), 'float-order')).toBeUndefined();
  });

  it('that feel for water are not primed again by their own hose, or it is said', () => {
    const tall = {
      ...hose,
      boreM: 0.038,
      route: [
        { alongM: 0, heightM: 0.05 },
        { alongM: 3, heightM: 2 },
      ],
    };
    const sump = box(0.3, 0.2);
    const feeling = (checkValve: boolean, wells = sump) =>
      wet({ scheme: 'sensing-pump', wells, water: { hose: { ...tall, checkValve } } });
    const said = found(feeling(false), 'reprimes-itself');
    expect(said).toMatchObject({ severity: 'caution' });
    expect(said?.fix?.circuit.water?.hose?.checkValve).toBe(true);
    expect(found(feeling(true), 'reprimes-itself')).toBeUndefined();
    // The same hose over a well of 1.5 m² lifts it by less than a millimetre or two.
    expect(found(feeling(false, box(1.5, 1)), 'reprimes-itself')).toBeUndefined();
  });
});

/** Files with an ending under a folder. */
function filesIn(folder: string, ending: RegExp): string[] {
  return readdirSync(folder, { recursive: true, encoding: 'utf8' })
    .filter((name) => ending.test(name))
    .map((name) => readFileSync(join(folder, name), 'utf8'));
}

test('no rule can give a finding that no test of the core names', () => {
  const core = join(__dirname, '..');
  const rules = ['findings', 'assess'].flatMap((folder) => filesIn(join(core, folder), /(?<!\.test)\.ts$/));
  const stated = rules.flatMap((text) =>
    [...text.matchAll(/\bcode: ([^,\n]+)|\bstop\(\s*facts,\s*('[a-z-]+')/g)].flatMap(([, given, called]) =>
      [...(given ?? called ?? '').matchAll(/'([a-z]+(?:-[a-z]+)+)'/g)].flatMap(([, code]) => code ?? []),
    ),
  );
  const codes = [...new Set(stated)];
  expect(codes.length).toBeGreaterThan(50);
  const tests = filesIn(core, /\.test\.ts$/).join('\n');
  expect(codes.filter((code) => !tests.includes(`'${code}'`))).toEqual([]);
});
