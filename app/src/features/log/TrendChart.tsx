import type { Trend } from '@harbor-latch/core/log/alarm';
import { scaleLinear, scaleTime } from 'd3-scale';
import { line } from 'd3-shape';
import { format } from 'date-fns';
import { useState } from 'react';
import { View } from 'react-native';
import Svg, { Circle, G, Path, Rect, Text as SvgText } from 'react-native-svg';
import { BigButton } from '../../ui/BigButton';
import { ToolButton } from '../../ui/ToolButton';
import { fonts, usePalette } from '../../ui/theme';
import { Words } from '../../ui/Words';

const HEIGHT = 190;
const edge = { left: 44, right: 12, top: 16, bottom: 26 };
/** More points than this are a line without dots. */
const MOST_DOTS = 60;

/** A figure of a trend in few digits. */
const short = (value: number, unit: string) =>
  `${unit === 'Ω' ? value.toFixed(2) : Number(value.toPrecision(3))}${unit === '' ? '' : ` ${unit}`}`;

/** A trend over time, with its limits and the day of the proof; each point opens its entry. */
export function TrendChart({
  trend,
  width,
  onOpen,
}: {
  readonly trend: Trend;
  readonly width: number;
  readonly onOpen: (entry: string) => void;
}) {
  const palette = usePalette();
  const { points, lines, unit, provedMs, name } = trend;
  // Until one is chosen, the last: more of them may come.
  const [chosenAt, setAt] = useState<number | null>(null);
  const at = chosenAt ?? points.length - 1;
  const chosen = points[Math.min(at, points.length - 1)];
  const first = points[0];
  const last = points[points.length - 1];
  if (!first || !last || !chosen) return null;
  const values = [...points.map(({ value }) => value), ...lines.map(({ value }) => value), 0];
  const x = scaleTime([Math.min(first.atMs, provedMs ?? first.atMs), last.atMs + 1], [edge.left, width - edge.right]);
  const y = scaleLinear([Math.min(...values), Math.max(...values)], [HEIGHT - edge.bottom, edge.top]).nice(4);
  const path = line<(typeof points)[number]>()
    .x(({ atMs }) => x(atMs))
    .y(({ value }) => y(value));
  const nearest = (px: number) => {
    let best = 0;
    for (const [index, { atMs }] of points.entries())
      if (Math.abs(x(atMs) - px) < Math.abs(x(points[best]?.atMs ?? 0) - px)) best = index;
    setAt(best);
  };
  const label = (text: string, left: number, top: number, more: object = {}) => (
    <SvgText x={left} y={top} fontFamily={fonts.regular} fontSize={12} fill={palette.muted} {...more}>
      {text}
    </SvgText>
  );
  const said = `${name}: ${points.length} points, the last ${short(last.value, unit)} on ${format(new Date(last.atMs), 'd MMM yyyy')}. ${trend.words}`;
  return (
    <View style={{ gap: 4 }}>
      <Svg width={width} height={HEIGHT} role="img" aria-label={said}>
        {y.ticks(4).map((value) => (
          <G key={value}>
            <Path d={`M${edge.left} ${y(value)} H${width - edge.right}`} stroke={palette.line} />
            {label(String(value), edge.left - 6, y(value) + 4, { textAnchor: 'end' })}
          </G>
        ))}
        {x.ticks(Math.max(2, Math.floor(width / 130))).map((tick) => (
          <G key={tick.getTime()}>{label(format(tick, 'MMM yy'), x(tick), HEIGHT - 8, { textAnchor: 'middle' })}</G>
        ))}
        {lines.map(({ value, words }) => (
          <G key={words}>
            <Path
              d={`M${edge.left} ${y(value)} H${width - edge.right}`}
              stroke={palette.caution}
              strokeDasharray="6 4"
            />
            {label(words, width - edge.right - 4, y(value) - 5, { textAnchor: 'end', fill: palette.caution })}
          </G>
        ))}
        {provedMs === null ? null : (
          <G>
            <Path d={`M${x(provedMs)} ${edge.top} V${HEIGHT - edge.bottom}`} stroke={palette.good} strokeWidth={2} />
            {label('proved', x(provedMs) + 4, edge.top - 4, { fill: palette.good })}
          </G>
        )}
        <Path
          d={path([...points]) ?? ''}
          fill="none"
          stroke={palette.accent}
          strokeWidth={points.length > MOST_DOTS ? 1.4 : 2}
        />
        {points.length > MOST_DOTS
          ? null
          : points.map(({ atMs, value, entry }, index) => (
              <Circle key={`${entry} ${index}`} cx={x(atMs)} cy={y(value)} r={3} fill={palette.accent} />
            ))}
        <Circle
          cx={x(chosen.atMs)}
          cy={y(chosen.value)}
          r={6}
          fill={palette.surface}
          stroke={palette.accent}
          strokeWidth={3}
        />
        <Rect
          x={edge.left}
          y={0}
          width={Math.max(0, width - edge.left - edge.right)}
          height={HEIGHT}
          fill="transparent"
          {...({
            onClick: (event: { nativeEvent: { offsetX: number } }) => nearest(event.nativeEvent.offsetX),
          } as object)}
        />
      </Svg>
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: 4 }}>
        <ToolButton
          icon="chevron-left"
          label={`${name}: the point before`}
          disabled={at <= 0}
          onPress={() => setAt(Math.max(0, at - 1))}
        />
        <View style={{ flex: 1, minWidth: 0 }}>
          <Words kind="small" role="status">
            {`${format(new Date(chosen.atMs), 'd MMM yyyy')}: ${short(chosen.value, unit)}`}
          </Words>
        </View>
        <ToolButton
          icon="chevron-right"
          label={`${name}: the next point`}
          disabled={at >= points.length - 1}
          onPress={() => setAt(Math.min(points.length - 1, at + 1))}
        />
        <BigButton mode="text" label={`${name}: open the entry of this point`} onPress={() => onOpen(chosen.entry)}>
          Entry
        </BigButton>
      </View>
    </View>
  );
}
