import { legOf, mapLegs, type Circuit, type Job } from '../job';
import { typicalHose, typicalIngress, typicalLegs, typicalPoses, typicalWell } from './typical';

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

function hoseFollows(circuit: Circuit, was: Circuit, before: Job, after: Job): Circuit {
  const { hose } = circuit.water ?? {};
  if (hose?.guessed !== true || !circuit.water) return circuit;
  if (!same(hose, typicalHose(was.pump, before.boat.hullLengthM))) return circuit;
  return { ...circuit, water: { ...circuit.water, hose: typicalHose(circuit.pump, after.boat.hullLengthM) } };
}

/** A length that was typed over a guess is measured; one that was not follows the hull. */
function legsFollow(circuit: Circuit, was: Circuit, before: Job, after: Job): Circuit {
  const guessed = typicalLegs(before.boat.hullLengthM);
  const guess = typicalLegs(after.boat.hullLengthM);
  const legs = mapLegs(circuit.legs, (leg, key) => {
    if (leg.guessed !== true) return leg;
    const { guessed: _mark, ...measured } = leg;
    if (leg.lengthM !== legOf(was, key).lengthM) return measured;
    const stands = leg.lengthM === legOf({ legs: guessed }, key).lengthM;
    const { lengthM } = legOf({ legs: guess }, key);
    return stands && lengthM !== undefined ? { ...leg, lengthM } : leg;
  });
  return { ...circuit, legs };
}

/**
 * Guesses stand on the hull's length and the pump's flow: where either was changed, every guess that nobody
 * touched is made anew. What was measured, or altered by hand, stays, and a length typed over a guess is one no more.
 * @param before the boat as the guesses were made
 * @param after the boat as it is to be
 * @returns `after` itself where no guess follows
 */
export function followGuesses(before: Job, after: Job): Job {
  const was = before.boat.hullLengthM;
  const { hullLengthM } = after.boat;
  const { wells, poses, ingress } = after;
  const longer: Partial<Job> =
    was === hullLengthM
      ? {}
      : {
          ...(wells && {
            wells: followed(
              wells,
              (id) => typicalWell(id, was),
              (id) => typicalWell(id, hullLengthM),
            ),
          }),
          ...(poses && { poses: followed(poses, among(typicalPoses(was)), among(typicalPoses(hullLengthM))) }),
          ...(ingress && {
            ingress: followed(ingress, among(typicalIngress(was)), among(typicalIngress(hullLengthM))),
          }),
        };
  const circuits = after.circuits.map((circuit) => {
    const earlier = before.circuits.find(({ id }) => id === circuit.id);
    // The same object was not changed, and stands on the same length.
    if (!earlier || (earlier === circuit && was === hullLengthM)) return circuit;
    return hoseFollows(legsFollow(circuit, earlier, before, after), earlier, before, after);
  });
  const next: Job = { ...after, ...longer, circuits };
  return JSON.stringify(next) === JSON.stringify(after) ? after : next;
}
