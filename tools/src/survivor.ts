/** A mutant that no test tells from the code. */
export interface Survivor {
  readonly room: string;
  readonly file: string;
  readonly line: number;
  readonly mutator: string;
  /** The code as it is, and as the mutant has it, on one line each. */
  readonly was: string;
  readonly became: string;
  /** Why it may live; null where nobody has said. */
  readonly reason: string | null;
}
