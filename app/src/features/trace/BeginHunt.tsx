import { cautions } from '@harbor-latch/core/reference/index';
import { huntInstruments, type Access, type Carried } from '@harbor-latch/core/trace/huntTest';
import type { Symptom, SymptomCode } from '@harbor-latch/core/trace/symptoms';
import type { Story } from '@harbor-latch/core/reference/faultShares';
import { storyKeys } from '@harbor-latch/core/log/storyOf';
import { useState } from 'react';
import { View } from 'react-native';
import { More } from '../../fields/More';
import { Card } from '../../ui/Card';
import { ChoiceRow } from '../../ui/ChoiceRow';
import { FigureDialog } from '../../ui/FigureDialog';
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

const storyWords: Readonly<Record<keyof Story, string>> = {
  salt: 'Salt water',
  freshCrimps: 'Adhesive crimps under three years',
  oldFloat: 'Float over five years',
  workedIn: 'Work in the boat lately',
  rewired: 'Wiring worked on this month',
  laidUp: 'Laid up till lately',
};

/** Less is no 12-volt battery, more is one that is being charged hard, V. */
const BATTERY_V = { least: 6, most: 16 } as const;

const names: Readonly<Record<Carried, string>> = { voltmeter: 'Volts', ohmmeter: 'Ohms', clamp: 'Clamp' };

/** What it does, what is known of the boat, how the bilge is reached and what is at hand: then the hunt begins. */
export function BeginHunt({
  symptoms,
  story: told,
  onBegin,
}: {
  readonly symptoms: readonly Symptom[];
  /** What the boat’s log tells of her. */
  readonly story: Story;
  readonly onBegin: (beginning: Beginning) => void;
}) {
  const palette = usePalette();
  const [access, setAccess] = useState<Access>('easy');
  const [instruments, setInstruments] = useState<readonly Carried[]>(huntInstruments);
  const [story, setStory] = useState<readonly (keyof Story)[]>(() => storyKeys.filter((key) => told[key] === true));
  const [restingV, setRestingV] = useState<number | null>(null);
  const [asking, setAsking] = useState(false);
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
            {huntInstruments.map((one) => (
              <Chip key={one} words={names[one]} there={instruments.includes(one)} onPress={() => toggle(one)} />
            ))}
          </View>
          <More title="What is known of her" summary={knownWords(story, restingV)}>
            <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
              {storyKeys.map((key) => (
                <Chip
                  key={key}
                  words={storyWords[key]}
                  there={story.includes(key)}
                  onPress={() =>
                    setStory(story.includes(key) ? story.filter((other) => other !== key) : [...story, key])
                  }
                />
              ))}
            </View>
            <PressRow
              label={`Battery at rest: ${restingV === null ? 'not read' : `${restingV} V`}. Change`}
              onPress={() => setAsking(true)}
              style={{ flexDirection: 'row', alignItems: 'center', gap: 10 }}
            >
              <Icon name="car-battery" color={palette.accent} />
              <Words style={{ flex: 1, minWidth: 0 }}>Battery at rest</Words>
              <Words kind="strong">{restingV === null ? 'Not read' : `${restingV} V`}</Words>
            </PressRow>
            {asking ? (
              <FigureDialog
                title="Battery at rest"
                label="Volts at its posts, nothing running"
                hint="Left empty: as surveyed"
                first={restingV}
                least={BATTERY_V.least}
                most={BATTERY_V.most}
                onFigure={(figure) => {
                  setRestingV(figure);
                  setAsking(false);
                }}
                onClose={() => setAsking(false)}
              />
            ) : null}
          </More>
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
            onPress={() => onBegin({ symptom, access, instruments, story, restingV })}
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

/** Something that is so or not. */
function Chip({
  words,
  there,
  onPress,
}: {
  readonly words: string;
  readonly there: boolean;
  readonly onPress: () => void;
}) {
  const palette = usePalette();
  return (
    <PressRow
      role="checkbox"
      selected={there}
      label={words}
      onPress={onPress}
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
      <Words color={there ? palette.accent : palette.muted}>{words}</Words>
    </PressRow>
  );
}

/** What was said of a boat, in a line. */
function knownWords(story: readonly (keyof Story)[], restingV: number | null): string {
  const told = [...story.map((key) => storyWords[key]), ...(restingV === null ? [] : [`battery ${restingV} V`])];
  return told.length === 0 ? 'Nothing that makes one fault likelier' : told.join(', ');
}
