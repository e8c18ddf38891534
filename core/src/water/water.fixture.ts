import { driveCurve, type Drive } from './drive';
import { slopesOf } from './pose';
import type { SimBattery } from './simBattery';
import type { SimPump, SimQuestion } from './simQuestion';
import { posedWell, type Well } from './well';

export const level = slopesOf({ trimDeg: 0, heelDeg: 0 });

/** A box of 1 m by 0.4 m about the pump, its floor at the pump's base: 400 mL a millimetre. */
export const box: Well = {
  aftM: -0.5,
  foreM: 0.5,
  centreYM: 0,
  floorM: 0,
  floorSlope: 0,
  shape: { kind: 'box', widthM: 0.4 },
  members: [],
};

const steady = (amps: number, speedRatio: number) => driveCurve(() => ({ amps, speedRatio }));

/** A circuit that draws the same at any volts. */
const evenDrive: Drive = {
  waiting: steady(0, 0),
  off: steady(0, 0),
  running: steady(4, 1),
  manual: steady(4, 1),
  dry: steady(2, 1.3),
};

export const largeBattery: SimBattery = {
  id: 'house',
  capacityAh: 1e6,
  internalOhm: 0,
  emfV: () => 12.7,
  usableTo: 0.5,
  deadAt: 0,
  chargeA: 0,
  startCharge: 1,
};

/** A pump of a constant 1000 L/h with a float at 55/25 mm over its base, no water in its hose. */
export function pumpOf(more: Partial<SimPump> = {}): SimPump {
  return {
    id: 'pump',
    role: 'primary',
    batteryId: 'house',
    moves: () => 1 / 3600,
    drainBackM3: 0,
    primeLossM: 0.012,
    primeGainM: 0.018,
    sensor: { kind: 'float', onM: 0.055, offM: 0.025, onDelayS: 0, runOnS: 0 },
    drive: evenDrive,
    turns: [],
    ...more,
  };
}

export function questionOf(more: Partial<SimQuestion> = {}): SimQuestion {
  return {
    well: posedWell(box, level),
    startM3: 0,
    ingress: [{ kind: 'steady', flow: 0.1 / 3600 }],
    pumps: [pumpOf()],
    alarms: [],
    batteries: [largeBattery],
    limitM: null,
    seconds: 86400,
    tracePieces: 0,
    ...more,
  };
}
