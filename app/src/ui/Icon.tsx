import { createIconSet } from '@react-native-vector-icons/common';
import { StyleSheet, View, type ViewStyle } from 'react-native';
import glyphs from './glyphs.json';
import { usePalette } from './theme';

/** The icons of the font that is shipped; `npm run icons` adds those newly named in the sources. */
export type IconName = keyof typeof glyphs;

/** The family under which the font of icons is loaded. */
export const ICON_FONT = 'Icons';

const Glyph = createIconSet(glyphs, { postScriptName: ICON_FONT, fontFileName: 'icons.ttf' });

const squares = new Map<number, ViewStyle>();

function squareOf(size: number): ViewStyle {
  const known = squares.get(size);
  if (known) return known;
  const { square } = StyleSheet.create({ square: { width: size, height: size } });
  squares.set(size, square);
  return square;
}

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
    <View aria-hidden style={squareOf(size)}>
      <Glyph name={name} size={size} color={color} />
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
