import type { TracePiece } from '@harbor-latch/core/water/index';
import { shownUnit, toUnit } from '@harbor-latch/core/units/index';
import { scaleLinear } from 'd3-scale';
import { area, line } from 'd3-shape';
import { memo } from 'react';
import { View } from 'react-native';
import Svg, { G, Path, Rect, Text as SvgText } from 'react-native-svg';
import { useUnits } from '../../data/settings';
import { fonts, usePalette } from '../../ui/theme';
import { timeInWords } from './verdictWords';

const LEVEL = { top: 20, height: 108 };
const PUMP = { top: 148, height: 16 };
const BATTERY = { top: 190, height: 44 };
const HEIGHT = 258;
const LEFT = 44;
const RIGHT = 12;

export interface StripChartProps {
  readonly trace: readonly TracePiece[];
  readonly seconds: number;
  readonly pumps: readonly string[];
  readonly limitM: number | null;
  readonly width: number;
  readonly atS: number;
  readonly onTime: (atS: number) => void;
}

/** Level, pumps and battery one under the other over the same time, with a cursor through all of them. */
export function StripChart({ atS, onTime, ...strips }: StripChartProps) {
  const { seconds, width } = strips;
  const palette = usePalette();
  const x = scaleLinear([0, seconds], [LEFT, width - RIGHT]);
  const at = (px: number) => Math.min(seconds, Math.max(0, x.invert(px)));
  const key = (event: { key: string; shiftKey?: boolean; preventDefault: () => void }) => {
    const step = (seconds / 100) * (event.shiftKey === true ? 10 : 1);
    if (event.key !== 'ArrowLeft' && event.key !== 'ArrowRight') return;
    onTime(at(x(atS + (event.key === 'ArrowLeft' ? -step : step))));
    event.preventDefault();
  };
  return (
    <View
      {...({ onKeyDown: key, tabIndex: 0 } as object)}
      role="slider"
      aria-label="Time in the run"
      aria-valuemin={0}
      aria-valuemax={Math.round(seconds)}
      aria-valuenow={Math.round(atS)}
      aria-valuetext={timeInWords(atS)}
      onStartShouldSetResponder={() => true}
      onMoveShouldSetResponder={() => true}
      onResponderGrant={({ nativeEvent }) => onTime(at(nativeEvent.locationX))}
      onResponderMove={({ nativeEvent }) => onTime(at(nativeEvent.locationX))}
      style={[{ width, height: HEIGHT }, { touchAction: 'pan-y', cursor: 'crosshair' } as object]}
    >
      <Strips {...strips} />
      <View
        style={{
          position: 'absolute',
          pointerEvents: 'none',
          left: x(atS) - 1,
          top: LEVEL.top - 6,
          width: 2,
          height: BATTERY.top + BATTERY.height - LEVEL.top + 6,
          backgroundColor: palette.accent,
        }}
      />
    </View>
  );
}

