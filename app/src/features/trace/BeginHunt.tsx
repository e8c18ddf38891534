import { cautions } from '@harbor-latch/core/reference/index';
import { huntInstruments, type Access, type Carried } from '@harbor-latch/core/trace/huntTest';
import type { Symptom, SymptomCode } from '@harbor-latch/core/trace/symptoms';
import { useState } from 'react';
import { View } from 'react-native';
import { Card } from '../../ui/Card';
import { ChoiceRow } from '../../ui/ChoiceRow';
import { Icon, type IconName } from '../../ui/Icon';
import { PressRow } from '../../ui/PressRow';
import { usePalette } from '../../ui/theme';
import { Words } from '../../ui/Words';
import type { Beginning } from './useHunt';

const looks: Readonly<Record<SymptomCode, IconName>> = {
  'both-dead': 'water-pump-off',
  'auto-dead': 'waves-arrow-up',
  'manual-dead': 'gesture-tap-button',
  'never-stops': 'sync-alert',
  'runs-off': 'toggle-switch-off-outline',
  'no-water': 'water-off',
  weak: 'speedometer-slow',
  hums: 'volume-vibrate',
  'fuse-blown': 'fuse-alert',
  'light-dead': 'lightbulb-off-outline',
  'light-only': 'lightbulb-on-outline',
  'alarm-silent': 'bell-off-outline',
  'alarm-always': 'bell-ring-outline',
  'battery-flat': 'battery-alert-variant-outline',
};

const accesses = [
  { value: 'easy', label: 'Easily: a board is lifted' },
  { value: 'hard', label: 'Hard: a quarter of an hour' },
] as const;

const names: Readonly<Record<Carried, string>> = { voltmeter: 'Volts', ohmmeter: 'Ohms', clamp: 'Clamp' };

/** What it does, how the bilge is reached and what is at hand: then the hunt begins. */
export function BeginHunt({
  symptoms,
  onBegin,
}: {
  readonly symptoms: readonly Symptom[];
  readonly onBegin: (beginning: Beginning) => void;
}) {
  const palette = usePalette();
  const [access, setAccess] = useState<Access>('easy');
  const [instruments, setInstruments] = useState<readonly Carried[]>(huntInstruments);
  const toggle = (one: Carried) =>
    setInstruments(instruments.includes(one) ? instruments.filter((other) => other !== one) : [...instruments, one]);
  return (
    <>
      <Card>
        <View style={{ padding: 14, gap: 12 }}>
          <Words kind="strong" level={2}>
            How is the bilge reached?
          </Words>
          <ChoiceRow label="How the bilge is reached" choices={accesses} value={access} onChoose={setAccess} />
          <Words kind="strong" level={2}>
            What is at hand?
          </Words>
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
            {huntInstruments.map((one) => {
              const there = instruments.includes(one);
              return (
                <PressRow
                  key={one}
                  role="checkbox"
                  selected={there}
                  label={names[one]}
                  onPress={() => toggle(one)}
                  style={{
                    flexDirection: 'row',
                    alignItems: 'center',
                    gap: 8,
                    paddingHorizontal: 14,
                    borderRadius: 10,
                    borderWidth: 1,
                    borderColor: there ? palette.accent : palette.line,
                    backgroundColor: there ? palette.accentSoft : palette.surface,
                  }}
                >
                  <Icon name={there ? 'check' : 'minus'} size={18} color={there ? palette.accent : palette.muted} />
                  <Words color={there ? palette.accent : palette.muted}>{names[one]}</Words>
                </PressRow>
              );
            })}
          </View>
        </View>
      </Card>
      <Words kind="heading" level={2}>
        What does it do?
      </Words>
      <Card>
        {symptoms.map((symptom, index) => (
          <PressRow
            key={symptom.code}
            label={symptom.text}
            onPress={() => onBegin({ symptom, access, instruments })}
            style={{
              flexDirection: 'row',
              alignItems: 'center',
              gap: 14,
              padding: 14,
              borderTopWidth: index === 0 ? 0 : 1,
              borderColor: palette.line,
            }}
          >
            <Icon name={looks[symptom.code]} size={28} color={palette.accent} />
            <Words style={{ flex: 1, minWidth: 0 }}>{symptom.text}</Words>
            <Icon name="chevron-right" color={palette.muted} />
          </PressRow>
        ))}
      </Card>
      <Words kind="small" muted>
        {`${cautions.proveDead} ${cautions.autoStart} ${cautions.fuelVapour}`}
      </Words>
    </>
  );
}
