import { memo } from 'react';
import { Pressable } from 'react-native';
import { useSettings } from '../data/settings';
import { stylesFor } from '../ui/stylesFor';
import { fonts, usePalette } from '../ui/theme';
import { Words } from '../ui/Words';

const useStyles = stylesFor(({ accentSoft }) => {
  const button = {
    minWidth: 48,
    height: 48,
    borderRadius: 24,
    alignItems: 'center',
    justifyContent: 'center',
  } as const;
  return { button, pressed: { ...button, backgroundColor: accentSoft }, name: { fontFamily: fonts.medium } };
});

/** The system of units that everything is shown in, changed where it is read. */
export const UnitsButton = memo(function UnitsButton() {
  const styles = useStyles();
  const palette = usePalette();
  const { settings, change } = useSettings();
  const metric = settings.units === 'metric';
  return (
    <Pressable
      role="button"
      aria-label={
        metric ? 'Units: metres and litres. Show feet and gallons' : 'Units: feet and gallons. Show metres and litres'
      }
      onPress={() => change({ units: metric ? 'us' : 'metric' })}
      style={({ pressed }) => (pressed ? styles.pressed : styles.button)}
    >
      <Words color={palette.muted} style={styles.name}>
        {metric ? 'm' : 'ft'}
      </Words>
    </Pressable>
  );
});
