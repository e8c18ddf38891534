import { schemeKeys, schemeOf } from '@harbor-latch/core/schemes/index';
import { SKETCH, schemeSketch } from './schemeSketch';

describe('the sketch of a scheme', () => {
  it.each(schemeKeys)('%s: keeps its marks apart and everything in the picture', (scheme) => {
    const { marks, lines } = schemeSketch(scheme);
    for (const [index, one] of marks.entries())
      for (const other of marks.slice(index + 1))
        expect(Math.hypot(one.x - other.x, one.y - other.y)).toBeGreaterThan(22);
    for (const { x, y } of [...marks, ...lines.flatMap(({ points }) => points)]) {
      expect(x).toBeGreaterThanOrEqual(0);
      expect(x).toBeLessThanOrEqual(SKETCH.width);
      expect(y).toBeGreaterThanOrEqual(0);
      expect(y).toBeLessThanOrEqual(SKETCH.height);
    }
  });

  it.each(schemeKeys)(
    '%s: draws every conductor that is pulled to the bilge, and the pump where there is one',
    (scheme) => {
      const { marks, lines } = schemeSketch(scheme);
      const { legs, options } = schemeOf({ scheme });
      const cores = legs.find(({ key }) => key === 'panelToBilge')?.cores ?? 0;
      const crossing = lines.filter(
        ({ points }) =>
          points.length > 2 &&
          points.some(({ x }) => x < SKETCH.bilgeX && x > SKETCH.panelX) &&
          points.some(({ x }) => x > SKETCH.bilgeX),
      );
      expect(crossing).toHaveLength(cores);
      expect(marks.some(({ part }) => part.kind === 'pump')).toBe(options.includes('pump'));
    },
  );

  it('is another for each scheme', () => {
    const seen = schemeKeys.map((scheme) => {
      const { marks, lines } = schemeSketch(scheme);
      return JSON.stringify([marks.map(({ part: { id: _id, ...part }, x, y }) => [part, x, y]), lines]);
    });
    expect(new Set(seen).size).toBe(schemeKeys.length);
  });
});
