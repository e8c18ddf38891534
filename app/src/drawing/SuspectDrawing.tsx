import { batteryOf } from '@harbor-latch/core/assess/batteryOf';
import type { AssessedCircuit } from '@harbor-latch/core/assess/assessed';
import { circuitDiagram } from '@harbor-latch/core/drawing/circuitDiagram';
import type { Job } from '@harbor-latch/core/job/index';
import type { AskedTest, Tracing } from '@harbor-latch/core/trace/tracing';
import type { UnitSystem } from '@harbor-latch/core/units/index';
import { useMemo } from 'react';
import { ScrollView, View } from 'react-native';
import { BandDrawing } from './BandDrawing';
import type { Live } from './live';
import { useScrolledTo } from './useScrolledTo';

const noSelect = () => undefined;
/** Less likely than this it is not marked in the drawing. */
const LEAST_SHARE = 0.06;

/** The circuit with where the fault may be, as a mark and a number, and the points of the next test lit. */
export function SuspectDrawing({
  job,
  assessed,
  test,
  where,
  width,
  units,
}: {
  readonly job: Job;
  readonly assessed: AssessedCircuit;
  readonly test: Pick<AskedTest, 'between'> | null;
  readonly where: Tracing['where'];
  readonly width: number;
  readonly units: UnitSystem;
}) {
  const diagram = useMemo(
    () => circuitDiagram(assessed, batteryOf(job, assessed.circuit), units),
    [assessed, job, units],
  );
  const live = useMemo((): Live | null => {
    const likely = where.filter(({ share }) => share >= LEAST_SHARE);
    if (likely.length === 0 || assessed.status === 'incomplete') return null;
    const names = new Map([
      ...assessed.plan.parts.map(({ part, name }) => [part.id, name] as const),
      ...assessed.plan.conductors.map(({ id, name }) => [id, name] as const),
    ]);
    return {
      amps: new Map(),
      doing: new Map(),
      touch: null,
      faulty: new Set(),
      suspected: new Map(likely.map(({ id, share }) => [id, share] as const)),
      words: new Map(
        likely.map(({ id, share }) => [id, [names.get(id) ?? id, `${Math.round(share * 100)} % likely`]] as const),
      ),
    };
  }, [where, assessed]);
  const [red, black] = test?.between ?? [null, null];
  const { room, reach } = useScrolledTo(red?.part ?? null, black?.part ?? null);
  return (
    <View style={{ flex: 1, minHeight: 0 }}>
      <ScrollView
        ref={room}
        style={{ flex: 1 }}
        contentContainerStyle={{ alignItems: 'center', paddingVertical: 8 }}
        // What scrolls by itself can be reached by keys.
        {...{ tabIndex: 0, role: 'region', 'aria-label': 'Where it may be' }}
      >
        <BandDrawing
          diagram={diagram}
          width={width}
          selected={null}
          onSelect={noSelect}
          reach={reach}
          lit={{ red, black }}
          {...(live ? { live } : {})}
          label="The circuit; where the fault may be is marked, with its share"
        />
      </ScrollView>
    </View>
  );
}
