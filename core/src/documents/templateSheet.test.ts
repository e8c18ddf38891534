import { built } from '../build/build.fixture';
import { mm } from './sheetNodes';
import { templateSheet } from './templateSheet';

const of = (build: Parameters<typeof built>[1], paper: 'a4' | 'letter' = 'a4') =>
  templateSheet('Tern, cut-outs', built('three-way-float', build), paper);

/** What is drawn, whatever it is drawn in. */
const shapes = (build: Parameters<typeof built>[1]) =>
  (of(build).sheet?.content ?? []).flatMap((node) =>
    typeof node === 'object' && 'canvas' in node ? (node.canvas as Record<string, number | string>[]) : [],
  );

describe('a template', () => {
  it('draws panel and hole at full size, with a rule of 50 mm to check the print by', () => {
    const drawn = shapes({
      cutOut: { widthM: 0.12, heightM: 0.08, cornerM: 0.004 },
      outlet: { threadM: 0.04, holeM: 0.041 },
    });
    expect(drawn.find(({ type }) => type === 'rect')).toMatchObject({ w: mm(120), h: mm(80), r: mm(4) });
    expect(drawn.find(({ type }) => type === 'ellipse')).toMatchObject({ r1: expect.closeTo(mm(20.5), 6) });
    expect(drawn[0]).toMatchObject({ x1: 0, x2: mm(50) });
    // 72 points are an inch, 25.4 mm.
    expect(mm(25.4)).toBe(72);
  });

  it('is refused where nothing was measured, and where it is larger than the paper', () => {
    expect(of({}).because).toMatch(/Measure the panel/);
    expect(of({ cutOut: { widthM: 0.186, heightM: 0.1 } }).because).toBeNull();
    expect(of({ cutOut: { widthM: 0.1861, heightM: 0.1 } }).because).toMatch(/larger than the paper/);
    expect(of({ cutOut: { widthM: 0.1, heightM: 0.241 } }).because).toBeNull();
    expect(of({ cutOut: { widthM: 0.1, heightM: 0.2411 } }).because).toMatch(/larger than the paper/);
    expect(of({ cutOut: { widthM: 0.19, heightM: 0.1 } }, 'letter').because).toBeNull();
  });
});
