import type { ConductorColour, Role } from '@harbor-latch/core/schemes/index';

/** The conductors that run past each stage of the survey. */
export const legColours: Readonly<Record<Role, readonly ConductorColour[]>> = {
  supply: [{ base: 'red' }],
  manual: [{ base: 'brown' }, { base: 'brown', stripe: 'white' }],
  auto: [{ base: 'brown', stripe: 'white' }],
  negative: [{ base: 'black' }],
};
