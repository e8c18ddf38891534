import type { Diagram, Drawing } from './diagram';
import { bandMarks, cableMarks, wireMarks, wordMarks } from './drawingMarks';
import { layoutDiagram } from './layout';
import { paperInks, type Face, type Inks, type Mark, type TextMark } from './marks';
import { symbolMarks } from './symbolMarks';

/** Width at which a drawing is laid out for a file or a paper, px. */
const WIDTH = 560;
const BLOCK_LINE = 18;

/** What a reader has a face by: its own name on a paper that brings it, a list of common ones in a file. */
type FaceAs = (face: Face) => string;

const ownFace: Readonly<Record<Face, string>> = { regular: 'Atkinson', medium: 'AtkinsonMedium', bold: 'AtkinsonBold' };
const weights: Readonly<Record<Face, string>> = { regular: '400', medium: '600', bold: '700' };
const FALLBACK = "'Atkinson Hyperlegible Next', Verdana, 'DejaVu Sans', sans-serif";

const faceOnPaper: FaceAs = (face) => attribute('font-family', ownFace[face]);
const faceInFile: FaceAs = (face) => attribute('font-family', FALLBACK) + attribute('font-weight', weights[face]);

/**
 * The drawing as the text of an SVG file that stands on its own, on the colour of the page.
 * @param block lines of the title block at its foot, the first of them large
 */
export function svgText(diagram: Diagram, title: string, block: readonly string[], ground = '#EFEEE9'): string {
  const drawing = layoutDiagram(diagram, WIDTH);
  const high = block.length * BLOCK_LINE + 24;
  const content = [
    `<rect width="100%" height="100%"${attribute('fill', ground)}/>`,
    ...written(drawingMarks(drawing, paperInks), faceInFile),
    ...written(blockMarks(drawing, block, high), faceInFile),
  ];
  return `<?xml version="1.0" encoding="UTF-8"?>\n${svg(drawing.width, drawing.height + high, title, content)}\n`;
}

/** The same for a paper that brings our faces, white as the paper is. */
export function svgForPaper(diagram: Diagram, title: string): string {
  const drawing = layoutDiagram(diagram, WIDTH);
  return svg(drawing.width, drawing.height, title, written(drawingMarks(drawing, paperInks), faceOnPaper));
}

interface Placed {
  readonly marks: readonly Mark[];
  readonly x?: number;
  readonly y?: number;
}

/** Everything of a drawing at rest, in the order in which it is painted. */
function drawingMarks(drawing: Drawing, inks: Inks): readonly Placed[] {
  return [
    ...drawing.bands.map((band) => ({ marks: bandMarks(band, inks) })),
    ...drawing.wires.map((wire) => ({ marks: wireMarks(wire, inks) })),
    ...drawing.cables.map((cable) => ({ marks: cableMarks(cable, inks) })),
    ...drawing.parts.flatMap((part) => [
      { marks: symbolMarks(part, undefined, inks), ...part.at },
      { marks: wordMarks(part.words, part.wordsBox, inks) },
    ]),
    ...drawing.wires.flatMap(({ words, wordsBox }) => (wordsBox ? [{ marks: wordMarks(words, wordsBox, inks) }] : [])),
  ];
}

function blockMarks({ width, height }: Drawing, lines: readonly string[], high: number): readonly Placed[] {
  const { ground, muted, ink } = paperInks;
  return [
    {
      marks: [
        { kind: 'rect', x: 10, y: height, width: width - 20, height: high - 8, fill: ground, stroke: muted },
        ...lines.map((words, index): Mark => ({
          kind: 'text',
          x: 22,
          y: height + 22 + index * BLOCK_LINE,
          words,
          size: index === 0 ? 15 : 12,
          face: index === 0 ? 'bold' : 'regular',
          fill: ink,
        })),
      ],
    },
  ];
}

function svg(width: number, height: number, title: string, content: readonly string[]): string {
  const size = `width="${width}" height="${height}" viewBox="0 0 ${width} ${height}"`;
  return `<svg xmlns="http://www.w3.org/2000/svg" ${size} role="img"${attribute('aria-label', title)}>${content.join('')}</svg>`;
}

function written(groups: readonly Placed[], faceAs: FaceAs): string[] {
  return groups.map(({ marks, x, y }) => {
    const inside = marks.map((mark) => writeMark(mark, faceAs)).join('');
    return x === undefined || y === undefined ? inside : `<g transform="translate(${x} ${y})">${inside}</g>`;
  });
}

function writeMark(mark: Mark, faceAs: FaceAs): string {
  if (mark.kind === 'text') return writeText(mark, faceAs);
  const { kind, ...attributes } = mark;
  const all = Object.entries(attributes).map(([name, value]) => attribute(inSvg(name), value));
  return `<${kind}${all.join('')}/>`;
}

function writeText({ x, y, words, size, face, fill, anchor, upright, after }: TextMark, faceAs: FaceAs): string {
  const place = upright ? ` transform="translate(${x} ${y}) rotate(-90)"` : ` x="${x}" y="${y}"`;
  const looks = (of: Pick<TextMark, 'face' | 'size' | 'fill'>) =>
    faceAs(of.face) + attribute('font-size', of.size) + attribute('fill', of.fill);
  const second = after ? `<tspan dx="8"${looks(after)}>${escaped(after.words)}</tspan>` : '';
  const anchored = anchor ? attribute('text-anchor', anchor) : '';
  return `<text${place}${looks({ face, size, fill })}${anchored}>${escaped(words)}${second}</text>`;
}

/** A name as SVG writes it: strokeWidth is stroke-width. */
const inSvg = (name: string) => name.replace(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`);

const attribute = (name: string, value: string | number) => ` ${name}="${escaped(String(value))}"`;

const entities: Readonly<Record<string, string>> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' };

/** Text inside XML: what would end it is an entity, what XML cannot hold is left out. */
function escaped(text: string): string {
  return text
    .replace(/[^\t\n\r\u{20}-\u{D7FF}\u{E000}-\u{FFFD}\u{10000}-\u{10FFFF}]/gu, '')
    .replace(/[&<>"]/g, (letter) => entities[letter] ?? letter);
}
