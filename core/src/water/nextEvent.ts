import { batteryStepS, type BatteryAtWork } from './batteryAtWork';
import { nextChangeS } from './ingress';
import type { FloatAtWork, PumpAtWork } from './pumpAtWork';
import type { SimQuestion } from './simQuestion';

/** Everything in a run of which something can happen. */
export interface PartsAtWork {
  readonly pumps: readonly PumpAtWork[];
  readonly alarms: readonly FloatAtWork[];
  readonly batteries: readonly BatteryAtWork[];
  /** Volumes at which a hole is covered or comes to rest. */
  readonly kinksM3: readonly number[];
  readonly limitM3: number;
  readonly topM3: number;
  readonly fineness: number;
}

const SLACK_M3 = 1e-13;

/**
 * The nearest volume at which something happens, with the water rising or falling; NaN where there is none.
 * @param unlimited whether the limit has not been reached yet
 */
export function nextThreshold(
  { pumps, alarms, kinksM3, limitM3, topM3 }: PartsAtWork,
  volumeM3: number,
  rising: boolean,
  unlimited: boolean,
): number {
  let nearest = NaN;
  const meet = (at: number) => {
    if (rising ? at <= volumeM3 + SLACK_M3 : at >= volumeM3 - SLACK_M3) return;
    if (Number.isNaN(nearest) || (rising ? at < nearest : at > nearest)) nearest = at;
  };
  for (const pump of pumps) {
    if (pump.float) meet(pump.float.thresholdM3(rising));
    if (rising && !pump.primed) meet(pump.gainM3);
    if (!rising && pump.primed && pump.energised) meet(pump.lossM3);
  }
  for (const alarm of alarms) meet(alarm.thresholdM3(rising));
  if (rising && unlimited && Number.isFinite(limitM3)) meet(limitM3);
  if (rising && Number.isFinite(topM3)) meet(topM3);
  for (const kink of kinksM3) meet(kink);
  if (!rising) meet(0);
  return nearest;
}

/** When something happens by the clock. */
export function nextClockS({ ingress }: SimQuestion, parts: PartsAtWork, nowS: number): number {
  let next = nextChangeS(ingress, nowS);
  for (const pump of parts.pumps) next = Math.min(next, pump.nextClockS(nowS));
  for (const { dueS } of parts.alarms) if (dueS > nowS && dueS < next) next = dueS;
  for (const one of parts.batteries) next = Math.min(next, nowS + batteryStepS(one, parts.fineness));
  return next;
}

/** When a pump that goes on and on is next looked at. */
export function nextWatchS({ pumps }: Pick<PartsAtWork, 'pumps'>, nowS: number): number {
  let next = Infinity;
  for (const { watchS } of pumps) if (watchS > nowS && watchS < next) next = watchS;
  return next;
}

/** When a script or a switch next changes something, or the run ends. */
export function nextTurnS({ seconds, ingress, pumps }: SimQuestion, nowS: number): number {
  let next = Math.min(seconds, nextChangeS(ingress, nowS));
  for (const { turns } of pumps) for (const { fromS } of turns) if (fromS > nowS && fromS < next) next = fromS;
  return next;
}
