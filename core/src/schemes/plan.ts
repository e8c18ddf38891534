import type { Netlist, Part, TerminalRef } from '../circuit';
import type { Battery, Circuit, InsulationColour, LegKey } from '../job';
import type { LevelSensor } from '../reference';

/** Where a part stands, from dry to wet. */
export type Band = 'source' | 'panel' | 'bilge';

/** What a conductor does; parts stand in the role of the conductor they belong to. */
export type Role = 'supply' | 'manual' | 'auto' | 'negative';

/** Colours of insulation, with the stripe where there is one. */
export interface ConductorColour {
  readonly base: InsulationColour;
  readonly stripe?: InsulationColour;
}

export interface PlannedPart {
  readonly part: Part;
  readonly name: string;
  readonly band: Band;
  readonly role: Role;
}

/** A conductor as planned, before its size is known. */
export interface PlannedConductor {
  readonly id: string;
  readonly name: string;
  readonly from: TerminalRef;
  readonly to: TerminalRef;
  readonly role: Role;
  readonly colour: ConductorColour;
  /** The colour that it was planned in, where it was built in another. */
  readonly plannedColour?: ConductorColour;
  /** What it runs in: a cable leg, the unprotected stub before the fuse, behind the panel, or a part's own lead. */
  readonly leg: LegKey | 'stub' | 'panel' | 'lead';
  /** Length of all its runs, one way, m. */
  readonly lengthM: number;
  readonly runs: readonly PlannedRun[];
  /** Whether it carries the pump, only a light or alarm, only a relay's coil, or is a part's lead of a given size. */
  readonly duty: 'pump' | 'light' | 'control' | 'lead';
  /** Size of a lead, which comes with its part. */
  readonly givenSize?: string;
  /** Another conductor whose size this one takes over. */
  readonly sameSizeAs?: string;
  /** Why it may be under the least size, where it may. */
  readonly underLeastBecause?: string;
  /** Of a conductor in a sheathed multicore: the most of it that is outside the sheath, m. */
  readonly unsheathedM?: number;
  /** The fuse beside the circuit's own that protects it, where the circuit has that. */
  readonly behind?: string;
}

/** A piece of a conductor in the same surroundings. */
export interface PlannedRun {
  readonly lengthM: number;
  readonly insulationC: number;
  readonly engineSpace: boolean;
  /** Temperature of its copper, °C. */
  readonly temperatureC: number;
  /** Conductors bundled tightly together, this one counted; left out: no bundling factor. */
  readonly bundled?: number;
}

/** A boat's own cable that is drawn but not sized here. */
export interface ExistingLink {
  readonly id: string;
  /** Left out: that of the conductor it continues. */
  readonly colour?: ConductorColour;
  readonly from: TerminalRef;
  readonly to: TerminalRef;
}

/** A circuit as its scheme wires it. */
export interface Plan {
  readonly ground: TerminalRef;
  readonly parts: readonly PlannedPart[];
  readonly conductors: readonly PlannedConductor[];
  readonly existing: readonly ExistingLink[];
  /** What the sizing turns on; null where there is no pump, only an alarm with a battery of its own. */
  readonly ids: PlanIds | null;
}

/** The circuit's own fuse, the conductor that carries all of its current, the pump, and the conductor back from it. */
export interface PlanIds {
  readonly battery: string;
  readonly fuse: string;
  readonly afterFuse: string;
  readonly pump: string;
  readonly afterPump: string;
}

export type PumpPlan = Plan & { readonly ids: PlanIds };

export function hasPump(plan: Plan): plan is PumpPlan {
  return plan.ids !== null;
}

/** Parts, conductors and links that one side of a circuit brings to its plan. */
export interface PlanPiece {
  readonly parts: readonly PlannedPart[];
  readonly conductors: readonly PlannedConductor[];
  readonly existing: readonly ExistingLink[];
}

/** Another circuit, as far as this one feels it. */
export interface SharedPump {
  readonly id: string;
  readonly name: string;
  readonly pump: Circuit['pump'] & { readonly currentA: number };
}

/** A circuit of which everything needed is known. */
export interface SurveyedCircuit extends Circuit {
  readonly pump: Circuit['pump'] & { readonly currentA: number };
}

/** What a scheme wires: the circuit, its battery, and the circuits it touches. */
export interface Surveyed {
  readonly circuit: SurveyedCircuit;
  readonly battery: Battery;
  /** Other circuits on the same feed. */
  readonly others: readonly SharedPump[];
  /** The circuit whose post the alarm hangs on as well. */
  readonly alarmAlso: SharedPump | null;
}

/** What can be chosen of a scheme in the survey. */
export type SchemeOption =
  'three-way' | 'float' | 'running-light' | 'armed-light' | 'relay' | 'alarm' | 'leg-fuses' | 'pump';

/** A wiring template. */
export interface Scheme {
  readonly name: string;
  /** One sentence: when it is used. */
  readonly summary: string;
  /** Whether it pumps with nobody aboard. */
  readonly automatic: boolean;
  /** What feels the water: a float or probe, a timer that wakes the pump, or nothing. */
  readonly senses: LevelSensor | 'timer' | null;
  /** Whether it pumps first, comes to help, or only sounds. */
  readonly duty: 'primary' | 'backup' | 'alarm';
  readonly options: readonly SchemeOption[];
  /** Legs the survey asks for, from dry to wet. */
  readonly legs: readonly {
    readonly key: LegKey;
    readonly name: string;
    readonly role: Role;
    readonly cores: number;
  }[];
  plan(surveyed: Surveyed): Plan;
}

/** The plan as a netlist, each conductor with the resistance given for it, Ω. */
export function netlistOf(plan: Plan, ohmOf: (conductor: PlannedConductor) => number): Netlist {
  return {
    ground: plan.ground,
    parts: plan.parts.map((planned) => planned.part),
    conductors: [
      ...plan.conductors.map((conductor) => ({
        id: conductor.id,
        from: conductor.from,
        to: conductor.to,
        ohm: ohmOf(conductor),
      })),
      ...plan.existing.map(({ id, from, to }) => ({ id, from, to, ohm: 0 })),
    ],
  };
}
