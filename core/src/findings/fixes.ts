import type { Choices } from '../job';
import type { ConductorFacts, ProtectionFacts } from './facts';
import type { Fix } from './finding';
import { protectionFamilies } from '../reference';

/** Going back from a chosen size to the proposed one; nothing where that changes nothing. */
export function useProposedSize(choices: Choices, conductor: ConductorFacts): Fix | undefined {
  if (!conductor.overridden || conductor.size === conductor.proposedSize) return undefined;
  const { [conductor.planned.id]: _dropped, ...conductors } = choices.conductors ?? {};
  return {
    label: `Use ${conductor.proposedSize} for the ${conductor.planned.name.toLowerCase()}`,
    choices: { ...choices, conductors },
  };
}

/** Going back from a chosen fuse to the proposed one; nothing where there is none or it is the same. */
export function useProposedRating(choices: Choices, protection: ProtectionFacts): Fix | undefined {
  const { proposed } = protection;
  if (!proposed || !protection.overridden) return undefined;
  if (proposed.kind === protection.kind && proposed.ratingA === protection.ratingA) return undefined;
  const { ratingA: _dropped, ...rest } = choices.protection ?? {};
  return {
    label: `Use the ${proposed.ratingA} A ${protectionFamilies[proposed.kind].name}`,
    choices: { ...choices, protection: rest },
  };
}

/** Going back to the proposed sizes everywhere; nothing where none was overridden. */
export function useProposedSizes(choices: Choices, conductors: readonly ConductorFacts[]): Fix | undefined {
  const changed = conductors.filter((conductor) => conductor.overridden && conductor.size !== conductor.proposedSize);
  const [first] = changed;
  if (!first) return undefined;
  return { label: `Use ${first.proposedSize} throughout`, choices: { ...choices, conductors: {} } };
}

/** Spreads a fix into a finding only where there is one. */
export function withFix(fix: Fix | undefined): { readonly fix?: Fix } {
  return fix ? { fix } : {};
}
