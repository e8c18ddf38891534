/** A label at the side of a drawing, joined to what it names. */
export interface SideLabel {
  readonly id: string;
  /** Height of what it names, px from the top. */
  readonly at: number;
  readonly words: string;
}

/** A label with the height at which it can stand without touching another, px. */
export interface PlacedLabel extends SideLabel {
  readonly y: number;
}

/**
 * Stands labels one under the other in the order of what they name, each as near
 * to it as the others let it, all within the sheet: neighbours that would touch
 * form a block, which lies at the mean of what its labels want.
 * @param gap least distance from one label to the next, px
 */
export function placeLabels(labels: readonly SideLabel[], gap: number, top: number, bottom: number): PlacedLabel[] {
  const sorted = [...labels].sort((one, other) => one.at - other.at);
  const blocks: { labels: SideLabel[]; first: number }[] = [];
  for (const label of sorted) {
    blocks.push({ labels: [label], first: label.at });
    for (;;) {
      const last = blocks[blocks.length - 1];
      const before = blocks[blocks.length - 2];
      if (!last || !before || before.first + before.labels.length * gap <= last.first) break;
      blocks.pop();
      before.labels.push(...last.labels);
      const wished = before.labels.reduce((sum, { at }, index) => sum + at - index * gap, 0);
      before.first = wished / before.labels.length;
    }
    const last = blocks[blocks.length - 1];
    if (last) last.first = Math.max(top, Math.min(last.first, bottom - (last.labels.length - 1) * gap));
  }
  const placed = blocks.flatMap(({ labels: own, first }) =>
    own.map((label, index) => ({ ...label, y: first + index * gap })),
  );
  // A block held at the foot may reach into the one above it.
  for (let index = placed.length - 2; index >= 0; index -= 1) {
    const [here, below] = [placed[index], placed[index + 1]];
    if (here && below && here.y > below.y - gap) placed[index] = { ...here, y: below.y - gap };
  }
  return placed;
}
