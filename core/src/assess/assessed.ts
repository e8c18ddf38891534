import type { Netlist } from '../circuit';
import type { AlarmFacts, CircuitFacts, Finding, Statement } from '../findings';
import type { Circuit } from '../job';
import type { Plan, PumpPlan } from '../schemes';
import type { Need } from './needs';

/** A circuit with a pump, sized. */
export interface AssessedPump {
  readonly status: 'sized';
  readonly circuit: Circuit;
  readonly plan: PumpPlan;
  /** The netlist as wired, with sizes and rating in force and the battery as surveyed. */
  readonly netlist: Netlist;
  readonly facts: CircuitFacts;
  readonly findings: readonly Finding[];
  /** How it is wired, as somebody decided. */
  readonly wiredAs: readonly Statement[];
}

/** An alarm with a battery of its own: its loop, sized and judged. */
export interface AssessedAlarm {
  readonly status: 'alarm';
  readonly circuit: Circuit;
  readonly plan: Plan;
  readonly netlist: Netlist;
  readonly facts: AlarmFacts;
  readonly findings: readonly Finding[];
  readonly wiredAs: readonly Statement[];
}

/** A circuit of which something must still be measured. */
export interface Unfinished {
  readonly status: 'incomplete';
  readonly circuit: Circuit;
  readonly needs: readonly Need[];
}

/** What is known about a circuit. Plain data: it may be stored, sent, signed and compared. */
export type AssessedCircuit = AssessedPump | AssessedAlarm | Unfinished;

/** What is known about a boat: her circuits in the job's order, and what is found of her that none of them can show. */
export interface Assessment {
  readonly circuits: readonly AssessedCircuit[];
  readonly findings: readonly Finding[];
}
