import { assess, batteryOf } from '../assess';
import { assessedIn, jobWith } from '../build/build.fixture';
import { schemeKeys } from '../schemes';
import { circuitDiagram } from './circuitDiagram';
import { layoutDiagram } from './layout';
import { svgForPaper, svgText } from './svgText';
import { titleBlock } from './titleBlock';

const HOSTILE = '<script>"&\u0000\ud800\u202e';

/** Every element of an XML text with its attributes, and that each is closed in turn. @throws where it is not well formed */
function elementsOf(xml: string): { readonly name: string; readonly attributes: Readonly<Record<string, string>> }[] {
  const open: string[] = [];
  const found: { name: string; attributes: Record<string, string> }[] = [];
  let rest = xml.replace(/^<\?xml[^?]*\?>\n/, '').trim();
  while (rest !== '') {
    const text = /^[^<]+/.exec(rest)?.[0];
    const end = /^<\/(\w+)>/.exec(rest);
    const start = /^<(\w+)((?: [\w-]+="[^"<]*")*)\s*(\/?)>/.exec(rest);
    if (text !== undefined) {
      if (/&(?!amp;|lt;|gt;|quot;)/.test(text)) throw new Error(`A bare ampersand in ${text}`);
      rest = rest.slice(text.length);
    } else if (end) {
      if (open.pop() !== end[1]) throw new Error(`${end[0]} closes nothing`);
      rest = rest.slice(end[0].length);
    } else if (start) {
      const pairs = [...(start[2] ?? '').matchAll(/ ([\w-]+)="([^"]*)"/g)].map(([, key, value]) => [key, value]);
      found.push({ name: start[1] ?? '', attributes: Object.fromEntries(pairs) as Record<string, string> });
      if (start[3] === '') open.push(start[1] ?? '');
      rest = rest.slice(start[0].length);
    } else throw new Error(`Not well formed: ${rest.slice(0, 80)}`);
  }
  if (open.length > 0) throw new Error(`Never closed: ${open.join()}`);
  return found;
}

const drawn = (scheme: string, name = 'Main') => {
  const base = jobWith(scheme, { panel: { light: 'led' } });
  const job = {
    ...base,
    boat: { ...base.boat, name: 'Tern' },
    circuits: base.circuits.map((one) => ({ ...one, name })),
  };
  const assessed = assessedIn(job);
  const diagram = circuitDiagram(assessed, batteryOf(job, assessed.circuit), 'metric');
  return { job, assessed, diagram };
};

describe('a drawing as a file', () => {
  const { job, assessed, diagram } = drawn('three-way-float');
  const text = svgText(diagram, 'Tern, Main', titleBlock(job, assessed.circuit, new Date('2026-05-04T08:30:00Z')));

  it('stands on its own: whole, named, with a title block inside its sheet', () => {
    const elements = elementsOf(text);
    expect(elements[0]?.attributes).toMatchObject({ role: 'img', 'aria-label': 'Tern, Main' });
    expect(elements[1]).toMatchObject({ name: 'rect', attributes: { width: '100%', height: '100%' } });
    for (const words of ['House battery', 'blade fuse', '>manual<', '>auto<', 'Tern: Main', '2026-05-04'])
      expect(text).toContain(words);
    const sheet = Number(elements[0]?.attributes['viewBox']?.split(' ')[3]);
    const feet = elements
      .filter(({ name }) => name === 'text')
      .flatMap(({ attributes: { y } }) => (y ? [Number(y)] : []));
    expect(Math.max(...feet)).toBeLessThan(sheet);
    expect(text).not.toMatch(/<script|javascript:|http:\/\/(?!www\.w3\.org)/);
  });

  it('names common faces in a file, and its own on a paper that brings them', () => {
    const faces = (xml: string) =>
      new Set(elementsOf(xml).flatMap(({ attributes }) => attributes['font-family'] ?? []));
    expect(faces(text)).toEqual(new Set(["'Atkinson Hyperlegible Next', Verdana, 'DejaVu Sans', sans-serif"]));
    expect(faces(svgForPaper(diagram, 'Tern'))).toEqual(new Set(['Atkinson', 'AtkinsonMedium', 'AtkinsonBold']));
  });

  it.each([...schemeKeys])('of %s has every conductor and every word of the drawing, once', (scheme) => {
    const one = drawn(scheme).diagram;
    const drawing = layoutDiagram(one, 560);
    const xml = svgForPaper(one, scheme);
    const lines = elementsOf(xml).filter(({ attributes }) => attributes['stroke-width'] === '6.6');
    expect(lines).toHaveLength(drawing.wires.filter(({ name, thin }) => name !== undefined && !thin).length);
    for (const { words, wordsBox } of drawing.wires) {
      for (const line of wordsBox ? words : []) expect(xml).toContain(`>${line.replace(/&/g, '&amp;')}</text>`);
    }
    for (const { words } of drawing.parts) for (const line of words) expect(xml).toContain(`>${line}</text>`);
  });

  it('is well formed whatever things are called', () => {
    const hostile = drawn('three-way-float', HOSTILE);
    const named = { ...hostile.job, batteries: hostile.job.batteries.map((one) => ({ ...one, name: HOSTILE })) };
    const [again] = assess(named);
    if (!again) throw new Error('nothing assessed');
    const xml = svgText(
      circuitDiagram(again, batteryOf(named, again.circuit), 'us'),
      HOSTILE,
      titleBlock(named, again.circuit, new Date('2026-05-04T08:30:00Z')),
    );
    expect(() => elementsOf(xml)).not.toThrow();
    expect(xml).toContain('&lt;script&gt;&quot;&amp;');
    expect(xml).not.toContain('\u0000');
  });
});
