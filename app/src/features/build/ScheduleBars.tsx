import type { Building } from '@harbor-latch/core/build/building';
import { addDays, format, startOfDay } from 'date-fns';
import { useState } from 'react';
import { View } from 'react-native';
import Svg, { Line, Rect, Text as SvgText } from 'react-native-svg';
import { ChoiceRow } from '../../ui/ChoiceRow';
import { fonts, usePalette } from '../../ui/theme';
import { Words } from '../../ui/Words';
import { shortText } from './stepWords';

const ROW = 30;
const HEAD = 22;
const LEAST_PX = 4;
const DAY_MS = 24 * 3600 * 1000;

/** What is left as bars over the days: work full, clocks hatched by their outline. */
export function ScheduleBars({ building: { list, schedules, fromMs } }: { readonly building: Building }) {
  const palette = usePalette();
  const [people, setPeople] = useState<1 | 2>(1);
  const [width, setWidth] = useState(0);
  const { steps, minutes } = schedules[people];
  const spanMs = Math.max(minutes * 60_000, 3_600_000);
  const x = (ms: number) => (ms / spanMs) * (width - 8) + 4;
  const at = (min: number) => x(min * 60_000);
  const firstDay = startOfDay(addDays(fromMs, 1)).getTime();
  const days = Array.from({ length: Math.max(0, Math.ceil((fromMs + spanMs - firstDay) / DAY_MS)) }, (_, day) =>
    addDays(firstDay, day).getTime(),
  );
  // Dates that would lie over one another are left out.
  const each = Math.max(1, Math.ceil((56 * days.length) / Math.max(1, width)));
  const ordered = [...steps].sort((a, b) => a.fromMin - b.fromMin);
  return (
    <View style={{ gap: 8 }}>
      <ChoiceRow
        label="Who works"
        value={String(people)}
        choices={[
          { value: '1', label: 'One person' },
          { value: '2', label: 'Two' },
        ]}
        onChoose={(value) => setPeople(value === '2' ? 2 : 1)}
      />
      <View
        role="img"
        aria-label={`${ordered.length} steps left as bars, the last over ${format(fromMs + minutes * 60_000, 'EEE d MMM')}`}
        onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)}
      >
        {width > 0 ? (
          <Svg width={width} height={HEAD + ordered.length * ROW} aria-hidden>
            {days.map((day, index) => (
              <Line
                key={day}
                x1={x(day - fromMs)}
                x2={x(day - fromMs)}
                y1={index % each === 0 ? 4 : HEAD}
                y2={HEAD + ordered.length * ROW}
                stroke={palette.line}
                strokeWidth={1}
              />
            ))}
            {days.map((day, index) =>
              index % each === 0 && x(day - fromMs) < width - 48 ? (
                <SvgText
                  key={day}
                  x={x(day - fromMs) + 4}
                  y={15}
                  fontSize={12}
                  fontFamily={fonts.regular}
                  fill={palette.muted}
                >
                  {format(day, 'EEE d')}
                </SvgText>
              ) : null,
            )}
            {ordered.map(({ id, fromMin, toMin, readyMin, person }, row) => {
              const y = HEAD + row * ROW;
              const [from, to, ready] = [at(fromMin), at(toMin), at(readyMin)];
              const name = shortText(list.steps.find((step) => step.id === id));
              const right = from < width / 2;
              return [
                readyMin > toMin ? (
                  <Rect
                    key={`${id} clock`}
                    x={to}
                    y={y + 21}
                    width={Math.max(LEAST_PX, ready - to)}
                    height={6}
                    fill={palette.surface}
                    stroke={palette.muted}
                    strokeDasharray="3 2"
                  />
                ) : null,
                <Rect
                  key={id}
                  x={from}
                  y={y + 20}
                  width={Math.max(LEAST_PX, to - from)}
                  height={8}
                  rx={2}
                  fill={person === 0 ? palette.accent : palette.caution}
                />,
                <SvgText
                  key={`${id} name`}
                  x={right ? from : from + LEAST_PX}
                  y={y + 15}
                  fontSize={12.5}
                  fontFamily={fonts.regular}
                  textAnchor={right ? 'start' : 'end'}
                  fill={palette.text}
                >
                  {name.length > 40 ? `${name.slice(0, 39)}…` : name}
                </SvgText>,
              ];
            })}
          </Svg>
        ) : null}
      </View>
      <Words kind="small" muted>
        Bars are work, dashed frames clocks that nobody works on.
      </Words>
    </View>
  );
}
