import { hoseBoresM } from '@harbor-latch/core/findings/waterFixes';
import { schemeOf } from '@harbor-latch/core/schemes/index';
import type { CircuitWater, Job } from '@harbor-latch/core/job/index';
import { formatQuantity, type UnitSystem } from '@harbor-latch/core/units/index';
import { intoTypicalWell, intoWell } from '@harbor-latch/core/schemes/intoWell';
import { View } from 'react-native';
import { useDrafts } from '../../data/boats';
import type { Draft } from '../../data/draft';
import { useUnits } from '../../data/settings';
import { BigButton } from '../../ui/BigButton';
import { Words } from '../../ui/Words';
import { HoseFields } from '../../fields/HoseFields';
import { ChoiceField } from '../../fields/ChoiceField';
import { More } from '../../fields/More';
import { Stage } from './Stage';

/** Where the circuit’s pump and float stand, and the hose; the Float station shows what follows. */
export function WaterStage({
  draft,
  index,
  onBoat,
}: {
  readonly draft: Draft;
  readonly index: number;
  readonly onBoat: () => void;
}) {
  const drafts = useDrafts();
  const units = useUnits();
  const circuit = draft.job.circuits[index];
  if (!circuit) return null;
  const wells = draft.job.wells ?? [];
  const pump = schemeOf(circuit).options.includes('pump') ? circuit.pump : null;
  const { water } = circuit;
  return (
    <Stage
      of={['circuits', index, 'water']}
      title="In the well"
      summary={inWords(draft.job, circuit.water, units)}
      conductors={[]}
    >
      {water ? (
        <>
          {wells.length > 1 ? (
            <ChoiceField
              path={['circuits', index, 'water', 'wellId']}
              label="Stands in"
              assumed={water.wellId}
              choices={wells.map(({ id, name }) => ({ value: id, label: name }))}
            />
          ) : (
            <Words>{`Stands in ${wells.find(({ id }) => id === water.wellId)?.name ?? 'a well'}. Heights are set at the Float step.`}</Words>
          )}
          <View style={{ alignItems: 'flex-start' }}>
            <BigButton mode="outlined" icon="arrow-right" onPress={onBoat}>
              The well and the poses
            </BigButton>
          </View>
          {pump ? (
            <More
              title="Hose"
              summary={
                water.hose
                  ? `${formatQuantity(water.hose.boreM, 'shortLength', units)}, ${water.hose.wall ?? 'smooth'}${water.hose.guessed ? ', estimate' : ''}`
                  : 'not surveyed yet'
              }
            >
              <HoseFields draft={draft} index={index} bores={hoseBoresM} />
            </More>
          ) : null}
        </>
      ) : wells.length > 0 ? (
        <View style={{ gap: 8, alignItems: 'flex-start' }}>
          <Words>In which well does it stand?</Words>
          {wells.map(({ id, name }) => (
            <BigButton
              key={id}
              mode="outlined"
              onPress={() => drafts.replace(draft.id, intoWell(draft.job, circuit.id, id))}
            >
              {name}
            </BigButton>
          ))}
        </View>
      ) : (
        <View style={{ gap: 8, alignItems: 'flex-start' }}>
          <Words>
            No well is surveyed yet. With one come real flow, float heights and battery days; begin with what a hull of
            this length mostly has.
          </Words>
          <BigButton
            mode="outlined"
            onPress={() => drafts.replace(draft.id, intoTypicalWell(draft.job, circuit.id, crypto.randomUUID()))}
          >
            Begin with typical figures
          </BigButton>
        </View>
      )}
    </Stage>
  );
}

function inWords({ wells = [] }: Job, water: CircuitWater | undefined, units: UnitSystem): string {
  if (!water) return wells.length === 0 ? 'No well yet: flow and float heights wait for one' : 'In no well yet';
  const well = wells.find(({ id }) => id === water.wellId);
  const { hose } = water;
  const bore = hose ? `hose ${formatQuantity(hose.boreM, 'shortLength', units)}` : 'no hose yet';
  return `${well?.name ?? 'A well'}${well?.guessed ? ' (estimate)' : ''}, ${bore}${hose?.guessed ? ' (estimate)' : ''}`;
}
