import { memo } from 'react';
import { StyleSheet, Text, type TextStyle } from 'react-native';
import glyphs from './glyphs.json';
import { usePalette } from './theme';
import { inkOf } from './Words';

/** The icons of the font that is shipped; `npm run icons` adds those newly named in the sources. */
export type IconName = keyof typeof glyphs;

/** The family under which the font of icons is loaded. */
export const ICON_FONT = 'Icons';

const squares = new Map<number, TextStyle>();

function squareOf(size: number): TextStyle {
  const known = squares.get(size);
  if (known) return known;
  const square: TextStyle = {
    width: size,
    height: size,
    fontFamily: ICON_FONT,
    fontSize: size,
    lineHeight: size,
    textAlign: 'center',
    userSelect: 'none',
    flexShrink: 0,
  };
  const made = StyleSheet.create({ square }).square;
  squares.set(size, made);
  return made;
}

/** An icon beside words that say the same: hidden from screen readers. */
export const Icon = memo(function Icon({
  name,
  size = 22,
  color,
}: {
  readonly name: IconName;
  readonly size?: number;
  readonly color: string;
}) {
  return (
    <Text aria-hidden style={[squareOf(size), inkOf(color)]}>
      {String.fromCodePoint(glyphs[name])}
    </Text>
  );
});

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
