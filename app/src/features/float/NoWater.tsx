import { intoTypicalWell, intoWell } from '@harbor-latch/core/schemes/intoWell';
import { View } from 'react-native';
import { BigButton } from '../../ui/BigButton';
import { Empty } from '../../ui/Empty';
import type { FloatStationProps } from './floatStationProps';

/** A circuit in no well yet: put into one of the boat's, or begun with typical figures. */
export function NoWater({ draft, assessed, onJob }: FloatStationProps) {
  const { job } = draft;
  const { circuit } = assessed;
  const wells = job.wells ?? [];
  const begin = () => onJob(intoTypicalWell(job, circuit.id, crypto.randomUUID()), 'Begun with typical figures');
  return (
    <View style={{ flex: 1, padding: 12 }}>
      <Empty
        icon="waves"
        title="This circuit stands in no well yet"
        action={
          <View style={{ gap: 8, alignItems: 'center' }}>
            {wells.map(({ id, name }) => (
              <BigButton
                key={id}
                mode="outlined"
                onPress={() => onJob(intoWell(job, circuit.id, id), `Put into ${name}`)}
              >
                {`Put it into ${name}`}
              </BigButton>
            ))}
            <BigButton onPress={begin}>
              {wells.length > 0 ? 'Begin another well' : 'Begin with typical figures'}
            </BigButton>
          </View>
        }
      >
        A well is where water gathers. Begin with what a hull of this length mostly has: every such figure is marked as
        an estimate until you replace it by a measurement, and the first answers come at once.
      </Empty>
    </View>
  );
}
