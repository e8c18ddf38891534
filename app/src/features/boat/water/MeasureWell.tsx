import type { WellSurvey } from '@harbor-latch/core/job/index';
import { slopesOf, wellFrom } from '@harbor-latch/core/water/index';
import { View } from 'react-native';
import Svg, { G, Path, Rect, Text as SvgText } from 'react-native-svg';
import { cutThrough, floorLine, scaleOf, type Cut } from '../../../drawing/wellDrawing';
import { fonts, usePalette } from '../../../ui/theme';
import { Words } from '../../../ui/Words';

const WIDTH = 320;
const HEIGHT = 130;

/** The well from the side and from astern, with the pump at zero: what to measure, and from where. */
export function MeasureWell({ well }: { readonly well: WellSurvey }) {
  return (
    <View style={{ gap: 4 }}>
      <Cutaway well={well} cut="along" words="From the side, bow to the right" />
      <Cutaway well={well} cut="across" words="From astern, starboard to the right" />
      <Words kind="small" muted>
        Everything is measured from the middle of the pump’s base: forward, to starboard and straight up are positive.
      </Words>
    </View>
  );
}

function Cutaway({ well, cut, words }: { readonly well: WellSurvey; readonly cut: Cut; readonly words: string }) {
  const palette = usePalette();
  const section = cutThrough(wellFrom(well), slopesOf({ trimDeg: 0, heelDeg: 0 }), cut);
  const floor = floorLine(section);
  const heights = floor.map(([, height]) => height);
  const tops = [...(well.limits ?? []).map(({ zM }) => zM), 0.15];
  const view = {
    from: Math.min(section.from, -0.1),
    to: Math.max(section.to, 0.1),
    low: Math.min(0, ...heights) - 0.02,
    high: Math.max(...tops) + 0.03,
  };
  const scale = scaleOf(view, WIDTH - 20, HEIGHT - 30);
  const x = (metres: number) => scale.x(metres) + 10;
  const y = (metres: number) => scale.y(metres) + 18;
  return (
    <Svg width="100%" height={HEIGHT} viewBox={`0 0 ${WIDTH} ${HEIGHT}`} role="img" aria-label={words}>
      <SvgText x={10} y={13} fontFamily={fonts.medium} fontSize={12} fill={palette.text}>
        {words}
      </SvgText>
      <Path
        d={floor.map(([at, height], index) => `${index === 0 ? 'M' : 'L'}${x(at)} ${y(height)}`).join(' ')}
        fill="none"
        stroke={palette.text}
        strokeWidth={4}
      />
      {[section.from, section.to].map((at) => (
        <Path
          key={at}
          d={`M${x(at)} ${y(Number.isFinite(section.floorM(at)) ? section.floorM(at) : 0)} V${y(view.high)}`}
          stroke={palette.text}
          strokeWidth={2}
        />
      ))}
      <Path d={`M${x(view.from)} ${y(0)} H${x(view.to)}`} stroke={palette.muted} strokeDasharray="3 4" />
      <Rect
        x={x(0) - 8}
        y={y(0) - 16}
        width={16}
        height={16}
        fill={palette.accentSoft}
        stroke={palette.accent}
        strokeWidth={2}
      />
      {(well.limits ?? []).map(({ id, xM = 0, yM = 0, zM }) => {
        const at = cut === 'along' ? xM : yM;
        return (
          <G key={id}>
            <Path d={`M${x(at) - 9} ${y(zM)} h18`} stroke={palette.stop} strokeWidth={2.5} />
          </G>
        );
      })}
    </Svg>
  );
}
