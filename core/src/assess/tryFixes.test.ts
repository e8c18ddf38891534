import fc from 'fast-check';
import { runs } from '../../testing/runs.fixture';
import type { Finding, Fix } from '../findings';
import { anySurvey, jobOf, sized, sizesOf } from './assess.fixture';
import { assess } from './assess';
import { plainFinding, withFix } from './tryFixes';

describe('a circuit', () => {
  it('says what a fix moves, before it is taken', () => {
    const { findings } = sized({ choices: { protection: { ratingA: 30 } } });
    const fixes = findings.flatMap(({ code, fix }) => (fix ? [[code, fix.label, fix.effect[0]]] : []));
    expect(fixes).toContainEqual(['locked-rotor-slow', 'Use the 7.5 A blade fuse', 'fuse 30\u00a0A → 7.5\u00a0A']);
  });

  it('is mended by every fix offered: its finding goes and no new stop comes', () => {
    const size = fc.constantFrom(...sizesOf('awg'));
    let offered = 0;
    fc.assert(
      fc.property(
        anySurvey,
        fc.dictionary(fc.constantFrom('feed', 'manual', 'auto', 'negative'), size),
        fc.constantFrom(1, 3, 10, 30, 60),
        ({ family: _family, ...given }, conductors, ratingA) => {
          const before = sized({ ...given, choices: { conductors, protection: { ratingA } } });
          const stops = before.findings.filter(({ severity }) => severity === 'stop').map(({ code }) => code);
          for (const finding of before.findings) {
            if (!finding.fix) continue;
            offered += 1;
            const [after] = assess({ ...jobOf(given), circuits: [finding.fix.circuit] });
            if (after?.status !== 'sized') throw new Error('a fix took figures away');
            const same = after.findings.find(({ code }) => code === finding.code);
            expect(same?.at.some((place) => finding.at.includes(place)) ?? false).toBe(false);
            for (const found of after.findings) if (found.severity === 'stop') expect(stops).toContain(found.code);
          }
        },
      ),
      runs(80),
    );
    expect(offered).toBeGreaterThan(40);
  });
});

describe('a finding with a fix', () => {
  const finding: Finding = {
    id: 'drop-over-school@feed',
    code: 'drop-over-school',
    severity: 'caution',
    message: 'The drop is 12 %.',
    rule: 'At most 10 %.',
    source: 'a table',
    at: ['feed'],
    topic: 'wiring',
  };
  const fix: Fix = { label: 'Use 10 AWG', circuit: sized({}).circuit, effect: ['drop 12 % → 9 %'] };

  it('tries it once, and not before it is read', () => {
    const tried = jest.fn(() => fix);
    const fixable = withFix(finding, tried);
    expect(fixable.message).toBe(finding.message);
    expect(tried).not.toHaveBeenCalled();
    expect(fixable.fix).toBe(fix);
    expect(fixable.fix).toBe(fix);
    expect(tried).toHaveBeenCalledTimes(1);
  });

  it('goes into JSON and into plain copies with its fix, and without one where nothing answers it', () => {
    const whole = { ...finding, fix };
    expect(JSON.parse(JSON.stringify([withFix(finding, () => fix)]))).toEqual([JSON.parse(JSON.stringify(whole))]);
    expect(structuredClone(plainFinding(withFix(finding, () => fix)))).toEqual(whole);
    expect(Object.keys(plainFinding(withFix(finding, () => undefined)))).not.toContain('fix');
  });
});
