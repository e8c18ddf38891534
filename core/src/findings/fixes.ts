import type { Choices, Circuit } from '../job';
import type { ConductorFacts, ProtectionFacts } from './facts';
import type { FixIdea } from './finding';
import { protectionFamilies } from '../reference';

/** Going back from a chosen size to the proposed one; nothing where that changes nothing. */
export function useProposedSize(circuit: Circuit, conductor: ConductorFacts): FixIdea | undefined {
  if (!conductor.overridden || conductor.size === conductor.proposedSize) return undefined;
  const { [conductor.planned.id]: _dropped, ...conductors } = circuit.choices?.conductors ?? {};
  return {
    label: `Use ${conductor.proposedSize} for the ${conductor.planned.name.toLowerCase()}`,
    circuit: withChoices(circuit, { conductors }),
  };
}

/** Going back from a chosen fuse to the proposed one; nothing where there is none or it is the same. */
export function useProposedRating(circuit: Circuit, protection: ProtectionFacts): FixIdea | undefined {
  const { proposed } = protection;
  if (!proposed || !protection.overridden) return undefined;
  if (proposed.kind === protection.kind && proposed.ratingA === protection.ratingA) return undefined;
  const { ratingA: _dropped, ...rest } = circuit.choices?.protection ?? {};
  return {
    label: `Use the ${proposed.ratingA} A ${protectionFamilies[proposed.kind].name}`,
    circuit: withChoices(circuit, { protection: rest }),
  };
}

/** Going back to the proposed sizes everywhere; nothing where none was overridden. */
export function useProposedSizes(circuit: Circuit, conductors: readonly ConductorFacts[]): FixIdea | undefined {
  const changed = conductors.filter((conductor) => conductor.overridden && conductor.size !== conductor.proposedSize);
  const [first] = changed;
  if (!first) return undefined;
  return { label: `Use ${first.proposedSize} throughout`, circuit: withChoices(circuit, { conductors: {} }) };
}

function withChoices(circuit: Circuit, part: Choices): Circuit {
  return { ...circuit, choices: { ...circuit.choices, ...part } };
}

/** Spreads an idea into a judgement only where there is one. */
export function withIdea(idea: FixIdea | undefined): { readonly idea?: FixIdea } {
  return idea ? { idea } : {};
}
