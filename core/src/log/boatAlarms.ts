import type { AssessedCircuit } from '../assess';
import type { Job } from '../job';
import type { KnownEntry } from '../records';
import { pumpCircuits } from '../schemes';
import type { TrendAlarm } from './alarm';
import { loadOf } from './loadOf';
import { trendsOf } from './trendsOf';

/** Something out of the usual in the log of a boat's circuit. */
export interface CircuitAlarm extends TrendAlarm {
  readonly circuit: string;
  readonly circuitName: string;
}

/** What the logs of all pumps of a boat show, the worst first. @param entries those that count, in the order in which they were made */
export function boatAlarms(
  job: Job,
  circuits: readonly AssessedCircuit[],
  entries: readonly KnownEntry[],
  nowMs: number,
): CircuitAlarm[] {
  const order = { stop: 0, caution: 1, note: 2 } as const;
  const pumps = new Set(pumpCircuits(job).map(({ id }) => id));
  return circuits
    .filter(({ circuit }) => pumps.has(circuit.id))
    .flatMap((assessed) =>
      trendsOf(entries, assessed.circuit.id, loadOf(job, assessed), nowMs).alarms.map((alarm) => ({
        ...alarm,
        circuit: assessed.circuit.id,
        circuitName: assessed.circuit.name,
      })),
    )
    .sort((a, b) => order[a.severity] - order[b.severity]);
}
