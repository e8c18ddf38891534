import type { Job } from '../job';
import type { BoatLine } from './index';

/** The words of a note by which a boat may be looked for, characters. */
const MOST_NOTE = 300;

/** What a list shows of a boat and looks for her by. */
export type LineOfJob = Omit<BoatLine, 'id' | 'version' | 'savedAt' | 'savedBy' | 'summary'>;

/** A boat's job as a list shows it. */
export function lineOf({ boat, circuits }: Pick<Job, 'boat' | 'circuits'>): LineOfJob {
  const { name, craft, owner, berth, note, hullLengthM, archived } = boat;
  return {
    name,
    ...(craft === undefined ? {} : { craft }),
    ...(owner === undefined ? {} : { owner }),
    ...(berth === undefined ? {} : { berth }),
    ...(note === undefined ? {} : { note: note.slice(0, MOST_NOTE) }),
    ...(hullLengthM === undefined ? {} : { hullLengthM }),
    ...(archived === undefined ? {} : { archived }),
    circuits: circuits.map((circuit) => ({ id: circuit.id, name: circuit.name })),
  };
}
