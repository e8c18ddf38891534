import { legKinds, legOf, type Circuit } from '../job';
import { schemeOf } from './registry';

/**
 * The way out from source to bilge, m: the sum of the legs by which a circuit's current comes, those of
 * a shared feed being its host's. Where nothing else was measured the way back is as long.
 * @returns undefined while one of them is not measured, or where no current goes back by a way of its own
 */
export function waysOutM(circuit: Circuit, circuits: readonly Circuit[]): number | undefined {
  const host = circuits.find(({ id }) => id === circuit.sharesFeedWith);
  const { legs } = schemeOf(circuit);
  const out = legs.filter(({ key }) => legKinds[key].after !== 'pump');
  if (out.length === 0 || out.length === legs.length) return undefined;
  const lengths = out.map(({ key }) => legOf(host && legKinds[key].ofFeed ? host : circuit, key).lengthM);
  return lengths.reduce<number | undefined>(
    (sum, lengthM) => (sum === undefined || lengthM === undefined ? undefined : sum + lengthM),
    0,
  );
}
