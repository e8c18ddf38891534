import { runNeeds } from '@harbor-latch/core/runs/runNeeds';
import type { AssessedCircuit } from '@harbor-latch/core/assess/assessed';
import type { Circuit, Job } from '@harbor-latch/core/job/index';
import { BigButton } from '../../ui/BigButton';
import { Notice } from '../../ui/Notice';

const lacking = {
  hose: 'its hose is not surveyed',
  curve: 'its open flow and shut-off head, or its curve, are not entered',
} as const;

/** What must be known before a run of a well can be shown, each with what is typical in one tap; nothing where all is. */
export function RunNeeds({
  job,
  all,
  wellId,
  onCircuit,
}: {
  readonly job: Job;
  readonly all: readonly AssessedCircuit[];
  readonly wellId: string;
  readonly onCircuit: (circuit: Circuit, said: string) => void;
}) {
  return (
    <>
      {runNeeds(job, all, wellId).map(({ circuitId, name, lacks, typical: [typical] }) => (
        <Notice
          key={circuitId}
          tone="caution"
          icon="progress-pencil"
          actions={
            typical ? (
              <BigButton onPress={() => onCircuit(typical.circuit, `Done: ${typical.label}`)}>
                {typical.label}
              </BigButton>
            ) : undefined
          }
        >
          {`No run can be shown: what ${name} moves is not known, as ${lacking[lacks]}. Read it from the label or measure it, or begin with what is typical.`}
        </Notice>
      ))}
    </>
  );
}
