import { defaults } from '../../reference';
import { diodeBetween, type Element } from '../element';

/** Whether electronics work: awake from one voltage, asleep below another. */
export function works(volts: number, working: boolean): boolean {
  return working ? volts >= defaults.sensorDropOutV : volts >= defaults.sensorWakeV;
}

/** What electronics draw when they have volts the right way round: 5 mA at 12 V, nothing reversed. */
export function standingDraw(plus: number, minus: number): Element {
  const { labelV, diodeDropV, sensorDrawA } = defaults;
  return diodeBetween(plus, minus, diodeDropV, (labelV - diodeDropV) / sensorDrawA);
}
