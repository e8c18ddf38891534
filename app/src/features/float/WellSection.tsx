import type { WaterFacts } from '@harbor-latch/core/findings/index';
import type { Pose } from '@harbor-latch/core/job/index';
import { slopesOf } from '@harbor-latch/core/water/index';
import { formatQuantity } from '@harbor-latch/core/units/index';
import { memo, useMemo } from 'react';
import { View as Box } from 'react-native';
import Svg, { G, Path, Rect } from 'react-native-svg';
import { useUnits } from '../../data/settings';
import { placeLabels, type SideLabel } from '../../drawing/sideLabels';
import { spread } from '../../drawing/spread';
import {
  cutThrough,
  floorLine,
  scaleOf,
  waterOutlines,
  type Cut,
  type Scale,
  type Section,
  type View,
} from '../../drawing/wellDrawing';
import type { Palette } from '../../ui/palette';
import { usePalette } from '../../ui/theme';
import { PieceHandle } from './PieceHandle';
import type { Place, WellPiece } from './wellPieces';
import { Leader, LimitMark, PieceShape, reachOf, ScaleBar, SideWords, Wall, WindowBand, yOf } from './wellShapes';

/** Room for labels at the right, px. */
const SIDE = 128;
const LABEL_GAP = 17;
/** So many letters of a name fit beside the drawing. */
const MOST_LETTERS = 18;
/** Room under the floor for the scale bar, px. */
const FOOT = 26;

export interface WellSectionProps {
  readonly water: WaterFacts;
  readonly pose: Pose;
  readonly levelM: number;
  readonly cut: Cut;
  readonly zoom: number;
  readonly width: number;
  readonly height: number;
  readonly pieces: readonly WellPiece[];
  /** The piece whose window is shown. */
  readonly chosen: string;
  readonly onChoose: (id: string) => void;
  /** While a piece is dragged, null where that is broken off; and once it is let go. */
  readonly onMoving: (id: string, to: Place | null) => void;
  readonly onMoved: (id: string, to: Place) => void;
  /** Pumps at work. */
  readonly running: ReadonlySet<string>;
}

/** A to-scale section of the well, with the water at its level in a pose and everything that stands in it. */
export function WellSection(props: WellSectionProps) {
  const { water, pose, levelM, cut, width, height, pieces, chosen, running } = props;
  const palette = usePalette();
  const units = useUnits();
  const section = useMemo(() => cutThrough(water.pool, slopesOf(pose), cut), [water, pose, cut]);
  const { from, to, low, high } = viewOf(props, section.from, section.to);
  // The same as long as it shows the same: what does not move while water rises is drawn once.
  const scale = useMemo(
    () => scaleOf({ from, to, low, high }, width - SIDE, height),
    [from, to, low, high, width, height],
  );
  const acrossOf = ({ xM, yM }: { readonly xM: number; readonly yM: number }) => (cut === 'along' ? xM : yM);
  // What would be drawn over another piece stands beside it instead, with a line to its place.
  const beside = spread(
    [...pieces]
      .sort((one, other) => Number(one.what === 'float') - Number(other.what === 'float'))
      .map((piece) => ({ id: piece.id, x: scale.x(acrossOf(piece.place)), ...reachOf(piece, scale) })),
    0,
    width - SIDE,
  );
  const besideOf = ({ id }: WellPiece) => beside.get(id) ?? 0;
  const xOf = (piece: WellPiece) => scale.x(acrossOf(piece.place)) + besideOf(piece);
  const own = pieces.find(({ id }) => id === chosen);
  const millimetres = (metres: number) => formatQuantity(metres, 'shortLength', units);
  const limits = (water.survey.limits ?? []).map(({ id, name, xM = 0, yM = 0, zM }) => ({
    id,
    words: name.length > MOST_LETTERS ? `${name.slice(0, MOST_LETTERS - 1)}…` : name,
    x: scale.x(acrossOf({ xM, yM })),
    zM,
  }));
  const labels: SideLabel[] = [
    ...limits.map(({ id, words, zM }) => ({ id: `limit ${id}`, at: scale.y(zM), words })),
    ...(own && own.what === 'float' ? windowLabels(water, scale, millimetres) : []),
    {
      id: 'water',
      at: scale.y(section.surfaceM(Math.min(section.to, scale.metresX(width - SIDE)), levelM)),
      words: `water ${millimetres(levelM)}`,
    },
  ];
  const placed = placeLabels(
    labels.filter(({ at }) => at > -40 && at < height + 40),
    LABEL_GAP,
    10,
    height - 8,
  );
  const right = width - SIDE;
  const ownX = own ? xOf(own) : 0;
  const leaders = placed.map(({ id, at }) => {
    const limit = limits.find((one) => `limit ${one.id}` === id);
    return { id, at, from: limit ? limit.x + 12 : id === 'water' ? right - 14 : ownX - 8 };
  });
  return (
    <Box style={{ width, height }}>
      <Svg width={width} height={height} aria-label={sectionInWords(props, millimetres)} role="img">
        {waterOutlines(section, levelM).map((outline, index) => (
          <Path key={index} d={`${pathOf(outline, scale)} Z`} fill={palette.water} fillOpacity={0.85} />
        ))}
        <Hull section={section} water={water} cut={cut} scale={scale} palette={palette} />
        {limits.map(({ id, x, zM }) => (
          <LimitMark key={id} x={x} y={scale.y(zM)} palette={palette} />
        ))}
        {own && own.what === 'float' ? (
          <WindowBand water={water} at={xOf(own)} scale={scale} palette={palette} />
        ) : null}
        {pieces.map((piece) => (
          <PieceShape
            key={piece.id}
            piece={piece}
            x={xOf(piece)}
            beside={besideOf(piece)}
            scale={scale}
            taken={piece.id === chosen}
            up={section.surfaceM(acrossOf(piece.place), levelM) >= piece.place.zM + piece.onM}
            running={running.has(piece.circuit.id)}
            palette={palette}
          />
        ))}
        <Rect x={right} y={0} width={SIDE} height={height} fill={palette.ground} />
        {leaders.map(({ id, from, at }) => (
          <Leader key={id} from={Math.min(from, right - 12)} at={at} to={right} y={yOf(placed, id)} palette={palette} />
        ))}
        {placed.map(({ id, y, words }) => (
          <SideWords
            key={id}
            x={right + 6}
            y={y + 4}
            words={words}
            strong={id !== 'water' && !id.startsWith('limit')}
            palette={palette}
          />
        ))}
        <ScaleBar scale={scale} height={height} units={units} palette={palette} />
      </Svg>
      {pieces
        .filter((piece) => scale.x(acrossOf(piece.place)) < right && scale.x(acrossOf(piece.place)) > 0)
        .map((piece) => (
          <PieceHandle
            key={piece.id}
            piece={piece}
            cut={cut}
            scale={scale}
            beside={besideOf(piece)}
            chosen={piece.id === chosen}
            words={`${piece.name}, base ${millimetres(piece.place.zM)} over the pump’s`}
            onChoose={props.onChoose}
            onMoving={props.onMoving}
            onMoved={props.onMoved}
          />
        ))}
    </Box>
  );
}

