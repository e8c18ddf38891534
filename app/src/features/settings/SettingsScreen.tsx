import { View } from 'react-native';
import { cautions } from '@harbor-latch/core/reference/index';
import { useSettings, type Settings } from '../../data/settings';
import { Card } from '../../ui/Card';
import { ChoiceRow, type Choice } from '../../ui/ChoiceRow';
import { Screen } from '../../ui/Screen';
import { Words } from '../../ui/Words';

const units: readonly Choice<Settings['units']>[] = [
  { value: 'metric', label: 'Metres, litres' },
  { value: 'us', label: 'Feet, US gallons' },
];
const themes: readonly Choice<Settings['theme']>[] = [
  { value: 'system', label: 'As the device' },
  { value: 'light', label: 'Light' },
  { value: 'dark', label: 'Dark' },
];
const families: readonly Choice<Settings['family']>[] = [
  { value: 'awg', label: 'AWG' },
  { value: 'metric', label: 'mm²' },
];

/** What this device prefers. */
export function SettingsScreen() {
  const { settings, change } = useSettings();
  return (
    <Screen title="Settings" back="/">
      <Card>
        <View style={{ padding: 14, gap: 20 }}>
          <Setting
            title="Units"
            under="Every field also takes the other system: touch its unit, or type it after the number."
          >
            <ChoiceRow
              label="Units"
              choices={units}
              value={settings.units}
              onChoose={(value) => change({ units: value })}
            />
          </Setting>
          <Setting title="Cable sizes of new circuits" under="Each circuit can be changed on its own.">
            <ChoiceRow
              label="Cable sizes of new circuits"
              choices={families}
              value={settings.family}
              onChoose={(value) => change({ family: value })}
            />
          </Setting>
          <Setting title="Light or dark" under="Light for sunlight, dark for the bilge at night.">
            <ChoiceRow
              label="Light or dark"
              choices={themes}
              value={settings.theme}
              onChoose={(value) => change({ theme: value })}
            />
          </Setting>
        </View>
      </Card>
      <Words kind="small" muted>
        {cautions.localRules}
      </Words>
    </Screen>
  );
}

function Setting({
  title,
  under,
  children,
}: {
  readonly title: string;
  readonly under: string;
  readonly children: React.ReactNode;
}) {
  return (
    <View style={{ gap: 6 }}>
      <Words kind="strong" level={2}>
        {title}
      </Words>
      {children}
      <Words kind="small" muted>
        {under}
      </Words>
    </View>
  );
}
