/** A battery as a long run feels it. */
export interface SimBattery {
  readonly id: string;
  readonly capacityAh: number;
  readonly internalOhm: number;
  /** EMF at rest at a state of charge of 0–1, V. */
  emfV(charge: number): number;
  /** Charge below which it is taken as used up. */
  readonly usableTo: number;
  /** Charge below which nothing comes out. */
  readonly deadAt: number;
  /** Trickle from a panel or charger, A. */
  readonly chargeA: number;
  /** State of charge at the start. */
  readonly startCharge: number;
}

/** Volts at the posts with currents that depend on them, V: a few rounds settle, since the internal resistance is small. */
export function postsV(emfV: number, internalOhm: number, drawnA: (postsV: number) => number): number {
  let volts = emfV;
  for (let round = 0; round < 30; round += 1) {
    const next = emfV - internalOhm * drawnA(volts);
    if (Math.abs(next - volts) < 1e-9) return next;
    volts = next;
  }
  return volts;
}
