import type { Band } from '@harbor-latch/core/schemes/index';
import { useMemo } from 'react';
import Svg, { Circle, G, Path, Rect, Text as SvgText, TSpan } from 'react-native-svg';
import { fonts, usePalette } from '../ui/theme';
import type { Palette } from '../ui/palette';
import { insulation } from './colours';
import { WORD_LINE, WORD_SIZE, type Diagram, type PlacedPart, type PlacedWire } from './diagram';
import { LEAST_WIDTH, layoutDiagram } from './layout';
import { PartSymbol } from './PartSymbol';
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
}

/** The circuit drawn down the page in its three bands; conductors and parts can be touched. */
export function BandDrawing({ diagram, width, selected, onSelect, label }: BandDrawingProps) {
  const palette = usePalette();
  const drawing = useMemo(() => layoutDiagram(diagram, Math.max(width, LEAST_WIDTH)), [diagram, width]);
  const scale = Math.min(1, width / drawing.width);
  return (
    <Svg
      width={drawing.width * scale}
      height={drawing.height * scale}
      viewBox={`0 0 ${drawing.width} ${drawing.height}`}
      role="radiogroup"
      aria-label={label}
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
          palette={palette}
          chosen={part.part.id === selected}
          onSelect={onSelect}
        />
      ))}
      {drawing.wires.map((wire) => (
        <WireTouch key={wire.id} wire={wire} palette={palette} chosen={wire.id === selected} onSelect={onSelect} />
      ))}
    </Svg>
  );
}

function WirePath({
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
  const width = wire.words.length > 0 && !wire.thin ? 5 : 3;
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
}

/**
 * What makes an SVG group touchable for pointer, keyboard and screen reader: one
 * of the drawing's things is chosen at a time. (The web layer turns the role
 * "button" into a button element, which SVG does not draw.)
 */
function touch(label: string, id: string, chosen: boolean, onSelect: (id: string | null) => void) {
  const press = () => onSelect(chosen ? null : id);
  return {
    role: 'radio',
    tabIndex: 0,
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

function WireTouch({
  wire,
  palette,
  chosen,
  onSelect,
}: {
  readonly wire: PlacedWire;
  readonly palette: Palette;
  readonly chosen: boolean;
  readonly onSelect: (id: string | null) => void;
}) {
  if (wire.words.length === 0 || wire.points.length === 0) return null;
  const { wordsBox } = wire;
  return (
    <G {...touch(`Conductor ${wire.id}: ${wire.words.join(', ')}`, wire.id, chosen, onSelect)}>
      <Path d={wirePath(wire.points, [])} fill="none" stroke="transparent" strokeWidth={26} />
      {wordsBox ? (
        <>
          <Rect {...wordsBox} fill="transparent" />
          <Words lines={wire.words} x={wordsBox.x} y={wordsBox.y} palette={palette} chosen={chosen} />
        </>
      ) : null}
    </G>
  );
}

function PartAndWords({
  part,
  palette,
  chosen,
  onSelect,
}: {
  readonly part: PlacedPart;
  readonly palette: Palette;
  readonly chosen: boolean;
  readonly onSelect: (id: string | null) => void;
}) {
  return (
    <G {...touch(`${part.words.join(', ')} in the ${part.band}`, part.part.id, chosen, onSelect)}>
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
      <PartSymbol part={part} ink={palette.text} ground={palette.surface} muted={palette.muted} />
      <Words lines={part.words} x={part.wordsBox.x} y={part.wordsBox.y} palette={palette} chosen={chosen} />
    </G>
  );
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
