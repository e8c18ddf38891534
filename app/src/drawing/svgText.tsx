import { flushSync } from 'react-dom';
import { createRoot } from 'react-dom/client';
import { PaperProvider } from 'react-native-paper';
import { fonts, lightTheme } from '../ui/theme';
import { BandDrawing } from './BandDrawing';
import type { Diagram } from './diagram';

const WIDTH = 560;

/** Our faces as a reader knows them that has not got them: its own of the same weight. */
const weightOf: Readonly<Record<string, string>> = {
  [fonts.regular]: '400',
  [fonts.medium]: '600',
  [fonts.bold]: '700',
};
const FALLBACK = "'Atkinson Hyperlegible Next', Verdana, 'DejaVu Sans', sans-serif";
const BLOCK_LINE = 18;

/**
 * The drawing as the text of an SVG file, light whatever the screen is, with nothing to press.
 * @param block lines of the title block at its foot
 */
export function svgText(diagram: Diagram, title: string, block: readonly string[]): string {
  return drawn(diagram, title, (svg) => serialized(svg, block));
}

/** The same for a paper that has our faces, white as the paper is. */
export function svgForPaper(diagram: Diagram, title: string): string {
  return drawn(diagram, title, (svg) => {
    strip(svg);
    return new XMLSerializer().serializeToString(svg);
  });
}

function drawn(diagram: Diagram, title: string, write: (svg: SVGSVGElement) => string): string {
  const host = document.createElement('div');
  const root = createRoot(host);
  flushSync(() =>
    root.render(
      <PaperProvider theme={lightTheme}>
        <BandDrawing diagram={diagram} width={WIDTH} selected={null} onSelect={() => undefined} label={title} />
      </PaperProvider>,
    ),
  );
  const svg = host.querySelector('svg');
  const text = svg ? write(svg) : '';
  root.unmount();
  return text;
}

/** Takes off what a page needs and a picture does not. */
function strip(svg: SVGSVGElement): void {
  svg.setAttribute('role', 'img');
  for (const element of svg.querySelectorAll('[tabindex], [role]')) {
    for (const name of ['tabindex', 'role', 'aria-checked', 'style']) element.removeAttribute(name);
  }
}

function serialized(svg: SVGSVGElement, block: readonly string[]): string {
  strip(svg);
  addBlock(svg, block);
  for (const element of svg.querySelectorAll('[font-family]')) {
    const face = element.getAttribute('font-family') ?? '';
    element.setAttribute('font-weight', weightOf[face] ?? '400');
    element.setAttribute('font-family', FALLBACK);
  }
  const ground = document.createElementNS('http://www.w3.org/2000/svg', 'rect');
  ground.setAttribute('width', '100%');
  ground.setAttribute('height', '100%');
  ground.setAttribute('fill', lightTheme.palette.ground);
  svg.prepend(ground);
  return `<?xml version="1.0" encoding="UTF-8"?>\n${new XMLSerializer().serializeToString(svg)}\n`;
}

/** A frame under the drawing with the lines of the title block, the first of them large. */
function addBlock(svg: SVGSVGElement, lines: readonly string[]): void {
  const [, , width = WIDTH, height = 0] = (svg.getAttribute('viewBox') ?? '').split(' ').map(Number);
  const high = lines.length * BLOCK_LINE + 24;
  const { palette } = lightTheme;
  const add = (name: string, attributes: Readonly<Record<string, string | number>>, words?: string) => {
    const element = document.createElementNS('http://www.w3.org/2000/svg', name);
    for (const [key, value] of Object.entries(attributes)) element.setAttribute(key, String(value));
    if (words !== undefined) element.textContent = words;
    svg.append(element);
  };
  add('rect', {
    x: 10,
    y: height,
    width: width - 20,
    height: high - 8,
    fill: palette.surface,
    stroke: palette.muted,
  });
  lines.forEach((words, index) =>
    add(
      'text',
      {
        x: 22,
        y: height + 22 + index * BLOCK_LINE,
        'font-family': index === 0 ? fonts.bold : fonts.regular,
        'font-size': index === 0 ? 15 : 12,
        fill: palette.text,
      },
      words,
    ),
  );
  const scale = Number(svg.getAttribute('height')) / height;
  svg.setAttribute('viewBox', `0 0 ${String(width)} ${String(height + high)}`);
  svg.setAttribute('height', String((height + high) * (Number.isFinite(scale) ? scale : 1)));
}
