import { defaults } from '../../reference';
import { diodeBetween, type Element } from '../element';

/** Whether electronics work: awake from one voltage, asleep below another. */
export function works(volts: number, working: boolean): boolean {
  return working ? volts >= defaults.sensorDropOutV : volts >= defaults.sensorWakeV;
}

/** What electronics draw when they have volts the right way round, by default 5 mA at 12 V; nothing reversed. */
export function standingDraw(plus: number, minus: number, drawA: number = defaults.sensorDrawA): Element {
  const { labelV, diodeDropV } = defaults;
  // What draws nothing is left as a resistance too large to be felt.
  return diodeBetween(plus, minus, diodeDropV, (labelV - diodeDropV) / Math.max(drawA, 1e-9));
}
