import type { Ampacity, Opening, Rating, RatingAnswer } from '../wiring';
import type { Battery, Boat, Circuit, Choices } from '../job';
import type { CableFamily, DropSchool } from '../reference';
import type { UnitSystem } from '../units';
import type { KeptRow, Motor, Setting } from '../circuit';
import type { WaterFacts } from './waterFacts';
import type { Plan, PlannedConductor, PlannedRun, Rewired, SchemeOption, SharedPump } from '../schemes';

/** A piece of a conductor, where it runs. */
export interface ConductorPiece {
  readonly run: PlannedRun;
  readonly temperatureC: number;
  readonly resistanceOhm: number;
  readonly ampacity: Ampacity;
}

/** A conductor with its size and what follows from it. */
export interface ConductorFacts {
  readonly planned: PlannedConductor;
  readonly size: string;
  readonly family: CableFamily;
  readonly areaMm2: number;
  readonly leastSize: string;
  readonly underLeast: boolean;
  readonly proposedSize: string;
  /** True where the user chose a size; it may equal the proposed one. */
  readonly overridden: boolean;
  readonly pieces: readonly ConductorPiece[];
  readonly resistanceOhm: number;
  /** Of the piece that may carry least. */
  readonly ampacity: Ampacity;
  /** Design current in the setting that loads it most, A. */
  readonly designA: number;
  /** Drop at design current, V. */
  readonly dropV: number;
  /** Current while the pump runs at 12.8 V, in the setting that loads it most, A. */
  readonly runningA: number;
}

/** A fuse or breaker that the pump's current goes through. */
export interface DeviceFacts extends Rating {
  readonly id: string;
  readonly name: string;
  /** Through it at design current, A. */
  readonly designA: number;
  /** Through it with 13.6 V at the battery posts, A. */
  readonly onChargeA: number;
  /** Through it while the pump starts at 14.4 V, A, and how long that takes to reach its fastest edge. */
  readonly inrushA: number;
  readonly inrushOpening: Opening;
}

/** A thin tap of a light or alarm, and the rating of the fuse before it. */
export interface TapFacts {
  readonly conductor: ConductorFacts;
  readonly ratingA: number;
}

/** Where a winding that is not known better than this would be judged worse than it is. */
export interface WindingTurn {
  /** From this resistance upwards, Ω. */
  readonly fromOhm: number;
  /** What the device then does at the highest resistance within the spread. */
  readonly opening: Opening;
  readonly highestOhm: number;
}

/** The feed that a circuit takes over from another one. */
export interface SharedFeed {
  readonly leaderId: string;
  readonly leaderName: string;
  /** The rating in force there; null while that circuit is not sized. */
  readonly rating: Rating | null;
  /** Sizes of its conductors, by id. */
  readonly sizes: Readonly<Record<string, string>>;
}

/** The pump at one supply, in the setting that gives it least. */
export interface SupplyFacts {
  readonly supplyV: number;
  readonly pumpV: number;
  readonly pumpA: number;
  readonly speedRatio: number;
  /** Flow at no head, L/h; null while the label's open flow is not known. */
  readonly openFlowLPerH: number | null;
  readonly setting: Setting;
}

export interface ProtectionFacts extends Rating {
  readonly answer: RatingAnswer;
  /** Whether the user chose the rating; one taken over with a feed is not chosen here. */
  readonly overridden: boolean;
  /** What the ratings of this family would be proposed as, where there is an answer. */
  readonly proposed: Rating | null;
  readonly lockedRotorA: number;
  readonly lockedRotorOpening: Opening;
  /** Where a winding within its spread would turn the verdict; null where none does. */
  readonly windingTurn: WindingTurn | null;
  /** Where both legs of an always-live circuit have a fuse of their own: a stalled motor fed through both. */
  readonly legs: { readonly manualA: number; readonly autoA: number; readonly opening: Opening } | null;
  readonly farShortA: number;
  readonly farShortOpening: Opening;
  /** Through the circuit's own device, A. */
  readonly inrushA: number;
  /** Every device in the pump's path, from the source on. */
  readonly devices: readonly DeviceFacts[];
  /** A short just after the first device: no stub lies before one on the battery post, A. */
  readonly sourceFaultA: number;
  /** A short at the battery post itself, A. */
  readonly postFaultA: number;
  readonly interruptA: number;
  readonly taps: readonly TapFacts[];
  /** The conductor that the devices protect least well, and the rating that protects it; taps and leads are judged apart. */
  readonly leastProtected: { readonly conductor: ConductorFacts; readonly ratingA: number };
  /** A fuse or breaker built into the panel. */
  readonly panel: Rating | null;
  /** A high-interrupt fuse on the battery post. */
  readonly main: Rating | null;
  /** Least figure of the makers of the pumps behind the device, A, and whose pump that is. */
  readonly makerA: number | null;
  readonly stubLengthM: number;
  readonly stubSheathed: boolean;
}

