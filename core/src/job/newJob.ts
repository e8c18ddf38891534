import { JOB_FORMAT, JOB_VERSION, type Circuit, type Job } from './schema';

/** A boat with one battery and no circuits yet. Ids are made by the caller. */
export function newJob(
  ids: { readonly boatId: string; readonly batteryId: string },
  name: string,
  hullLengthM?: number,
): Job {
  return {
    format: JOB_FORMAT,
    version: JOB_VERSION,
    boat: { id: ids.boatId, name, ...(hullLengthM === undefined ? {} : { hullLengthM }) },
    batteries: [{ id: ids.batteryId, name: 'House battery' }],
    circuits: [],
  };
}

/** A circuit with nothing surveyed yet, on the given battery. */
export function newCircuit(id: string, name: string, scheme: string, batteryId: string): Circuit {
  return {
    id,
    name,
    scheme,
    batteryId,
    legs: { sourceToPanel: {}, panelToBilge: {}, bilgeToNegative: {} },
    pump: {},
  };
}

/** A name that none has yet: as it is wanted, or with the first number from 2 that is free. */
export function freeName(wanted: string, taken: readonly string[]): string {
  if (!taken.includes(wanted)) return wanted;
  let number = 2;
  while (taken.includes(`${wanted} ${number}`)) number += 1;
  return `${wanted} ${number}`;
}

/**
 * A new circuit with what a sister of the same boat shares with it: battery and feed, cables with their
 * surroundings, and what it is judged by. Pump, switch, float, hose and sizes are its own.
 */
export function carriedOver(circuit: Circuit, { batteryId, source, legs, choices }: Circuit): Circuit {
  const { conductors: _sizes, protection: _fuse, ...judged } = choices ?? {};
  return {
    ...circuit,
    batteryId,
    legs,
    ...(source ? { source } : {}),
    choices: { ...circuit.choices, ...judged },
  };
}
