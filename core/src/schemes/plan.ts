import type { Netlist, Part, TerminalRef } from '../circuit';
import type { Battery, Circuit, LegKey } from '../job';

/** Where a part stands, from dry to wet. */
export type Band = 'source' | 'panel' | 'bilge';

/** What a conductor does; parts stand in the role of the conductor they belong to. */
export type Role = 'supply' | 'manual' | 'auto' | 'negative';

/** Colours of insulation, with the stripe where there is one. */
export interface ConductorColour {
  readonly base: 'red' | 'brown' | 'black' | 'yellow';
  readonly stripe?: 'white';
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
  /** The cable leg it runs in; `stub` is the unprotected piece before the fuse. */
  readonly leg: LegKey | 'stub';
  /** One way, m. */
  readonly lengthM: number;
  readonly insulationC: number;
  readonly engineSpace: boolean;
  /** Another conductor whose size this one takes over. */
  readonly sameSizeAs?: string;
}

/** A boat's own cable that is drawn but not sized here. */
export interface ExistingLink {
  readonly id: string;
  readonly from: TerminalRef;
  readonly to: TerminalRef;
}

/** A circuit as its scheme wires it. */
export interface Plan {
  readonly ground: TerminalRef;
  readonly parts: readonly PlannedPart[];
  readonly conductors: readonly PlannedConductor[];
  readonly existing: readonly ExistingLink[];
  /** The fuse, the conductor that carries all of its current, and the pump. */
  readonly ids: { readonly battery: string; readonly fuse: string; readonly afterFuse: string; readonly pump: string };
}

/** A circuit of which everything needed is known. */
export interface SurveyedCircuit extends Circuit {
  readonly pump: Circuit['pump'] & { readonly currentA: number };
}

/** A wiring template. */
export interface Scheme {
  readonly name: string;
  /** One sentence: when it is used. */
  readonly summary: string;
  /** Legs the survey asks for, from dry to wet. */
  readonly legs: readonly {
    readonly key: LegKey;
    readonly name: string;
    readonly role: Role;
    readonly cores: number;
  }[];
  plan(circuit: SurveyedCircuit, battery: Battery): Plan;
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
      ...plan.existing.map((link) => ({ ...link, ohm: 0 })),
    ],
  };
}
