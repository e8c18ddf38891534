import { flushSync } from 'react-dom';
import { createRoot } from 'react-dom/client';
import { PaperProvider } from 'react-native-paper';
import { lightTheme } from '../ui/theme';
import { BandDrawing } from './BandDrawing';
import type { Diagram } from './diagram';

const WIDTH = 560;

/** The drawing as the text of an SVG file, light whatever the screen is, with nothing to press. */
export function svgText(diagram: Diagram, title: string): string {
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
  const text = svg ? serialized(svg) : '';
  root.unmount();
  return text;
}

function serialized(svg: SVGSVGElement): string {
  svg.setAttribute('role', 'img');
  for (const element of svg.querySelectorAll('[tabindex], [role]')) {
    for (const name of ['tabindex', 'role', 'aria-checked', 'style']) element.removeAttribute(name);
  }
  const ground = document.createElementNS('http://www.w3.org/2000/svg', 'rect');
  ground.setAttribute('width', '100%');
  ground.setAttribute('height', '100%');
  ground.setAttribute('fill', lightTheme.palette.ground);
  svg.prepend(ground);
  return `<?xml version="1.0" encoding="UTF-8"?>\n${new XMLSerializer().serializeToString(svg)}\n`;
}
