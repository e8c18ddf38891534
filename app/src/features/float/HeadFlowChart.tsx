import type { OperatingFacts, SupplyFacts } from '@harbor-latch/core/findings/index';
import { formatQuantity, shownUnit, toUnit } from '@harbor-latch/core/units/index';
import { headAt, headLossM, LITRE_PER_HOUR, type Hose, type PumpCurve } from '@harbor-latch/core/water/index';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import Svg, { Circle, G, Path, Text as SvgText } from 'react-native-svg';
import { useUnits } from '../../data/settings';
import { fonts, usePalette } from '../../ui/theme';

const HEIGHT = 220;
const edge = { left: 44, right: 14, top: 14, bottom: 34 };
const STEPS = 48;

/** Head against flow: the pump at each supply falls, the hose rises, and where they meet the pump works. */
export function HeadFlowChart({
  curve,
  hose,
  waterIn,
  liftM,
  supplies,
  operating,
  width,
}: {
  readonly curve: PumpCurve;
  readonly hose: Hose;
  readonly waterIn: 'sea' | 'fresh';
  readonly liftM: number;
  readonly supplies: readonly SupplyFacts[];
  readonly operating: readonly OperatingFacts[];
  readonly width: number;
}) {
  const palette = usePalette();
  const units = useUnits();
  const fastest = Math.max(...supplies.map(({ speedRatio }) => speedRatio));
  const mostFlow = curve.openFlow * fastest;
  const mostHead = Math.max(curve.shutOffM * fastest ** 2, liftM) * 1.08;
  const [headUnit, flowUnit] = [shownUnit('head', units), shownUnit('flow', units)];
  const shown = (flow: number) => toUnit(flow / LITRE_PER_HOUR, flowUnit);
  const shownX = scaleLinear([0, shown(mostFlow)], [edge.left, width - edge.right]);
  const x = (flow: number) => shownX(shown(flow));
  const shownY = scaleLinear([0, toUnit(mostHead, headUnit)], [HEIGHT - edge.bottom, edge.top]);
  const y = (head: number) => shownY(toUnit(head, headUnit));
  const path = line<readonly [number, number]>()
    .x(([flow]) => x(flow))
    .y(([, head]) => y(head))
    .defined(([, head]) => head >= -1e-9 && head <= mostHead * 1.001);
  const along = (to: number, headAt: (flow: number) => number) =>
    path(Array.from({ length: STEPS + 1 }, (_, step) => [(to * step) / STEPS, headAt((to * step) / STEPS)] as const)) ??
    '';
  const words = operating
    .map(
      ({ supplyV, flowLPerH, headM }) =>
        `${supplyV} V: ${formatQuantity(flowLPerH, 'flow', units, 0)} at ${formatQuantity(headM, 'head', units, 2)}`,
    )
    .join('; ');
  return (
    <Svg width={width} height={HEIGHT} role="img" aria-label={`Head against flow. ${words}`}>
      {shownY.ticks(4).map((head) => (
        <G key={head}>
          <Path d={`M${edge.left} ${shownY(head)} H${width - edge.right}`} stroke={palette.line} />
          <SvgText
            x={edge.left - 6}
            y={shownY(head) + 4}
            textAnchor="end"
            fontFamily={fonts.regular}
            fontSize={12}
            fill={palette.muted}
          >
            {String(head)}
          </SvgText>
        </G>
      ))}
      {shownX.ticks(4).map((flow) => (
        <SvgText
          key={flow}
          x={shownX(flow)}
          y={HEIGHT - 18}
          textAnchor="middle"
          fontFamily={fonts.regular}
          fontSize={12}
          fill={palette.muted}
        >
          {String(flow)}
        </SvgText>
      ))}
      <SvgText
        x={width - edge.right}
        y={HEIGHT - 4}
        textAnchor="end"
        fontFamily={fonts.medium}
        fontSize={12}
        fill={palette.text}
      >
        {`flow, ${flowUnit.symbol}`}
      </SvgText>
      <SvgText x={4} y={11} fontFamily={fonts.medium} fontSize={12} fill={palette.text}>
        {`head, ${headUnit.symbol}`}
      </SvgText>
      {supplies.map(({ supplyV, speedRatio }, index) => (
        <Path
          key={supplyV}
          d={along(curve.openFlow * speedRatio, (flow) => speedRatio ** 2 * headAt(curve, flow / speedRatio))}
          fill="none"
          stroke={palette.accent}
          strokeWidth={index === 1 ? 2.6 : 1.6}
          strokeDasharray={index === 0 ? '3 4' : index === 2 ? '9 4' : undefined}
        />
      ))}
      <Path
        d={along(mostFlow, (flow) => liftM + headLossM(hose, flow, waterIn))}
        fill="none"
        stroke={palette.text}
        strokeWidth={2.6}
      />
      {operating.map(({ supplyV, flowLPerH, headM }) => (
        <G key={supplyV}>
          <Circle
            cx={x(flowLPerH * LITRE_PER_HOUR)}
            cy={y(headM)}
            r={5}
            fill={palette.surface}
            stroke={palette.text}
            strokeWidth={2}
          />
        </G>
      ))}
      <SvgText x={edge.left + 8} y={y(liftM) + 18} fontFamily={fonts.medium} fontSize={12} fill={palette.text}>
        hose
      </SvgText>
      <SvgText
        x={width - edge.right}
        y={edge.top + 2}
        textAnchor="end"
        fontFamily={fonts.medium}
        fontSize={12}
        fill={palette.accent}
      >
        {`pump at ${supplies.map(({ supplyV }) => supplyV.toFixed(1)).join(', ')} V`}
      </SvgText>
    </Svg>
  );
}
