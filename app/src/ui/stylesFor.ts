import { StyleSheet } from 'react-native';
import type { Palette } from './palette';
import { usePalette } from './theme';

/**
 * Styles by palette, made once each: what is written into an element is made anew for
 * every one of a thousand elements, and set property by property.
 */
export function stylesFor<S extends StyleSheet.NamedStyles<S>>(make: (palette: Palette) => S): () => S {
  const made = new Map<Palette, S>();
  return function useStyles() {
    const palette = usePalette();
    const known = made.get(palette);
    if (known) return known;
    const styles = StyleSheet.create(make(palette));
    made.set(palette, styles);
    return styles;
  };
}
