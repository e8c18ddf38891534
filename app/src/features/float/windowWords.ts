import type { WaterFacts } from '@harbor-latch/core/findings/waterFacts';
import { boundInWords } from '@harbor-latch/core/findings/waterWords';

/** The bounds of a window in words: "from 21 mm (the pump must stop …) to 101 mm (…)". */
export function windowInWords(water: WaterFacts, millimetres: (metres: number) => string): string {
  const { window } = water;
  if (!window) return '';
  if (window.never) return 'No height of this float serves.';
  const low =
    window.minM === null || !window.lowBound
      ? null
      : `${millimetres(window.minM)}: ${boundInWords(water, window.lowBound)}`;
  const high =
    window.maxM === null || !window.highBound
      ? null
      : `${millimetres(window.maxM)}: ${boundInWords(water, window.highBound)}`;
  return [
    low === null ? 'No lower bound.' : `Not below ${low}.`,
    high === null ? 'Nothing bounds it above.' : `Not above ${high}.`,
  ].join(' ');
}
