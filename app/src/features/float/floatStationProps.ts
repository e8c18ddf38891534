import type { AssessedCircuit } from '@harbor-latch/core/assess/assessed';
import type { Circuit, Job } from '@harbor-latch/core/job/index';
import type { Draft } from '../../data/draft';
import type { Room } from '../../ui/room';

export interface FloatStationProps {
  readonly draft: Draft;
  readonly assessed: AssessedCircuit;
  readonly all: readonly AssessedCircuit[];
  readonly room: Room;
  readonly onCircuit: (circuit: Circuit, said: string) => void;
  readonly onJob: (job: Job, said: string) => void;
  readonly onBoat: () => void;
}
