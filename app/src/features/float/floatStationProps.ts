import type { AssessedCircuit } from '@harbor-latch/core/assess/assessed';
import type { Circuit, Job } from '@harbor-latch/core/job/index';
import type { Draft } from '../../data/draft';

export interface FloatStationProps {
  readonly draft: Draft;
  readonly assessed: AssessedCircuit;
  readonly all: readonly AssessedCircuit[];
  /** Width for the section, px, and whether the tools stand beside it. */
  readonly width: number;
  readonly height: number;
  readonly beside: boolean;
  readonly onCircuit: (circuit: Circuit, said: string) => void;
  readonly onJob: (job: Job, said: string) => void;
}
