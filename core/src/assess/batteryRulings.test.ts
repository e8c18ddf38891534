import { keptPartA } from '../circuit';
import { assessedOf, changed, findingOf } from './assess.fixture';
import type { Job } from '../job';

describe('a battery', () => {
  it('as measured is judged beside 12.0 V', () => {
    const weak = changed({}, { restV: 11.4, internalOhm: 0.15 });
    const finding = findingOf(weak, 'pump-volts-low');
    expect(finding?.message).toContain('as measured, 11.40');
    const { asMeasured } = assessedOf(weak).facts;
    // 11.4 V less 5 A or so through 150 mΩ and the cable.
    expect(asMeasured.pumpV).toBeLessThan(11.4 - 4 * 0.15);
    expect(findingOf(changed({}, { restV: 12.4 }), 'pump-volts-low')).toBeUndefined();
  });

  it('sagging under two pumps is told where each alone was good', () => {
    const job = changed({ pump: { currentA: 10 } }, { internalOhm: 0.12, restV: 12.6 });
    const [first] = job.circuits;
    const two = {
      ...job,
      circuits: first ? [first, { ...first, id: 'second', name: 'Second', pump: { currentA: 12 } }] : [],
    };
    expect(findingOf(two, 'pumps-sag-together')?.severity).toBe('caution');
    expect(findingOf(job, 'pumps-sag-together')).toBeUndefined();
  });

  it('is emptied by an armed light where she is left alone long, and not by a LED', () => {
    const lit = (armedLight: 'filament' | 'led', leftAloneDays: number): Job => {
      const job = changed({ panel: { armedLight } });
      return { ...job, boat: { ...job.boat, leftAloneDays } };
    };
    // 80 mA of a 150 Ω lamp are 2 Ah a day: 50 Ah last 25 days.
    const told = findingOf(lit('filament', 18), 'standing-draw');
    expect(told?.severity).toBe('caution');
    expect(told?.fix?.circuit.panel?.armedLight).toBe('led');
    expect(findingOf(lit('filament', 14), 'standing-draw')).toBeUndefined();
    expect(findingOf(lit('led', 18), 'standing-draw')).toBeUndefined();
  });

  it('is drawn on by an electronic sensor in whatever scheme it is fitted', () => {
    for (const scheme of ['three-way-float', 'backup-alarm', 'relay']) {
      const probe = changed({ scheme, water: { wellId: 'w', float: { kind: 'probe' } } });
      const job: Job = {
        ...probe,
        wells: [{ id: 'w', name: 'Well', aftM: -1, foreM: 1, section: { kind: 'box', widthM: 0.5 } }],
      };
      const waiting = assessedOf(job).facts.behaviour.rows.find(
        ({ setting }) =>
          setting.floats['float'] === 'down' &&
          (setting.switches['switch'] === 'auto' ||
            (scheme === 'backup-alarm' && setting.switches['switch'] === 'off')),
      );
      expect(waiting?.point ? keptPartA(waiting.point, 'battery') : 0).toBeGreaterThan(0.004);
      expect(
        assessedOf(job).findings.filter(({ severity, topic }) => severity === 'stop' && topic === 'wiring'),
      ).toEqual([]);
    }
  });
});
