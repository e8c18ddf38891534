import type { Pose, WellSurvey } from '../job';
import type { LevelSensor } from '../reference';
import type { UnitSystem } from '../units';
import type { FloatWindow, Hose, PlacedFloat, PumpCurve, Well } from '../water';

/** A pump in its well at one supply, the boat in one pose and water at the pump's base. */
export interface OperatingFacts {
  readonly supplyV: number;
  readonly flowLPerH: number;
  /** What it lifts and pushes against, m. */
  readonly headM: number;
}

/** A circuit's water in one pose. */
export interface PoseFacts {
  readonly pose: Pose;
  /** From the pump's base to the hose's highest point, m; null while no hose is known. */
  readonly liftM: number | null;
  readonly drainBackL: number;
  /** What an empty hose must climb, m, and whether it holds water in a dip. */
  readonly climbM: number;
  readonly dips: boolean;
  /** The outlet over the water outside, m; null where that is not known. */
  readonly outletOverM: number | null;
  /** The vented loop's top over the water outside, m; null without one, or where its height is not known. */
  readonly loopOverM: number | null;
  /** How far above the first pump's float this one switches on, m; null where it comes after none. */
  readonly aboveFirstM: number | null;
  /** By supply; empty while pump or hose is not known. */
  readonly operating: readonly OperatingFacts[];
  /** Levels at the well's zero, m. */
  readonly primeLossM: number;
  readonly limit: { readonly levelM: number; readonly id: string; readonly name: string } | null;
}

/** What is known of a circuit's pump, hose and float in its well. */
export interface WaterFacts {
  readonly units: UnitSystem;
  readonly survey: WellSurvey;
  /** The part of the well that its pump draws from. */
  readonly pool: Well;
  readonly sensor: LevelSensor | 'timer' | null;
  readonly float: PlacedFloat | null;
  readonly window: FloatWindow | null;
  readonly hose: Hose | null;
  readonly curve: PumpCurve | null;
  /** Head at which the pump stops moving water at the lowest supply, m; null while its curve is not known. */
  readonly lowestShutOffM: number | null;
  /** Of a corrugated hose: what it moves at 12.8 V, and what a smooth one of the same bore would, L/h. */
  readonly wall: { readonly corrugatedLPerH: number; readonly smoothLPerH: number } | null;
  /** The first is the one figures are given in. */
  readonly poses: readonly PoseFacts[];
  readonly waterIn: 'sea' | 'fresh';
  /** Of the boat, m; null where it was not measured. */
  readonly hullLengthM: number | null;
  /** The most that each listed ingress brings, L/h, the worst first. */
  readonly ingress: readonly { readonly id: string; readonly name: string; readonly mostLPerH: number }[];
  /** Water that comes back from the hose, lifting the well past where a pump has its prime again. */
  readonly reprimes: boolean;
}
