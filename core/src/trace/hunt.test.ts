import { measureOhms, measureVolts, withFaults } from '../circuit';
import { pulled, settingOf } from '../prove/ground';
import { Hunt, JUSTIFIED, type HuntReading } from './hunt';
import { assessedOf, chances, hunted, huntsOf, unlistedOf } from './hunts.fixture';
import { huntModel, symptomsOf } from './huntModel';
import { hypothesesOf } from './hypotheses';
import { ELSE_SHARE, MISREAD, likelihood } from './posterior';
import { sharesOf } from '../reference';

const base = assessedOf('three-way-float');
/** So many simulated hunts of every symptom; a drill takes more. */
const HUNTS = Number(process.env['HUNTS'] ?? 4);

describe('what may be wrong', () => {
  it.each(['three-way-float', 'plain-switch', 'relay', 'standalone-alarm'])(
    'with %s has shares that sum to one, each once',
    (scheme) => {
      const all = hypothesesOf(assessedOf(scheme));
      expect(all.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9);
      expect(new Set(all.map(({ id }) => id)).size).toBe(all.length);
      expect(all.every(({ share }) => share > 0)).toBe(true);
    },
  );

  it('is moved by the boat’s story, and learned from the yard’s repairs: ours weigh twenty calls', () => {
    const ours = sharesOf(['battery', 'blocked']);
    // 8 and 9 percent of calls.
    expect(ours.get('battery')).toBeCloseTo(8 / 17, 9);
    expect(sharesOf(['battery', 'blocked'], { story: { laidUp: true } }).get('battery')).toBeCloseTo(24 / 33, 9);
    expect(sharesOf(['battery', 'blocked'], { closed: { battery: 10 } }).get('battery')).toBeCloseTo(
      (20 * (8 / 17) + 10) / 30,
      9,
    );
  });

  it('shows a symptom that the sound circuit does not', () => {
    const codes = symptomsOf(base).map(({ code }) => code);
    expect(codes).toEqual(
      expect.arrayContaining(['both-dead', 'auto-dead', 'manual-dead', 'never-stops', 'no-water', 'light-only']),
    );
    expect(codes).not.toContain('alarm-silent');
    expect(() => huntModel(base, { symptom: 'alarm-silent' })).toThrow(RangeError);
  });
});

describe('what a test would read', () => {
  it('is what the bench’s meter shows on the same circuit with the same fault', () => {
    for (const symptom of ['auto-dead', 'no-water'] as const) {
      const { hypotheses, tests, ground } = huntModel(base, { symptom });
      for (const { test, readings } of tests) {
        const { between, reads, set } = test;
        if (!between || (reads.kind !== 'volts' && reads.kind !== 'ohms')) continue;
        hypotheses.forEach(({ faults, water }, at) => {
          if (water !== null) return;
          const netlist = pulled(withFaults(ground.netlist, faults), set.fusesOut);
          const probes = { red: between[0], black: between[1] };
          if (reads.kind === 'volts') {
            expect(readings[at]).toBeCloseTo(measureVolts(netlist, settingOf(set), probes), 3);
            return;
          }
          const read = measureOhms(netlist, settingOf(set), probes);
          expect(readings[at]).toEqual(read.kind === 'ohms' ? expect.closeTo(read.ohm, 6) : read.kind);
        });
      }
    }
  });

  it('is as likely as its window says: by hand at its middle, and two in a hundred far outside', () => {
    const { tests } = huntModel(base, { symptom: 'auto-dead' });
    const volts = tests.find(({ test }) => test.reads.kind === 'volts' && test.reads.loaded)?.test;
    if (!volts) throw new Error('no volts');
    // 12 V loaded: half of 0.3 V below and of 0.2 V above.
    expect(likelihood(volts, 12, 12, 3)).toBeCloseTo((0.98 * 2) / (Math.sqrt(2 * Math.PI) * 0.25) + MISREAD / 32, 6);
    expect(likelihood(volts, 12, 3, 3)).toBeCloseTo(MISREAD / 32, 9);
  });
});

