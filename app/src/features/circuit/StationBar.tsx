import type { AssessedCircuit } from '@harbor-latch/core/assess/assessed';
import type { Standing } from '@harbor-latch/core/assess/standing';
import { memo, type ReactNode } from 'react';
import { View, type StyleProp, type ViewStyle } from 'react-native';
import { Icon, type IconName } from '../../ui/Icon';
import { PressRow } from '../../ui/PressRow';
import { roving } from '../../ui/roving';
import { standingLook } from '../../ui/Standing';
import { stylesFor } from '../../ui/stylesFor';
import { fonts, usePalette } from '../../ui/theme';
import { Words } from '../../ui/Words';
import type { Station } from './atStation';
import { stations, type StationEntry } from './stations';

const onRail = stations.filter((one) => one.onRail);

interface StationsProps {
  readonly station: Station;
  readonly assessed: AssessedCircuit;
  readonly onGo: (station: Station) => void;
}

/** The stations at the bottom of a phone, in thumb reach. */
export function StationBar({ station, assessed, onGo }: StationsProps) {
  const styles = useBar();
  return (
    <View role="navigation" aria-label="Stations" style={styles.bar}>
      <View role="tablist" style={styles.tabs} {...roving}>
        {stations.map((look) => (
          <BarTab key={look.key} look={look} taken={look.key === station} mark={look.mark(assessed)} onGo={onGo} />
        ))}
      </View>
    </View>
  );
}

const useBar = stylesFor(({ accent, surface, line }) => {
  const tab = {
    flex: 1,
    minHeight: 62,
    alignItems: 'center',
    justifyContent: 'center',
    borderTopWidth: 3,
    borderColor: surface,
  } as const;
  return {
    bar: { backgroundColor: surface, borderTopWidth: 1, borderColor: line },
    tabs: { flexDirection: 'row' },
    tab,
    taken: { ...tab, borderColor: accent },
    name: { fontFamily: fonts.medium },
  } as const;
});

interface TabProps {
  readonly look: StationEntry;
  readonly taken: boolean;
  readonly mark: Standing | null;
  readonly onGo: (station: Station) => void;
}

const BarTab = memo(function BarTab(props: TabProps) {
  const palette = usePalette();
  const styles = useBar();
  const ink = props.taken ? palette.accent : palette.text;
  return (
    <Tab {...props} style={props.taken ? styles.taken : styles.tab}>
      <Words kind="small" color={ink} style={styles.name}>
        {props.look.name}
      </Words>
    </Tab>
  );
});

/** A station's icon and mark, and its name after it. */
function Tab({
  look,
  taken,
  mark,
  onGo,
  style,
  children,
}: TabProps & { readonly style: StyleProp<ViewStyle>; readonly children: ReactNode }) {
  const palette = usePalette();
  return (
    <PressRow role="tab" selected={taken} label={look.name} onPress={() => onGo(look.key)} style={style}>
      <StationIcon icon={look.icon} ink={taken ? palette.accent : palette.text} mark={mark} />
      {children}
    </PressRow>
  );
}

/** The stations at the left of a wide page. */
export function StationRail({ station, assessed, onGo }: StationsProps) {
  const palette = usePalette();
  return (
    <View
      role="navigation"
      aria-label="Stations"
      style={{
        width: 180,
        padding: 12,
        backgroundColor: palette.surface,
        borderRightWidth: 1,
        borderColor: palette.line,
      }}
    >
      <View role="tablist" aria-orientation="vertical" style={{ gap: 6 }} {...roving}>
        {onRail.map((look) => (
          <RailTab key={look.key} look={look} taken={look.key === station} mark={look.mark(assessed)} onGo={onGo} />
        ))}
      </View>
    </View>
  );
}

const useRail = stylesFor(({ accentSoft, surface }) => {
  const tab = {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 18,
    paddingHorizontal: 12,
    borderRadius: 10,
    backgroundColor: surface,
  } as const;
  return { tab, taken: { ...tab, backgroundColor: accentSoft }, name: { fontFamily: fonts.medium } } as const;
});

const RailTab = memo(function RailTab(props: TabProps) {
  const styles = useRail();
  return (
    <Tab {...props} style={props.taken ? styles.taken : styles.tab}>
      <Words style={styles.name}>{props.look.name}</Words>
    </Tab>
  );
});

function StationIcon({
  icon,
  ink,
  mark,
}: {
  readonly icon: IconName;
  readonly ink: string;
  readonly mark: Standing | null;
}) {
  const palette = usePalette();
  const marked = mark === null ? null : standingLook[mark];
  return (
    <View>
      <Icon name={icon} size={24} color={ink} />
      {marked ? (
        <View style={{ position: 'absolute', top: -4, right: -14 }}>
          <Icon name={marked.icon} size={16} color={palette[marked.ink]} />
        </View>
      ) : null}
    </View>
  );
}
