import type { Ampacity, Opening, Rating, RatingAnswer } from '../wiring';
import type { Circuit, Choices } from '../job';
import type { CableFamily, DropSchool } from '../reference';
import type { Motor, Setting, TruthRow } from '../circuit';
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
  readonly overridden: boolean;
  /** What the ratings of this family would be proposed as, where there is an answer. */
  readonly proposed: Rating | null;
  readonly lockedRotorA: number;
  readonly lockedRotorOpening: Opening;
  /** Where both legs of an always-live circuit have a fuse of their own: a stalled motor fed through both. */
  readonly legs: { readonly manualA: number; readonly autoA: number; readonly opening: Opening } | null;
  readonly farShortA: number;
  readonly farShortOpening: Opening;
  readonly inrushA: number;
  /** How long the inrush takes to reach the fastest edge. */
  readonly inrushOpening: Opening;
  readonly sourceFaultA: number;
  readonly interruptA: number;
  /** The conductor that the devices protect least well, and the rating that protects it. */
  readonly leastProtected: { readonly conductor: ConductorFacts; readonly ratingA: number };
  /** A fuse or breaker built into the panel. */
  readonly panel: Rating | null;
  /** A high-interrupt fuse on the battery post. */
  readonly main: Rating | null;
  /** Least figure of the makers of the pumps behind the device, A. */
  readonly makerA: number | null;
  readonly stubLengthM: number;
  readonly stubSheathed: boolean;
}

/** Why the tables hold no size for this circuit: the limit that the largest one breaks, and by how much. */
export interface NoSize {
  readonly largest: string;
  readonly limit: 'drop' | 'ampacity' | 'fuse';
  readonly neededFactor: number;
}

/** A contact, what it may carry and what it carries at design current. */
export interface ContactFacts {
  readonly part: string;
  readonly name: string;
  readonly what: 'switch' | 'float' | 'relay';
  readonly ratingA: number | undefined;
  readonly amps: number;
}

/** What the circuit does as it is wired, solved in every setting of its switches and floats. */
export interface Behaviour {
  /** The plan with what was found wired otherwise. */
  readonly wired: Plan;
  readonly strays: Rewired['strays'];
  /** Differences from the plan, in words. */
  readonly differences: readonly string[];
  /** At 12.8 V at the posts. */
  readonly rows: readonly TruthRow[];
  /** At the lowest supply; only of circuits with a relay. */
  readonly lowRows: readonly TruthRow[];
  readonly lowestV: number;
}

/** Everything that is known about a sized circuit: what the findings judge. */
export interface CircuitFacts {
  readonly circuit: Circuit;
  readonly choices: Choices;
  /** Whether the scheme pumps with nobody aboard. */
  readonly automatic: boolean;
  readonly options: readonly SchemeOption[];
  readonly petrol: boolean;
  readonly others: readonly SharedPump[];
  readonly family: CableFamily;
  readonly dropSchool: DropSchool;
  readonly motor: Motor;
  readonly designCurrentA: number;
  /** Design current of the feed: this pump and all others on it, A. */
  readonly fedA: number;
  readonly conductors: readonly ConductorFacts[];
  readonly noSize: NoSize | null;
  readonly dropV: number;
  readonly dropPercent: number;
  readonly dropSetting: Setting;
  readonly supplies: readonly SupplyFacts[];
  readonly protection: ProtectionFacts;
  readonly contacts: readonly ContactFacts[];
  readonly behaviour: Behaviour;
  /** Null while its pump, hose and float are in no surveyed well. */
  readonly water: WaterFacts | null;
}

/** What is known about an alarm with a battery of its own. */
export interface AlarmFacts {
  readonly circuit: Circuit;
  readonly petrol: boolean;
  readonly conductors: readonly ConductorFacts[];
  readonly behaviour: Behaviour;
  readonly water: WaterFacts | null;
}
