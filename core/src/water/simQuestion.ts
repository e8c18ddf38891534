import type { Drive } from './drive';
import type { Ingress } from './ingress';
import type { PumpAndHose } from './hoseFlow';
import type { SimBattery } from './simBattery';
import type { PosedWell } from './well';

/** A float in a run: levels of the surface at the pump at which it switches, m over the pump's base. */
export interface SimFloat {
  readonly kind: 'float';
  readonly onM: number;
  readonly offM: number;
  readonly onDelayS: number;
  readonly runOnS: number;
  /** A float that debris holds. */
  readonly stuck?: 'up' | 'down';
}

/** A pump that wakes, feels for water, and runs on while there is some. */
export interface SimTimer {
  readonly kind: 'timer';
  readonly periodS: number;
  readonly feelS: number;
}

export type SwitchTurn = { readonly fromS: number; readonly position: 'manual' | 'off' | 'auto' };

export interface SimPump {
  readonly id: string;
  readonly role: 'primary' | 'backup';
  readonly batteryId: string;
  /** What it moves: by its curve and hose, or by a law of flow, m³/s, over speed ratio and level. */
  readonly moves: PumpAndHose | ((speedRatio: number, levelM: number) => number);
  /** What runs back from its hose when it stops, m³. */
  readonly drainBackM3: number;
  /** Levels at which it loses its prime and has it again. */
  readonly primeLossM: number;
  readonly primeGainM: number;
  readonly sensor: SimFloat | SimTimer | null;
  readonly drive: Drive;
  /** Positions of its switch from each time on; none: auto throughout. */
  readonly turns: readonly SwitchTurn[];
  /** A rotor that does not turn: what it draws, A, and how long until its fuse opens, s. */
  readonly locked?: { readonly amps: number; readonly opensAfterS: number };
}

export interface SimAlarm {
  readonly id: string;
  readonly sensor: SimFloat;
}

/** A long run of one well in one attitude. */
export interface SimQuestion {
  readonly well: PosedWell;
  readonly startM3: number;
  readonly ingress: readonly Ingress[];
  readonly pumps: readonly SimPump[];
  readonly alarms: readonly SimAlarm[];
  readonly batteries: readonly SimBattery[];
  /** The lowest level at which something is harmed, m. */
  readonly limitM: number | null;
  /** Level at which the well spills over into the rest of the boat, m; left out: its sides have no end. */
  readonly topM?: number;
  readonly seconds: number;
  /** Whether to end when the limit is reached. */
  readonly stopAtLimit?: boolean;
  /** How many times finer than usual tolerances are; default 1. */
  readonly fineness?: number;
  /** How many pieces of time the trace is thinned to; 0 for none. */
  readonly tracePieces: number;
  /** Whether cycles that come again are gone through all the same. Default false: they are counted. */
  readonly throughCycles?: boolean;
}

/** One pump's part in a run. */
export interface PumpRun {
  readonly id: string;
  readonly starts: number;
  /** Mean and longest of its completed runs, s; null where none was completed. */
  readonly runS: number | null;
  readonly longestRunS: number | null;
  readonly shortestRunS: number | null;
  readonly runningS: number;
  readonly drySecondsLongest: number;
  /** Out of the boat, m³. */
  readonly pumpedM3: number;
  /** Completed runs in which less left the boat than half of what its hose gave back. */
  readonly ownWaterRuns: number;
  /** 30 minutes on with the water no lower, whenever that began. */
  readonly neverStops: boolean;
}

export interface BatteryRun {
  readonly id: string;
  readonly ampHours: number;
  readonly endCharge: number;
  /** When its usable charge was gone, s; null where it was not. */
  readonly usedUpAtS: number | null;
}

/** A piece of the trace: what happened between two times. */
export interface TracePiece {
  readonly fromS: number;
  readonly toS: number;
  readonly lowM: number;
  readonly highM: number;
  readonly endM: number;
  /** Share of it that each pump ran. */
  readonly running: readonly number[];
  readonly charge: number;
}

export interface WaterRun {
  readonly seconds: number;
  readonly pumps: readonly PumpRun[];
  readonly batteries: readonly BatteryRun[];
  readonly inM3: number;
  readonly pumpedM3: number;
  readonly endM3: number;
  readonly maxLevelM: number;
  readonly limitAtS: number | null;
  /** When the well was full to its top, s, and what spilled over since, m³. */
  readonly spillsAtS: number | null;
  readonly spilledM3: number;
  /** 30 minutes of rising water with every pump on. */
  readonly loses: boolean;
  readonly alarmAtS: number | null;
  /** Water that is unaccounted for, m³. */
  readonly massErrorM3: number;
  readonly events: number;
  readonly trace: readonly TracePiece[];
}
