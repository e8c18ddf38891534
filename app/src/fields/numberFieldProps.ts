import type { QuantityKey, UnitSystem } from '@harbor-latch/core/units/index';
import type { JobPath } from '../data/jobPath';

export interface NumberFieldProps {
  readonly path: JobPath;
  readonly label: string;
  readonly quantity: QuantityKey;
  /** What − and + change, in the unit shown. */
  readonly step: Readonly<Record<UnitSystem, number>>;
  /** Assumed while nothing is entered, base unit; left out where nothing can be assumed. */
  readonly assumed?: number;
  /** True where the circuit cannot be sized without it. */
  readonly needed?: boolean;
  /** What to measure, where, with what. */
  readonly guide?: string;
  /** True where 0 and values below it make sense: places and heights. */
  readonly signed?: boolean;
  /** Common values at one touch, in the unit of each system. */
  readonly picks?: Readonly<Record<UnitSystem, readonly number[]>>;
}
