import { doingWords, type Doing, type TerminalRef } from '@harbor-latch/core/circuit/index';
import { memo, useImperativeHandle, useMemo, type Ref } from 'react';
import Svg, { Circle, G, Path, Rect } from 'react-native-svg';
import { usePalette } from '../ui/theme';
import { rovingUnchosen } from '../ui/roving';
import type { Palette } from '../ui/palette';
import type { Diagram, PlacedPart, PlacedWire } from '@harbor-latch/core/drawing/diagram';
import { bandMarks, cableMarks, wireMarks, wireWidth, wordMarks } from '@harbor-latch/core/drawing/drawingMarks';
import type { Box } from '@harbor-latch/core/drawing/geometry';
import { LEAST_WIDTH } from '@harbor-latch/core/drawing/layout';
import { clicked } from './clicked';
import { drawn } from './drawn';
import type { Live } from './live';
import { AtWork, FaultMark, Flow, flowOf, markPlaces, Probes, SuspectMark, Terminals } from './LivePaint';
import { inksOf, Marks } from './Marks';
import { PartSymbol } from './PartSymbol';
import { rowsOf, type Reach } from './reach';
import { wirePath } from '@harbor-latch/core/drawing/wirePath';

/** Two terminals, as a meter touches them. */
export interface Lit {
  readonly red: TerminalRef | null;
  readonly black: TerminalRef | null;
}

export interface BandDrawingProps {
  readonly diagram: Diagram;
  readonly width: number;
  /** Conductor or part shown as chosen. */
  readonly selected: string | null;
  readonly onSelect: (id: string | null) => void;
  /** What a screen reader hears first. */
  readonly label: string;
  /** The circuit at work; left out: the drawing alone. */
  readonly live?: Live;
  /** Where a meter's leads go, shown on a drawing that is only looked at. */
  readonly lit?: Lit;
  readonly reach?: Ref<Reach>;
}

/** The circuit drawn down the page in its three bands; conductors and parts can be touched. */
export function BandDrawing({ diagram, width, selected, onSelect, label, live, lit, reach }: BandDrawingProps) {
  const palette = usePalette();
  const drawing = drawn.drawing(diagram, Math.max(width, LEAST_WIDTH));
  const scale = Math.min(1, width / drawing.width);
  useImperativeHandle(reach, () => ({ rowsOf: (ids) => rowsOf(drawing, ids, scale) }), [drawing, scale]);
  const bands = useMemo(
    () => drawing.bands.map((band) => <Marks key={band.band} marks={bandMarks(band, inksOf(palette))} />),
    [drawing, palette],
  );
  const cables = useMemo(
    () =>
      drawing.cables.map((cable) => (
        <Marks key={`${cable.box.x}-${cable.box.y}`} marks={cableMarks(cable, inksOf(palette))} />
      )),
    [drawing, palette],
  );
  const touching = live?.touch ?? null;
  // The tab key stops at one thing of the drawing; arrow keys reach the others.
  const stop = selected ?? drawing.parts[0]?.part.id;
  return (
    <Svg
      width={drawing.width * scale}
      height={drawing.height * scale}
      viewBox={`0 0 ${drawing.width} ${drawing.height}`}
      role="radiogroup"
      aria-label={label}
      {...rovingUnchosen}
    >
      {bands}
      {drawing.wires.map((wire) => (
        <WirePath key={wire.id} wire={wire} palette={palette} chosen={wire.id === selected} />
      ))}
      {live
        ? drawing.wires.map((wire) => (
            <Flow key={wire.id} wire={wire} {...flowOf(live.amps.get(wire.id) ?? 0)} palette={palette} />
          ))
        : null}
      {cables}
      {drawing.parts.map((part) => (
        <PartAndWords
          key={part.part.id}
          part={part}
          words={live?.words.get(part.part.id) ?? part.words}
          doing={live?.doing.get(part.part.id)}
          palette={palette}
          chosen={part.part.id === selected}
          tabStop={part.part.id === stop}
          onSelect={touching ? null : onSelect}
        />
      ))}
      {drawing.wires.map((wire) => (
        <WireTouch
          key={wire.id}
          wire={wire}
          words={live?.words.get(wire.id) ?? wire.words}
          palette={palette}
          chosen={wire.id === selected}
          tabStop={wire.id === stop}
          onSelect={touching ? null : onSelect}
        />
      ))}
      {live
        ? markPlaces(drawing, (id) => live.faulty.has(id)).map(({ id, x, y }) => (
            <FaultMark key={`${id} ${x} ${y}`} x={x} y={y} palette={palette} />
          ))
        : null}
      {live?.suspected
        ? markPlaces(drawing, (id) => live.suspected?.has(id) === true).map((at) => (
            <SuspectMark
              key={`${at.id} ${at.x} ${at.y}`}
              {...at}
              share={live.suspected?.get(at.id) ?? 0}
              palette={palette}
            />
          ))
        : null}
      {touching ? <Terminals drawing={drawing} touch={touching} palette={palette} /> : null}
      {lit ? <Probes drawing={drawing} lit={lit} palette={palette} /> : null}
    </Svg>
  );
}

