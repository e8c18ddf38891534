import type { InsulationColour } from '../job';

/** Insulation colours on screen, the same by day and by night. */
export const insulation: Readonly<Record<InsulationColour, string>> = {
  red: '#C62828',
  brown: '#7B4A21',
  black: '#17181A',
  yellow: '#E8BF1A',
  white: '#FFFFFF',
  blue: '#1F5FBF',
  green: '#2E7D32',
  orange: '#E8751A',
  purple: '#6A3FA0',
  grey: '#8A8F94',
  pink: '#E48AB0',
};
