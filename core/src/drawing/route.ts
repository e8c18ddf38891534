import { GRID, type DiagramWire, type PlacedPart } from './diagram';
import { grown, type Box, type Point } from './geometry';
import { shapeOf, type Direction, type Port } from './symbols';

const steps: readonly (readonly [Direction, number, number])[] = [
  ['up', 0, -1],
  ['down', 0, 1],
  ['left', -1, 0],
  ['right', 1, 0],
];
const opposite: Readonly<Record<Direction, Direction>> = { up: 'down', down: 'up', left: 'right', right: 'left' };

const COST = { step: 1, bend: 5, cross: 12, beside: 6, words: 40, sideways: 3 };
const BLOCKED = Infinity;

/** A field of grid cells with what stands in them, in which conductors find their way. */
export class RoutingField {
  private readonly columns: number;
  private readonly rows: number;
  private readonly blocked: Uint8Array;
  private readonly wordy: Uint8Array;
  /** Bit 1: a conductor runs across here, bit 2: up and down, bit 4: it bends or ends. */
  private readonly used: Uint8Array;

  /** @param strip width of the bands' names at the left, where a conductor runs only if it must */
  constructor(width: number, height: number, parts: readonly PlacedPart[], strip: number) {
    this.columns = Math.ceil(width / GRID) + 1;
    this.rows = Math.ceil(height / GRID) + 1;
    const cells = this.columns * this.rows;
    this.blocked = new Uint8Array(cells);
    this.wordy = new Uint8Array(cells);
    this.used = new Uint8Array(cells);
    this.mark(this.wordy, { x: 0, y: 0, width: strip, height });
    for (const part of parts) {
      this.mark(this.blocked, grown(part.box, -1));
      this.mark(this.wordy, part.wordsBox);
    }
  }

  /** Finds the way with fewest bends and crossings and takes its cells. @returns null when there is none. */
  route(wire: DiagramWire, parts: ReadonlyMap<string, PlacedPart>): Point[] | null {
    const from = portAt(wire.from, parts);
    const to = portAt(wire.to, parts);
    if (!from || !to) return null;
    const cells = this.search(from, to);
    if (!cells) return null;
    this.take(cells);
    return corners(
      cells.map((cell) => ({ x: (cell % this.columns) * GRID, y: Math.floor(cell / this.columns) * GRID })),
    );
  }

  private cellOf({ x, y }: Point): number {
    return Math.round(y / GRID) * this.columns + Math.round(x / GRID);
  }

  /** Dijkstra over (cell, direction of travel). The field is small enough not to need a guess at the distance. */
  private search(from: Port, to: Port): number[] | null {
    const start = this.cellOf(from);
    const goal = this.cellOf(to);
    const costs = new Float64Array(this.blocked.length * 4).fill(Infinity);
    const cameFrom = new Int32Array(this.blocked.length * 4).fill(-1);
    const queue = new BucketQueue();
    steps.forEach(([direction], index) => {
      if (from.leaves === 'any' || from.leaves === direction) {
        // From a post that may be left any way, a conductor goes on down its lane where that is as good.
        const cost = from.leaves === 'any' && index >= 2 ? COST.sideways : 0;
        costs[start * 4 + index] = cost;
        queue.push(start * 4 + index, cost);
      }
    });
    for (let state = queue.pop(); state !== undefined; state = queue.pop()) {
      const cell = state >> 2;
      const travelling = state & 3;
      if (cell === goal && (to.leaves === 'any' || opposite[to.leaves] === steps[travelling]?.[0]))
        return this.wayTo(state, cameFrom);
      const here = costs[state] ?? Infinity;
      steps.forEach(([, dx, dy], index) => {
        if (index === (travelling ^ 1)) return;
        if (cell === start && index !== travelling) return;
        const next = this.neighbour(cell, dx, dy);
        if (next < 0) return;
        const cost = here + this.costOf(cell, next, travelling, index, goal);
        const nextState = next * 4 + index;
        if (cost < (costs[nextState] ?? Infinity)) {
          costs[nextState] = cost;
          cameFrom[nextState] = state;
          queue.push(nextState, cost);
        }
      });
    }
    return null;
  }