function pathOf(points: readonly (readonly [number, number])[], scale: Scale): string {
  return points.map(([at, up], index) => `${index === 0 ? 'M' : 'L'}${scale.x(at)} ${scale.y(up)}`).join(' ');
}

/** Floor, walls and frames of the well. */
const Hull = memo(function Hull({
  section,
  water,
  cut,
  scale,
  palette,
}: {
  readonly section: Section;
  readonly water: WaterFacts;
  readonly cut: Cut;
  readonly scale: Scale;
  readonly palette: Palette;
}) {
  return (
    <G>
      <Path
        d={pathOf(floorLine(section), scale)}
        fill="none"
        stroke={palette.text}
        strokeWidth={5}
        strokeLinejoin="round"
      />
      {[section.from, section.to].map((at) => (
        <Wall key={at} at={at} floorM={section.floorM(at)} scale={scale} palette={palette} />
      ))}
      {cut === 'along'
        ? water.pool.members.map(({ xM, limberHoles }) => (
            <Path
              key={xM}
              d={`M${scale.x(xM)} ${scale.y(section.floorM(xM)) - (limberHoles ? 8 : 0)} v-26`}
              stroke={palette.text}
              strokeWidth={6}
            />
          ))
        : null}
    </G>
  );
});

/** What a screen reader hears of the section. */
function sectionInWords(
  { pose, levelM, cut, pieces, water }: WellSectionProps,
  millimetres: (metres: number) => string,
): string {
  const things = pieces.map(({ name, place }) => `${name} at ${millimetres(place.zM)}`);
  return `${water.survey.name}, cut ${cut}, ${pose.name}. Water ${millimetres(levelM)} over the pump’s base. ${things.join('. ')}.`;
}

/** How much closer each step comes than the one that shows every piece; the first shows the whole well. */
export const ZOOMS = [0, 1, 1.7, 3] as const;

/** What the sheet shows: the whole well, all that stands in it, or what lies about the chosen piece. */
function viewOf(
  { water, pieces, levelM, cut, zoom, height, width, chosen }: WellSectionProps,
  from: number,
  to: number,
): View {
  const acrossOf = ({ place }: WellPiece) => (cut === 'along' ? place.xM : place.yM);
  const places = [0, ...pieces.map(acrossOf)];
  const high = Math.max(
    ...pieces.map(({ place, onM }) => place.zM + onM + 0.02),
    ...(water.survey.limits ?? []).map(({ zM }) => zM + 0.02),
    Math.min(levelM, 1) + 0.02,
    0.1,
  );
  const low = Math.min(water.pool.floorM, 0) - 0.02;
  const [sheetX, sheetZ] = [width - SIDE - 12, height - FOOT];
  const upright = (high - low) / sheetZ;
  const around = (Math.max(...places) - Math.min(...places) + 0.3) / sheetX;
  const closer = ZOOMS[zoom] ?? 1;
  const perPx = closer === 0 ? Math.max((to - from + 0.02) / sheetX, upright) : Math.max(around, upright) / closer;
  const own = pieces.find(({ id }) => id === chosen);
  const middle =
    closer === 0
      ? (from + to) / 2
      : closer > 1 && own
        ? acrossOf(own)
        : (Math.max(...places) + Math.min(...places)) / 2;
  const foot = low - FOOT * perPx;
  const half = ((width - SIDE) * perPx) / 2;
  return { from: middle - half, to: middle + half, low: foot, high: foot + height * perPx };
}

function windowLabels(water: WaterFacts, scale: Scale, millimetres: (metres: number) => string): SideLabel[] {
  const { window } = water;
  if (!window) return [];
  return [
    ...(window.maxM === null
      ? []
      : [{ id: 'max', at: scale.y(window.maxM), words: `base to ${millimetres(window.maxM)}` }]),
    ...(window.minM === null
      ? []
      : [{ id: 'min', at: scale.y(window.minM), words: `base from ${millimetres(window.minM)}` }]),
    ...(window.recommendedM === null
      ? []
      : [{ id: 'best', at: scale.y(window.recommendedM), words: `best ${millimetres(window.recommendedM)}` }]),
  ];
}
