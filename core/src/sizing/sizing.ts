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
import type { PlannedConductor, PumpPlan } from '../schemes';
import type { ConductorPiece, NoSize } from '../findings';
import { withOhms, type Netlist, type Setting } from '../circuit';
import { conductorsOnly, leastBy, some, solveIn, withSupply, type Solved } from './settings';
import type { SizingMemory } from './sizingMemory';
import { SLACK } from '../units';

export interface SizingQuestion {
  readonly plan: PumpPlan;
  /** The plan as a netlist, at any sizes. */
  readonly netlist: Netlist;
  readonly family: CableFamily;
  readonly dropSchool: DropSchool;
  readonly designCurrentA: number;
  readonly rating: RatingAnswer;
  readonly settings: readonly Setting[];
  /** Sizes that are not this circuit's to choose: of a feed shared with another. */
  readonly fixed: Readonly<Record<string, string>>;
  readonly memory?: SizingMemory;
}

/** A circuit with one size throughout, solved. */
interface Throughout {
  /** By conductor, Ω. */
  readonly ohms: ReadonlyMap<string, number>;
  readonly drop: Drop;
}

export interface SizingAnswer {
  readonly size: ConductorSize;
  readonly noSize: NoSize | null;
  readonly throughout: Throughout;
}

/** A conductor that takes the size proposed, and the most that it carries, A. */
interface FreeConductor {
  readonly conductor: PlannedConductor;
  readonly mostA: number;
}

/** A conductor of a size, piece by piece: resistance and ampacity where each piece runs. */
export function piecesOf(conductor: PlannedConductor, { size, family }: NamedSize): ConductorPiece[] {
  return conductor.runs.map((run) => {
    const { temperatureC } = run;
    return {
      run,
      temperatureC,
      resistanceOhm: conductorOhm(sizeNamed(size), run.lengthM, temperatureC),
      ampacity: ampacity({ size, family, ...run }),
    };
  });
}

/** The piece that may carry least. */
export function weakestPiece(pieces: readonly ConductorPiece[]): ConductorPiece {
  return leastBy(some(pieces, 'A conductor has at least one piece.'), (piece) => piece.ampacity.amps);
}

/** What the piece that may carry least may carry, A. */
function leastAmpacity({ runs }: PlannedConductor, size: string, family: CableFamily): number {
  return runs.reduce((least, run) => Math.min(least, ampacity({ size, family, ...run }).amps), Infinity);
}

/** Resistance of each planned conductor at the sizes given, by its id, Ω. */
export function ohmsAt(
  conductors: readonly PlannedConductor[],
  sizeOf: (conductor: PlannedConductor) => NamedSize,
): ReadonlyMap<string, number> {
  return new Map(
    conductors.map((conductor) => {
      const pieces = piecesOf(conductor, sizeOf(conductor));
      return [conductor.id, pieces.reduce((sum, piece) => sum + piece.resistanceOhm, 0)];
    }),
  );
}

/**
 * The smallest size of the family, from the least allowed upwards, that serves
 * the whole circuit: drop within the school, ampacity at least the current of
 * every conductor, and the proposed rating within 150 % of it. When none does,
 * the largest, with the limit it breaks.
 */
export function proposeSize(question: SizingQuestion): SizingAnswer {
  const sizes = conductorSizes[question.family];
  const from = sizes.findIndex((row) => row.size === minimumSize[question.family]);
  const candidates = some(sizes.slice(from), 'The table of sizes is empty.');
  const [smallest] = candidates;
  const most = throughout(question, smallest);
  const free = question.plan.conductors
    .filter(({ id, duty }) => duty === 'pump' && question.fixed[id] === undefined)
    .map((conductor) => ({ conductor, mostA: mostA(most.drop.solved, conductor.id) }));
  const limitOf = (size: ConductorSize, dropV: number) => brokenLimit(question, free, size, dropV);
  // Were the whole drop to go with the size’s resistance: no smaller size can serve. From there on each is solved.
  const guess = candidates.findIndex(
    (size) => limitOf(size, (most.drop.dropV * size.ohmPerKm20C) / smallest.ohmPerKm20C) === null,
  );
  const worthSolving = candidates.slice(guess < 0 ? -1 : guess);
  let last = most;
  for (const size of worthSolving) {
    last = size === smallest ? most : throughout(question, size);
    if (limitOf(size, last.drop.dropV) === null) return { size, noSize: null, throughout: last };
  }
  const largest = candidates[candidates.length - 1] ?? smallest;
  const broken = limitOf(largest, last.drop.dropV);
  return { size: largest, noSize: broken && { largest: largest.size, ...broken }, throughout: last };
}

