/** Options of a sheet as they are typed. */
export interface SheetOptions {
  readonly circuit?: string;
  readonly paper: string;
  readonly kind: string;
  readonly out: string;
}

/** Why a sheet cannot be made as it was asked for. */
export class SheetAskError extends Error {
  constructor(
    readonly code: string,
    message: string,
    readonly path: string,
  ) {
    super(message);
  }
}
