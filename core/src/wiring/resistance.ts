import { copperFactor, type ConductorSize } from '../reference';

/**
 * Resistance of one conductor, Ω.
 * @param size a row of the conductor table
 * @param lengthM length along the conductor, one way, m (> 0)
 * @param temperatureC conductor temperature, °C
 * Source: R = ρ·L/A for AWG, IEC 60228 class 5 for mm², both × (1 + 0.00393·(T − 20)).
 */
export function conductorOhm(size: ConductorSize, lengthM: number, temperatureC: number): number {
  return (size.ohmPerKm20C / 1000) * lengthM * copperFactor(temperatureC);
}
