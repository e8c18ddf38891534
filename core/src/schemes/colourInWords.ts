import { insulationColours } from '../job';
import type { ConductorColour } from './plan';

/** A colour in words: "brown with white stripe". */
export function colourInWords({ base, stripe }: ConductorColour): string {
  return stripe === undefined ? base : `${base} with ${stripe} stripe`;
}

/** A colour from its words; null for what are no words of one, as of a sheathed cable. */
export function colourFromWords(words: string): ConductorColour | null {
  const [, base, stripe] = /^(\S+)(?: with (\S+) stripe)?$/.exec(words) ?? [];
  const known = (name: string | undefined) => insulationColours.find((one) => one === name);
  const [of, striped] = [known(base), known(stripe)];
  if (!of || (stripe !== undefined && !striped)) return null;
  return striped ? { base: of, stripe: striped } : { base: of };
}
