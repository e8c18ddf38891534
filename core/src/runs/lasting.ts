import type { Finding, Fix, FixIdea } from '../findings';
import type { Circuit, IngressSurvey, Job } from '../job';
import { ourRules } from '../reference';
import { posesOf } from '../water';
import { hoseBoresM, waterSpeech } from '../findings';
import type { UnitSystem } from '../units';
import { assess, batteryOf } from '../assess';
import { asFinding, withFix } from '../assess/tryFixes';
import { runReport, type RunReport, type Verdict } from './waterReport';
import { circuitsOf } from './wellRun';

/**
 * What long runs say of leaving the boat alone: with water that comes in every
 * day, does the battery outlast a weekend? Runs in which something else is wrong
 * (a pump that never stops) and holes are not judged here.
 * @param runs of one well, in any poses and with any ingress
 */
export function lastingFindings(
  job: Job,
  wellId: string,
  runs: readonly RunReport[],
  units: UnitSystem = 'metric',
): Finding[] {
  const everyday = runs.filter(
    ({ ingress, verdicts }) =>
      isEveryday(job, ingress) && !verdicts.some((verdict) => otherwiseJudged.includes(verdict)),
  );
  const [worst] = [...everyday].sort((a, b) => (a.batteryDays ?? Infinity) - (b.batteryDays ?? Infinity));
  if (!worst || worst.batteryDays === null || worst.batteryDays >= ourRules.weekendDays.value) return [];
  const circuit = job.circuits.find(({ id }) => id === worst.circuits[0]?.id);
  const ingress = job.ingress?.find(({ id }) => id === worst.ingress);
  const pose = posesOf(job).find(({ id }) => id === worst.pose);
  if (!circuit || !ingress || !pose) return [];
  const battery = batteryOf(job, circuit);
  const finding = asFinding({
    code: 'battery-short',
    severity: 'caution',
    message: `“${ingress.name}”, ${pose.name.toLowerCase()}: ${battery.name}, full on Friday evening, has given what it may after ${days(worst.batteryDays)}, before the weekend is over: ${worst.ampHoursPerDay.toFixed(1)} Ah a day flow out of it. Move more water a minute, use a larger battery, or a trickle charge.`,
    rule: `Left alone, the usable charge outlasts a weekend of ${ourRules.weekendDays.value} days.`,
    source: 'Simulation of well, pump and battery, event by event',
    at: ['battery'],
    topic: 'water',
  });
  const lasts = (changed: Circuit): RunReport | null => {
    const other = { ...job, circuits: job.circuits.map((one) => (one.id === changed.id ? changed : one)) };
    return runReport({ job: other, assessed: assess(other), wellId, pose, ingress, hours: worst.hours });
  };
  return [withFix(finding, () => firstThatLasts(circuit, worst, lasts, units))];
}

/** What is wrong in these has a finding of its own. */
const otherwiseJudged: readonly Verdict[] = ['never-stops', 'loses-to-ingress', 'own-water'];

const days = (value: number) => `${value.toFixed(1)} days`;

/** Rain, drips and what comes by the clock; not a hole, against which no battery is large enough. */
function isEveryday({ ingress = [] }: Job, id: string): boolean {
  const found: IngressSurvey | undefined = ingress.find((one) => one.id === id);
  return found !== undefined && !found.sources.some(({ kind }) => kind === 'opening');
}

function firstThatLasts(
  circuit: Circuit,
  before: RunReport,
  lasts: (changed: Circuit) => RunReport | null,
  units: UnitSystem,
): Fix | undefined {
  for (const idea of ideasFor(circuit, units)) {
    const after = lasts(idea.circuit);
    if (!after || (after.batteryDays !== null && after.batteryDays < ourRules.weekendDays.value)) continue;
    const worse = after.verdicts.some((verdict) => !before.verdicts.includes(verdict));
    if (worse) continue;
    return {
      ...idea,
      effect: [
        `battery ${days(before.batteryDays ?? Infinity)} → ${after.batteryDays === null ? 'lasts' : days(after.batteryDays)}`,
        `runs ${(100 * before.dutyShare).toFixed(1)} % → ${(100 * after.dutyShare).toFixed(1)} % of the time`,
      ],
    };
  }
  return undefined;
}

/** What uses less: more water a minute through a wider hose, a smooth one, a light that draws less. */
function ideasFor(circuit: Circuit, units: UnitSystem): FixIdea[] {
  const { water, panel } = circuit;
  const ideas: FixIdea[] = [];
  if (panel?.armedLight === 'filament')
    ideas.push({ label: 'Fit a LED as armed light', circuit: { ...circuit, panel: { ...panel, armedLight: 'led' } } });
  if (!water?.hose) return ideas;
  const { hose } = water;
  const withHose = (label: string, change: Partial<typeof hose>) =>
    ideas.push({ label, circuit: { ...circuit, water: { ...water, hose: { ...hose, ...change } } } });
  if (hose.wall === 'corrugated') withHose('Use smooth hose of the same bore', { wall: 'smooth' });
  for (const boreM of hoseBoresM.filter((bore) => bore > hose.boreM + 1e-6).slice(0, 3)) {
    withHose(`Use smooth hose of ${waterSpeech(units).height(boreM)}`, { boreM, wall: 'smooth' });
  }
  return ideas;
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
