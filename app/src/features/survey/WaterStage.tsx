import { hoseBoresM } from '@harbor-latch/core/findings/waterFixes';
import { schemeOf } from '@harbor-latch/core/schemes/index';
import type { CircuitWater, Job } from '@harbor-latch/core/job/index';
import { formatQuantity, type UnitSystem } from '@harbor-latch/core/units/index';
import { typicalCircuitWater } from '@harbor-latch/core/water/index';
import { View } from 'react-native';
import type { Draft } from '../../data/draft';
import { useUnits } from '../../data/settings';
import { BigButton } from '../../ui/BigButton';
import { Words } from '../../ui/Words';
import { HoseFields } from '../../fields/HoseFields';
import { ChoiceField } from '../../fields/ChoiceField';
import { useField } from '../../fields/FieldContext';
import { More } from '../../fields/More';
import { Stage } from './Stage';

/** Where the circuit’s pump and float stand, and the hose; the Float station shows what follows. */
export function WaterStage({ draft, index }: { readonly draft: Draft; readonly index: number }) {
  const field = useField(['circuits', index, 'water']);
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
            <Words>{`Stands in ${wells.find(({ id }) => id === water.wellId)?.name ?? 'a well'}. Its size and the poses are on the Boat page; heights are set at the Float station.`}</Words>
          )}
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
              onPress={() => field.replace(typicalCircuitWater(id, pump, draft.job.boat.hullLengthM))}
            >
              {name}
            </BigButton>
          ))}
        </View>
      ) : (
        <Words>
          No well is surveyed yet. The Float station begins one with typical figures; with it come real flow, float
          heights and battery days.
        </Words>
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
