import type { ConductorColour } from './plan';

/** A colour in words: "brown with white stripe". */
export function colourInWords({ base, stripe }: ConductorColour): string {
  return stripe === undefined ? base : `${base} with ${stripe} stripe`;
}
