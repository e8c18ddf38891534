import { memo } from 'react';
import { StyleSheet } from 'react-native';
import { useSettings } from '../data/settings';
import { Press } from '../ui/Press';
import { fonts, usePalette } from '../ui/theme';
import { Words } from '../ui/Words';

const styles = StyleSheet.create({
  button: { minWidth: 48, height: 48, borderRadius: 24, alignItems: 'center', justifyContent: 'center' },
  name: { fontFamily: fonts.medium },
});

/** The system of units that everything is shown in, changed where it is read. */
export const UnitsButton = memo(function UnitsButton() {
  const palette = usePalette();
  const { settings, change } = useSettings();
  const metric = settings.units === 'metric';
  return (
    <Press
      role="button"
      aria-label={
        metric ? 'Units: metres and litres. Show feet and gallons' : 'Units: feet and gallons. Show metres and litres'
      }
      onPress={() => change({ units: metric ? 'us' : 'metric' })}
      style={styles.button}
    >
      <Words color={palette.muted} style={styles.name}>
        {metric ? 'm' : 'ft'}
      </Words>
    </Press>
  );
});
