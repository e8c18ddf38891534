import { standingOf, type AssessedCircuit } from '@harbor-latch/core/assess/index';
import { worstSeverity } from '@harbor-latch/core/findings/index';
import { View } from 'react-native';
import { Icon, type IconName } from '../../ui/Icon';
import { PressRow } from '../../ui/PressRow';
import { standingLook } from '../../ui/Standing';
import { fonts, usePalette } from '../../ui/theme';
import { Words } from '../../ui/Words';

export type Station = 'survey' | 'size' | 'float' | 'bench' | 'drawing';

interface StationLook {
  readonly key: Station;
  readonly name: string;
  readonly icon: IconName;
}

const survey: StationLook = { key: 'survey', name: 'Survey', icon: 'tape-measure' };
const size: StationLook = { key: 'size', name: 'Size', icon: 'scale-balance' };
const float: StationLook = { key: 'float', name: 'Float', icon: 'waves-arrow-up' };
const bench: StationLook = { key: 'bench', name: 'Bench', icon: 'flash-outline' };
const drawing: StationLook = { key: 'drawing', name: 'Drawing', icon: 'transit-connection-variant' };

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
        {[survey, size, float, bench, drawing].map((look) => (
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
        {[survey, size, float, bench].map((look) => (
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
  readonly look: StationLook;
  readonly assessed: AssessedCircuit;
  readonly taken: boolean;
}) {
  const palette = usePalette();
  const standing = standingOf(assessed);
  const wet = waterStanding(assessed);
  const open =
    look.key === 'survey'
      ? standing === 'incomplete'
      : look.key === 'float'
        ? wet !== null
        : look.key === 'size' && (standing === 'stop' || standing === 'caution');
  const mark = standingLook[look.key === 'float' && wet ? wet : standing];
  return (
    <View>
      <Icon name={look.icon} size={24} color={taken ? palette.accent : palette.text} />
      {open ? (
        <View style={{ position: 'absolute', top: -4, right: -14 }}>
          <Icon name={mark.icon} size={16} color={palette[mark.ink]} />
        </View>
      ) : null}
    </View>
  );
}

/** The worst that is found of where pump and float stand. */
function waterStanding(assessed: AssessedCircuit): 'stop' | 'caution' | null {
  if (assessed.status === 'incomplete') return null;
  const worst = worstSeverity(assessed.findings.filter(({ topic }) => topic === 'water'));
  return worst === 'note' ? null : worst;
}
