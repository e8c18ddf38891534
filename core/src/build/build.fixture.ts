import { assess, type AssessedAlarm, type AssessedPump } from '../assess';
import { newCircuit, newJob, type Build, type Circuit, type Job } from '../job';
import { buildList, type BuildList } from './buildList';

/** A boat with one circuit of a scheme: 2 m of feed, 4 m to the bilge, 5 m back, a pump of 4.5 A at 13.6 V. */
export function jobWith(scheme: string, more: Partial<Circuit> = {}): Job {
  const circuit: Circuit = {
    ...newCircuit('main', 'Main bilge pump', scheme, 'house'),
    legs: { sourceToPanel: { lengthM: 2 }, panelToBilge: { lengthM: 4 }, bilgeToNegative: { lengthM: 5 } },
    pump: { currentA: 4.5, labelV: 13.6 },
    ...more,
  };
  return {
    ...newJob({ boatId: '6d1f0f6e-0d5c-4a55-9a0e-000000000000', batteryId: 'house' }, 'Tern'),
    circuits: [circuit],
  };
}

/** The circuit, sized. @throws where it is not */
export function assessedIn(job: Job): AssessedPump | AssessedAlarm {
  const [one] = assess(job);
  if (!one || one.status === 'incomplete') throw new Error('The circuit is not sized.');
  return one;
}

/** What building the circuit takes. */
export function built(scheme: string, build?: Build, more: Partial<Circuit> = {}): BuildList {
  const job = jobWith(scheme, { ...more, ...(build ? { build } : {}) });
  return buildList(job, assessedIn(job));
}

/** A thing of a list by its id. @throws where it is not there */
export function byId<T extends { readonly id: string }>(list: readonly T[], id: string): T {
  const one = list.find((each) => each.id === id);
  if (!one) throw new Error(`Nothing is called ${id}.`);
  return one;
}
