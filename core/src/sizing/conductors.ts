import { conductorSizes, minimumSize, type ConductorSize } from '../reference';
import type { ConductorFacts } from '../findings';
import type { Choices } from '../job';
import type { PlannedConductor } from '../schemes';
import type { Solved } from './settings';
import { mostA, piecesOf, weakestPiece, type NamedSize } from './sizing';

export interface ConductorQuestion {
  readonly planned: PlannedConductor;
  readonly choices: Choices;
  readonly proposed: ConductorSize;
  readonly size: NamedSize;
  /** The circuit at design current, in every running setting. */
  readonly drop: readonly Solved[];
  readonly running: readonly Solved[];
}

/** A conductor at its size, with what it carries and loses. */
export function conductorFacts({ planned, choices, proposed, size, drop, running }: ConductorQuestion): ConductorFacts {
  const pieces = piecesOf(planned, size);
  const resistanceOhm = pieces.reduce((sum, piece) => sum + piece.resistanceOhm, 0);
  const runningA = mostA(running, planned.id);
  const designA = planned.duty === 'light' || planned.duty === 'control' ? runningA : mostA(drop, planned.id);
  const sizes = conductorSizes[size.family];
  return {
    planned,
    size: size.size,
    family: size.family,
    areaMm2: size.areaMm2,
    leastSize: minimumSize[size.family],
    underLeast:
      sizes.findIndex((row) => row.size === size.size) <
      sizes.findIndex((row) => row.size === minimumSize[size.family]),
    proposedSize: proposed.size,
    overridden: planned.duty !== 'lead' && choices.conductors?.[planned.id] !== undefined,
    pieces,
    resistanceOhm,
    ampacity: weakestPiece(pieces).ampacity,
    designA,
    dropV: designA * resistanceOhm,
    runningA,
  };
}
