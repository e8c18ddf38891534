import type { Battery, Circuit, IngressSurvey, Pose } from '../job';
import { ourRules } from '../reference';
import type { UnitSystem } from '../units';
import type { FixIdea, Judgement } from './finding';
import { hoseBoresM } from './waterFixes';
import { waterSpeech } from './waterWords';

/** The long run in which a battery lasts least. */
export interface LastingFacts {
  readonly circuit: Circuit;
  readonly battery: Battery;
  readonly ingress: Pick<IngressSurvey, 'name'>;
  readonly pose: Pick<Pose, 'name'>;
  /** How long its usable charge lasts, from full; null where it is never spent. */
  readonly batteryDays: number | null;
  readonly ampHoursPerDay: number;
  readonly units: UnitSystem;
}

/** Left alone with water that comes in every day: whether the battery outlasts a weekend. */
export function lastingRules({ battery, batteryDays, ampHoursPerDay, ...facts }: LastingFacts): Judgement[] {
  const { circuit, ingress, pose, units } = facts;
  if (batteryDays === null || lastsWeekend(batteryDays)) return [];
  return [
    {
      code: 'battery-short',
      severity: 'caution',
      message: `“${ingress.name}”, ${pose.name.toLowerCase()}: ${battery.name}, full on Friday evening, has given what it may after ${inDays(batteryDays)}, before the weekend is over: ${ampHoursPerDay.toFixed(1)} Ah a day flow out of it. Move more water a minute, use a larger battery, or a trickle charge.`,
      rule: `Left alone, the usable charge outlasts a weekend of ${ourRules.weekendDays.value} days.`,
      source: 'Simulation of well, pump and battery, event by event',
      at: ['battery'],
      topic: 'water',
      ideas: () => thriftier(circuit, units),
    },
  ];
}

/** Whether a charge that lasts so many days outlasts a weekend; null: it is never spent. */
export function lastsWeekend(batteryDays: number | null): boolean {
  return batteryDays === null || batteryDays >= ourRules.weekendDays.value;
}

/** "1.4 days" */
export function inDays(days: number): string {
  return `${days.toFixed(1)} days`;
}

/** What uses less: more water a minute through a wider hose, a smooth one, a light that draws less. */
function thriftier(circuit: Circuit, units: UnitSystem): FixIdea[] {
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
