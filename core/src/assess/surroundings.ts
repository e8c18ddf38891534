import type { Battery } from '../job';
import type { SharedPump } from '../schemes';
import type { Need } from './needs';
import type { WaterSurroundings } from './waterFacts';

/** What a circuit stands in: its boat's battery and fuel, and what else hangs on its feed. */
export interface Surroundings {
  readonly battery: Battery;
  readonly petrol: boolean;
  readonly others: readonly SharedPump[];
  /** The circuit whose post the alarm hangs on as well. */
  readonly alarmAlso: SharedPump | null;
  /** Sizes of a feed that another circuit decides, by conductor. */
  readonly fixed: Readonly<Record<string, string>>;
  readonly water: WaterSurroundings;
  /** What other circuits on the feed must still give. */
  readonly needs: readonly Need[];
}
