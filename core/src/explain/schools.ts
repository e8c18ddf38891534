import { conductorSizes, dropSchools, type DropSchool } from '../reference';
import type { Alternative } from '../sizing';
import { formatPercent, formatVolts, plainNumber } from '../units';

const areaOf = (name: string): number =>
  [...conductorSizes.awg, ...conductorSizes.metric].find(({ size }) => size === name)?.areaMm2 ?? NaN;

/** "7 % more speed", of the faster against the slower. */
function faster(one: Alternative, other: Alternative): string {
  return `${plainNumber(100 * (one.speedRatio / other.speedRatio - 1), 1)}\u00a0% more speed`;
}

/**
 * What the stricter school costs against the other in copper, and what it gives, in one line; where both take
 * the same size, the same against the next smaller one.
 * @param alternatives a circuit's sizes side by side; of none there is nothing to say
 */
export function schoolsInWords(alternatives: readonly Alternative[]): string | null {
  const proposed = (school: DropSchool) => alternatives.find(({ schools }) => schools.includes(school));
  const [strict, general] = [proposed('critical'), proposed('general')];
  if (!strict || !general) return null;
  const percent = (school: DropSchool) => `${dropSchools[school].percent}\u00a0%`;
  if (strict.size !== general.size) {
    const copper = plainNumber(areaOf(strict.size) / areaOf(general.size), 1);
    return `${percent('critical')} takes ${strict.size}, ${copper} times the copper of ${general.size} for ${percent('general')}; the pump gets ${formatVolts(strict.pumpV)} instead of ${formatVolts(general.pumpV)}, ${faster(strict, general)}.`;
  }
  const smaller = alternatives[alternatives.indexOf(strict) - 1];
  const both = `Both schools take ${strict.size}`;
  return smaller
    ? `${both}; ${smaller.size} would lose ${formatPercent(smaller.dropPercent)}, and the pump get ${formatVolts(smaller.pumpV)} instead of ${formatVolts(strict.pumpV)}.`
    : `${both}, the least there is.`;
}
