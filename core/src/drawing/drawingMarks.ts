import type { Band } from '../schemes';
import { insulation } from './colours';
import { WORD_LINE, WORD_SIZE, type Drawing, type PlacedWire } from './diagram';
import type { Box, Point } from './geometry';
import type { Inks, Mark } from './marks';
import { BAND_STRIP } from './place';
import { wirePath } from './wirePath';

const bandWords: Readonly<Record<Band, { readonly name: string; readonly under: string }>> = {
  source: { name: 'Source', under: 'dry, at hand' },
  panel: { name: 'Panel', under: 'dry, at hand' },
  bilge: { name: 'Bilge', under: 'wet, a crawl' },
};

/** A band with its name up its side. */
export function bandMarks({ band, box }: Drawing['bands'][number], inks: Inks): readonly Mark[] {
  const { name, under } = bandWords[band];
  return [
    { kind: 'rect', ...box, rx: 14, fill: inks.ground, stroke: inks.line },
    { kind: 'path', d: `M${box.x + BAND_STRIP} ${box.y} V${box.y + box.height}`, stroke: inks.line },
    {
      kind: 'text',
      x: box.x + 20,
      y: box.y + box.height / 2,
      words: name,
      size: 15,
      face: 'bold',
      fill: inks.ink,
      anchor: 'middle',
      upright: true,
      after: { words: under, size: WORD_SIZE, face: 'regular', fill: inks.muted },
    },
  ];
}

/** Width of a conductor's line, px: one that carries a pump is drawn thick. */
export function wireWidth({ name, thin }: PlacedWire): number {
  return name !== undefined && !thin ? 5 : 3;
}

/** A conductor in its colours. */
export function wireMarks(wire: PlacedWire, inks: Inks): readonly Mark[] {
  const d = wirePath(wire.points, wire.hops);
  const line = { kind: 'path', d, fill: 'none', strokeLinejoin: 'round' } as const;
  const width = wireWidth(wire);
  const { base, stripe } = wire.colour;
  return [
    { ...line, stroke: inks.muted, strokeWidth: width + 1.6 },
    { ...line, stroke: insulation[base], strokeWidth: width },
    ...(stripe ? [{ ...line, stroke: insulation[stripe], strokeWidth: 1.8, strokeDasharray: '7 6' }] : []),
  ];
}

/** The sleeve of a cable where it crosses a band, with its words where they found a place. */
export function cableMarks({ box, words, wordsAt }: Drawing['cables'][number], inks: Inks): readonly Mark[] {
  return [
    {
      kind: 'rect',
      ...box,
      rx: Math.min(11, box.width / 2),
      fill: inks.raised,
      stroke: inks.muted,
      strokeWidth: 1.5,
    },
    ...(wordsAt ? [cableWords(words, wordsAt, inks)] : []),
  ];
}

function cableWords(words: string, { x, y }: Point, inks: Inks): Mark {
  return { kind: 'text', x, y: y + 4.5, words, size: WORD_SIZE, face: 'medium', fill: inks.ink, anchor: 'middle' };
}

/** Lines beside a part or conductor, the first of them strong. */
export function wordMarks(lines: readonly string[], { x, y }: Pick<Box, 'x' | 'y'>, inks: Inks): readonly Mark[] {
  return lines.map((words, index) => ({
    kind: 'text',
    x,
    y: y + (index + 0.76) * WORD_LINE,
    words,
    size: WORD_SIZE,
    face: index === 0 ? 'medium' : 'regular',
    fill: index === 0 ? inks.ink : inks.muted,
  }));
}
