import { msOf } from '../units';
import type { StepMarks } from '../job';
import { scheduleSteps, type Schedule, type TimedStep } from './schedule';
import { cureFactor, type BuildStep } from './steps';

/** Steps as far as their time goes, with clocks at a temperature, °C. */
export function timedSteps(steps: readonly BuildStep[], temperatureC: number): TimedStep[] {
  const longer = cureFactor(temperatureC);
  return steps.map(({ id, minutes, waitHours, needs }) => ({
    id,
    minutes,
    waitMinutes: Math.round(waitHours * 60 * longer),
    needs,
  }));
}

const CLOCK = 'clock:';

/**
 * When what is left is done, in minutes from now: what is ticked or left out is over, and the clocks that it started
 * run on.
 * @param nowMs ms since 1970
 */
export function scheduleLeft(
  steps: readonly BuildStep[],
  marks: StepMarks,
  nowMs: number,
  temperatureC: number,
  people: 1 | 2,
): Schedule {
  const timed = timedSteps(steps, temperatureC);
  const running = new Map<string, number>();
  for (const { id, waitMinutes } of timed) {
    const mark = marks[id];
    if (!mark || mark.skipped !== undefined) continue;
    const left = Math.ceil((msOf(mark.at) - nowMs) / 60_000 + waitMinutes);
    if (waitMinutes > 0 && left > 0) running.set(id, left);
  }
  const clocks = [...running].map(([id, waitMinutes]) => ({ id: `${CLOCK}${id}`, minutes: 0, waitMinutes, needs: [] }));
  const left = timed
    .filter(({ id }) => !marks[id])
    .map((step) => ({
      ...step,
      needs: step.needs.flatMap((need) => {
        if (!marks[need]) return [need];
        return running.has(need) ? [`${CLOCK}${need}`] : [];
      }),
    }));
  const { steps: scheduled, minutes, exact } = scheduleSteps([...clocks, ...left], people);
  return { steps: scheduled.filter(({ id }) => !id.startsWith(CLOCK)), minutes, exact };
}
