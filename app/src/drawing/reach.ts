import type { Drawing } from '@harbor-latch/core/drawing/diagram';

/** Upper and lower edge of something drawn, from the top of the drawing, px. */
export interface Rows {
  readonly top: number;
  readonly bottom: number;
}

/** Where things of a drawing are. */
export interface Reach {
  /** Of parts and conductors together; null where none of them is drawn. */
  rowsOf(ids: readonly string[]): Rows | null;
}

/** @param scale of the drawing as it is shown */
export function rowsOf({ parts, wires }: Drawing, ids: readonly string[], scale: number): Rows | null {
  const ys = [
    ...parts.filter(({ part }) => ids.includes(part.id)).flatMap(({ box }) => [box.y, box.y + box.height]),
    ...wires.filter(({ id }) => ids.includes(id)).flatMap(({ points }) => points.map(({ y }) => y)),
  ];
  return ys.length === 0 ? null : { top: Math.min(...ys) * scale, bottom: Math.max(...ys) * scale };
}
