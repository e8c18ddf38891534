import { legKeys, legOf, type Circuit, type LegKey, type Pull } from '../job';
import { buildRules } from '../reference';
import type { PlannedConductor } from '../schemes';

/** The sheathed cable in which a conductor runs, by leg; null where it runs by itself. */
export function cableOf(circuit: Circuit, { leg }: Pick<PlannedConductor, 'leg'>): string | null {
  if (leg === 'stub' || leg === 'panel' || leg === 'lead') return null;
  return legOf(circuit, leg).multicore ? `cable-${leg}` : null;
}

/** A core that is pulled along and left unconnected. */
export interface SpareCore {
  readonly leg: LegKey;
  /** Whether somebody decided on it; else it is proposed. */
  readonly decided: boolean;
  readonly why: string;
}

function whyHard({ bends, sealedSpace }: Pull): string | null {
  if (sealedSpace) return 'The pull passes a space that is closed for good.';
  return bends !== undefined && bends > buildRules.spareBends.value ? `The pull goes round ${bends} bends.` : null;
}

/** Spare cores that are pulled or proposed: where a pull is hard, unless somebody decided otherwise. */
export function spareCores(circuit: Circuit, legs: readonly LegKey[] = legKeys): SpareCore[] {
  return legs.flatMap((leg): SpareCore[] => {
    const pull = circuit.build?.pulls?.[leg] ?? {};
    const why = whyHard(pull);
    if (pull.spareCore === true) return [{ leg, decided: true, why: why ?? 'Decided on.' }];
    return pull.spareCore === undefined && why !== null ? [{ leg, decided: false, why }] : [];
  });
}
