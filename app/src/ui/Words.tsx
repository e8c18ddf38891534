import { createContext, memo, useContext, type ReactNode } from 'react';
import { StyleSheet, Text, type StyleProp, type TextProps, type TextStyle } from 'react-native';
import { fonts, usePalette } from './theme';

export type WordsStyle = 'body' | 'small' | 'strong' | 'heading' | 'title' | 'figure' | 'bigFigure';

const styles = StyleSheet.create({
  body: { fontFamily: fonts.regular, fontSize: 16, lineHeight: 23 },
  small: { fontFamily: fonts.regular, fontSize: 14, lineHeight: 20 },
  strong: { fontFamily: fonts.medium, fontSize: 16, lineHeight: 22 },
  heading: { fontFamily: fonts.bold, fontSize: 18, lineHeight: 24 },
  title: { fontFamily: fonts.bold, fontSize: 24, lineHeight: 30 },
  figure: { fontFamily: fonts.bold, fontSize: 20, lineHeight: 26, fontVariant: ['tabular-nums'] },
  bigFigure: { fontFamily: fonts.bold, fontSize: 32, lineHeight: 38, fontVariant: ['tabular-nums'] },
});

export interface WordsProps extends TextProps {
  readonly kind?: WordsStyle;
  readonly muted?: boolean;
  readonly color?: string;
  /** Heading level for screen readers. */
  readonly level?: 1 | 2 | 3;
  readonly children: ReactNode;
}

/** How much larger than usual text is shown. */
export const TextScaleContext = createContext(1);

const inks = new Map<string, TextStyle>();

/** A colour of text as a style that is made once. */
export function inkOf(color: string): TextStyle {
  const known = inks.get(color);
  if (known) return known;
  const { ink } = StyleSheet.create({ ink: { color } });
  inks.set(color, ink);
  return ink;
}

function scaledBy(scale: number, style: StyleProp<TextStyle>): TextStyle {
  const own = StyleSheet.flatten(style);
  return { fontSize: (own.fontSize ?? 16) * scale, lineHeight: (own.lineHeight ?? 23) * scale };
}

/** Text in the product's face; made anew only when it says something else. */
export const Words = memo(function Words({
  kind = 'body',
  muted = false,
  color,
  level,
  style,
  children,
  ...rest
}: WordsProps) {
  const palette = usePalette();
  const scale = useContext(TextScaleContext);
  const ink = inkOf(color ?? (muted ? palette.muted : palette.text));
  const heading = level === undefined ? {} : ({ role: 'heading', 'aria-level': level } as const);
  return (
    <Text
      {...heading}
      {...rest}
      style={
        scale === 1 ? [styles[kind], ink, style] : [styles[kind], ink, style, scaledBy(scale, [styles[kind], style])]
      }
    >
      {children}
    </Text>
  );
});