/** What does not move with the cursor. */
const Strips = memo(function Strips({ trace, seconds, pumps, limitM, width }: Omit<StripChartProps, 'atS' | 'onTime'>) {
  const palette = usePalette();
  const units = useUnits();
  const unit = shownUnit('shortLength', units);
  const x = scaleLinear([0, seconds], [LEFT, width - RIGHT]);
  const unitS = seconds > 2 * 86400 ? 86400 : seconds > 7200 ? 3600 : 60;
  const lows = trace.map(({ lowM }) => lowM);
  const highs = trace.map(({ highM }) => highM);
  const most = Math.max(0.02, ...highs, limitM !== null && limitM < 1.6 * Math.max(0.02, ...highs) ? limitM : 0);
  const shownLevel = scaleLinear(
    [toUnit(Math.min(0, ...lows), unit), toUnit(most * 1.05, unit)],
    [LEVEL.top + LEVEL.height, LEVEL.top],
  );
  const level = (heightM: number) => shownLevel(toUnit(heightM, unit));
  const charge = scaleLinear([0, 1], [BATTERY.top + BATTERY.height, BATTERY.top]);
  const middle = ({ fromS, toS }: TracePiece) => x((fromS + toS) / 2);
  const band = area<TracePiece>()
    .x(middle)
    .y0(({ lowM }) => level(lowM))
    .y1(({ highM }) => level(highM));
  const chargeLine = line<TracePiece>()
    .x(middle)
    .y((piece) => charge(piece.charge));
  const head = (words: string, y: number) => (
    <SvgText x={LEFT} y={y - 7} fontFamily={fonts.medium} fontSize={12} fill={palette.text}>
      {words}
    </SvgText>
  );
  return (
    <Svg width={width} height={HEIGHT} style={{ pointerEvents: 'none' } as object} aria-hidden>
      {head(`level, ${unit.symbol}`, LEVEL.top)}
      {shownLevel.ticks(3).map((height) => (
        <G key={height}>
          <Path d={`M${LEFT} ${shownLevel(height)} H${width - RIGHT}`} stroke={palette.line} />
          <SvgText
            x={LEFT - 6}
            y={shownLevel(height) + 4}
            textAnchor="end"
            fontFamily={fonts.regular}
            fontSize={12}
            fill={palette.muted}
          >
            {String(height)}
          </SvgText>
        </G>
      ))}
      <Path d={band([...trace]) ?? ''} fill={palette.water} stroke={palette.accent} strokeWidth={1.2} />
      {limitM !== null && limitM <= most * 1.05 ? (
        <Path
          d={`M${LEFT} ${level(limitM)} H${width - RIGHT}`}
          stroke={palette.stop}
          strokeWidth={2}
          strokeDasharray="6 4"
        />
      ) : null}
      {head(pumps.length > 1 ? `pumps: ${pumps.join(', ').toLowerCase()}` : 'pump runs', PUMP.top)}
      {pumps.map((_, row) => (
        <G key={row}>
          <Rect
            x={LEFT}
            y={PUMP.top + (row * PUMP.height) / pumps.length}
            width={width - LEFT - RIGHT}
            height={PUMP.height / pumps.length - 1}
            fill={palette.raised}
          />
          {trace.map((piece) =>
            (piece.running[row] ?? 0) > 0 ? (
              <Rect
                key={piece.fromS}
                x={x(piece.fromS)}
                y={PUMP.top + (row * PUMP.height) / pumps.length}
                width={Math.max(0.8, x(piece.toS) - x(piece.fromS))}
                height={PUMP.height / pumps.length - 1}
                fill={palette.accent}
                fillOpacity={0.25 + 0.75 * (piece.running[row] ?? 0)}
              />
            ) : null,
          )}
        </G>
      ))}
      {head('battery, share of full', BATTERY.top)}
      {[0, 0.5, 1].map((share) => (
        <G key={share}>
          <Path d={`M${LEFT} ${charge(share)} H${width - RIGHT}`} stroke={palette.line} />
          <SvgText
            x={LEFT - 6}
            y={charge(share) + 4}
            textAnchor="end"
            fontFamily={fonts.regular}
            fontSize={12}
            fill={palette.muted}
          >
            {`${share * 100}%`}
          </SvgText>
        </G>
      ))}
      <Path d={chargeLine([...trace]) ?? ''} fill="none" stroke={palette.text} strokeWidth={2} />
      {scaleLinear([0, seconds / unitS], [0, 1])
        .ticks(4)
        .map((count) => count * unitS)
        .map((time) => (
          <SvgText
            key={time}
            x={x(time)}
            y={HEIGHT - 6}
            textAnchor="middle"
            fontFamily={fonts.regular}
            fontSize={12}
            fill={palette.muted}
          >
            {time === 0 ? '0' : `${time / unitS} ${unitS === 60 ? 'min' : unitS === 3600 ? 'h' : 'd'}`}
          </SvgText>
        ))}
    </Svg>
  );
});
