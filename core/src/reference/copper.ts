/** Resistivity of annealed copper at 20 °C, Ω·m (IACS). */
export const resistivityOhmM20C = 1.7241e-8;

/** Temperature coefficient of copper's resistance from 20 °C, per kelvin. */
export const temperatureCoefficient = 0.00393;

/** Copper's resistance at `temperatureC` relative to 20 °C. At 29 °C it gives the trade's 10.75 Ω·cmil/ft. */
export function copperFactor(temperatureC: number): number {
  return 1 + temperatureCoefficient * (temperatureC - 20);
}
