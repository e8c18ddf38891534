import { createContext, useContext, type ReactNode } from 'react';
import { StyleSheet, Text, type TextProps } from 'react-native';
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

/** Text in the product's face. */
export function Words({ kind = 'body', muted = false, color, level, style, children, ...rest }: WordsProps) {
  const palette = usePalette();
  const scale = useContext(TextScaleContext);
  const own = StyleSheet.flatten([styles[kind], style]);
  const scaled =
    scale === 1 ? null : { fontSize: (own.fontSize ?? 16) * scale, lineHeight: (own.lineHeight ?? 23) * scale };
  const heading = level === undefined ? {} : ({ role: 'heading', 'aria-level': level } as const);
  return (
    <Text
      {...heading}
      {...rest}
      style={[styles[kind], { color: color ?? (muted ? palette.muted : palette.text) }, style, scaled]}
    >
      {children}
    </Text>
  );
}
