import type { HoseSurvey } from '@harbor-latch/core/job/index';
import { View } from 'react-native';
import Svg, { Circle, G, Path, Text as SvgText } from 'react-native-svg';
import { fonts, usePalette } from '../ui/theme';
import { Words } from '../ui/Words';

const WIDTH = 320;
const HEIGHT = 150;

/** The hose unrolled: what to measure, and from where. */
export function MeasureHose({ hose }: { readonly hose: HoseSurvey }) {
  const palette = usePalette();
  const most = Math.max(1, ...hose.route.map(({ alongM }) => alongM));
  const heights = hose.route.map(({ heightM }) => heightM);
  const [low, high] = [Math.min(0, ...heights), Math.max(0.3, ...heights)];
  const x = (alongM: number) => 40 + (alongM / most) * (WIDTH - 70);
  const y = (heightM: number) => HEIGHT - 26 - ((heightM - low) / (high - low)) * (HEIGHT - 50);
  const top = hose.route.reduce(
    (best, point) => (point.heightM > best.heightM ? point : best),
    hose.route[0] ?? { alongM: 0, heightM: 0 },
  );
  return (
    <View style={{ gap: 4 }}>
      <Svg
        width="100%"
        height={HEIGHT}
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        role="img"
        aria-label="The hose unrolled: heights over the pump’s base, lengths along the hose"
      >
        <Path d={`M20 ${y(0)} H${WIDTH - 10}`} stroke={palette.muted} strokeDasharray="4 4" />
        <Path
          d={hose.route.map(({ alongM, heightM }, at) => `${at === 0 ? 'M' : 'L'}${x(alongM)} ${y(heightM)}`).join(' ')}
          fill="none"
          stroke={palette.text}
          strokeWidth={6}
          strokeLinejoin="round"
        />
        <Path
          d={hose.route.map(({ alongM, heightM }, at) => `${at === 0 ? 'M' : 'L'}${x(alongM)} ${y(heightM)}`).join(' ')}
          fill="none"
          stroke={palette.raised}
          strokeWidth={3}
          strokeLinejoin="round"
        />
        {hose.route.map(({ alongM, heightM }, at) => (
          <G key={at}>
            <Circle
              cx={x(alongM)}
              cy={y(heightM)}
              r={8}
              fill={palette.surface}
              stroke={palette.accent}
              strokeWidth={2}
            />
            <SvgText
              x={x(alongM)}
              y={y(heightM) + 4}
              textAnchor="middle"
              fontFamily={fonts.bold}
              fontSize={11}
              fill={palette.text}
            >
              {String(at)}
            </SvgText>
          </G>
        ))}
        <Path
          d={`M${x(top.alongM) + 14} ${y(0)} V${y(top.heightM)} m-4 7 l4 -7 l4 7`}
          fill="none"
          stroke={palette.accent}
          strokeWidth={1.5}
        />
        <SvgText x={20} y={HEIGHT - 8} fontFamily={fonts.regular} fontSize={12} fill={palette.muted}>
          pump’s base
        </SvgText>
      </Svg>
      <Words kind="small" muted>
        Measure along the hose from the pump, and straight up from the pump’s base, at the pump (0), at every high and
        low point, and at the outlet. The highest point sets the lift.
      </Words>
    </View>
  );
}