/** What is lost with one size in every conductor that is free to take it. */
function throughout(question: SizingQuestion, { size }: ConductorSize): Throughout {
  const ohms = ohmsThroughout(question, size);
  return { ohms, drop: worstDrop(question, ohms) };
}

/** The drop with one size in every conductor that is free to take it. */
export function dropThroughout(question: SizingQuestion, size: ConductorSize): Drop {
  return throughout(question, size).drop;
}

/** Resistances with one size in every conductor that is free to take it, Ω. */
export function ohmsThroughout(
  { plan, fixed }: Pick<SizingQuestion, 'plan' | 'fixed'>,
  size: string,
): ReadonlyMap<string, number> {
  return ohmsAt(plan.conductors, ({ id, givenSize }) => sizeNamed(fixed[id] ?? givenSize ?? size));
}

/** The first limit that a size breaks, in the order in which they are told; null for none. */
function brokenLimit(
  { family, dropSchool, rating }: SizingQuestion,
  free: readonly FreeConductor[],
  size: ConductorSize,
  dropV: number,
): Omit<NoSize, 'largest'> | null {
  let overloaded = 0;
  let leastAmpacityA = Infinity;
  for (const { conductor, mostA: carriedA } of free) {
    const amps = leastAmpacity(conductor, size.size, family);
    overloaded = Math.max(overloaded, carriedA / amps);
    leastAmpacityA = Math.min(leastAmpacityA, amps);
  }
  if (overloaded > SLACK) return { limit: 'ampacity', neededFactor: finiteOrNull(overloaded) };
  const overFused = rating.found ? rating.rating.ratingA / (leastAmpacityA * maxMultipleOfAmpacity) : 0;
  if (overFused > SLACK) return { limit: 'fuse', neededFactor: finiteOrNull(overFused) };
  const allowedV = (dropSchools[dropSchool].percent / 100) * defaults.ratedSupplyV;
  return dropV > allowedV * SLACK ? { limit: 'drop', neededFactor: dropV / allowedV } : null;
}

const finiteOrNull = (factor: number) => (Number.isFinite(factor) ? factor : null);

/** The most that a conductor carries in any of the solved settings, A. */
export function mostA(solved: readonly Solved[], id: string): number {
  return Math.max(...solved.map(({ point }) => Math.abs(point.conductorA(id))));
}

export interface Drop {
  /** Lost in the cable, V: no cable size mends what the pump's own leads lose. */
  readonly dropV: number;
  /** Lost in the pump's own leads, V. */
  readonly leadsDropV: number;
  readonly setting: Setting;
  readonly solved: readonly Solved[];
}

/** The drop at the resistances in force, which are most often those just solved. */
export function dropInForce(
  question: SizingQuestion,
  { throughout: known }: SizingAnswer,
  ohms: ReadonlyMap<string, number>,
): Drop {
  const same = [...ohms].every(([id, ohm]) => known.ohms.get(id) === ohm);
  return same ? known.drop : worstDrop(question, ohms);
}

/** Volts lost in the conductors at design current, in the setting that loses most. */
function worstDrop(
  {
    plan,
    netlist,
    designCurrentA,
    settings,
    memory,
  }: Pick<SizingQuestion, 'plan' | 'netlist' | 'designCurrentA' | 'settings' | 'memory'>,
  ohms: ReadonlyMap<string, number>,
): Drop {
  const wires = withSupply(conductorsOnly(withOhms(netlist, ohms, memory), designCurrentA), defaults.ratedSupplyV);
  const solved = solveIn(wires, settings, plan.ids.pump, memory);
  const worst = leastBy(some(solved, 'The pump runs in no setting of this scheme.'), ({ pumpV }) => pumpV);
  const leadsDropV = plan.conductors
    .filter(({ duty }) => duty === 'lead')
    .reduce((sum, { id }) => sum + Math.abs(worst.point.conductorA(id)) * (ohms.get(id) ?? 0), 0);
  const dropV = defaults.ratedSupplyV - worst.pumpV - leadsDropV;
  return { dropV, leadsDropV, setting: worst.setting, solved };
}

export type NamedSize = ConductorSize & { readonly family: CableFamily };

/** A size by name. @throws RangeError when the tables do not hold it. */
export function sizeNamed(name: string): NamedSize {
  const found = findSize(name);
  if (!found) throw new RangeError(`"${name}" is not in the tables of conductor sizes.`);
  return found;
}
