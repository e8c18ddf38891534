import { motorProblem, type MotorFigures } from './motorCheck';

interface Wired {
  readonly id: string;
  readonly batteryId: string;
  readonly sharesFeedWith?: string | undefined;
  readonly alarm?: { readonly alsoFrom?: string | undefined } | undefined;
  readonly pump: MotorFigures;
}

interface Lists {
  readonly batteries: readonly { readonly id: string }[];
  readonly circuits: readonly Wired[];
  readonly wells?: readonly { readonly id: string }[] | undefined;
  readonly poses?: readonly { readonly id: string }[] | undefined;
  readonly photographs?: readonly { readonly id: string; readonly circuitId?: string | undefined }[] | undefined;
}

/** What is wrong in a job, at its place. */
export interface PlacedProblem {
  readonly path: readonly (string | number)[];
  readonly message: string;
}

/** Ids that name two things of one list. */
export function repeatedIds(job: Lists): PlacedProblem[] {
  const lists = ['batteries', 'circuits', 'wells', 'poses', 'photographs'] as const;
  return lists.flatMap((list) => {
    const ids = (job[list] ?? []).map(({ id }) => id);
    return ids.flatMap((id, index) =>
      ids.indexOf(id) < index
        ? [{ path: [list, index, 'id'], message: `The id "${id}" is used twice. Every id is used once.` }]
        : [],
    );
  });
}

/** What is wrong in the circuits of a job beyond their own fields: what they name must be there. */
export function circuitProblems({ batteries, circuits, photographs = [] }: Lists): PlacedProblem[] {
  const there = (id: string) => circuits.some((circuit) => circuit.id === id);
  const of = (list: string, index: number, keys: readonly string[], message: string | null): PlacedProblem[] =>
    message === null ? [] : [{ path: [list, index, ...keys], message }];
  return [
    ...circuits.flatMap((circuit, index) => [
      ...of('circuits', index, ['pump', 'windingOhm'], motorProblem(circuit.pump)),
      ...of('circuits', index, ['alarm', 'alsoFrom'], alarmProblem(circuits, circuit)),
      ...of('circuits', index, ['sharesFeedWith'], sharingProblem(circuits, circuit)),
      ...of(
        'circuits',
        index,
        ['batteryId'],
        batteries.some(({ id }) => id === circuit.batteryId)
          ? null
          : `No battery has the id "${circuit.batteryId}". Use the id of one of this boat’s batteries.`,
      ),
    ]),
    ...photographs.flatMap(({ circuitId }, index) =>
      of(
        'photographs',
        index,
        ['circuitId'],
        circuitId === undefined || there(circuitId)
          ? null
          : `No circuit has the id "${circuitId}". Use the id of one of this boat’s circuits, or leave it out.`,
      ),
    ),
  ];
}

/** Why an alarm cannot hang on the circuit it names, or null. */
function alarmProblem(circuits: readonly Wired[], { id: own, alarm }: Wired): string | null {
  if (alarm?.alsoFrom === undefined) return null;
  if (alarm.alsoFrom === own) return 'An alarm hangs on its own circuit anyway. Name another, or none.';
  return circuits.some((other) => other.id === alarm.alsoFrom)
    ? null
    : `No circuit has the id "${alarm.alsoFrom}". Use the id of another circuit of this boat.`;
}

/** Why a circuit cannot hang on the feed it names, or null. */
function sharingProblem(circuits: readonly Wired[], circuit: Wired): string | null {
  if (circuit.sharesFeedWith === undefined) return null;
  const leader = circuits.find((other) => other.id === circuit.sharesFeedWith);
  if (!leader) return `No circuit has the id "${circuit.sharesFeedWith}". Use the id of another circuit of this boat.`;
  if (leader === circuit) return 'A circuit cannot share the feed of itself.';
  return leader.sharesFeedWith === undefined
    ? null
    : 'That circuit has no feed of its own. Name the one whose feed it is.';
}
