/**
 * What is assumed where nothing was measured. Every screen that uses one of
 * these shows it as a default, and every one can be overridden in the job.
 */
export const defaults = {
  /** Volts at the battery posts at which every circuit is compared. */
  suppliesV: [12.0, 12.8, 13.6],
  /** Percent drop and locked rotor are judged at this supply, V at the posts. */
  ratedSupplyV: 12,
  /** The supply for everyday running figures, V at the posts. */
  runningSupplyV: 12.8,
  inrushSupplyV: 14.4,
  /** A starting inrush is taken as lasting this long. */
  inrushS: 0.03,
  conductorC: 30,
  engineSpaceC: 60,
  /** A fuse's resistance is this voltage divided by its rating. */
  fuseDropV: 0.085,
  jointOhm: 0.001,
  switchContactOhm: 0.005,
  floatContactOhm: 0.01,
  ledDropV: 2,
  ledOhm: 680,
  pilotLampOhm: 150,
  /** A LED is lit from this current. */
  ledLitA: 0.001,
  /** Motor's share of label current that it draws without load. */
  motorNoLoadShare: 0.15,
  /** Winding resistance where not measured: label volts ÷ (this × label amps). */
  lockedOverLabel: 5,
  /** R·I0/V0 outside this range is no bilge-pump motor. */
  motorRatioMin: 0.02,
  motorRatioMax: 0.6,
  /** Below this share of label volts the motor may not break away. */
  breakawayShare: 0.2,
  /** Below this the pump does not do its job. */
  pumpJobV: 10.5,
  insulationC: 105,
  stubLengthM: 0.15,
  /** Length of a light's tap behind the panel, m. */
  lightTapM: 0.1,
  capacityAh: 100,
  stateOfCharge: 1,
  /** Volts meant by a label that prints none beside its amperes. On the safe side for the cable. */
  labelV: 12,
  /** Volts at which a label's flow was mostly measured. */
  openFlowV: 13.6,
} as const;

/** Battery behaviour by chemistry, scaled from 100 Ah. */
export const batteryChemistry = {
  'lead-acid': { name: 'lead-acid', emptyV: 11.8, spanV: 0.9, internalOhmAt100Ah: 0.006 },
  lifepo4: { name: 'LiFePO4', emptyV: 12.9, spanV: 0.5, internalOhmAt100Ah: 0.003 },
} as const;

export type Chemistry = keyof typeof batteryChemistry;

/** EMF at rest, V, for a state of charge 0–1. */
export function restingEmfV(chemistry: Chemistry, stateOfCharge: number): number {
  const { emptyV, spanV } = batteryChemistry[chemistry];
  return emptyV + spanV * stateOfCharge;
}

/** Internal resistance, Ω, for a capacity in Ah (> 0). */
export function internalResistanceOhm(chemistry: Chemistry, capacityAh: number): number {
  return (batteryChemistry[chemistry].internalOhmAt100Ah * 100) / capacityAh;
}
