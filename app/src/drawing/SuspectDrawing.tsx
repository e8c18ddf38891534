import type { AssessedCircuit } from '@harbor-latch/core/assess/assessed';
import type { Job } from '@harbor-latch/core/job/index';
import type { AskedTest, Tracing } from '@harbor-latch/core/trace/tracing';
import type { UnitSystem } from '@harbor-latch/core/units/index';
import { useMemo } from 'react';
import { View } from 'react-native';
import type { Live } from './live';
import { ScrolledDrawing } from './ScrolledDrawing';
import { drawn } from './drawn';

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
  const diagram = useMemo(() => drawn.diagram(assessed, job, units), [assessed, job, units]);
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
  return (
    <View style={{ flex: 1, minHeight: 0 }}>
      <ScrolledDrawing
        diagram={diagram}
        width={width}
        between={test?.between ?? null}
        live={live}
        region="Where it may be"
        label="The circuit; where the fault may be is marked, with its share"
      />
    </View>
  );
}
