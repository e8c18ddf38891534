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
  /** A charger or the engine running, V at the posts. */
  chargingSupplyV: 13.6,
  inrushSupplyV: 14.4,
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
  /** A pilot lamp is judged by its power at this voltage: dark below the one share of it, dim below the other. */
  filamentV: 12,
  filamentDarkShare: 0.05,
  filamentDimShare: 0.5,
  diodeDropV: 0.7,
  diodeOhm: 0.05,
  /** Relay, numbered after ISO 7588. */
  relayCoilOhm: 90,
  coilFuseA: 1,
  relayPullInV: 7.2,
  relayDropOutV: 1.2,
  relayContactOhm: 0.005,
  /** DC rating of a common relay's contact, A, where it was not read. */
  relayContactA: 30,
  /** A resistor across the coil, about ten times the coil. */
  suppressionOhm: 1000,
  alarmOhm: 400,
  /** The light in an alarm, with its resistor. */
  alarmLightOhm: 1000,
  /** An alarm is heard from this voltage. */
  alarmSoundsV: 6,
  alarmOwnBatteryV: 9,
  /** An electronic sensor's own draw at label volts. */
  sensorDrawA: 0.005,
  /** Electronics come to life at the one voltage and give up below the other. */
  sensorWakeV: 8,
  sensorDropOutV: 6,
  /** A sensing pump wakes this often, s, and feels for load this long, s. */
  sensingPeriodS: 180,
  sensingFeelS: 1,
  /** Delays of an electronic probe sensor, s. */
  probeOnDelayS: 2,
  probeRunOnS: 4,
  voltmeterOhm: 1e7,
  testLampOhm: 30,
  ohmmeterA: 0.001,
  ohmmeterLimitV: 2,
  /** A LED is lit from this current. */
  ledLitA: 0.001,
  /** Motor's share of label current that it draws without load. */
  motorNoLoadShare: 0.15,
  /** Winding resistance where not measured: label volts ÷ (this × label amps). */
  lockedOverLabel: 5,
  /** R·I0/V0 outside this range is no bilge-pump motor. */
  motorRatioMin: 0.02,
  motorRatioMax: 0.6,
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
  /** Water over its base at which a pump loses its prime, and at which it has it again, m. */
  primeLossM: 0.012,
  primeGainM: 0.018,
  dropML: 0.05,
} as const;

/** Battery behaviour by chemistry, scaled from 100 Ah; charge is used down to the one share, and nothing comes out at the other. */
export const batteryChemistry = {
  'lead-acid': { name: 'lead-acid', emptyV: 11.8, spanV: 0.9, internalOhmAt100Ah: 0.006, usableTo: 0.5, deadAt: 0 },
  lifepo4: { name: 'LiFePO4', emptyV: 12.9, spanV: 0.5, internalOhmAt100Ah: 0.003, usableTo: 0.2, deadAt: 0.05 },
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

/**
 * Level sensors: the water over their base at which they switch, m, their delays, s, whether
 * they are electronic and whether one is fitted by itself, not with its pump. A new one is an entry here.
 */
export const levelSensors = {
  hinged: { name: 'Hinged', electronic: false, fitted: true, onM: 0.055, offM: 0.025, onDelayS: 0, runOnS: 0 },
  enclosed: { name: 'Enclosed', electronic: false, fitted: true, onM: 0.05, offM: 0.025, onDelayS: 0, runOnS: 0 },
  integral: { name: 'In the pump', electronic: false, fitted: false, onM: 0.06, offM: 0.025, onDelayS: 0, runOnS: 0 },
  probe: {
    name: 'Probe',
    electronic: true,
    fitted: true,
    onM: 0.038,
    offM: 0.025,
    onDelayS: defaults.probeOnDelayS,
    runOnS: defaults.probeRunOnS,
  },
} as const;

export type LevelSensor = keyof typeof levelSensors;

/** Sensors that are fitted by themselves: a job file names one of them. */
export type FittedSensor = {
  [K in LevelSensor]: (typeof levelSensors)[K]['fitted'] extends true ? K : never;
}[LevelSensor];

function isFitted(key: LevelSensor): key is FittedSensor {
  return levelSensors[key].fitted;
}

export const fittedSensors: readonly FittedSensor[] = (Object.keys(levelSensors) as LevelSensor[]).filter(isFitted);

/** What may lie across a relay's coil, so that it throws no spark when it is let go. */
export const coilSuppressors = {
  diode: { name: 'Diode' },
  resistor: { name: 'Resistor' },
  none: { name: 'Nothing' },
} as const;

export type CoilSuppressor = keyof typeof coilSuppressors;

export const coilSuppressorKeys = Object.keys(coilSuppressors) as CoilSuppressor[];

/** Least capacity by hull length at real back pressure, L/min: a small-craft rule of thumb. */
export function leastCapacityLPerMin(hullLengthM: number): number {
  if (hullLengthM <= 6) return 10;
  return hullLengthM <= 12 ? 15 : 30;
}
