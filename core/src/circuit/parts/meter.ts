import { resistance, sink, source } from '../element';
import type { PartKind } from './part';

/** A meter or test lamp between two probes: a resistance, or the small current of an ohmmeter. */
export type MeterPart = { readonly kind: 'meter'; readonly id: string } & (
  { readonly ohm: number } | { readonly fedA: number } | { readonly heldV: number }
);

/** Resistance of an ohmmeter’s own leads and source, Ω: its reading is taken at its probes, past this. */
const OWN_OHM = 0.001;

export const meter: PartKind<MeterPart> = {
  entry: 'red',
  terminals: () => ['red', 'black'],
  elements: (part, node) => {
    const [red, black] = [node('red'), node('black')];
    if ('ohm' in part) return [resistance(red, black, part.ohm)];
    if ('fedA' in part) return [sink(black, red, part.fedA)];
    return [source(red, black, part.heldV, OWN_OHM)];
  },
  doing: () => 'probing',
};
