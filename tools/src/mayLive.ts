import type { Survivor } from './mutantsPage';

/** Why some mutants may live: nothing that anybody sees differs, or it differs by less than what is meant. */
export const mayLive: readonly {
  readonly reason: string;
  readonly is: (mutant: Omit<Survivor, 'reason'>) => boolean;
}[] = [];
