import { defaults } from '../reference';

/** The figures of a pump that make its motor. */
export interface MotorFigures {
  readonly currentA?: number | undefined;
  readonly labelV?: number | undefined;
  readonly windingOhm?: number | undefined;
}

/** Why a pump's figures cannot be a motor, or null when they can. Checked wherever a winding was measured. */
export function motorProblem(pump: MotorFigures): string | null {
  const { windingOhm, currentA } = pump;
  if (windingOhm === undefined || currentA === undefined) return null;
  const labelV = pump.labelV ?? defaults.labelV;
  const ratio = (windingOhm * currentA) / labelV;
  if (ratio >= defaults.motorRatioMin && ratio <= defaults.motorRatioMax) return null;
  const limit = (share: number) => `${Number(((share * labelV) / currentA).toPrecision(2))} Ω`;
  return ratio > defaults.motorRatioMax
    ? `A winding of ${windingOhm} Ω cannot carry ${currentA} A at ${labelV} V: at most ${limit(defaults.motorRatioMax)} is a pump motor. Take the lowest reading of several shaft positions, less the leads.`
    : `A winding of ${windingOhm} Ω is too low for a pump of ${currentA} A: at least ${limit(defaults.motorRatioMin)}. Take the lowest reading of several shaft positions, less the leads.`;
}
