import type { Job } from '../job';
import { hose, wetJob } from './wet.fixture';
import { waterReport } from './waterReport';

describe('a pump whose leads are swapped', () => {
  const moved = { 'pump-lead-plus': { to: 'pump.minus' }, 'pump-lead-minus': { from: 'pump.plus' } };
  const sound = wetJob({
    water: { hose: { ...hose, route: hose.route.map((point) => ({ ...point, heightM: 0.1 })) } },
  });
  const swapped: Job = { ...sound, circuits: sound.circuits.map((one) => ({ ...one, rewired: { moved } })) };

  it('moves two fifths against two fifths of the head, in its operating points and in its runs alike', () => {
    const [rightWay, wrongWay] = [sound, swapped].map((job) => waterReport(job, { hours: 24 }));
    const points = [rightWay, wrongWay].map(
      (report) => report?.operatingPoints.map(({ flowLPerH }) => flowLPerH) ?? [],
    );
    points[0]?.forEach((flow, index) => {
      // With next to no lift and a friction that goes as the flow's square nearly, both scale alike.
      const wrong = points[1]?.[index] ?? NaN;
      expect(wrong).toBeGreaterThan(0.2 * flow);
      expect(wrong).toBeLessThan(0.45 * flow);
    });
    const [run] = wrongWay?.runs ?? [];
    if (!run) throw new Error('no run');
    expect(run.starts).toBeGreaterThan(0);
    // What it moved while it ran is what its operating points say, less what ran back each time.
    const runningH = 24 * run.dutyShare;
    const low = Math.min(...(points[1] ?? []));
    const high = Math.max(...(points[1] ?? []));
    const gaveL = run.pumpedL;
    expect(gaveL / runningH).toBeGreaterThan(0.6 * low);
    expect(gaveL / runningH).toBeLessThan(1.05 * high);
  });

  it('moves nothing up a climb beyond two fifths of its shut-off head', () => {
    const high = hose.route.map((point, index) => ({ ...point, heightM: index === 0 ? 0.05 : 2.8 }));
    const job = wetJob({ water: { hose: { ...hose, route: high } }, circuit: { rewired: { moved } } });
    const report = waterReport(job, { hours: 24 });
    expect(report.operatingPoints.map(({ flowLPerH }) => flowLPerH)).toEqual([0, 0, 0]);
    // Even with the well full to its top, 0.6 m, the climb is more than 0.4 × 4.2 m at 13 V.
    expect(report.runs.map(({ maxLevelM, pumpedL }) => [maxLevelM, pumpedL])).toEqual([[expect.closeTo(0.6, 9), 0]]);
  });
});
