import type { Part } from '@harbor-latch/core/circuit/index';
import { memo, useMemo } from 'react';
import Svg, { Circle, G, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import { fonts, usePalette } from '../ui/theme';
import { insulation } from '@harbor-latch/core/drawing/colours';
import { SKETCH, schemeSketch } from './schemeSketch';

/** A scheme at a glance, beside its name: hidden from screen readers, whom its name and summary tell all. */
export const SchemePicture = memo(function SchemePicture({ scheme }: { readonly scheme: string }) {
  const palette = usePalette();
  const { marks, lines } = useMemo(() => schemeSketch(scheme), [scheme]);
  const { width, height, panelX, bilgeX } = SKETCH;
  const bound = { stroke: palette.line, strokeWidth: 1.5, strokeDasharray: '3 4' };
  return (
    <Svg width={width} height={height} viewBox={`0 0 ${width} ${height}`} aria-hidden>
      {[panelX, bilgeX].map((x) => (
        <Line key={x} x1={x} y1={0} x2={x} y2={height} {...bound} />
      ))}
      {lines.map(({ points, colour }, index) => {
        const d = points.map(({ x, y }, at) => `${at === 0 ? 'M' : 'L'}${x} ${y}`).join(' ');
        const line = { d, fill: 'none', strokeLinejoin: 'round' } as const;
        return (
          <G key={index}>
            <Path {...line} stroke={palette.muted} strokeWidth={4.4} />
            <Path {...line} stroke={insulation[colour.base]} strokeWidth={3} />
            {colour.stripe ? (
              <Path {...line} stroke={insulation[colour.stripe]} strokeWidth={1.2} strokeDasharray="5 4" />
            ) : null}
          </G>
        );
      })}
      {marks.map(({ part, x, y }) => (
        <G key={part.id} transform={`translate(${x} ${y})`}>
          <Mark part={part} ink={palette.text} ground={palette.surface} />
        </G>
      ))}
    </Svg>
  );
});

interface Inks {
  readonly ink: string;
  readonly ground: string;
}

const letter = (text: string, ink: string) => (
  <SvgText y={4} fontFamily={fonts.bold} fontSize={11} fill={ink} textAnchor="middle">
    {text}
  </SvgText>
);

/** The symbols of the drawing, small: letters where the symbol has one. */
function Mark({ part, ink, ground }: Inks & { readonly part: Part }) {
  const stroke = { stroke: ink, strokeWidth: 1.8, strokeLinecap: 'round', fill: 'none' } as const;
  const box = { stroke: ink, strokeWidth: 1.8, fill: ground } as const;
  switch (part.kind) {
    case 'battery':
      return (
        <>
          <Rect x={-9} y={-11} width={18} height={22} fill={ground} />
          <Path d="M-5 -10 V10" {...stroke} />
          <Path d="M1 -5 V5" {...stroke} strokeWidth={3} />
          <Path d="M7 -10 V10" {...stroke} />
        </>
      );
    case 'fuse':
      return <Rect x={-8} y={-4.5} width={16} height={9} {...box} />;
    case 'three-way-switch':
      return (
        <>
          <Circle r={11} fill={ground} />
          <Circle cx={-8} r={2.4} {...box} />
          {[-8, 0, 8].map((y) => (
            <Circle key={y} cx={8} cy={y} r={2.4} {...box} />
          ))}
          <Path d="M-6 -1 L6 -7" {...stroke} />
        </>
      );
    case 'on-off-switch':
    case 'isolator':
      return (
        <>
          <Circle r={11} fill={ground} />
          <Circle cx={-8} r={2.4} {...box} />
          <Circle cx={8} r={2.4} {...box} />
          <Path d="M-6 -1 L7 -8" {...stroke} />
        </>
      );
    case 'lamp':
      return (
        <>
          <Circle r={8} {...box} />
          <Path d="M-5.5 -5.5 L5.5 5.5 M-5.5 5.5 L5.5 -5.5" {...stroke} />
        </>
      );
    case 'alarm':
      return <Path d="M-9 4 A9 9 0 0 1 9 4 Z" {...box} />;
    case 'relay':
      return (
        <>
          <Rect x={-11} y={-8} width={22} height={16} {...box} />
          <Path d="M-11 8 L11 -8" {...stroke} />
        </>
      );
    case 'float-switch':
      return (
        <>
          <Circle r={9} fill={ground} />
          <Path d="M-9 4 L5 -4" {...stroke} />
          <Circle cx={6} cy={-5} r={4.5} {...box} />
        </>
      );
    case 'through-float':
      return (
        <>
          <Rect x={-10} y={-14} width={20} height={28} rx={3} {...box} />
          <Path d="M-6 4 L3 -2" {...stroke} />
          <Circle cx={4} cy={-3} r={3.5} {...box} />
        </>
      );
    case 'probe-sensor':
      return (
        <>
          <Rect x={-9} y={-10} width={18} height={14} rx={2} {...box} />
          <Path d="M-4 4 V11 M4 4 V11" {...stroke} />
        </>
      );
    case 'pump':
      return (
        <>
          <Circle r={12} {...box} />
          {letter('M', ink)}
          {part.inside ? <Within sensing={part.inside.sensing} ink={ink} ground={ground} /> : null}
        </>
      );
    case 'shared-load':
    case 'neighbour':
    case 'negative-bus':
    case 'joint':
    case 'diode':
    case 'meter':
      return null;
    default:
      return part satisfies never;
  }
}

/** What a pump has in its own housing: a float, or a timer that feels. */
function Within({ sensing, ink, ground }: Inks & { readonly sensing: 'float' | 'timer' }) {
  const box = { stroke: ink, strokeWidth: 1.5, fill: ground } as const;
  return (
    <G transform="translate(-9 11)">
      <Circle r={sensing === 'float' ? 4.5 : 6} {...box} />
      {sensing === 'timer' ? <Path d="M0 -4 V0 L3 2" stroke={ink} strokeWidth={1.5} fill="none" /> : null}
    </G>
  );
}
