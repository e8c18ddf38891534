import type { AssessedCircuit } from '@harbor-latch/core/assess/assessed';
import type { Fix } from '@harbor-latch/core/findings/finding';
import type { Circuit, Job } from '@harbor-latch/core/job/index';
import type { Draft } from '../../data/draft';
import type { Room } from '../../ui/room';

/** Where a station stands at the thumb. */
export type PlaceKey = 'plan' | 'bench' | 'build' | 'prove' | 'trace';

export type Station = 'survey' | 'size' | 'float' | 'bench' | 'build' | 'prove' | 'trace' | 'drawing';

/** What every station is given: the circuit, the room it has, and how changes are made and said. */
export interface AtStation {
  readonly draft: Draft;
  readonly index: number;
  readonly assessed: AssessedCircuit;
  readonly all: readonly AssessedCircuit[];
  /** Whether what was assessed is the circuit as it now is; else the last answer stands until the new one has come. */
  readonly current: boolean;
  /** Whether the circuit as it now is could not be assessed. */
  readonly failed: boolean;
  readonly room: Room;
  /** Conductor or part chosen in the drawing. */
  readonly selected: string | null;
  readonly onSelect: (id: string | null) => void;
  readonly onCircuit: (circuit: Circuit, said: string) => void;
  readonly onJob: (job: Job, said: string) => void;
  readonly onFix: (fix: Fix) => void;
  readonly onGo: (station: Station) => void;
  /** Goes to the boat's page: her wells, poses and battery. */
  readonly onBoat: () => void;
}
