import { truthTable, type Netlist } from '../circuit';
import { judgeAlarm, wiredAsOfAlarm, type AlarmFacts, type Finding, type Statement } from '../findings';
import type { Circuit } from '../job';
import { minimumSize } from '../reference';
import { differencesInWords, netlistOf, planCircuit, rewire, type Plan } from '../schemes';
import { conductorFacts, everySolved, netlistAsWired, ohmsAt, sizeNamed } from '../sizing';
import type { Surroundings } from './surroundings';
import { floatEffect, tryFixes } from './tryFixes';
import { waterFactsOf } from './waterFacts';

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

/** Sizes and judges an alarm that needs nothing of the boat's supply. */
export function assessAlarm(circuit: Circuit, around: Surroundings): AssessedAlarm {
  const { facts, judgements, ...known } = judgeLoop(circuit, around);
  const again = (changed: Circuit) => judgeLoop(changed, around);
  return {
    status: 'alarm',
    circuit,
    ...known,
    facts,
    findings: tryFixes({ facts, judgements }, again, floatEffect(around.units)),
    wiredAs: wiredAsOfAlarm(facts),
  };
}

function judgeLoop(circuit: Circuit, { battery, petrol, water, units }: Surroundings) {
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
  const solved = everySolved(planned);
  const { plan: wired, strays } = rewire(plan, circuit.rewired);
  const facts: AlarmFacts = {
    circuit,
    units,
    petrol,
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
      rows: truthTable(netlist),
      lowRows: [],
      lowestV: 0,
    },
    water: waterFactsOf(circuit, water, null),
  };
  return { plan, netlist, facts, judgements: judgeAlarm(facts) };
}
