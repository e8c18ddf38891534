import type { Pose } from '@harbor-latch/core/job/index';
import Svg, { G, Path, Text as SvgText } from 'react-native-svg';
import { fonts, usePalette } from '../../../ui/theme';

/** How a boat lies in a pose: from the side with the bow to the right, and from astern. */
export function MeasurePose({ pose }: { readonly pose: Pose }) {
  const palette = usePalette();
  const hull = { fill: palette.raised, stroke: palette.text, strokeWidth: 2.5, strokeLinejoin: 'round' as const };
  return (
    <Svg
      width="100%"
      height={110}
      viewBox="0 0 320 110"
      role="img"
      aria-label={`From the side: trim ${pose.trimDeg}°. From astern: heel ${pose.heelDeg}°.`}
    >
      <G transform={`rotate(${pose.trimDeg} 100 58)`}>
        <Path d="M20 42 H176 Q164 76 140 80 H32 Q22 78 20 42 Z" {...hull} />
        <Path d="M60 42 v-16 h44 l10 16" {...hull} />
      </G>
      <Path d="M6 62 H196" stroke={palette.accent} strokeWidth={2} />
      <SvgText x={186} y={56} fontFamily={fonts.medium} fontSize={12} fill={palette.text} textAnchor="end">
        bow
      </SvgText>
      <G transform={`rotate(${pose.heelDeg} 262 58)`}>
        <Path d="M222 40 H302 Q300 66 262 84 Q224 66 222 40 Z" {...hull} />
      </G>
      <Path d="M210 62 H314" stroke={palette.accent} strokeWidth={2} />
      <SvgText x={210} y={104} fontFamily={fonts.regular} fontSize={12} fill={palette.muted}>
        port
      </SvgText>
      <SvgText x={316} y={104} fontFamily={fonts.regular} fontSize={12} fill={palette.muted} textAnchor="end">
        starboard
      </SvgText>
    </Svg>
  );
}