describe('a hunt', () => {
  const hunt = new Hunt(base, { symptom: 'auto-dead', access: 'hard' });
  const place = hunt.model.hypotheses.findIndex(({ id }) => id === 'way-off@joint-float.cable');
  const { readings } = hunted(hunt, hunt, place, chances(3));

  it('begins with the shares, keeps those of all and of what is not listed at one, and never settles by the symptom alone', () => {
    const { suspects, other, settled } = hunt.after([]);
    expect(other).toBeCloseTo(ELSE_SHARE, 9);
    expect(suspects.reduce((sum, { share }) => sum + share, other)).toBeCloseTo(1, 9);
    expect(settled).toBeNull();
  });

  it('finds a lead that has come out of a splice', () => {
    const { settled } = hunt.after(readings);
    expect(settled?.repair.code).toBe('joint-float:remake');
    expect(settled?.share).toBeGreaterThanOrEqual(JUSTIFIED * 0.9);
  });

  it('knows the same in whatever order readings came, and what it knew before when one is taken back', () => {
    const shares = (of: readonly HuntReading[]) =>
      hunt
        .after(of)
        .suspects.map(({ hypothesis, share }) => [hypothesis.id, share.toFixed(9)])
        .sort();
    expect(shares([...readings].reverse())).toEqual(shares(readings));
    const before = shares(readings.slice(0, 1));
    hunt.after(readings);
    expect(shares(readings.slice(0, 1))).toEqual(before);
  });

  it('asks for nothing that is not at hand, nor again what cannot be done', () => {
    const bare = new Hunt(base, { symptom: 'auto-dead', carried: [] });
    const used = new Set(bare.model.tests.map(({ test }) => test.instrument));
    for (const instrument of ['voltmeter', 'ohmmeter', 'clamp'] as const) expect(used.has(instrument)).toBe(false);
    const [first] = bare.after([]).next;
    if (!first) throw new Error('nothing to ask');
    const cannot: HuntReading = { kind: 'cannot', test: first.predicted.test.id };
    expect(bare.after([cannot]).next.map(({ predicted }) => predicted.test.id)).not.toContain(first.predicted.test.id);
  });

  it('asks for ohms only with every fuse out', () => {
    for (const { test } of hunt.model.tests)
      if (test.instrument === 'ohmmeter') {
        expect(test.set.fusesOut).toEqual(['fuse']);
        expect(test.text).toContain('proved dead');
      }
  });

  it('takes a repair that did not help as a reading, and goes on', () => {
    const repair = hunt.after(readings).settled?.repair.code ?? '';
    const { repairs, settled } = hunt.after([...readings, { kind: 'repaired', repair, fixed: false }]);
    expect(settled?.repair.code).not.toBe(repair);
    expect(repairs.find((one) => one.repair.code === repair)?.share).toBeLessThan(0.9);
  });

  it('says so where readings fit nothing: a second fault planted later, or something nobody listed', () => {
    const odd: HuntReading[] = hunt.model.tests.slice(0, 8).map(({ test }) => ({
      kind: 'read',
      test: test.id,
      value: test.reads.kind === 'volts' ? 5.5 : 'something else',
    }));
    expect(hunt.after(odd).unlisted).toBe(true);
  });

  it('survives thirty readings that contradict each other', () => {
    const thirty: HuntReading[] = Array.from({ length: 30 }, (_, at) => {
      const one = hunt.model.tests[at % hunt.model.tests.length];
      return { kind: 'read', test: one?.test.id ?? '', value: one?.readings[at % hunt.model.hypotheses.length] ?? '' };
    });
    const { suspects, other } = hunt.after(thirty);
    expect(suspects.reduce((sum, { share }) => sum + share, other)).toBeCloseTo(1, 6);
  });
});

describe('many hunts with soft readings and two misreads in a hundred', () => {
  it('name the right repair first', () => {
    let [right, all] = [0, 0];
    for (const scheme of ['three-way-float', 'backup-alarm']) {
      const one = huntsOf(scheme, HUNTS, 17);
      right += one.right;
      all += one.all;
    }
    expect(all).toBeGreaterThan(80);
    expect(right / all).toBeGreaterThanOrEqual(0.95);
  }, 600_000);

  it('of faults that are not in the list name mostly no wrong repair', () => {
    const { admitted, all } = unlistedOf('three-way-float', 1, 5);
    expect(all).toBeGreaterThan(50);
    expect(admitted / all).toBeGreaterThanOrEqual(0.75);
  }, 600_000);
});
