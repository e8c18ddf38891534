import type { PlantedFault } from '../circuit';
import type { WaterFaultKey } from '../water';
import type { ShareGroup } from '../reference';

/** What is done about a fault: faults with the same repair need not be told apart. */
export interface Repair {
  readonly code: string;
  readonly words: string;
  /** Whether a part is bought for it. */
  readonly buys: boolean;
}

/** Something that may be wrong, and how likely it is before anything was read. */
export interface Hypothesis {
  /** `code@place`, with `=degree` where it has one; several joined by `+`. */
  readonly id: string;
  readonly words: string;
  /** What it does to the wiring, one after the other; empty where that is as planned. */
  readonly faults: readonly PlantedFault[];
  readonly water: WaterFaultKey | null;
  readonly group: ShareGroup;
  readonly repair: Repair;
  /** 0 to 1; those of a circuit sum to one. */
  readonly share: number;
  /** Parts and conductors where it sits. */
  readonly at: readonly string[];
  /** What a look or a tug shows, by the id of the test: where it differs from what is sound. */
  readonly shows: Readonly<Record<string, string>>;
}
