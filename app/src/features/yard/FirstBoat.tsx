import { exampleBoatKeys, exampleBoats, type ExampleBoatKey } from '@harbor-latch/core/schemes/exampleBoats';
import { View } from 'react-native';
import { BigButton } from '../../ui/BigButton';

export interface FirstBoatProps {
  readonly onExample: (example: ExampleBoatKey) => void;
}

/** A first boat of one's own kind of craft at a touch. */
export function FirstBoat({ onExample }: FirstBoatProps) {
  return (
    <View style={{ gap: 8, alignSelf: 'stretch' }}>
      {exampleBoatKeys.map((key) => (
        <BigButton key={key} mode="outlined" onPress={() => onExample(key)}>
          {exampleBoats[key].name}
        </BigButton>
      ))}
    </View>
  );
}
