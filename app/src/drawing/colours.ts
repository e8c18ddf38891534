import type { ConductorColour } from '@harbor-latch/core/schemes/index';

/** Insulation colours on screen, the same by day and by night. */
export const insulation: Readonly<Record<ConductorColour['base'] | NonNullable<ConductorColour['stripe']>, string>> = {
  red: '#C62828',
  brown: '#7B4A21',
  black: '#17181A',
  yellow: '#E8BF1A',
  white: '#FFFFFF',
};

/** A colour in words: "brown with white stripe". */
export function colourWords({ base, stripe }: ConductorColour): string {
  return stripe === undefined ? base : `${base} with ${stripe} stripe`;
}