/** Shapes that are the same as long as their figures are: they stay while what is beside them changes. */
const StillPath = memo(Path);
const StillRect = memo(Rect);
const StillCircle = memo(Circle);

/** Painted anew only when it is another: currents change without their conductors. */
const WirePath = memo(function WirePath({
  wire,
  palette,
  chosen,
}: {
  readonly wire: PlacedWire;
  readonly palette: Palette;
  readonly chosen: boolean;
}) {
  return (
    <G>
      {chosen ? (
        <Path
          d={wirePath(wire.points, wire.hops)}
          fill="none"
          strokeLinejoin="round"
          stroke={palette.accent}
          strokeWidth={wireWidth(wire) + 9}
          strokeOpacity={0.45}
        />
      ) : null}
      <Marks marks={wireMarks(wire, inksOf(palette))} />
    </G>
  );
});

interface Touch {
  readonly label: string;
  readonly id: string;
  readonly chosen: boolean;
  /** Whether the tab key stops at it. */
  readonly tabStop: boolean;
  readonly onSelect: ((id: string | null) => void) | null;
}

/**
 * What makes an SVG group touchable for pointer, keyboard and screen reader: one
 * of the drawing's things is chosen at a time. (The web layer turns the role
 * "button" into a button element, which SVG does not draw.)
 */
function touch({ label, id, chosen, tabStop, onSelect }: Touch): object {
  if (!onSelect) return {};
  const press = () => onSelect(chosen ? null : id);
  return {
    role: 'radio',
    tabIndex: tabStop ? 0 : -1,
    'aria-label': label,
    'aria-checked': chosen,
    ...clicked(press),
    onKeyDown: (event: { key: string; preventDefault: () => void }) => {
      if (event.key !== 'Enter' && event.key !== ' ') return;
      event.preventDefault();
      press();
    },
    style: { cursor: 'pointer' },
  };
}

/** Painted anew only when what it says or its state is another. */
const WireTouch = memo(function WireTouch({
  wire,
  words,
  palette,
  chosen,
  tabStop,
  onSelect,
}: {
  readonly wire: PlacedWire;
  readonly words: readonly string[];
  readonly palette: Palette;
  readonly chosen: boolean;
  /** Null while terminals are touched instead. */
  readonly tabStop: boolean;
  readonly onSelect: ((id: string | null) => void) | null;
}) {
  if (wire.name === undefined || wire.points.length === 0) return null;
  const { wordsBox } = wire;
  return (
    <G {...touch({ label: [`Conductor ${wire.name}`, ...words].join(', '), id: wire.id, chosen, tabStop, onSelect })}>
      <StillPath d={wirePath(wire.points, [])} fill="none" stroke="transparent" strokeWidth={26} />
      {wordsBox ? (
        <>
          <StillRect {...wordsBox} fill="transparent" />
          <Words lines={words} at={wordsBox} palette={palette} chosen={chosen} />
        </>
      ) : null}
    </G>
  );
}, saysTheSame);

/** Painted anew only when what it says or its state is another. */
const PartAndWords = memo(function PartAndWords({
  part,
  words,
  doing,
  palette,
  chosen,
  tabStop,
  onSelect,
}: {
  readonly part: PlacedPart;
  readonly words: readonly string[];
  readonly doing: Doing | undefined;
  readonly palette: Palette;
  readonly chosen: boolean;
  readonly tabStop: boolean;
  readonly onSelect: ((id: string | null) => void) | null;
}) {
  const said = [...(words.length > 0 ? words : [part.name]), ...(doing === undefined ? [] : [doingWords[doing]])].join(
    ', ',
  );
  return (
    <G {...touch({ label: `${said} in the ${part.band}`, id: part.part.id, chosen, tabStop, onSelect })}>
      <StillRect
        x={part.box.x - 6}
        y={part.box.y - 6}
        width={part.box.width + 12}
        height={part.box.height + 12}
        rx={10}
        fill={palette.accent}
        fillOpacity={chosen ? 0.18 : 0}
      />
      {part.part.kind === 'joint' ? <StillCircle cx={part.at.x} cy={part.at.y} r={22} fill="transparent" /> : null}
      <PartSymbol part={part} doing={doing} palette={palette} />
      <AtWork part={part} doing={doing} palette={palette} />
      <Words lines={words} at={part.wordsBox} palette={palette} chosen={chosen} />
    </G>
  );
}, saysTheSame);

/** Whether two sets of properties differ in nothing but who wrote their words. */
function saysTheSame<P extends { readonly words: readonly string[] }>(before: P, after: P): boolean {
  const { words: said, ...was } = before;
  const { words, ...is } = after;
  const old = new Map<string, unknown>(Object.entries(was));
  return Object.entries(is).every(([key, value]) => old.get(key) === value) && said.join('\n') === words.join('\n');
}

function Words({
  lines,
  at,
  palette,
  chosen,
}: {
  readonly lines: readonly string[];
  readonly at: Pick<Box, 'x' | 'y'>;
  readonly palette: Palette;
  readonly chosen: boolean;
}) {
  const inks = inksOf(palette);
  return (
    <Marks marks={wordMarks(lines, at, chosen ? { ...inks, ink: palette.accent, muted: palette.accent } : inks)} />
  );
}
