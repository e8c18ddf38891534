import { Circle, G, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import { fonts } from '../ui/theme';
import { WORD_SIZE, type PlacedPart } from './diagram';

/** The IEC symbol of a part, painted about its anchor. */
export function PartSymbol({
  part,
  ink,
  ground,
  muted,
}: {
  readonly part: PlacedPart;
  readonly ink: string;
  readonly ground: string;
  readonly muted: string;
}) {
  return <G transform={`translate(${part.at.x} ${part.at.y})`}>{symbol(part, ink, ground, muted)}</G>;
}

function symbol({ part, laneStep }: PlacedPart, ink: string, ground: string, muted: string) {
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
          <Rect x={-8} y={-16} width={16} height={32} {...stroke} fill={ground} />
          <Line x1={0} y1={-20} x2={0} y2={20} {...stroke} />
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
          <Line x1={0} y1={-20} x2={0} y2={15} {...stroke} />
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
          {post(-laneStep, 'manual', ink)}
          {post(0, 'off', ink)}
          {post(laneStep, 'auto', ink)}
          {part.momentaryManual ? post(-laneStep, 'springs back', muted, 16) : null}
        </>
      );
    case 'float-switch':
      return (
        <>
          <Path d="M0 -30 V-20 M0 16 V30" {...stroke} />
          <Path d="M0 14 L17 -17" {...stroke} />
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
          <Path d="M0 14 L15 -17" {...stroke} />
          <Circle cx={0} cy={-17} r={3.5} {...stroke} fill={ground} />
          <Circle cx={0} cy={15} r={3.5} {...stroke} fill={ground} />
        </>
      );
    case 'isolator':
      return (
        <>
          <Path d="M0 -30 V-18 M0 16 V30 M-8 -18 H8" {...stroke} />
          <Path d="M0 16 L15 -15" {...stroke} />
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
          <Circle cx={0} cy={0} r={26} {...stroke} fill={ground} />
          <SvgText x={0} y={7} fontSize={20} fontFamily={fonts.bold} fill={ink} textAnchor="middle">
            M
          </SvgText>
        </>
      );
    default:
      return part satisfies never;
  }
}

function post(x: number, name: string, ink: string, below = 0) {
  return (
    <SvgText x={x + 9} y={40 + below} fontSize={WORD_SIZE} fontFamily={fonts.regular} fill={ink}>
      {name}
    </SvgText>
  );
}
