import type { SharedFeed } from '../findings';
import type { Battery } from '../job';
import type { SharedPump } from '../schemes';
import type { UnitSystem } from '../units';
import type { Need } from './needs';
import type { WaterSurroundings } from './waterFacts';

/** What a circuit stands in: its boat's battery and fuel, and what else hangs on its feed. */
export interface Surroundings {
  readonly battery: Battery;
  readonly petrol: boolean;
  readonly others: readonly SharedPump[];
  /** The circuit whose post the alarm hangs on as well. */
  readonly alarmAlso: SharedPump | null;
  /** The feed of another circuit that it hangs on; null for its own. */
  readonly sharedFeed: SharedFeed | null;
  readonly water: WaterSurroundings;
  /** What findings are worded in. */
  readonly units: UnitSystem;
  /** What other circuits on the feed must still give. */
  readonly needs: readonly Need[];
}