/** Why the tables hold no size for this circuit: the limit that the largest one breaks, and by how much. */
export interface NoSize {
  readonly largest: string;
  readonly limit: 'drop' | 'ampacity' | 'fuse';
  /** How many times over the limit the largest is; null where nothing may flow at all. */
  readonly neededFactor: number | null;
}

/** A contact, what it may carry and what it carries at design current. */
export interface ContactFacts {
  readonly part: string;
  readonly name: string;
  readonly what: 'switch' | 'float' | 'relay';
  /** Null where it was not read. */
  readonly ratingA: number | null;
  readonly amps: number;
}

/** What the circuit does as it is wired, solved in every setting of its switches and floats. */
export interface Behaviour {
  /** The plan with what was found wired otherwise. */
  readonly wired: Plan;
  readonly strays: Rewired['strays'];
  /** Differences from the plan, in words. */
  readonly differences: readonly string[];
  /** Whether the pump turns backwards as it is wired, in a setting in which it runs. */
  readonly reversed: boolean;
  /** At 12.8 V at the posts. */
  readonly rows: readonly KeptRow[];
  /** At the lowest supply; only of circuits with a relay. */
  readonly lowRows: readonly KeptRow[];
  readonly lowestV: number;
}

/** The next smaller size throughout, and what it would cost at 12.8 V. */
export interface SmallerSize {
  readonly size: string;
  readonly dropPercent: number;
  /** Through the hose where that is known, else into the open; null where neither is. */
  readonly flowLPerH: number | null;
  readonly presentFlowLPerH: number | null;
}

/** Everything that is known about a sized circuit: what the findings judge. */
export interface CircuitFacts {
  readonly kind: 'pump';
  readonly circuit: Circuit;
  readonly boat: Boat;
  readonly choices: Choices;
  /** Whether the scheme pumps with nobody aboard. */
  readonly automatic: boolean;
  readonly duty: 'primary' | 'backup' | 'alarm';
  /** What its findings are worded in. */
  readonly units: UnitSystem;
  readonly options: readonly SchemeOption[];
  readonly others: readonly SharedPump[];
  /** The feed it hangs on where that is another circuit's; null for its own. */
  readonly sharedFeed: SharedFeed | null;
  readonly battery: Battery;
  readonly family: CableFamily;
  readonly dropSchool: DropSchool;
  readonly motor: Motor;
  readonly designCurrentA: number;
  /** Design current of the feed: this pump and all others on it, A. */
  readonly fedA: number;
  readonly conductors: readonly ConductorFacts[];
  readonly noSize: NoSize | null;
  /** Lost in the cable, both ways; the pump's own leads are counted apart. */
  readonly dropV: number;
  readonly dropPercent: number;
  /** Lost in the pump's own leads at design current, V. */
  readonly leadsDropV: number;
  readonly dropSetting: Setting;
  readonly supplies: readonly SupplyFacts[];
  /** From the battery as it was surveyed: its volts at rest, its charge, its internal resistance. */
  readonly asMeasured: SupplyFacts;
  /** What the next smaller size would cost, where cable meets something much thinner and there is one. */
  readonly smallerSize: SmallerSize | null;
  readonly protection: ProtectionFacts;
  readonly contacts: readonly ContactFacts[];
  readonly behaviour: Behaviour;
  /** Null while its pump, hose and float are in no surveyed well. */
  readonly water: WaterFacts | null;
}

/** What is known about an alarm with a battery of its own. */
export interface AlarmFacts {
  readonly kind: 'alarm';
  readonly circuit: Circuit;
  readonly boat: Boat;
  readonly battery: Battery;
  readonly units: UnitSystem;
  readonly conductors: readonly ConductorFacts[];
  readonly behaviour: Behaviour;
  readonly water: WaterFacts | null;
}

/** What rules judge, whatever the circuit drives. */
export type AnyFacts = CircuitFacts | AlarmFacts;
