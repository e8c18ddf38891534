import {
  MaterialDesignIcons,
  type MaterialDesignIconsIconName,
} from '@react-native-vector-icons/material-design-icons';
import { View } from 'react-native';
import { usePalette } from './theme';

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

/** Draws the icons that buttons of the component library ask for by name. */
export function PaperIcon({
  name,
  size = 24,
  color,
}: {
  readonly name?: unknown;
  readonly size?: number;
  readonly color?: string;
}) {
  const palette = usePalette();
  return typeof name === 'string' ? <Icon name={name as IconName} size={size} color={color ?? palette.text} /> : null;
}
