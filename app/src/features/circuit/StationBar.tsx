import type { AssessedCircuit } from '@harbor-latch/core/assess/assessed';
import type { ProofStands } from '@harbor-latch/core/prove/proofStands';
import { memo } from 'react';
import { ScrollView, View } from 'react-native';
import { Icon, type IconName } from '../../ui/Icon';
import { PressRow } from '../../ui/PressRow';
import { roving } from '../../ui/roving';
import { standingLook } from '../../ui/Standing';
import { stylesFor } from '../../ui/stylesFor';
import { fonts, usePalette } from '../../ui/theme';
import { Words } from '../../ui/Words';
import type { PlaceKey, Station } from './atStation';
import { placeOf, places, type Place } from './places';
import type { Stands, StationEntry } from './stations';

interface StationsProps {
  readonly station: Station;
  readonly assessed: AssessedCircuit;
  /** How its proof stands. */
  readonly proof: ProofStands | null;
  readonly onGo: (station: Station) => void;
}

/** The places at the bottom of a phone, in thumb reach, the steps of the one that is shown above them. */
export function PlaceBar({
  station,
  assessed,
  proof,
  onGo,
  onPlace,
}: StationsProps & { readonly onPlace: (place: PlaceKey) => void }) {
  const styles = useBar();
  const shown = placeOf(station);
  return (
    <View role="navigation" aria-label="Stations" style={styles.bar}>
      {shown && shown.steps.length > 1 ? (
        <View role="tablist" aria-label={`Steps of the ${shown.name.toLowerCase()}`} style={styles.steps} {...roving}>
          {shown.steps.map((step, index) => (
            <StepTab
              key={step.key}
              step={step}
              number={index + 1}
              taken={step.key === station}
              stands={step.stands(assessed, proof)}
              onGo={onGo}
            />
          ))}
        </View>
      ) : null}
      <View role="tablist" aria-label="Places" style={styles.tabs} {...roving}>
        {places.map((place) => (
          <PlaceTab key={place.key} place={place} taken={place === shown} onPlace={onPlace} />
        ))}
      </View>
    </View>
  );
}

const useBar = stylesFor(({ accent, accentSoft, surface, line }) => {
  const tab = {
    flex: 1,
    minHeight: 58,
    alignItems: 'center',
    justifyContent: 'center',
    borderTopWidth: 3,
    borderColor: surface,
  } as const;
  const step = { flex: 1, minHeight: 54, paddingHorizontal: 8, paddingVertical: 5, justifyContent: 'center' } as const;
  return {
    bar: { backgroundColor: surface, borderTopWidth: 1, borderColor: line },
    steps: { flexDirection: 'row', borderBottomWidth: 1, borderColor: line },
    step,
    stepTaken: { ...step, backgroundColor: accentSoft },
    stands: { flexDirection: 'row', alignItems: 'center', gap: 4 },
    tabs: { flexDirection: 'row' },
    tab,
    taken: { ...tab, borderColor: accent },
    name: { fontFamily: fonts.medium },
    shrinks: { flexShrink: 1 },
  } as const;
});

/** What a screen reader hears of a step: its name and how it stands. */
const heard = ({ name }: StationEntry, stands: Stands | null) => (stands ? `${name}, ${stands.words}` : name);

interface TabProps {
  readonly step: StationEntry;
  readonly taken: boolean;
  readonly stands: Stands | null;
  readonly onGo: (station: Station) => void;
}

const StepTab = memo(function StepTab({ step, number, taken, stands, onGo }: TabProps & { readonly number: number }) {
  const palette = usePalette();
  const styles = useBar();
  return (
    <PressRow
      role="tab"
      selected={taken}
      label={heard(step, stands)}
      onPress={() => onGo(step.key)}
      style={taken ? styles.stepTaken : styles.step}
    >
      <Words color={taken ? palette.accent : palette.text} style={styles.name}>{`${number} ${step.name}`}</Words>
      <HowItStands stands={stands} />
    </PressRow>
  );
}, sameTab);

/** Whether a tab shows the same: how its step stands is told anew for every answer. */
function sameTab(one: TabProps, other: TabProps): boolean {
  return (
    one.taken === other.taken &&
    one.step === other.step &&
    one.onGo === other.onGo &&
    one.stands?.words === other.stands?.words &&
    one.stands?.standing === other.stands?.standing
  );
}

