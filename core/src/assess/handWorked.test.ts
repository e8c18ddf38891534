import type { CableFamily, DropSchool } from '../reference';
import { sized, sizeOf } from './assess.fixture';

/**
 * Worked by hand from the published tables, without the product: round the loop
 * with 0.15 m of stub, 105 °C cable, engine space all along or nowhere.
 * A, lengths, engine space, school, family → size, fuse A, drop %.
 */
type Worked = readonly [
  amps: number,
  lengths: readonly [number, number, number],
  engineSpace: boolean,
  school: DropSchool,
  family: CableFamily,
  size: string,
  fuseA: number,
  dropPercent: number,
];

const worked: readonly Worked[] = [
  [1.5, [1, 2, 2], false, 'critical', 'awg', '16 AWG', 2, 0.881],
  [2.8, [1.2, 2.6, 3], false, 'critical', 'awg', '16 AWG', 4, 2.22],
  [2.8, [1.2, 2.6, 3], false, 'critical', 'metric', '1.5 mm²', 4, 2.309],
  [4.6, [3.2, 5.5, 4.8], true, 'critical', 'awg', '10 AWG', 7.5, 1.984],
  [4.6, [3.2, 5.5, 4.8], true, 'critical', 'metric', '6 mm²', 7.5, 2.053],
  [4.6, [3.2, 5.5, 4.8], true, 'general', 'awg', '16 AWG', 7.5, 7.975],
  [5, [3, 5, 5], false, 'critical', 'awg', '12 AWG', 7.5, 2.967],
  [5, [3, 5, 5], false, 'general', 'metric', '1.5 mm²', 7.5, 7.801],
  [6.5, [2, 8, 7], false, 'critical', 'awg', '8 AWG', 10, 1.99],
  [6.5, [2, 8, 7], false, 'critical', 'metric', '10 mm²', 10, 1.883],
  [8.4, [4.5, 7.2, 6.4], true, 'critical', 'awg', '6 AWG', 15, 1.916],
  [8.4, [4.5, 7.2, 6.4], true, 'general', 'awg', '12 AWG', 15, 7.703],
  [8.4, [4.5, 7.2, 6.4], false, 'critical', 'metric', '10 mm²', 15, 2.589],
  [10, [0.1, 0.1, 0.1], false, 'critical', 'awg', '16 AWG', 15, 0.513],
  [12, [6, 9, 9], false, 'general', 'awg', '10 AWG', 15, 8.225],
  [12, [6, 9, 9], true, 'general', 'metric', '6 mm²', 15, 9.474],
  [15.5, [6, 8.5, 9], true, 'critical', 'metric', '25 mm²', 20, 2.81],
  [15.5, [6, 8.5, 9], true, 'general', 'metric', '10 mm²', 20, 6.893],
  [20, [2, 3, 3], false, 'critical', 'awg', '8 AWG', 25, 2.909],
  [3, [60, 60, 60], false, 'general', 'awg', '8 AWG', 4, 9.646],
];

it.each(worked)('%p A over %p m, engine space %p, %s, %s: %s, %p A, %p %%', (...row) => {
  const [currentA, lengths, engineSpace, dropSchool, family, size, fuseA, dropPercent] = row;
  const answer = sized({ lengths, engineSpace, pump: { currentA }, choices: { dropSchool, family } });
  expect(sizeOf(answer, 'manual')).toBe(size);
  expect(answer.facts.protection.ratingA).toBe(fuseA);
  expect(answer.facts.dropPercent).toBeCloseTo(dropPercent, 3);
});
