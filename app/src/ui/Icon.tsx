import {
  MaterialDesignIcons,
  type MaterialDesignIconsIconName,
} from '@react-native-vector-icons/material-design-icons';
import { View } from 'react-native';

export type IconName = MaterialDesignIconsIconName;

/** An icon beside words that say the same: hidden from screen readers. */
export function Icon({
  name,
  size = 22,
  color,
}: {
  readonly name: IconName;
  readonly size?: number;
  readonly color: string;
}) {
  return (
    <View aria-hidden style={{ width: size, height: size }}>
      <MaterialDesignIcons name={name} size={size} color={color} />
    </View>
  );
}
