import { isClosed, type Doing } from '@harbor-latch/core/circuit/index';
import { memo } from 'react';
import { Circle, G, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import { fonts } from '../ui/theme';
import { WORD_SIZE, type PlacedPart } from './diagram';

/** The IEC symbol of a part, painted about its anchor. */
export const PartSymbol = memo(function PartSymbol({
  part,
  doing,
  ink,
  ground,
  muted,
}: {
  readonly part: PlacedPart;
  /** What the part is doing, where it is at work; contacts are then drawn as they stand. */
  readonly doing?: Doing | undefined;
  readonly ink: string;
  readonly ground: string;
  readonly muted: string;
}) {
  return <G transform={`translate(${part.at.x} ${part.at.y})`}>{symbol(part, doing, ink, ground, muted)}</G>;
});

function symbol(
  { part, laneStep, posts = {} }: PlacedPart,
  doing: Doing | undefined,
  ink: string,
  ground: string,
  muted: string,
) {
  const closed = doing !== undefined && isClosed(doing);
  const stroke = { stroke: ink, strokeWidth: 2.5, strokeLinecap: 'round' as const, fill: 'none' };
  switch (part.kind) {
    case 'battery':
      return (
        <>
          <Path d="M0 20 V6 Q0 0 6 0 H18" {...stroke} />
          <Path d="M42 0 H60" {...stroke} />
          <Line x1={18} y1={-18} x2={18} y2={18} {...stroke} />
          <Line x1={26} y1={-9} x2={26} y2={9} {...stroke} strokeWidth={5} strokeLinecap="butt" />
          <Line x1={34} y1={-18} x2={34} y2={18} {...stroke} />
          <Line x1={42} y1={-9} x2={42} y2={9} {...stroke} strokeWidth={5} strokeLinecap="butt" />
          <Path d="M4 -14 H12 M8 -18 V-10" {...stroke} strokeWidth={2} />
          <Path d="M49 -14 H57" {...stroke} strokeWidth={2} />
        </>
      );
    case 'fuse':
      return (
        <>
          <Rect
            x={doing === 'open' ? 6 : -8}
            y={-16}
            width={16}
            height={32}
            {...stroke}
            fill={ground}
            strokeDasharray={doing === 'open' ? '4 3' : undefined}
          />
          {doing === 'open' ? (
            <Path d="M0 -20 V-14 M0 14 V20" {...stroke} />
          ) : (
            <Line x1={0} y1={-20} x2={0} y2={20} {...stroke} />
          )}
        </>
      );
    case 'negative-bus':
      return (
        <>
          <Rect x={-20} y={-6} width={40} height={12} rx={3} fill={ink} />
          <Line x1={0} y1={-10} x2={0} y2={10} {...stroke} />
        </>
      );
    case 'three-way-switch':
      return (
        <>
          <Path d={`M0 -40 V-25 M${-laneStep} 25 V70 M${laneStep} 25 V70`} {...stroke} />
          <Line
            x1={leverX(doing, laneStep, 8)}
            y1={-17}
            x2={leverX(doing, laneStep, laneStep - 6)}
            y2={15}
            {...stroke}
            strokeWidth={doing === undefined ? 2.5 : 4}
          />
          <Path
            d={`M-8 -15 L${-laneStep + 10} 14 M8 -15 L${laneStep - 10} 14`}
            stroke={muted}
            strokeWidth={1.5}
            strokeDasharray="4 4"
            fill="none"
          />
          {[-laneStep, 0, laneStep].map((x) => (
            <Circle key={x} cx={x} cy={20} r={5} {...stroke} fill={ground} />
          ))}
          <Circle cx={0} cy={-20} r={5} {...stroke} fill={ground} />
          {post(-laneStep, printed(posts['manual'], 'manual'), ink)}
          {post(0, 'off', ink)}
          {post(laneStep, printed(posts['auto'], 'auto'), ink)}
          {part.momentaryManual ? post(-laneStep, 'springs back', muted, 16) : null}
        </>
      );
    case 'float-switch':
      return (
        <>
          <Path d="M0 -30 V-20 M0 16 V30" {...stroke} />
          <Path d={closed ? 'M0 14 L2 -17' : 'M0 14 L17 -17'} {...stroke} strokeWidth={closed ? 4 : 2.5} />
          <Circle cx={0} cy={-17} r={3.5} {...stroke} fill={ground} />
          <Circle cx={0} cy={15} r={3.5} {...stroke} fill={ground} />
          <Path d="M9 0 H20" {...stroke} strokeWidth={1.5} strokeDasharray="3 3" />
          <Circle cx={25} cy={0} r={5} {...stroke} strokeWidth={2} fill={ground} />
          <Path d="M15 12 q4 -5 8 0 t8 0" {...stroke} strokeWidth={1.8} />
        </>
      );
    case 'on-off-switch':
      return (
        <>
          <Path d="M0 -30 V-20 M0 16 V30" {...stroke} />
          <Path d={closed ? 'M0 14 L2 -17' : 'M0 14 L15 -17'} {...stroke} strokeWidth={closed ? 4 : 2.5} />
          <Circle cx={0} cy={-17} r={3.5} {...stroke} fill={ground} />
          <Circle cx={0} cy={15} r={3.5} {...stroke} fill={ground} />
          {part.breaksAuto ? (
            <>
              <Path d="M30 -30 V-20 M30 16 V30 M8 0 H28" {...stroke} strokeWidth={1.5} />
              <Path d={closed ? 'M30 14 L45 -17' : 'M30 14 L32 -17'} {...stroke} strokeWidth={closed ? 2.5 : 4} />
              <Circle cx={30} cy={-17} r={3.5} {...stroke} fill={ground} />
              <Circle cx={30} cy={15} r={3.5} {...stroke} fill={ground} />
            </>
          ) : null}
        </>
      );
    case 'isolator':
      return (
        <>
          <Path d="M0 -30 V-18 M0 16 V30 M-8 -18 H8" {...stroke} />
          <Path
            d={doing === undefined || closed ? 'M0 16 L2 -15' : 'M0 16 L15 -15'}
            {...stroke}
            strokeWidth={closed ? 4 : 2.5}
          />
          <Circle cx={0} cy={16} r={3.5} {...stroke} fill={ground} />
        </>
      );
    case 'lamp':
      return (
        <>
          <Path d="M0 -20 V-14 M0 14 V20" {...stroke} />
          <Circle cx={0} cy={0} r={14} {...stroke} fill={ground} />
          <Path d="M-10 -10 L10 10 M10 -10 L-10 10" {...stroke} strokeWidth={2} />
        </>
      );
    case 'shared-load':
      return (
        <>
          <Path d="M0 -30 V-20 M0 20 V30" {...stroke} />
          <Rect x={-20} y={-20} width={40} height={40} {...stroke} fill={ground} strokeDasharray="5 4" />
          <SvgText x={0} y={6} fontSize={16} fontFamily={fonts.bold} fill={ink} textAnchor="middle">
            M
          </SvgText>
        </>
      );
    case 'joint':
      return <Circle cx={0} cy={0} r={6} fill={ink} />;
    case 'pump':
      return (
        <>
          <Path d="M0 -30 V-26 M0 26 V30" {...stroke} />
          {part.inside ? <Path d="M20 -30 V-17" {...stroke} /> : null}
          <Circle cx={0} cy={0} r={26} {...stroke} fill={ground} />
          <SvgText x={0} y={7} fontSize={20} fontFamily={fonts.bold} fill={ink} textAnchor="middle">
            M
          </SvgText>
          {part.inside ? (
            <Path
              d={part.inside.sensing === 'float' ? 'M10 15 q4 -5 8 0' : 'M13 10 V16 H18'}
              {...stroke}
              strokeWidth={1.8}
            />
          ) : null}
        </>
      );
    case 'alarm':
      return (
        <>
          <Path d="M0 -30 V-14 M0 14 V30" {...stroke} />
          <Path d="M-14 14 H14 V4 A14 16 0 0 0 -14 4 Z" {...stroke} fill={ground} />
          <Path d="M-5 -16 L5 -16" {...stroke} />
          {part.ownV === undefined ? null : (
            <Path d="M-7 5 V11 M-2 2 V14 M3 5 V11 M8 2 V14" {...stroke} strokeWidth={1.6} />
          )}
        </>
      );
    case 'diode':
      return (
        <>
          <Path d="M0 -20 V20" {...stroke} />
          <Path d="M-10 -9 H10 L0 8 Z" {...stroke} fill={ground} />
          <Path d="M-10 9 H10" {...stroke} />
        </>
      );
    case 'probe-sensor':
      return (
        <>
          <Path d="M0 -30 V-20 M0 20 V30 M20 20 V30" {...stroke} />
          <Rect x={-18} y={-20} width={46} height={40} {...stroke} fill={ground} />
          <Path d={closed ? 'M0 -12 V12' : 'M0 -12 V-7 M0 5 V12 M0 5 L9 -8'} {...stroke} strokeWidth={2} />
          <Path d="M15 -10 V4 M22 -10 V4" {...stroke} strokeWidth={2} />
          <Path d="M11 8 q3 -4 6 0 t6 0" {...stroke} strokeWidth={1.6} />
        </>
      );
    case 'through-float':
      return (
        <>
          <Path d="M-30 -30 V-10 Q-30 0 -20 4 V30" {...stroke} />
          <Rect x={-38} y={-20} width={76} height={40} {...stroke} fill="none" strokeDasharray="6 4" />
          <Path d="M30 -30 V-12 M-20 8 H8" {...stroke} />
          <Path d={closed ? 'M8 8 L29 -7' : 'M8 8 L20 -14'} {...stroke} strokeWidth={closed ? 4 : 2.5} />
          <Circle cx={30} cy={-10} r={3} {...stroke} fill={ground} />
          <Path d="M10 30 V16 H36 V0 H40" {...stroke} strokeWidth={2} />
        </>
      );
    case 'relay':
      return (
        <>
          <Path d="M0 -40 V-18 M0 16 V40 M60 -40 V-12 M60 12 V40" {...stroke} />
          <Path d={closed ? 'M0 -18 L1 14' : 'M0 -18 L-9 14'} {...stroke} strokeWidth={closed ? 4 : 2.5} />
          <Path d="M-20 0 H-14 V8" {...stroke} strokeWidth={2.2} />
          <Circle cx={0} cy={-18} r={3.5} {...stroke} fill={ground} />
          <Circle cx={0} cy={16} r={3.5} {...stroke} fill={ground} />
          <Rect x={44} y={-12} width={32} height={24} {...stroke} fill={ground} />
          <Path d="M-3 -2 H44" stroke={muted} strokeWidth={1.5} strokeDasharray="4 4" fill="none" />
          {terminalNumber(6, -28, '30', muted)}
          {terminalNumber(6, 36, '87', muted)}
          {terminalNumber(44, -28, '86', muted, 'end')}
          {terminalNumber(44, 36, '85', muted, 'end')}
        </>
      );
    case 'neighbour':
      return (
        <>
          <Path d="M0 -30 V-20 M0 20 V30 M-20 0 H-18" {...stroke} />
          <Rect x={-18} y={-20} width={36} height={40} {...stroke} fill={ground} strokeDasharray="5 4" />
          <SvgText x={0} y={6} fontSize={16} fontFamily={fonts.bold} fill={ink} textAnchor="middle">
            M
          </SvgText>
        </>
      );
    case 'meter':
      return <Circle cx={0} cy={0} r={20} {...stroke} fill={ground} />;
    default:
      return part satisfies never;
  }
}

/** Where the lever of a three-way switch points. */
function leverX(doing: Doing | undefined, laneStep: number, by: number): number {
  if (doing !== 'manual' && doing !== 'auto') return 0;
  return (doing === 'manual' ? -1 : 1) * Math.min(by, laneStep);
}

/** A post under the name printed on the panel. */
function printed(name: string | undefined, does: string): string {
  return name === undefined ? does : `${name} · ${does}`;
}

function terminalNumber(x: number, y: number, name: string, ink: string, anchor: 'start' | 'end' = 'start') {
  return (
    <SvgText x={x} y={y} fontSize={11} fontFamily={fonts.regular} fill={ink} textAnchor={anchor}>
      {name}
    </SvgText>
  );
}

function post(x: number, name: string, ink: string, below = 0) {
  return (
    <SvgText x={x + 9} y={40 + below} fontSize={WORD_SIZE} fontFamily={fonts.regular} fill={ink}>
      {name}
    </SvgText>
  );
}
