import { asFinding, assess, batteryOf } from '../assess';
import {
  ideasOf,
  inDays,
  lastingRules,
  lastsWeekend,
  type Finding,
  type Fix,
  type FixIdea,
  type Judgement,
} from '../findings';
import type { IngressSurvey, Job } from '../job';
import type { UnitSystem } from '../units';
import { posesOf } from '../water';
import { runReport, type RunReport, type Verdict } from './waterReport';
import { circuitsOf } from './circuitsOf';

/** What long runs say, with the fix that lasts where there is one. */
export interface RunFinding extends Finding {
  readonly fix?: Fix;
}

/**
 * What long runs say of leaving the boat alone. Runs in which something else is wrong
 * (a pump that never stops) and holes are not judged here.
 * @param runs of one well, in any poses and with any ingress
 */
export function lastingFindings(
  job: Job,
  wellId: string,
  runs: readonly RunReport[],
  units: UnitSystem = 'metric',
): RunFinding[] {
  const everyday = runs.filter(
    ({ ingress, verdicts }) =>
      isEveryday(job, ingress) && !verdicts.some((verdict) => otherwiseJudged.includes(verdict)),
  );
  const [worst] = [...everyday].sort((a, b) => (a.batteryDays ?? Infinity) - (b.batteryDays ?? Infinity));
  const circuit = job.circuits.find(({ id }) => id === worst?.circuits[0]?.id);
  const ingress = job.ingress?.find(({ id }) => id === worst?.ingress);
  const pose = posesOf(job).find(({ id }) => id === worst?.pose);
  if (!worst || !circuit || !ingress || !pose) return [];
  const { batteryDays, ampHoursPerDay, hours } = worst;
  const facts = { circuit, battery: batteryOf(job, circuit), ingress, pose, batteryDays, ampHoursPerDay, units };
  const runOf = ({ circuit: changed }: FixIdea): RunReport | null => {
    const other = { ...job, circuits: job.circuits.map((one) => (one.id === changed.id ? changed : one)) };
    return runReport({ job: other, assessed: assess(other), wellId, pose, ingress, hours });
  };
  return lastingRules(facts).map((judgement): RunFinding => {
    const fix = firstThatLasts(judgement, worst, runOf);
    return { ...asFinding(judgement), ...(fix ? { fix } : {}) };
  });
}

/** What is wrong in these has a finding of its own. */
const otherwiseJudged: readonly Verdict[] = ['never-stops', 'loses-to-ingress', 'own-water'];

/** Rain, drips and what comes by the clock; not a hole, against which no battery is large enough. */
function isEveryday({ ingress = [] }: Job, id: string): boolean {
  const found: IngressSurvey | undefined = ingress.find((one) => one.id === id);
  return found !== undefined && !found.sources.some(({ kind }) => kind === 'opening');
}

/** The first idea with which the charge lasts, and nothing else goes wrong. */
function firstThatLasts(
  judgement: Judgement,
  before: RunReport,
  runOf: (idea: FixIdea) => RunReport | null,
): Fix | undefined {
  for (const idea of ideasOf(judgement, { waterAs: () => null })) {
    const after = runOf(idea);
    if (!after || !lastsWeekend(after.batteryDays)) continue;
    const worse = after.verdicts.some((verdict) => !before.verdicts.includes(verdict));
    if (worse) continue;
    return {
      ...idea,
      effect: [
        `battery ${inDays(before.batteryDays ?? Infinity)} → ${after.batteryDays === null ? 'lasts' : inDays(after.batteryDays)}`,
        `runs ${(100 * before.dutyShare).toFixed(1)} % → ${(100 * after.dutyShare).toFixed(1)} % of the time`,
      ],
    };
  }
  return undefined;
}

/** Runs of a well in every pose with every ingress; `after` is told of each, and may stop them. */
export function* wellRuns(job: Job, wellId: string, hours: number): Generator<RunReport, void, void> {
  const assessed = assess(job);
  if (circuitsOf(assessed, wellId).length === 0) return;
  for (const ingress of (job.ingress ?? []).filter((one) => one.wellId === undefined || one.wellId === wellId)) {
    for (const pose of posesOf(job)) {
      const report = runReport({ job, assessed, wellId, pose, ingress, hours });
      if (report) yield report;
    }
  }
}
