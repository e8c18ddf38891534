import type { WaterFacts } from '@harbor-latch/core/findings/index';
import type { UnitSystem } from '@harbor-latch/core/units/index';
import { memo } from 'react';
import { Circle, G, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import type { Upright } from '../../drawing/spread';
import type { Scale } from '../../drawing/wellDrawing';
import type { Palette } from '../../ui/palette';
import { fonts } from '../../ui/theme';
import type { WellPiece } from './wellPieces';

type Placed = readonly { readonly id: string; readonly y: number }[];

/** Where a label at the side stands; null where it found no room. */
export function yOf(placed: Placed, id: string): number | null {
  return placed.find((label) => label.id === id)?.y ?? null;
}

/** From a thing to its label at the side. */
export const Leader = memo(function Leader({
  from,
  at,
  to,
  y,
  palette,
}: {
  readonly from: number;
  readonly at: number;
  readonly to: number;
  readonly y: number | null;
  readonly palette: Palette;
}) {
  if (y === null) return null;
  return (
    <Path
      d={`M${from} ${at} H${to - 10} L${to + 2} ${y}`}
      fill="none"
      stroke={palette.muted}
      strokeWidth={1}
      strokeDasharray="2 3"
    />
  );
});

export const Wall = memo(function Wall({
  at,
  floorM,
  scale,
  palette,
}: {
  readonly at: number;
  readonly floorM: number;
  readonly scale: Scale;
  readonly palette: Palette;
}) {
  const foot = Number.isFinite(floorM) ? floorM : 0;
  return (
    <Line
      x1={scale.x(at)}
      y1={scale.y(foot)}
      x2={scale.x(at)}
      y2={scale.y(scale.view.high)}
      stroke={palette.text}
      strokeWidth={3}
    />
  );
});

/** Heights at which the float's base may stand, as a bar beside it; open ends fade out. */
export const WindowBand = memo(function WindowBand({
  water,
  at,
  scale,
  palette,
}: {
  readonly water: WaterFacts;
  readonly at: number;
  readonly scale: Scale;
  readonly palette: Palette;
}) {
  const { window } = water;
  if (!window || window.minM === null) return null;
  const top = scale.y(Math.min(window.maxM ?? scale.view.high, scale.view.high));
  const foot = scale.y(window.minM);
  const ink = window.open ? palette.good : palette.stop;
  return (
    <G>
      {window.open ? (
        <Rect
          x={at - 26}
          y={top}
          width={12}
          height={Math.max(2, foot - top)}
          rx={4}
          fill={palette.goodSoft}
          stroke={ink}
          strokeWidth={2}
        />
      ) : null}
      {[window.minM, window.maxM].map((end) =>
        end === null ? null : (
          <Line key={end} x1={at - 32} x2={at - 8} y1={scale.y(end)} y2={scale.y(end)} stroke={ink} strokeWidth={3} />
        ),
      )}
      {window.recommendedM === null ? null : (
        <Path d={`M${at - 34} ${scale.y(window.recommendedM)} l-9 -6 v12 Z`} fill={ink} />
      )}
    </G>
  );
});

/** What a piece takes up about its place, its words included, px. */
export function reachOf(piece: WellPiece, scale: Scale): Omit<Upright, 'id' | 'x'> {
  const base = scale.y(piece.place.zM);
  if (piece.what === 'pump') return { left: 15, right: 15, top: base - 36, bottom: base };
  return { left: 12, right: 30, top: scale.y(piece.place.zM + piece.onM) - 8, bottom: base + 3 };
}

export const PieceShape = memo(function PieceShape({
  piece,
  x,
  beside,
  scale,
  taken,
  up,
  running,
  palette,
}: {
  readonly piece: WellPiece;
  readonly x: number;
  /** How far from its own place it is drawn, px. */
  readonly beside: number;
  readonly scale: Scale;
  readonly taken: boolean;
  readonly up: boolean;
  readonly running: boolean;
  readonly palette: Palette;
}) {
  const base = scale.y(piece.place.zM);
  // Its handle finds it by that, to have it go with the finger.
  const marked = { dataSet: { piece: piece.id } } as object;
  const ink = taken ? palette.accent : palette.text;
  if (piece.what === 'pump') {
    return (
      <G {...marked}>
        {beside === 0 ? null : <ToPlace from={x - beside} to={x} y={base - 4} ink={ink} />}
        <Rect x={x - 13} y={base - 12} width={26} height={12} fill={palette.surface} stroke={ink} strokeWidth={2} />
        <Circle cx={x} cy={base - 23} r={11} fill={palette.surface} stroke={ink} strokeWidth={2} />
        <SvgText x={x} y={base - 18.5} textAnchor="middle" fontFamily={fonts.bold} fontSize={13} fill={ink}>
          M
        </SvgText>
        {running ? (
          <Path
            d={`M${x - 17} ${base - 23} A17 17 0 0 1 ${x + 12} ${base - 35} M${x + 6} ${base - 37} l7 2 l-2 7`}
            fill="none"
            stroke={palette.accent}
            strokeWidth={2.4}
          />
        ) : null}
      </G>
    );
  }
  const [on, off] = [scale.y(piece.place.zM + piece.onM), scale.y(piece.place.zM + piece.offM)];
  const body = up ? on : Math.min(base - 5, off);
  // The frame about the chosen piece would cross its words.
  const reach = taken ? 24 : 9;
  return (
    <G {...marked}>
      {beside === 0 ? null : <ToPlace from={x - beside} to={x} y={base} ink={ink} />}
      <Line x1={x} x2={x} y1={base} y2={on - 4} stroke={ink} strokeWidth={2} />
      <Path d={`M${x - 10} ${base} h20`} stroke={ink} strokeWidth={4} />
      <Path d={`M${x + 3} ${on} h${reach} M${x + 3} ${off} h${reach}`} stroke={ink} strokeWidth={2} />
      <Rect
        x={x - 9}
        y={body - 6}
        width={18}
        height={12}
        rx={6}
        fill={up ? palette.accent : palette.surface}
        stroke={ink}
        strokeWidth={2}
      />
      <SvgText x={x + reach + 6} y={on + 4} fontFamily={fonts.regular} fontSize={11} fill={palette.text}>
        on
      </SvgText>
      {off - on > 11 ? (
        <SvgText x={x + reach + 6} y={off + 4} fontFamily={fonts.regular} fontSize={11} fill={palette.text}>
          off
        </SvgText>
      ) : null}
    </G>
  );
});

/** From where a piece stands to where it is drawn. */
function ToPlace({
  from,
  to,
  y,
  ink,
}: {
  readonly from: number;
  readonly to: number;
  readonly y: number;
  readonly ink: string;
}) {
  return (
    <G>
      <Line x1={from} x2={to} y1={y} y2={y} stroke={ink} strokeWidth={1.5} strokeDasharray="3 3" />
      <Circle cx={from} cy={y} r={2.5} fill={ink} />
    </G>
  );
}

/** How long a tenth of a metre, or four inches, is on this sheet. */
export const ScaleBar = memo(function ScaleBar({
  scale,
  height,
  units,
  palette,
}: {
  readonly scale: Scale;
  readonly height: number;
  readonly units: UnitSystem;
  readonly palette: Palette;
}) {
  const { lengthM, words } =
    units === 'us' ? { lengthM: 4 * 0.0254, words: '4 in' } : { lengthM: 0.1, words: '100 mm' };
  const px = lengthM * scale.perM;
  return (
    <G>
      <Path d={`M10 ${height - 14} v6 h${px} v-6`} fill="none" stroke={palette.muted} strokeWidth={1.5} />
      <SvgText x={16 + px} y={height - 8} fontFamily={fonts.regular} fontSize={12} fill={palette.muted}>
        {words}
      </SvgText>
    </G>
  );
});

/** The highest that the water may stand somewhere. */
export const LimitMark = memo(function LimitMark({
  x,
  y,
  palette,
}: {
  readonly x: number;
  readonly y: number;
  readonly palette: Palette;
}) {
  return (
    <Path
      d={`M${x - 12} ${y} h24 M${x - 8} ${y} l-4 -7 M${x} ${y} l-4 -7 M${x + 8} ${y} l-4 -7`}
      stroke={palette.stop}
      strokeWidth={2}
    />
  );
});

/** A label at the side. */
export const SideWords = memo(function SideWords({
  x,
  y,
  words,
  strong,
  palette,
}: {
  readonly x: number;
  readonly y: number;
  readonly words: string;
  readonly strong: boolean;
  readonly palette: Palette;
}) {
  return (
    <SvgText x={x} y={y} fontFamily={strong ? fonts.medium : fonts.regular} fontSize={13} fill={palette.text}>
      {words}
    </SvgText>
  );
});
