import fc from 'fast-check';
import { placeLabels } from './sideLabels';

test('labels at the side never touch, keep their order and stay near what they name', () => {
  fc.assert(
    fc.property(fc.array(fc.double({ min: 0, max: 300, noNaN: true }), { maxLength: 12 }), (heights) => {
      const placed = placeLabels(
        heights.map((at, index) => ({ id: String(index), at, words: '' })),
        18,
        10,
        310,
      );
      placed.forEach((label, index) => {
        const before = placed[index - 1];
        if (!before) return;
        expect(label.y - before.y).toBeGreaterThanOrEqual(18 - 1e-9);
        expect(label.at).toBeGreaterThanOrEqual(before.at);
      });
      if (heights.length === 1) expect(placed[0]?.y).toBeCloseTo(Math.max(10, heights[0] ?? 0), 9);
    }),
  );
});
