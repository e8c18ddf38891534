import type { Circuit, Job } from '../job';
import { typicalHose, typicalIngress, typicalPoses, typicalWell } from './typical';

/** The same, whatever the names that were given to it. */
function same(one: object, other: object): boolean {
  return JSON.stringify({ ...one, name: '' }) === JSON.stringify({ ...other, name: '' });
}

/** Each of a list that is still as it was guessed becomes what is guessed now; its name is kept. */
function followed<T extends { readonly id: string; readonly name: string; readonly guessed?: boolean | undefined }>(
  list: readonly T[],
  guessed: (id: string) => T | undefined,
  guess: (id: string) => T | undefined,
): T[] {
  return list.map((one) => {
    const was = guessed(one.id);
    const now = guess(one.id);
    return one.guessed === true && was && now && same(one, was) ? { ...now, name: one.name } : one;
  });
}

/** One of a list by its id. */
function among<T extends { readonly id: string }>(list: readonly T[]): (id: string) => T | undefined {
  return (id) => list.find((one) => one.id === id);
}

function hoseFollows(circuit: Circuit, before: Job, after: Job): Circuit {
  const { hose } = circuit.water ?? {};
  const was = before.circuits.find(({ id }) => id === circuit.id);
  if (hose?.guessed !== true || !circuit.water || !was) return circuit;
  if (!same(hose, typicalHose(was.pump, before.boat.hullLengthM))) return circuit;
  return { ...circuit, water: { ...circuit.water, hose: typicalHose(circuit.pump, after.boat.hullLengthM) } };
}

/**
 * Guesses stand on the hull's length and the pump's flow: where either was changed, every guess that nobody
 * touched is made anew. What was measured, or altered by hand, stays.
 * @param before the boat as the guesses were made
 * @param after the boat as it is to be
 * @returns `after` itself where no guess follows
 */
export function followGuesses(before: Job, after: Job): Job {
  const was = before.boat.hullLengthM;
  const { hullLengthM } = after.boat;
  const flowOf = ({ circuits }: Job) => circuits.map(({ id, pump }) => `${id} ${pump.openFlowLPerH ?? ''}`).join();
  if (was === hullLengthM && flowOf(before) === flowOf(after)) return after;
  const { wells, poses, ingress } = after;
  const next: Job = {
    ...after,
    ...(wells && {
      wells: followed(
        wells,
        (id) => typicalWell(id, was),
        (id) => typicalWell(id, hullLengthM),
      ),
    }),
    ...(poses && { poses: followed(poses, among(typicalPoses(was)), among(typicalPoses(hullLengthM))) }),
    ...(ingress && { ingress: followed(ingress, among(typicalIngress(was)), among(typicalIngress(hullLengthM))) }),
    circuits: after.circuits.map((circuit) => hoseFollows(circuit, before, after)),
  };
  return JSON.stringify(next) === JSON.stringify(after) ? after : next;
}
