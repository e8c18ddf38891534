import { iconsInUse, iconsShipped } from './icons';

test('the icons that are shipped are those that the sources name; after a change, run "npm run icons"', async () => {
  const [wanted, shipped] = [await iconsInUse(), iconsShipped()];
  expect(shipped.glyphs).toBe(wanted.glyphs);
  expect(shipped.font.equals(wanted.font)).toBe(true);
  // A font of all seven thousand is over a megabyte.
  expect(shipped.font.length).toBeLessThan(60_000);
});
