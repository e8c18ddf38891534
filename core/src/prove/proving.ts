import { assess, type AssessedCircuit } from '../assess';
import { readJob } from '../file';
import type { Job } from '../job';
import { hashOf, type BodyOf } from '../records';
import { pumpCircuits } from '../schemes';
import { proveTests } from './proveTests';
import type { ProvePhase, ProveTest, ReadBattery } from './proveTest';
import { voidedTests, type Voided } from './voids';
import type { Windows } from './windows';

/** Another name of what was signed, as far as it is solved again. */
export type SignedProof = Pick<BodyOf<'proof'>, 'job' | 'battery'>;

/** The tests of a circuit at the battery as read, and what a change since made void of the last proof. */
export interface Proving {
  readonly tests: readonly ProveTest[];
  /** Of the tests at the battery as surveyed: another one says that the circuit was changed. */
  readonly testsHash: string;
  readonly voided: readonly Voided[];
}

/** The boat's other circuits with a pump, by name. */
export function otherPumps(job: Job, circuitId: string): string[] {
  return pumpCircuits(job).flatMap(({ id, name }) => (id === circuitId ? [] : [name]));
}

/** What a proof of a circuit goes by. @returns null where the circuit is not sized */
export function provingOf(
  job: Job,
  assessed: AssessedCircuit,
  phase: ProvePhase,
  battery: ReadBattery,
  signed: SignedProof | null,
  windows: Windows = {},
): Proving | null {
  if (assessed.status === 'incomplete') return null;
  const { id } = assessed.circuit;
  const others = otherPumps(job, id);
  const testsAt = (at: ReadBattery) => proveTests(assessed, { phase, battery: at, others, windows });
  const surveyed = testsAt({});
  return {
    tests: battery.restingV === undefined && battery.runningV === undefined ? surveyed : testsAt(battery),
    testsHash: hashOf(JSON.parse(JSON.stringify(surveyed.map(({ text: _words, filling: _helps, ...test }) => test)))),
    voided: signed ? voidedTests(signedTests(signed, id, phase, windows), testsAt(signed.battery)) : [],
  };
}

/** The tests of a proof as they were, solved again from the job that it holds; a window set otherwise since makes nothing void. */
function signedTests(
  { job, battery }: SignedProof,
  circuitId: string,
  phase: ProvePhase,
  windows: Windows,
): ProveTest[] {
  const read = readJob(job);
  if (!read.ok) return [];
  const assessed = assess(read.job).find(({ circuit }) => circuit.id === circuitId);
  if (!assessed || assessed.status === 'incomplete') return [];
  return proveTests(assessed, { phase, battery, others: otherPumps(read.job, circuitId), windows });
}