  private neighbour(cell: number, dx: number, dy: number): number {
    const x = (cell % this.columns) + dx;
    const y = Math.floor(cell / this.columns) + dy;
    return x < 0 || y < 0 || x >= this.columns || y >= this.rows ? -1 : y * this.columns + x;
  }

  private costOf(cell: number, next: number, travelling: number, direction: number, goal: number): number {
    if (next !== goal && this.blocked[next]) return BLOCKED;
    const along = direction < 2 ? 2 : 1;
    const there = this.used[next] ?? 0;
    if (next !== goal && (there & along || there & 4)) return BLOCKED;
    const bend = travelling === direction ? 0 : COST.bend;
    // A conductor may not bend on top of one that it crosses.
    if (bend > 0 && (this.used[cell] ?? 0) > 0) return BLOCKED;
    const side =
      direction < 2
        ? [this.neighbour(next, 1, 0), this.neighbour(next, -1, 0)]
        : [this.neighbour(next, 0, 1), this.neighbour(next, 0, -1)];
    const beside = side.some((cellBeside) => cellBeside >= 0 && ((this.used[cellBeside] ?? 0) & along) > 0)
      ? COST.beside
      : 0;
    return (
      COST.step + bend + (there > 0 && next !== goal ? COST.cross : 0) + beside + (this.wordy[next] ? COST.words : 0)
    );
  }

  private wayTo(state: number, cameFrom: Int32Array): number[] {
    const cells: number[] = [];
    for (let at = state; at >= 0; at = cameFrom[at] ?? -1) cells.push(at >> 2);
    return cells.reverse();
  }

  private take(cells: readonly number[]): void {
    cells.forEach((cell, index) => {
      const before = cells[index - 1];
      const after = cells[index + 1];
      const axis = (other: number | undefined) => (other === undefined ? 0 : Math.abs(other - cell) === 1 ? 1 : 2);
      const mask = axis(before) | axis(after);
      const endsOrBends = mask === 3 || before === undefined || after === undefined ? 4 : 0;
      this.used[cell] = (this.used[cell] ?? 0) | mask | endsOrBends;
    });
  }

  private mark(field: Uint8Array, box: Box): void {
    for (let y = Math.ceil(box.y / GRID); y * GRID <= box.y + box.height; y += 1) {
      for (let x = Math.ceil(box.x / GRID); x * GRID <= box.x + box.width; x += 1) {
        if (x >= 0 && y >= 0 && x < this.columns && y < this.rows) field[y * this.columns + x] = 1;
      }
    }
  }
}

/** States in order of cost; costs are whole numbers, so a list for each cost will do. */
class BucketQueue {
  private readonly buckets: number[][] = [];
  private at = 0;

  push(state: number, cost: number): void {
    if (!Number.isFinite(cost)) return;
    (this.buckets[cost] ??= []).push(state);
  }

  pop(): number | undefined {
    while (this.at < this.buckets.length) {
      const state = this.buckets[this.at]?.pop();
      if (state !== undefined) return state;
      this.at += 1;
    }
    return undefined;
  }
}

function portAt(end: DiagramWire['from'], parts: ReadonlyMap<string, PlacedPart>): Port | null {
  const part = parts.get(end.part);
  const port = part && shapeOf(part.part, { laneStep: part.laneStep }).ports[end.terminal];
  return part && port ? { x: part.at.x + port.x, y: part.at.y + port.y, leaves: port.leaves } : null;
}

/** Only the points where the line turns. */
function corners(points: readonly Point[]): Point[] {
  return points.filter((point, index) => {
    const before = points[index - 1];
    const after = points[index + 1];
    if (!before || !after) return true;
    return (before.x !== point.x || after.x !== point.x) && (before.y !== point.y || after.y !== point.y);
  });
}
