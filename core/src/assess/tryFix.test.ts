import fc from 'fast-check';
import { runs } from '../../testing/runs.fixture';
import type { Judgement } from '../findings';
import { assess, anySurvey, jobOf, sized, sizesOf } from './assess.fixture';
import { Assessor } from './Assessor';
import { asFinding } from './tryFix';

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

describe('fixes asked for by finding', () => {
  const survey = { choices: { protection: { ratingA: 30 } } };

  it('are the same from an assessor that has judged other states before', () => {
    const assessor = new Assessor();
    const job = jobOf(survey);
    const ids = assessor
      .assess(job)
      .circuits.flatMap((one) => (one.status === 'incomplete' ? [] : one.findings.map(({ id }) => id)));
    const askedAtOnce = ids.map((id) => new Assessor().fixOf(job, 'main', id));
    assessor.assess(jobOf({ lengths: [9, 9, 9] }));
    expect(ids.map((id) => assessor.fixOf(structuredClone(job), 'main', id))).toEqual(askedAtOnce);
    expect(askedAtOnce.some((fix) => fix !== undefined)).toBe(true);
  });

  it('are none where there is no such finding, or no such circuit', () => {
    const assessor = new Assessor();
    expect(assessor.fixOf(jobOf(survey), 'main', 'locked-rotor-slow@elsewhere')).toBeUndefined();
    expect(assessor.fixOf(jobOf(survey), 'nobody', 'locked-rotor-slow@fuse')).toBeUndefined();
    expect(assessor.fixOf(jobOf(survey), null, 'locked-rotor-slow@fuse')).toBeUndefined();
  });

  it('are promised only where something may answer', () => {
    const { findings } = sized(survey);
    expect(findings.filter(({ mayHaveFix, fix }) => fix && !mayHaveFix)).toEqual([]);
    const promised = (ideas?: Judgement['ideas']) => {
      const { mayHaveFix } = asFinding({
        code: 'x',
        severity: 'note',
        message: '',
        rule: '',
        source: '',
        at: [],
        ...(ideas ? { ideas } : {}),
      });
      return mayHaveFix;
    };
    expect([promised(), promised([]), promised(() => [])]).toEqual([false, false, true]);
  });
});
