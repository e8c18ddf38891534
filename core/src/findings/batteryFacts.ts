import type { Battery, Boat, Circuit } from '../job';
import type { ProtectionKind } from '../reference';
import type { UnitSystem } from '../units';

/** A circuit as its battery feels it. */
export interface BatteryCircuit {
  readonly circuit: Circuit;
  /** The first device after the battery, and what a short just behind it may draw, A. */
  readonly firstDevice: ProtectionKind;
  readonly interruptA: number;
  readonly sourceFaultA: number;
  /** A short at the battery post itself, A. */
  readonly postFaultA: number;
  /** Design current of its feed, other circuits on it counted, A. */
  readonly fedA: number;
  /** Through its feed with 13.6 V at the posts, while it starts, and with its pump stalled, A. */
  readonly onChargeA: number;
  readonly inrushA: number;
  readonly lockedRotorA: number;
  /** Whether it hangs on the feed of another circuit, whose device stands before it. */
  readonly shares: boolean;
  /** Drawn while it waits, with nobody aboard, A. */
  readonly standingA: number;
  /** Volts at its pump from the battery as surveyed: alone, and with all pumps of the battery at work. */
  readonly aloneV: number;
  readonly togetherV: number;
}

/** A battery with what hangs on it. */
export interface BatteryFacts {
  readonly battery: Battery;
  readonly capacityAh: number;
  /** Circuits with a pump that are sized, in the boat's order. */
  readonly circuits: readonly BatteryCircuit[];
  /** Volts at its posts with every pump at work, as surveyed. */
  readonly postsTogetherV: number;
  /** What it may still give from its charge as surveyed, Ah. */
  readonly usableAh: number;
  /** Drawn by day and night while the boat is left alone, less what a trickle gives, Ah a day. */
  readonly netAhPerDay: number;
}

/** A way in which water comes in by itself, and whether a pump takes it out by itself. */
export interface SteadyWayIn {
  readonly name: string;
  readonly pumped: boolean;
  /** A circuit of that well, beside which it is told; null where there is none. */
  readonly circuitId: string | null;
}

/** What is judged of a boat as a whole. */
export interface BoatFacts {
  readonly boat: Boat;
  readonly units: UnitSystem;
  readonly leftAloneDays: number;
  readonly batteries: readonly BatteryFacts[];
  readonly waysIn: readonly SteadyWayIn[];
  /** The circuit beside which the boat's own findings stand; null while she has none. */
  readonly firstCircuit: string | null;
}
