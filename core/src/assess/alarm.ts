import { keptRows, truthTable, type Netlist } from '../circuit';
import { judgeCircuit, type AlarmFacts, type WaterFacts } from '../findings';
import type { Circuit } from '../job';
import { minimumSize } from '../reference';
import { differencesInWords, netlistOf, planCircuit, rewire, type Plan } from '../schemes';
import { conductorFacts, everySolved, netlistAsWired, ohmsAt, type SizingMemory, sizeNamed } from '../sizing';
import type { Surroundings } from './surroundings';
import type { Judged } from './tryFix';
import { waterFactsOf } from './waterFacts';

/** An alarm with its own battery, judged, and what its fixes are tried with. */
export interface JudgedAlarm extends Judged<AlarmFacts> {
  readonly plan: Plan;
  readonly netlist: Netlist;
  waterAs(circuit: Circuit): WaterFacts | null;
}

/** Sizes and judges an alarm that needs nothing of the boat's supply. */
export function judgeAlarm(
  circuit: Circuit,
  { battery, boat, water, units }: Surroundings,
  memory: SizingMemory,
): JudgedAlarm {
  const choices = circuit.choices ?? {};
  // Nothing of the pump is read by a scheme that has none.
  const surveyed = { ...circuit, pump: { ...circuit.pump, currentA: circuit.pump.currentA ?? 0 } };
  const plan = planCircuit({ circuit: surveyed, battery, others: [], alarmAlso: null });
  const least = minimumSize[choices.family ?? 'awg'];
  const sizeOf = ({ id, givenSize }: { readonly id: string; readonly givenSize?: string }) =>
    sizeNamed(choices.conductors?.[id] ?? givenSize ?? least);
  const ohms = ohmsAt(plan.conductors, sizeOf);
  const planned = netlistOf(plan, ({ id }) => ohms.get(id) ?? 0);
  const netlist = netlistAsWired(planned, plan, circuit);
  const solved = everySolved(planned, memory);
  const { plan: wired, strays } = rewire(plan, circuit.rewired);
  const facts: AlarmFacts = {
    kind: 'alarm',
    circuit,
    boat,
    battery,
    units,
    conductors: plan.conductors.map((conductor) =>
      conductorFacts({
        planned: conductor,
        choices,
        proposed: sizeNamed(conductor.givenSize ?? least),
        size: sizeOf(conductor),
        drop: solved,
        running: solved,
      }),
    ),
    behaviour: {
      wired,
      strays,
      differences: differencesInWords(plan, circuit),
      reversed: false,
      rows: keptRows(netlist, truthTable(netlist, [], memory)),
      lowRows: [],
      lowestV: 0,
    },
    water: waterFactsOf(circuit, water, null),
  };
  return {
    plan,
    netlist,
    facts,
    judgements: judgeCircuit(facts),
    waterAs: (other) => waterFactsOf(other, water, null),
  };
}
