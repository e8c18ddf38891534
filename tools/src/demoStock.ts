import type { StockChange, StockEntry } from '@harbor-latch/core/wire/index';

const drum = (
  id: string,
  [size, colour]: readonly [string, string],
  metres: number,
  opened: string | null,
  place: string,
): StockChange => ({ kind: 'drum', drum: id, size, colour, insulationC: 105, metres, opened, place });

/** What lies in the van and on the shelf at Quillan Reach. */
const changes: readonly StockChange[] = [
  drum('d-10-red', ['10 AWG', 'red'], 25, null, 'store'),
  drum('d-10-red-end', ['10 AWG', 'red'], 4.2, '2026-02-11', 'van'),
  drum('d-10-brown', ['10 AWG', 'brown'], 7.5, '2026-01-20', 'van'),
  drum('d-10-black', ['10 AWG', 'black'], 25, '2026-03-04', 'van'),
  drum('d-16-black', ['16 AWG', 'black'], 30, '2025-11-17', 'van'),
  drum('d-16-brown-white', ['16 AWG', 'brown with white stripe'], 12, '2026-03-04', 'van'),
  drum('d-18-blue', ['18 AWG', 'blue'], 40, '2025-09-02', 'shelf'),
  drum('d-14-black-end', ['14 AWG', 'black'], 1.6, '2025-06-30', 'shelf'),
  drum('d-2x14', ['14 AWG', '2 cores, sheathed'], 18, '2026-04-09', 'store'),
  { kind: 'part', item: 'Blade fuse 7.5 A', quantity: 6, unit: 'piece' },
  { kind: 'part', item: 'Labels', quantity: 40, unit: 'piece' },
  { kind: 'part', item: 'Clips or ties', quantity: 100, unit: 'piece' },
  { kind: 'price', item: 'Bilge pump', each: 84 },
  { kind: 'price', item: 'Hinged float switch', each: 46.5 },
  { kind: 'labour', perHour: 58 },
];

/** The demo's stock as entries made on a device. @param at when they were made */
export function demoStock(at: Date): readonly StockEntry[] {
  return changes.map((change, index) => ({
    // Of version 7, in their own order, and before all that is made later.
    id: `018f0000-0000-7000-8000-${String(index + 1).padStart(12, '0')}`,
    at: at.toISOString(),
    by: 'Quillan Reach',
    change,
  }));
}
