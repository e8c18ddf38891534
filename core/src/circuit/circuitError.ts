export type CircuitErrorCode =
  | 'singular'
  | 'not-settled'
  | 'chatter'
  | 'repeated-id'
  | 'no-such-part'
  | 'no-such-terminal'
  | 'no-such-position'
  | 'fault-does-not-fit';

/** A circuit that has no answer; says why, and names the part where there is one. */
export class CircuitError extends Error {
  constructor(
    readonly code: CircuitErrorCode,
    message: string,
    /** The part or conductor it is about. */
    readonly about?: string,
  ) {
    super(message);
  }
}
