import { configureFonts, MD3DarkTheme, MD3LightTheme, useTheme, type MD3Theme } from 'react-native-paper';
import { darkPalette, lightPalette, type Palette } from './palette';

/** Families by weight, as loaded at the root. */
export const fonts = { regular: 'Atkinson', medium: 'AtkinsonMedium', bold: 'AtkinsonBold' } as const;

export interface LatchTheme extends MD3Theme {
  readonly palette: Palette;
}

function fontConfig() {
  const family = (name: string) => ({ fontFamily: name, fontWeight: 'normal' as const, letterSpacing: 0 });
  const base = configureFonts({ config: family(fonts.regular) });
  const bold = [
    'titleLarge',
    'titleMedium',
    'titleSmall',
    'labelLarge',
    'labelMedium',
    'labelSmall',
    'headlineSmall',
  ] as const;
  return bold.reduce((made, key) => ({ ...made, [key]: { ...made[key], ...family(fonts.medium) } }), base);
}

function themeOf(base: MD3Theme, palette: Palette): LatchTheme {
  return {
    ...base,
    roundness: 3,
    fonts: fontConfig(),
    palette,
    colors: {
      ...base.colors,
      primary: palette.accent,
      onPrimary: palette.onAccent,
      primaryContainer: palette.accentSoft,
      onPrimaryContainer: palette.text,
      secondary: palette.accent,
      onSecondary: palette.onAccent,
      secondaryContainer: palette.accentSoft,
      onSecondaryContainer: palette.text,
      tertiary: palette.accent,
      background: palette.ground,
      onBackground: palette.text,
      surface: palette.surface,
      onSurface: palette.text,
      surfaceVariant: palette.raised,
      onSurfaceVariant: palette.muted,
      outline: palette.muted,
      outlineVariant: palette.line,
      error: palette.stop,
      errorContainer: palette.stopSoft,
      onErrorContainer: palette.stop,
      elevation: {
        ...base.colors.elevation,
        level0: palette.surface,
        level1: palette.surface,
        level2: palette.raised,
        level3: palette.raised,
      },
    },
  };
}

export const lightTheme = themeOf(MD3LightTheme, lightPalette);
export const darkTheme = themeOf(MD3DarkTheme, darkPalette);

/** The same theme for a device that asks for stillness: what would glide or grow is there at once. */
export function still(theme: LatchTheme): LatchTheme {
  return { ...theme, animation: { ...theme.animation, scale: 0 } };
}

/** The theme in force. */
function useLatchTheme(): LatchTheme {
  return useTheme<LatchTheme>();
}

/** The colours in force. */
export function usePalette(): Palette {
  return useLatchTheme().palette;
}
