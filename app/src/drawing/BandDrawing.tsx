import { doingWords, type Doing } from '@harbor-latch/core/circuit/index';
import type { Band } from '@harbor-latch/core/schemes/index';
import { memo, useImperativeHandle, useMemo, type Ref } from 'react';
import Svg, { Circle, G, Path, Rect, Text as SvgText, TSpan } from 'react-native-svg';
import { fonts, usePalette } from '../ui/theme';
import { rovingUnchosen } from '../ui/roving';
import type { Palette } from '../ui/palette';
import { insulation } from './colours';
import { WORD_LINE, WORD_SIZE, type Diagram, type PlacedPart, type PlacedWire } from './diagram';
import { LEAST_WIDTH, layoutDiagram } from './layout';
import type { Live } from './live';
import { AtWork, FaultMark, faultPlaces, Flow, Terminals } from './LivePaint';
import { PartSymbol } from './PartSymbol';
import { rowsOf, type Reach } from './reach';
import { BAND_STRIP } from './place';
import { wirePath } from './wirePath';

const bandWords: Readonly<Record<Band, { readonly name: string; readonly under: string }>> = {
  source: { name: 'Source', under: 'dry, at hand' },
  panel: { name: 'Panel', under: 'dry, at hand' },
  bilge: { name: 'Bilge', under: 'wet, a crawl' },
};

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
  readonly reach?: Ref<Reach>;
}

/** The circuit drawn down the page in its three bands; conductors and parts can be touched. */
export function BandDrawing({ diagram, width, selected, onSelect, label, live, reach }: BandDrawingProps) {
  const palette = usePalette();
  const drawing = useMemo(() => layoutDiagram(diagram, Math.max(width, LEAST_WIDTH)), [diagram, width]);
  const scale = Math.min(1, width / drawing.width);
  useImperativeHandle(reach, () => ({ rowsOf: (ids) => rowsOf(drawing, ids, scale) }), [drawing, scale]);
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
      {drawing.bands.map(({ band, box }) => (
        <G key={band}>
          <Rect {...box} rx={14} fill={palette.surface} stroke={palette.line} />
          <Path d={`M${box.x + BAND_STRIP} ${box.y} V${box.y + box.height}`} stroke={palette.line} />
          <SvgText
            transform={`translate(${box.x + 20} ${box.y + box.height / 2}) rotate(-90)`}
            fontFamily={fonts.bold}
            fontSize={15}
            fill={palette.text}
            textAnchor="middle"
          >
            {bandWords[band].name}
            <TSpan fontFamily={fonts.regular} fontSize={WORD_SIZE} fill={palette.muted} dx={8}>
              {bandWords[band].under}
            </TSpan>
          </SvgText>
        </G>
      ))}
      {drawing.wires.map((wire) => (
        <WirePath key={wire.id} wire={wire} palette={palette} chosen={wire.id === selected} />
      ))}
      {live
        ? drawing.wires.map((wire) => (
            <Flow key={wire.id} wire={wire} amps={live.amps.get(wire.id) ?? 0} palette={palette} />
          ))
        : null}
      {drawing.cables.map(({ box, words, wordsAt }) => (
        <G key={`${box.x}-${box.y}`}>
          <Rect
            {...box}
            rx={Math.min(11, box.width / 2)}
            fill={palette.raised}
            stroke={palette.muted}
            strokeWidth={1.5}
          />
          {wordsAt ? (
            <SvgText
              x={wordsAt.x}
              y={wordsAt.y + 4.5}
              fontFamily={fonts.medium}
              fontSize={WORD_SIZE}
              fill={palette.text}
              textAnchor="middle"
            >
              {words}
            </SvgText>
          ) : null}
        </G>
      ))}
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
        ? faultPlaces(drawing, live).map((at) => <FaultMark key={`${at.x} ${at.y}`} {...at} palette={palette} />)
        : null}
      {touching ? <Terminals drawing={drawing} touch={touching} palette={palette} /> : null}
    </Svg>
  );
}

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
  const d = wirePath(wire.points, wire.hops);
  const line = { d, fill: 'none' as const, strokeLinejoin: 'round' as const };
  const width = wire.name !== undefined && !wire.thin ? 5 : 3;
  return (
    <G>
      {chosen ? <Path {...line} stroke={palette.accent} strokeWidth={width + 9} strokeOpacity={0.45} /> : null}
      <Path {...line} stroke={palette.muted} strokeWidth={width + 1.6} />
      <Path {...line} stroke={insulation[wire.colour.base]} strokeWidth={width} />
      {wire.colour.stripe ? (
        <Path {...line} stroke={insulation[wire.colour.stripe]} strokeWidth={1.8} strokeDasharray="7 6" />
      ) : null}
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
    onPress: press,
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
      <Path d={wirePath(wire.points, [])} fill="none" stroke="transparent" strokeWidth={26} />
      {wordsBox ? (
        <>
          <Rect {...wordsBox} fill="transparent" />
          <Words lines={words} x={wordsBox.x} y={wordsBox.y} palette={palette} chosen={chosen} />
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
      <Rect
        x={part.box.x - 6}
        y={part.box.y - 6}
        width={part.box.width + 12}
        height={part.box.height + 12}
        rx={10}
        fill={palette.accent}
        fillOpacity={chosen ? 0.18 : 0}
      />
      {part.part.kind === 'joint' ? <Circle cx={part.at.x} cy={part.at.y} r={22} fill="transparent" /> : null}
      <PartSymbol part={part} doing={doing} ink={palette.text} ground={palette.surface} muted={palette.muted} />
      <AtWork part={part} doing={doing} palette={palette} />
      <Words lines={words} x={part.wordsBox.x} y={part.wordsBox.y} palette={palette} chosen={chosen} />
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
  x,
  y,
  palette,
  chosen,
}: {
  readonly lines: readonly string[];
  readonly x: number;
  readonly y: number;
  readonly palette: Palette;
  readonly chosen: boolean;
}) {
  return (
    <>
      {lines.map((line, index) => (
        <SvgText
          key={line}
          x={x}
          y={y + (index + 0.76) * WORD_LINE}
          fontFamily={index === 0 || chosen ? fonts.medium : fonts.regular}
          fontSize={WORD_SIZE}
          fill={chosen ? palette.accent : index === 0 ? palette.text : palette.muted}
        >
          {line}
        </SvgText>
      ))}
    </>
  );
}
