import type { SharedFeed } from '../findings';
import type { Battery, Boat } from '../job';
import type { SharedPump } from '../schemes';
import type { UnitSystem } from '../units';
import type { Need } from './needs';
import type { WaterSurroundings } from './waterFacts';

/** What a circuit stands in: its boat, its battery, and what else hangs on its feed. Plain data. */
export interface Surroundings {
  readonly battery: Battery;
  readonly boat: Boat;
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