function HowItStands({ stands }: { readonly stands: Stands | null }) {
  const palette = usePalette();
  const styles = useBar();
  if (!stands) return null;
  const { icon, ink } = standingLook[stands.standing];
  return (
    <View style={styles.stands}>
      <Icon name={icon} size={16} color={palette[ink]} />
      <Words kind="small" color={palette[ink]} style={styles.shrinks} numberOfLines={1}>
        {stands.words}
      </Words>
    </View>
  );
}

const PlaceTab = memo(function PlaceTab({
  place,
  taken,
  onPlace,
}: {
  readonly place: Place;
  readonly taken: boolean;
  readonly onPlace: (place: PlaceKey) => void;
}) {
  const palette = usePalette();
  const styles = useBar();
  const ink = taken ? palette.accent : palette.text;
  return (
    <PressRow
      role="tab"
      selected={taken}
      label={place.name}
      onPress={() => onPlace(place.key)}
      style={taken ? styles.taken : styles.tab}
    >
      <Icon name={place.icon} size={24} color={ink} />
      <Words kind="small" color={ink} style={styles.name}>
        {place.name}
      </Words>
    </PressRow>
  );
});

/** Narrower than this the rail has room for names only, px. */
const WITH_WORDS = 150;

/** The places with their steps at the left of a wide page, or of a phone on its side. */
export function StationRail({ station, assessed, proof, width, onGo }: StationsProps & { readonly width: number }) {
  const styles = useRail();
  const narrow = width < WITH_WORDS;
  return (
    <View role="navigation" aria-label="Stations" style={[styles.rail, { width, padding: narrow ? 6 : 12 }]}>
      <ScrollView contentContainerStyle={styles.scrolled}>
        <View role="tablist" aria-label="Places" aria-orientation="vertical" style={styles.scrolled} {...roving}>
          {places.flatMap((place) => [
            ...(place.steps.length > 1 && !narrow
              ? [<PlaceHead key={place.key} name={place.name} icon={place.icon} />]
              : []),
            ...place.steps.map((step) => (
              <RailTab
                key={step.key}
                step={step}
                narrow={narrow}
                alone={place.steps.length === 1}
                taken={step.key === station}
                stands={step.stands(assessed, proof)}
                onGo={onGo}
              />
            )),
          ])}
        </View>
      </ScrollView>
    </View>
  );
}

const useRail = stylesFor(({ accentSoft, surface, line }) => {
  const tab = {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 14,
    paddingHorizontal: 12,
    paddingVertical: 6,
    borderRadius: 10,
    backgroundColor: surface,
  } as const;
  return {
    rail: { backgroundColor: surface, borderRightWidth: 1, borderColor: line },
    scrolled: { gap: 6 },
    head: { flexDirection: 'row', alignItems: 'center', gap: 14, paddingHorizontal: 12, paddingTop: 6 },
    tab,
    taken: { ...tab, backgroundColor: accentSoft },
    name: { fontFamily: fonts.medium },
    words: { flex: 1, minWidth: 0 },
    under: { paddingLeft: 12 },
  } as const;
});

function PlaceHead({ name, icon }: { readonly name: string; readonly icon: IconName }) {
  const palette = usePalette();
  const styles = useRail();
  return (
    <View style={styles.head}>
      <Icon name={icon} size={24} color={palette.muted} />
      <Words kind="small" muted style={styles.name}>
        {name}
      </Words>
    </View>
  );
}

const RailTab = memo(
  function RailTab({
    step,
    narrow,
    alone,
    taken,
    stands,
    onGo,
  }: TabProps & { readonly narrow: boolean; readonly alone: boolean }) {
    const palette = usePalette();
    const styles = useRail();
    const ink = taken ? palette.accent : palette.text;
    return (
      <View style={alone || narrow ? null : styles.under}>
        <PressRow
          role="tab"
          selected={taken}
          label={heard(step, stands)}
          onPress={() => onGo(step.key)}
          style={taken ? styles.taken : styles.tab}
        >
          {narrow ? null : <Icon name={step.icon} size={24} color={ink} />}
          <View style={styles.words}>
            <Words color={ink} style={styles.name}>
              {step.name}
            </Words>
            <HowItStands stands={stands} />
          </View>
        </PressRow>
      </View>
    );
  },
  (one, other) => sameTab(one, other) && one.narrow === other.narrow && one.alone === other.alone,
);
