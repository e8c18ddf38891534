import type { Reading } from './huntTest';

/** Something that was read, seen, or tried. */
export type HuntReading =
  | {
      readonly kind: 'read';
      readonly test: string;
      readonly value: Reading;
      /** Once more, beside what it read before. */ readonly again?: true;
    }
  /** A test that cannot be done. */
  | { readonly kind: 'cannot'; readonly test: string }
  /** A repair that was made, and whether the symptom went. */
  | { readonly kind: 'repaired'; readonly repair: string; readonly fixed: boolean };
