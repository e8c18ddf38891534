import { JOB_FORMAT, JOB_VERSION, type Circuit, type Job } from './schema';

/** A boat with one battery and no circuits yet. Ids are made by the caller. */
export function newJob(ids: { readonly boatId: string; readonly batteryId: string }, name: string): Job {
  return {
    format: JOB_FORMAT,
    version: JOB_VERSION,
    boat: { id: ids.boatId, name },
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
