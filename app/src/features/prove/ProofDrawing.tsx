import { batteryOf } from '@harbor-latch/core/assess/batteryOf';
import type { AssessedCircuit } from '@harbor-latch/core/assess/assessed';
import { circuitDiagram } from '@harbor-latch/core/drawing/circuitDiagram';
import type { Job } from '@harbor-latch/core/job/index';
import type { ProveTest } from '@harbor-latch/core/prove/proveTest';
import { useMemo, type ReactNode } from 'react';
import { ScrollView, View } from 'react-native';
import { useUnits } from '../../data/settings';
import { BandDrawing } from '../../drawing/BandDrawing';
import { useScrolledTo } from '../../drawing/useScrolledTo';

const noSelect = () => undefined;

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
  const diagram = useMemo(
    () => circuitDiagram(assessed, batteryOf(job, assessed.circuit), units),
    [assessed, job, units],
  );
  const [red, black] = test?.between ?? [null, null];
  const at = test?.at ?? null;
  const { room, reach } = useScrolledTo(red?.part ?? at, black?.part ?? at);
  return (
    <View style={{ flex: 1, minHeight: 0 }}>
      <ScrollView
        ref={room}
        style={{ flex: 1 }}
        contentContainerStyle={{ alignItems: 'center', paddingVertical: 8 }}
        // What scrolls by itself can be reached by keys.
        {...{ tabIndex: 0, role: 'region', 'aria-label': 'Where the test is read' }}
      >
        <BandDrawing
          diagram={diagram}
          width={width}
          selected={at}
          onSelect={noSelect}
          reach={reach}
          lit={{ red, black }}
          label="The circuit; what the test touches is marked"
        />
      </ScrollView>
      {over === null ? null : <View style={{ position: 'absolute', left: 8, right: 8, bottom: 6 }}>{over}</View>}
    </View>
  );
}
