import {
  isFloat,
  keptRows,
  sameSetting,
  truthRow,
  truthTable,
  type Netlist,
  type Setting,
  type SolverMemory,
  type TruthRow,
} from '../circuit';
import { defaults, runsFromV } from '../reference';
import type { Behaviour, ContactFacts } from '../findings';
import type { Circuit } from '../job';
import { differencesInWords, rewire, type Plan, type PumpPlan } from '../schemes';
import { withSupply, type Solved } from './settings';
import type { Drop } from './sizing';

/** The netlist as it was found wired, with the resistances of the plan's conductors. */
export function netlistAsWired(netlist: Netlist, plan: Plan, circuit: Circuit): Netlist {
  if (!circuit.rewired) return netlist;
  const { plan: wired } = rewire(plan, circuit.rewired);
  const ohms = new Map(netlist.conductors.map(({ id, ohm }) => [id, ohm]));
  return {
    ...netlist,
    conductors: [...wired.conductors, ...wired.existing].map(({ id, from, to }) => ({
      id,
      from,
      to,
      ohm: ohms.get(id) ?? 0,
    })),
  };
}

/** A circuit solved in every setting, as it is wired. */
export interface SolvedBehaviour {
  /** At 12.8 V at the posts. */
  readonly rows: readonly TruthRow[];
  /** At the lowest supply; only of circuits with a relay. */
  readonly lowRows: readonly TruthRow[];
  readonly lowestV: number;
}

/**
 * Solves what the circuit does in every setting, as it is wired.
 * @param settings those in which the pump runs as planned: there a relay must pull in at the lowest supply as well
 */
export function solveBehaviour(
  netlist: Netlist,
  restingV: number,
  settings: readonly Setting[],
  memory?: SolverMemory,
): SolvedBehaviour {
  const lowestV = Math.min(defaults.ratedSupplyV, restingV);
  const low = withSupply(netlist, lowestV);
  const relayed = netlist.parts.some(({ kind }) => kind === 'relay');
  return {
    rows: truthTable(withSupply(netlist, defaults.runningSupplyV), settings, memory),
    lowRows: relayed ? settings.map((setting) => truthRow(low, setting, memory)) : [],
    lowestV,
  };
}

/** What the circuit does as it is wired, as plain data. */
export function behaviourOf(
  netlist: Netlist,
  plan: Plan,
  circuit: Circuit,
  { rows, lowRows, lowestV }: SolvedBehaviour,
): Behaviour {
  const { plan: wired, strays } = rewire(plan, circuit.rewired);
  return {
    wired,
    strays,
    differences: differencesInWords(plan, circuit),
    reversed: runsBackwards(rows, plan),
    rows: keptRows(netlist, rows),
    lowRows: keptRows(netlist, lowRows),
    lowestV,
  };
}

/** Whether the pump gets a fifth of its label volts the wrong way round in any setting. */
function runsBackwards(rows: readonly TruthRow[], { parts, ids }: Plan): boolean {
  const pump = parts.find(({ part }) => part.id === ids?.pump)?.part;
  if (pump?.kind !== 'pump') return false;
  const fromV = runsFromV(pump.motor.labelV);
  return rows.some(({ point }) => point !== null && point.voltsAcross(pump.id, 'plus', 'minus') <= -fromV);
}

/** Every contact that switches, with the most it carries at design current. */
export function contactsOf(plan: PumpPlan, circuit: Circuit, drop: Drop): ContactFacts[] {
  return plan.parts.flatMap(({ part, name }): ContactFacts[] => {
    const amps = () => Math.max(0, ...drop.solved.map(({ point }) => Math.abs(point.partA(part.id))));
    if (part.kind === 'three-way-switch' || part.kind === 'on-off-switch')
      return [{ part: part.id, name, what: 'switch', ratingA: circuit.panel?.switchA ?? null, amps: amps() }];
    if (part.kind === 'relay')
      return [
        {
          part: part.id,
          name,
          what: 'relay',
          ratingA: circuit.relay?.contactA ?? null,
          amps: amps(),
        },
      ];
    if (!isFloat(part)) return [];
    // A float inside a pump is its maker's to rate.
    if (part.kind === 'pump') return [];
    return [{ part: part.id, name, what: 'float', ratingA: circuit.floatA ?? null, amps: amps() }];
  });
}

/** The settings given as far as they were solved already at a supply; null where one of them was not. */
export function rowsAt(
  { rows: usual, lowRows, lowestV }: SolvedBehaviour,
  supplyV: number,
  settings: readonly Setting[],
  pump: string,
): Solved[] | null {
  const rows = supplyV === defaults.runningSupplyV ? usual : supplyV === lowestV ? lowRows : [];
  const found = settings.flatMap((setting): Solved[] => {
    const row = rows.find((candidate) => sameSetting(candidate.setting, setting));
    return row?.point ? [{ setting, point: row.point, pumpV: row.point.voltsAcross(pump, 'plus', 'minus') }] : [];
  });
  return found.length === settings.length ? found : null;
}
