import type { AssessedCircuit } from '@harbor-latch/core/assess/assessed';
import { View } from 'react-native';
import { Icon } from '../../ui/Icon';
import { PressRow } from '../../ui/PressRow';
import { standingLook } from '../../ui/Standing';
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
  const palette = usePalette();
  return (
    <View
      role="navigation"
      aria-label="Stations"
      style={{ backgroundColor: palette.surface, borderTopWidth: 1, borderColor: palette.line }}
    >
      <View role="tablist" style={{ flexDirection: 'row' }}>
        {stations.map((look) => (
          <PressRow
            key={look.key}
            role="tab"
            selected={look.key === station}
            label={look.name}
            onPress={() => onGo(look.key)}
            style={{
              flex: 1,
              minHeight: 62,
              alignItems: 'center',
              justifyContent: 'center',
              borderTopWidth: 3,
              borderColor: look.key === station ? palette.accent : palette.surface,
            }}
          >
            <StationIcon look={look} assessed={assessed} taken={look.key === station} />
            <Words
              kind="small"
              color={look.key === station ? palette.accent : palette.text}
              style={{ fontFamily: fonts.medium }}
            >
              {look.name}
            </Words>
          </PressRow>
        ))}
      </View>
    </View>
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
      <View role="tablist" aria-orientation="vertical" style={{ gap: 6 }}>
        {onRail.map((look) => (
          <PressRow
            key={look.key}
            role="tab"
            selected={look.key === station}
            label={look.name}
            onPress={() => onGo(look.key)}
            style={{
              flexDirection: 'row',
              alignItems: 'center',
              gap: 18,
              paddingHorizontal: 12,
              borderRadius: 10,
              backgroundColor: look.key === station ? palette.accentSoft : palette.surface,
            }}
          >
            <StationIcon look={look} assessed={assessed} taken={look.key === station} />
            <Words style={{ fontFamily: fonts.medium }}>{look.name}</Words>
          </PressRow>
        ))}
      </View>
    </View>
  );
}

function StationIcon({
  look,
  assessed,
  taken,
}: {
  readonly look: StationEntry;
  readonly assessed: AssessedCircuit;
  readonly taken: boolean;
}) {
  const palette = usePalette();
  const mark = look.mark(assessed);
  const marked = mark === null ? null : standingLook[mark];
  return (
    <View>
      <Icon name={look.icon} size={24} color={taken ? palette.accent : palette.text} />
      {marked ? (
        <View style={{ position: 'absolute', top: -4, right: -14 }}>
          <Icon name={marked.icon} size={16} color={palette[marked.ink]} />
        </View>
      ) : null}
    </View>
  );
}
