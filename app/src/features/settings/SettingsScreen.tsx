import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { cautions, dropSchools, ruleSets } from '@harbor-latch/core/reference/index';
import { useSettings, type Settings } from '../../data/settings';
import { BigButton } from '../../ui/BigButton';
import { Card } from '../../ui/Card';
import { ChoiceRow, type Choice } from '../../ui/ChoiceRow';
import { Screen } from '../../ui/Screen';
import { useShowShortcuts } from '../../ui/Shortcuts';
import { Words } from '../../ui/Words';
import { OnDevice } from './OnDevice';

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

const schools: readonly Choice<Settings['dropSchool']>[] = [
  { value: 'critical', label: '3\u00a0%' },
  { value: 'general', label: '10\u00a0%' },
];
const rules: readonly Choice<Settings['rules']>[] = [
  { value: 'us', label: ruleSets.us.name },
  { value: 'iso', label: ruleSets.iso.name },
];
const sizes: readonly Choice<Settings['textSize']>[] = [
  { value: 'usual', label: 'Usual' },
  { value: 'large', label: 'Large' },
  { value: 'largest', label: 'Largest' },
  { value: 'double', label: 'Double' },
];

/** What this device prefers. */
export function SettingsScreen() {
  const { settings, change } = useSettings();
  const router = useRouter();
  const showKeys = useShowShortcuts();
  return (
    <Screen title="Settings" back="/">
      <Card>
        <View style={{ padding: 14, gap: 20 }}>
          <Setting title="Your name" under="Beside what you change, so that others see who it was.">
            <TextInput
              mode="outlined"
              label="Name on this device"
              accessibilityLabel="Name on this device"
              defaultValue={settings.person}
              maxLength={80}
              autoComplete="name"
              onChangeText={(person) => change({ person: person.trim() })}
            />
          </Setting>
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
          <Setting title="Drop school of new circuits" under={dropSchools[settings.dropSchool].reason}>
            <ChoiceRow
              label="Drop school of new circuits"
              choices={schools}
              value={settings.dropSchool}
              onChoose={(value) => change({ dropSchool: value })}
            />
          </Setting>
          <Setting title="Rule set of new circuits" under={ruleSets[settings.rules].reason}>
            <ChoiceRow
              label="Rule set of new circuits"
              choices={rules}
              value={settings.rules}
              onChoose={(value) => change({ rules: value })}
            />
          </Setting>
          <Setting title="Text size" under="On top of the size that the device sets.">
            <ChoiceRow
              label="Text size"
              choices={sizes}
              value={settings.textSize}
              onChoose={(value) => change({ textSize: value })}
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
          <Setting title="On this device" under="What you see without a signal.">
            <OnDevice />
          </Setting>
        </View>
      </Card>
      <BigButton mode="outlined" icon="book-open-variant" onPress={() => router.navigate('/reference')}>
        Tables, rules and cautions
      </BigButton>
      <BigButton mode="outlined" icon="school-outline" onPress={() => router.navigate('/practice')}>
        Practise on made-up boats
      </BigButton>
      <BigButton mode="text" onPress={showKeys}>
        Keys of a keyboard
      </BigButton>
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
