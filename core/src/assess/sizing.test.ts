import fc from 'fast-check';
import { runs } from '../../testing/runs.fixture';
import { anySurvey, sized, sizeOf, sizesOf, type Sized } from './assess.fixture';

describe('sizing', () => {
  it('of 5 A over 3 + 5 + 5 m takes 12 AWG at 3 %: worked by hand', () => {
    // 12 AWG at 30 °C: 17.241 / 3.309 × 1.0393 = 5.4151 mΩ/m; 13.15 m with the stub.
    const answer = sized({});
    expect(sizeOf(answer, 'manual')).toBe('12 AWG');
    expect(answer.facts.dropV).toBeCloseTo(5 * 13.15 * 5.4151e-3, 4);
    expect(answer.facts.dropPercent).toBeCloseTo(2.967, 2);
  });

  it('of the same at 10 % takes 16 AWG, the least size allowed', () => {
    // 16 AWG: 13.689 mΩ/m × 13.15 m × 5 A = 0.900 V, 7.5 %.
    const answer = sized({ choices: { dropSchool: 'general' } });
    expect(sizeOf(answer, 'manual')).toBe('16 AWG');
    expect(answer.facts.dropPercent).toBeCloseTo(7.501, 2);
  });

  it('of the same in mm² takes 4 mm², by its class and not by its area', () => {
    // 4 mm²: 5.09 × 1.0393 = 5.290 mΩ/m × 13.15 m × 5 A = 0.3478 V, 2.899 %.
    const answer = sized({ choices: { family: 'metric' } });
    expect([sizeOf(answer, 'manual'), answer.facts.dropPercent.toFixed(2)]).toEqual(['4 mm²', '2.90']);
    // 2.5 mm² would drop 8.21 × 1.0393 × 13.15 × 5 mV = 0.561 V, 4.7 %.
  });

  it('counts an engine space in both resistance and ampacity', () => {
    const cool = sized({ choices: { conductors: { feed: '14 AWG' } } });
    const warm = sized({ engineSpace: true, choices: { conductors: { feed: '14 AWG' } } });
    const feed = (answer: Sized) => answer.facts.conductors.find(({ planned }) => planned.id === 'feed');
    expect((feed(warm)?.resistanceOhm ?? 0) / (feed(cool)?.resistanceOhm ?? 1)).toBeCloseTo(1.1572 / 1.0393, 6);
    expect([feed(cool)?.ampacity.amps, feed(warm)?.ampacity.amps]).toEqual([35, 29.75]);
  });

  it('takes the larger conductor that the proposed fuse needs, even where drop would allow less', () => {
    // 26 A for 0.2 m: drop is nothing, 35 A fuse needs 23.3 A of ampacity at 60 °C: 12 AWG carries 25 A.
    const answer = sized({ lengths: [0.2, 0.2, 0.2], insulationC: 60, pump: { currentA: 24 } });
    expect(answer.facts.protection.ratingA).toBe(30);
    expect(sizeOf(answer, 'feed')).toBe('12 AWG');
  });

  it('says which limit no size meets, by how much, and what would help', () => {
    const answer = sized({ lengths: [60, 60, 60], pump: { currentA: 90 } });
    const [finding] = answer.findings;
    expect(finding).toMatchObject({ code: 'no-size-satisfies', severity: 'stop' });
    expect(finding?.message).toMatch(
      /not even 2\/0 AWG\. The drop is 11\.\d\d times what is allowed: shorten the route to 8 %/,
    );
  });

  it('refuses 60 °C cable in mm² in an engine space, whatever its size', () => {
    const found = sized({ engineSpace: true, insulationC: 60, choices: { family: 'metric' } });
    expect(found.findings.map(({ code }) => code)).toContain('insulation-forbidden-in-engine-space');
    expect(found.findings[0]?.message).not.toMatch(/Infinity|NaN/);
  });

  it('never sizes down for a longer leg', () => {
    fc.assert(
      fc.property(anySurvey, fc.double({ min: 0, max: 20, noNaN: true }), ({ family, ...given }, more) => {
        const choices = { family };
        const rank = (answer: Sized) => sizesOf(family).indexOf(sizeOf(answer, 'manual') ?? '');
        const [feed, bilge, negative] = given.lengths;
        expect(rank(sized({ ...given, lengths: [feed, bilge + more, negative], choices }))).toBeGreaterThanOrEqual(
          rank(sized({ ...given, choices })),
        );
      }),
      runs(60),
    );
  });

  it('is the first size that serves, each of them tried throughout', () => {
    const schools = { critical: 3, general: 10 } as const;
    fc.assert(
      fc.property(anySurvey, fc.constantFrom('critical', 'general'), ({ family, ...given }, dropSchool) => {
        const proposed = sized({ ...given, choices: { family, dropSchool } });
        if (proposed.facts.noSize) return;
        const { ratingA } = proposed.facts.protection;
        const free = proposed.facts.conductors.filter(({ planned }) => planned.duty === 'pump');
        const serves = (size: string) => {
          const conductors = Object.fromEntries(free.map(({ planned }) => [planned.id, size]));
          const { facts } = sized({ ...given, choices: { family, dropSchool, conductors } });
          const sound = facts.conductors
            .filter(({ planned }) => planned.duty === 'pump')
            .every(({ ampacity, designA }) => designA <= ampacity.amps && ratingA <= 1.5 * ampacity.amps);
          return sound && facts.dropPercent <= schools[dropSchool];
        };
        const least = free[0]?.leastSize ?? '';
        const allowed = sizesOf(family).slice(sizesOf(family).indexOf(least));
        expect(sizeOf(proposed, 'manual')).toBe(allowed.find(serves));
      }),
      runs(40),
    );
  });

  it('never drops more with a larger conductor', () => {
    fc.assert(
      fc.property(
        anySurvey,
        fc.constantFrom('feed', 'manual', 'auto', 'negative'),
        fc.integer({ min: 0, max: 10 }),
        ({ family, ...given }, id, index) => {
          const drop = (size: string | undefined) =>
            sized({ ...given, choices: { family, conductors: { [id]: size ?? '' } } }).facts.dropV;
          expect(drop(sizesOf(family)[index + 1])).toBeLessThanOrEqual(drop(sizesOf(family)[index]) + 1e-9);
        },
      ),
      runs(60),
    );
  });

  it('changes nothing when the proposed values are chosen by hand', () => {
    fc.assert(
      fc.property(anySurvey, ({ family, ...given }) => {
        const proposed = sized({ ...given, choices: { family } });
        const conductors = Object.fromEntries(
          proposed.facts.conductors
            .filter(({ planned }) => !planned.sameSizeAs)
            .map(({ planned, size }) => [planned.id, size]),
        );
        const { kind, ratingA } = proposed.facts.protection;
        const chosen = sized({ ...given, choices: { family, conductors, protection: { kind, ratingA } } });
        expect(chosen.facts.dropV).toBe(proposed.facts.dropV);
        expect(chosen.findings.map(({ code }) => code)).toEqual(proposed.findings.map(({ code }) => code));
      }),
      runs(60),
    );
  });
});
