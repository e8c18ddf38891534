import { View } from 'react-native';
import { BigButton } from '../../../ui/BigButton';

/** A button no wider than its words. */
export function SmallButton({ onPress, children }: { readonly onPress: () => void; readonly children: string }) {
  return (
    <View style={{ alignItems: 'flex-start' }}>
      <BigButton mode="outlined" onPress={onPress}>
        {children}
      </BigButton>
    </View>
  );
}
