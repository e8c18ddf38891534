import fc from 'fast-check';
import { runs } from '../../testing/runs.fixture';
import { type Job } from '../job';
import { readJob } from '../file';
import { defaults } from '../reference';
import { posesOf } from '../water';
import { withIdea } from '../assess';
import { assess } from '../assess/assess.fixture';
import { lastingFindings } from './lasting';
import { runReport, waterReport } from './waterReport';
import { anyBoat } from './wholeBoats.fixture';

type Judged = Exclude<ReturnType<typeof assess>[number], { status: 'incomplete' }>;
const judgedOf = (job: Job): Judged[] => assess(job).filter((one): one is Judged => one.status !== 'incomplete');

/** Nothing of these may stand in words: what no reader should ever see, or less than nothing. */
const never = [/Infinity|NaN|undefined|null|\[object|-0(\.0+)?\u00a0/, /-\d[\d.]*\u00a0?(Ah|L\/h|L\b|mΩ)/];

/** Of very many texts: one expectation for all takes far less time than one for each. */
function expectPlainWords(texts: readonly string[]): void {
  expect(texts.filter((text) => text.trim() === '' || never.some((pattern) => pattern.test(text)))).toEqual([]);
}

test('any whole boat is judged in words that hold no Infinity, no NaN, nothing and nothing less than nothing', () => {
  fc.assert(
    fc.property(anyBoat, (job) => {
      const read = readJob(job);
      if (!read.ok) throw new Error(`${read.problems[0].path}: ${read.problems[0].message}`);
      for (const one of judgedOf(read.job)) {
        const ids = one.findings.map(({ id }) => id);
        expect(new Set(ids).size).toBe(ids.length);
        expectPlainWords(one.findings.flatMap(({ message, rule, source }) => [message, rule, source]));
        expectPlainWords(one.wiredAs.map(({ text }) => text));
      }
    }),
    runs(500),
  );
});

test('every fix offered on any whole boat says what it does, removes its finding and adds no stop', () => {
  let offered = 0;
  const places = (judged: readonly Judged[], severity?: 'stop') =>
    new Set(
      judged.flatMap(({ circuit: { id }, findings }) =>
        findings
          .filter((one) => severity === undefined || one.severity === severity)
          .flatMap(({ code, at }) =>
            at.length === 0 ? [`${id} ${code}`] : at.map((place) => `${id} ${code} ${place}`),
          ),
      ),
    );
  fc.assert(
    fc.property(anyBoat, (job) => {
      const before = judgedOf(job);
      const stops = places(before, 'stop');
      for (const {
        circuit: { id },
        findings,
      } of before) {
        for (const { code, at, fix, topic } of findings) {
          if (!fix) continue;
          offered += 1;
          expect(fix.effect.length).toBeGreaterThan(0);
          expectPlainWords([fix.label, ...fix.effect]);
          const after = judgedOf(withIdea(job, fix));
          const left = places(after);
          if (topic !== 'battery')
            for (const place of at.length === 0 ? [''] : at)
              expect(left).not.toContain(`${id} ${code} ${place}`.trim());
          else expect([...left].some((one) => one.includes(` ${code}`))).toBe(false);
          // A fix is tried on its own circuit, and for a battery on the whole boat.
          const own = after.filter((one) => topic === 'battery' || one.circuit.id === id);
          for (const place of places(own, 'stop')) expect(stops).toContain(place);
        }
      }
    }),
    runs(125),
  );
  expect(offered).toBeGreaterThan(50);
});

test('runs and operating points of any boat never contradict each other', () => {
  fc.assert(
    fc.property(anyBoat, (job) => {
      const assessed = assess(job);
      const report = waterReport(job, { hours: 6 });
      for (const run of report.runs) {
        for (const figure of [run.pumpedL, run.ampHours, run.maxLevelM, run.dutyShare])
          expect(Number.isFinite(figure)).toBe(true);
        expect(run.ampHours).toBeGreaterThanOrEqual(0);
        expect(run.pumpedL).toBeGreaterThanOrEqual(-1e-9);
        expect(run.dutyShare).toBeLessThanOrEqual(1 + 1e-9);
        expect(Math.abs(run.massErrorL)).toBeLessThan(1e-3);
        for (const own of run.circuits) {
          const one = assessed.find(({ circuit: { id } }) => id === own.id);
          if (one?.status !== 'sized' || !one.facts.water) throw new Error('a pump without facts ran');
          // What no supply lifts in this pose leaves the boat in no run: the operating point has water at the pump's base, a run up to the top.
          const pose = one.facts.water.poses.find((facts) => facts.pose.id === run.pose);
          const shutOffM = 1.3 ** 2 * (one.facts.water.curve?.shutOffM ?? 0);
          if (pose?.liftM !== null && pose !== undefined && pose.liftM - run.maxLevelM - 0.5 > shutOffM)
            expect(own.pumpedL).toBeCloseTo(0, 6);
          // And what its flow would take in the time it ran is what it took, within its speeds.
          const most = Math.max(0, ...(pose?.operating ?? []).map(({ flowLPerH }) => flowLPerH));
          const openLPerH = (one.facts.water.curve?.openFlow ?? 0) * 3.6e6 * 1.3;
          if (most === 0 && run.maxLevelM < 0.2) continue;
          expect(own.pumpedL).toBeLessThanOrEqual(openLPerH * own.dutyShare * 6 + 1e-6);
        }
      }
      // Where no curve is known nothing is run, and it is asked for instead.
      for (const one of assessed) {
        if (one.status !== 'sized' || !one.facts.water?.hose || one.facts.water.curve) continue;
        expect(one.findings.map(({ code }) => code)).toContain('flow-not-known');
        expect(report.runs.flatMap(({ circuits }) => circuits.map(({ id }) => id))).not.toContain(one.circuit.id);
      }
    }),
    runs(85),
  );
});

test('the findings of long runs offer fixes that last', () => {
  fc.assert(
    fc.property(anyBoat, (job) => {
      const assessed = assess(job);
      const reports = posesOf(job).flatMap((pose) =>
        (job.ingress ?? []).flatMap(
          (ingress) => runReport({ job, assessed, wellId: 'bilge', pose, ingress, hours: 24 }) ?? [],
        ),
      );
      for (const { message, fix } of lastingFindings(job, 'bilge', reports)) {
        expect(message).not.toMatch(/Infinity|NaN/);
        if (fix) expect(fix.effect.length).toBeGreaterThan(0);
      }
    }),
    runs(25),
  );
  expect(defaults.suppliesV).toHaveLength(3);
});
