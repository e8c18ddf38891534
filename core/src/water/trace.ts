import type { TracePiece } from './simQuestion';

/** Keeps a run thin enough to draw: it never feeds the sums. */
export class TraceKeeper {
  private readonly lows: Float64Array;
  private readonly highs: Float64Array;
  private readonly ends: Float64Array;
  private readonly charges: Float64Array;
  private readonly running: Float64Array[];

  constructor(
    private readonly pieces: number,
    private readonly seconds: number,
    pumps: number,
  ) {
    this.lows = new Float64Array(pieces).fill(Infinity);
    this.highs = new Float64Array(pieces).fill(-Infinity);
    this.ends = new Float64Array(pieces).fill(NaN);
    this.charges = new Float64Array(pieces).fill(NaN);
    this.running = Array.from({ length: pumps }, () => new Float64Array(pieces));
  }

  /** Adds a stretch over which the level went evenly from one height to another. */
  add(
    fromS: number,
    toS: number,
    fromM3: number,
    toM3: number,
    runs: readonly { readonly energised: boolean }[],
    charge: number,
  ): void {
    if (this.pieces === 0 || toS < fromS) return;
    const widthS = this.seconds / this.pieces;
    const first = Math.min(this.pieces - 1, Math.floor(fromS / widthS));
    const last = Math.min(this.pieces - 1, Math.floor(toS / widthS));
    const at = (time: number) => (toS > fromS ? fromM3 + ((toM3 - fromM3) * (time - fromS)) / (toS - fromS) : toM3);
    for (let piece = first; piece <= last; piece += 1) {
      const begins = Math.max(fromS, piece * widthS);
      const ends = Math.min(toS, (piece + 1) * widthS);
      const [one, other] = [at(begins), at(ends)];
      this.lows[piece] = Math.min(this.lows[piece] ?? Infinity, one, other);
      this.highs[piece] = Math.max(this.highs[piece] ?? -Infinity, one, other);
      this.ends[piece] = other;
      this.charges[piece] = charge;
      runs.forEach(({ energised }, pump) => {
        const row = this.running[pump];
        if (energised && row) row[piece] = (row[piece] ?? 0) + (ends - begins) / widthS;
      });
    }
  }

  /**
   * Adds cycles that come again to the last digit, without going through them.
   * @param shares share of a cycle that each pump ran
   */
  addCycles(
    fromS: number,
    toS: number,
    { lowM3, highM3, endM3 }: { readonly lowM3: number; readonly highM3: number; readonly endM3: number },
    shares: readonly number[],
    charges: readonly [from: number, to: number],
  ): void {
    if (this.pieces === 0 || toS <= fromS) return;
    const widthS = this.seconds / this.pieces;
    const first = Math.min(this.pieces - 1, Math.floor(fromS / widthS));
    const last = Math.min(this.pieces - 1, Math.floor(toS / widthS));
    for (let piece = first; piece <= last; piece += 1) {
      const begins = Math.max(fromS, piece * widthS);
      const ends = Math.min(toS, (piece + 1) * widthS);
      this.lows[piece] = Math.min(this.lows[piece] ?? Infinity, lowM3);
      this.highs[piece] = Math.max(this.highs[piece] ?? -Infinity, highM3);
      this.ends[piece] = endM3;
      this.charges[piece] = charges[0] + ((charges[1] - charges[0]) * (ends - fromS)) / (toS - fromS);
      shares.forEach((share, pump) => {
        const row = this.running[pump];
        if (row) row[piece] = (row[piece] ?? 0) + (share * (ends - begins)) / widthS;
      });
    }
  }

  /** The pieces, volumes turned to levels. */
  result(levelM: (volumeM3: number) => number): TracePiece[] {
    const widthS = this.seconds / Math.max(1, this.pieces);
    return Array.from({ length: this.pieces }, (_, piece) => piece)
      .filter((piece) => Number.isFinite(this.lows[piece]))
      .map((piece) => ({
        fromS: piece * widthS,
        toS: (piece + 1) * widthS,
        lowM: levelM(this.lows[piece] ?? 0),
        highM: levelM(this.highs[piece] ?? 0),
        endM: levelM(this.ends[piece] ?? 0),
        running: this.running.map((row) => Math.min(1, row[piece] ?? 0)),
        charge: this.charges[piece] ?? 0,
      }));
  }
}
