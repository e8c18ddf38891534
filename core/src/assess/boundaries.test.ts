import type { Circuit, Job } from '../job';
import { assess, codesOf, jobOf, sized, type Survey } from './assess.fixture';

describe('findings at their boundaries', () => {
  const short = { lengths: [1, 1, 1] as const, insulationC: 60 };
  const withFuse = (ratingA: number, conductor = '16 AWG', pump: Circuit['pump'] = { currentA: 5 }): Survey => ({
    ...short,
    pump,
    choices: {
      dropSchool: 'general',
      conductors: { feed: conductor, manual: conductor, auto: conductor, negative: conductor },
      protection: { ratingA },
    },
  });

  it('a rating of exactly 150 % of the smallest conductor is no stop; the next standard one is', () => {
    // 18 AWG at 60 °C carries 10 A: 15 A is exactly 150 %.
    expect(codesOf(withFuse(15, '18 AWG'))).not.toContain('rating-over-conductor');
    expect(codesOf(withFuse(20, '18 AWG'))).toContain('rating-over-conductor');
  });

  it('the next standard rating above 100 % is tolerated, one beyond it is a caution', () => {
    const severity = (ratingA: number) =>
      sized(withFuse(ratingA, '12 AWG')).findings.find(({ code }) => code === 'rating-above-ampacity')?.severity;
    expect([severity(25), severity(30), severity(35)]).toEqual([undefined, 'caution', 'caution']);
    const metric = sized({
      ...short,
      choices: {
        family: 'metric',
        conductors: { feed: '2.5 mm²', manual: '2.5 mm²', auto: '2.5 mm²', negative: '2.5 mm²' },
        protection: { ratingA: 20 },
      },
    });
    expect(metric.findings.find(({ code }) => code === 'rating-above-ampacity')?.severity).toBe('note');
  });

  it('a rating of exactly the maker’s figure is allowed, one above is a stop', () => {
    expect(codesOf(withFuse(10, '12 AWG', { currentA: 5, makerFuseA: 10 }))).not.toContain('rating-over-maker');
    expect(codesOf(withFuse(15, '12 AWG', { currentA: 5, makerFuseA: 10 }))).toContain('rating-over-maker');
  });

  it('a rating below the running current is a stop, below 125 % of it a caution', () => {
    expect(codesOf(withFuse(4))).toContain('rating-below-running');
    expect(codesOf(withFuse(5))).toContain('rating-near-running');
    expect(codesOf(withFuse(7.5))).not.toContain('rating-near-running');
  });

  it('a stalled pump that never opens its fuse is a stop, in any family of fuse with a curve', () => {
    const answer = sized(withFuse(25, '10 AWG'));
    expect(answer.facts.protection.lockedRotorOpening.kind).toBe('never');
    expect(answer.findings.find(({ code }) => code === 'locked-rotor-slow')?.severity).toBe('stop');
    expect(codesOf(withFuse(7.5, '10 AWG'))).not.toContain('locked-rotor-slow');
  });

  it('a family without a curve is said not to be shown, never to be good', () => {
    const answer = sized({ ...short, choices: { protection: { kind: 'cubeAtBattery', ratingA: 30 } } });
    expect(answer.findings.find(({ code }) => code === 'locked-rotor-slow')).toMatchObject({
      severity: 'caution',
      message: expect.stringMatching(/no published opening curve/),
    });
  });

  it('locked rotor is winding and wiring in series at 12.0 V: worked by hand', () => {
    const { protection, conductors } = sized({}).facts;
    const wires = ['stub', 'feed', 'auto', 'negative'].reduce(
      (sum, id) => sum + (conductors.find(({ planned }) => planned.id === id)?.resistanceOhm ?? 0),
      0,
    );
    // Fuse 0.085/7.5, switch 5 mΩ, float 10 mΩ, three joints of 1 mΩ, winding 12/(5 × 5).
    const ohms = wires + 0.085 / 7.5 + 0.005 + 0.01 + 0.003 + 0.48;
    expect(protection.lockedRotorA).toBeCloseTo(12 / ohms, 6);
    expect(protection.farShortA).toBeCloseTo(12 / (ohms - 0.48), 5);
  });

  it('a fuse 178 mm from the battery is close enough, 179 mm wants a sheath, and even that ends at 1.83 m', () => {
    const place = (stubLengthM: number, stubSheathed: boolean) =>
      codesOf({ source: { stubLengthM, stubSheathed } }).filter((code) => code.startsWith('fuse-'));
    expect(place(0.178, false)).toEqual([]);
    expect(place(0.179, false)).toEqual(['fuse-far']);
    expect(place(1.829, true)).toEqual([]);
    expect(place(1.83, false)).toEqual(['fuse-too-far']);
    expect(place(1.83, true)).toEqual(['fuse-too-far']);
  });

  it('a blade fuse beside a large bank cannot break what the bank delivers: full-charge EMF over internal resistance and stub', () => {
    const job = jobOf({});
    const big: Job = { ...job, batteries: [{ id: 'house', name: 'Bank', chemistry: 'lifepo4', capacityAh: 300 }] };
    const [answer] = assess(big);
    if (answer?.status !== 'sized') throw new Error('not sized');
    const stub = answer.facts.conductors.find(({ planned }) => planned.id === 'stub')?.resistanceOhm ?? 0;
    expect(answer.facts.protection.sourceFaultA).toBeCloseTo(13.4 / (0.001 + stub), 6);
    expect(answer.findings.map(({ code }) => code)).toContain('interrupt-rating-exceeded');
  });

  it('an undersized choice is kept, marked and judged', () => {
    const answer = sized({ choices: { conductors: { auto: '18 AWG' } } });
    expect(answer.facts.conductors.find(({ planned }) => planned.id === 'auto')).toMatchObject({
      size: '18 AWG',
      proposedSize: '12 AWG',
      overridden: true,
    });
    expect(answer.findings.map(({ code }) => code)).toEqual(
      expect.arrayContaining(['below-minimum-size', 'drop-over-school']),
    );
  });

  it('says before any work that the isolator does not make the feed dead, and has no finding of it', () => {
    expect(sized({}).wiredAs[0]).toMatchObject({ code: 'feed-unswitched', beforeWork: true });
    expect(codesOf({})).not.toContain('feed-unswitched');
  });
});
