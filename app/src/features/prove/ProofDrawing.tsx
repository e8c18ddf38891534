import type { AssessedCircuit } from '@harbor-latch/core/assess/assessed';
import type { Job } from '@harbor-latch/core/job/index';
import type { ProveTest } from '@harbor-latch/core/prove/proveTest';
import { useMemo, type ReactNode } from 'react';
import { View } from 'react-native';
import { useUnits } from '../../data/settings';
import { ScrolledDrawing } from '../../drawing/ScrolledDrawing';
import { drawn } from '../../drawing/drawn';

/** The drawing with the points of a test lit, scrolled to where they are. */
export function ProofDrawing({
  job,
  assessed,
  test,
  width,
  over = null,
}: {
  readonly job: Job;
  readonly assessed: AssessedCircuit;
  readonly test: ProveTest | null;
  readonly width: number;
  /** Shown over its lower edge. */
  readonly over?: ReactNode;
}) {
  const units = useUnits();
  const diagram = useMemo(() => drawn.diagram(assessed, job, units), [assessed, job, units]);
  return (
    <View style={{ flex: 1, minHeight: 0 }}>
      <ScrolledDrawing
        diagram={diagram}
        width={width}
        between={test?.between ?? null}
        at={test?.at ?? null}
        region="Where the test is read"
        label="The circuit; what the test touches is marked"
      />
      {over === null ? null : <View style={{ position: 'absolute', left: 8, right: 8, bottom: 6 }}>{over}</View>}
    </View>
  );
}
