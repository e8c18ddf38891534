import {
  conductorSizes,
  defaults,
  dropSchools,
  findSize,
  maxMultipleOfAmpacity,
  minimumSize,
  type CableFamily,
  type ConductorSize,
  type DropSchool,
} from '../reference';
import { ampacity, conductorOhm, type RatingAnswer } from '../wiring';
import { netlistOf, type Plan, type PlannedConductor } from '../schemes';
import type { NoSize } from '../findings';
import type { Setting } from '../circuit';
import { conductorsOnly, leastBy, some, solveIn, withSupply, type Solved } from './settings';

export interface SizingQuestion {
  readonly plan: Plan;
  readonly family: CableFamily;
  readonly dropSchool: DropSchool;
  readonly designCurrentA: number;
  readonly rating: RatingAnswer;
  readonly settings: readonly Setting[];
}

export interface SizingAnswer {
  readonly size: ConductorSize;
  readonly noSize: NoSize | null;
}

/** Temperature of a conductor where it runs, °C. */
export function conductorC(conductor: PlannedConductor): number {
  return conductor.engineSpace ? defaults.engineSpaceC : defaults.conductorC;
}

/** Resistance of each planned conductor at the sizes given, Ω. */
export function ohmAt(sizeOf: (conductor: PlannedConductor) => ConductorSize) {
  return (conductor: PlannedConductor) => conductorOhm(sizeOf(conductor), conductor.lengthM, conductorC(conductor));
}

/**
 * The smallest size of the family, from the least allowed upwards, that serves
 * the whole circuit: drop within the school, ampacity at least the design
 * current in every conductor, and the proposed rating within 150 % of it. When
 * none does, the largest, with the limit it breaks.
 */
export function proposeSize(question: SizingQuestion): SizingAnswer {
  const sizes = conductorSizes[question.family];
  const from = sizes.findIndex((row) => row.size === minimumSize[question.family]);
  const candidates = some(sizes.slice(from), 'The table of sizes is empty.');
  // With one size throughout and a fixed current, drop goes with the size's resistance: one solution serves them all.
  const [smallest] = candidates;
  const perOhmPerKm = worstDrop(question, () => smallest).dropV / smallest.ohmPerKm20C;
  const limitOf = (size: ConductorSize) => brokenLimit(question, size, perOhmPerKm * size.ohmPerKm20C);
  const fits = candidates.find((size) => limitOf(size) === null);
  if (fits) return { size: fits, noSize: null };
  const largest = candidates[candidates.length - 1] ?? smallest;
  const broken = limitOf(largest);
  return { size: largest, noSize: broken && { largest: largest.size, ...broken } };
}

function brokenLimit(
  { plan, family, dropSchool, designCurrentA, rating }: SizingQuestion,
  size: ConductorSize,
  dropV: number,
): Omit<NoSize, 'largest'> | null {
  const amps = Math.min(
    ...plan.conductors.map(
      ({ insulationC, engineSpace }) => ampacity({ size: size.size, family, insulationC, engineSpace }).amps,
    ),
  );
  const slack = 1 + 1e-9;
  if (designCurrentA > amps * slack) return { limit: 'ampacity', neededFactor: designCurrentA / amps };
  if (rating.found && rating.rating.ratingA > amps * maxMultipleOfAmpacity * slack) {
    return { limit: 'fuse', neededFactor: rating.rating.ratingA / (amps * maxMultipleOfAmpacity) };
  }
  const allowedV = (dropSchools[dropSchool].percent / 100) * defaults.ratedSupplyV;
  return dropV > allowedV * slack ? { limit: 'drop', neededFactor: dropV / allowedV } : null;
}

export interface Drop {
  readonly dropV: number;
  readonly setting: Setting;
  readonly solved: readonly Solved[];
}

/** Volts lost in the conductors at design current, in the setting that loses most. */
export function worstDrop(
  { plan, designCurrentA, settings }: Pick<SizingQuestion, 'plan' | 'designCurrentA' | 'settings'>,
  sizeOf: (conductor: PlannedConductor) => ConductorSize,
): Drop {
  const netlist = withSupply(conductorsOnly(netlistOf(plan, ohmAt(sizeOf)), designCurrentA), defaults.ratedSupplyV);
  const solved = solveIn(netlist, settings, plan.ids.pump);
  const worst = leastBy(some(solved, 'The pump runs in no setting of this scheme.'), ({ pumpV }) => pumpV);
  return { dropV: defaults.ratedSupplyV - worst.pumpV, setting: worst.setting, solved };
}

/** A size by name. @throws RangeError when the tables do not hold it. */
export function sizeNamed(name: string): ConductorSize & { readonly family: CableFamily } {
  const found = findSize(name);
  if (!found) throw new RangeError(`"${name}" is not in the tables of conductor sizes.`);
  return found;
}
