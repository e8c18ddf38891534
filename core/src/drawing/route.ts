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
/** More than any way costs, and with a way's cost still a whole number of 32 bits. */
const BLOCKED = 0x3fffffff;

/** Bits of a cell in use. */
const USED = { across: 1, upAndDown: 2, bendOrEnd: 4 };

/**
 * A field of grid cells with what stands in them, in which conductors find their way. A rim of blocked cells lies around it, so
 * that no step need ask whether it leads out.
 */
export class RoutingField {
  private readonly columns: number;
  private readonly rows: number;
  private readonly blocked: Uint8Array;
  private readonly wordy: Uint8Array;
  private readonly used: Uint8Array;
  /** By state, that is cell and direction of travel: the least cost found, and the state before it. */
  private readonly costs: Int32Array;
  private readonly cameFrom: Int32Array;
  /** What each direction adds to the number of a cell. */
  private readonly onward: Int32Array;

  /** @param strip width of the bands' names at the left, where a conductor runs only if it must */
  constructor(width: number, height: number, parts: readonly PlacedPart[], strip: number) {
    this.columns = Math.ceil(width / GRID) + 3;
    this.rows = Math.ceil(height / GRID) + 3;
    const cells = this.columns * this.rows;
    this.blocked = new Uint8Array(cells);
    this.wordy = new Uint8Array(cells);
    this.used = new Uint8Array(cells);
    this.costs = new Int32Array(cells * 4);
    this.cameFrom = new Int32Array(cells * 4);
    this.onward = Int32Array.from(steps, ([, dx, dy]) => dy * this.columns + dx);
    for (let x = 0; x < this.columns; x += 1) this.blocked[x] = this.blocked[cells - 1 - x] = 1;
    for (let y = 0; y < this.rows; y += 1)
      this.blocked[y * this.columns] = this.blocked[(y + 1) * this.columns - 1] = 1;
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
      cells.map((cell) => ({
        x: ((cell % this.columns) - 1) * GRID,
        y: (Math.floor(cell / this.columns) - 1) * GRID,
      })),
    );
  }

  private cellOf({ x, y }: Point): number {
    return (Math.round(y / GRID) + 1) * this.columns + Math.round(x / GRID) + 1;
  }

  /** Dijkstra over (cell, direction of travel). The field is small enough not to need a guess at the distance. */
  private search(from: Port, to: Port): number[] | null {
    const start = this.cellOf(from);
    const goal = this.cellOf(to);
    const { costs, cameFrom } = this;
    costs.fill(BLOCKED);
    cameFrom.fill(-1);
    const queue = new BucketQueue();
    steps.forEach(([direction], index) => {
      if (from.leaves === 'any' || from.leaves === direction) {
        // From a post that may be left any way, a conductor goes on down its lane where that is as good.
        const cost = from.leaves === 'any' && index >= 2 ? COST.sideways : 0;
        costs[start * 4 + index] = cost;
        queue.push(start * 4 + index, cost);
      }
    });
    const { leaves } = to;
    const arrives = leaves === 'any' ? -1 : steps.findIndex(([direction]) => direction === opposite[leaves]);
    for (let state = queue.pop(); state !== undefined; state = queue.pop()) {
      const cell = state >> 2;
      const travelling = state & 3;
      if (cell === goal && (arrives < 0 || arrives === travelling)) return this.wayTo(state);
      const here = costs[state] ?? BLOCKED;
      // A cheaper way to it was found after it was put in the queue, and taken from it before.
      if (here < queue.cost) continue;
      for (let direction = 0; direction < 4; direction += 1) {
        if (direction === (travelling ^ 1) || (cell === start && direction !== travelling)) continue;
        const next = cell + (this.onward[direction] ?? 0);
        const cost = here + this.costOf(cell, next, travelling, direction, goal);
        const nextState = next * 4 + direction;
        if (cost < (costs[nextState] ?? 0)) {
          costs[nextState] = cost;
          cameFrom[nextState] = state;
          queue.push(nextState, cost);
        }
      }
    }
    return null;
  }

  /** What a step costs; a table or a list here would be made some hundred thousand times a drawing. */
  private costOf(cell: number, next: number, travelling: number, direction: number, goal: number): number {
    const { used } = this;
    const along = direction < 2 ? USED.upAndDown : USED.across;
    const there = used[next] ?? 0;
    if (next !== goal && (this.blocked[next] === 1 || (there & (along | USED.bendOrEnd)) > 0)) return BLOCKED;
    const bends = travelling !== direction;
    // A conductor may not bend on top of one that it crosses.
    if (bends && (used[cell] ?? 0) > 0) return BLOCKED;
    const aside = direction < 2 ? 1 : this.columns;
    const beside = (((used[next + aside] ?? 0) | (used[next - aside] ?? 0)) & along) > 0;
    return (
      COST.step +
      (bends ? COST.bend : 0) +
      (there > 0 && next !== goal ? COST.cross : 0) +
      (beside ? COST.beside : 0) +
      (this.wordy[next] === 1 ? COST.words : 0)
    );
  }

  private wayTo(state: number): number[] {
    const cells: number[] = [];
    for (let at = state; at >= 0; at = this.cameFrom[at] ?? -1) cells.push(at >> 2);
    return cells.reverse();
  }

  private take(cells: readonly number[]): void {
    cells.forEach((cell, index) => {
      const before = cells[index - 1];
      const after = cells[index + 1];
      const axis = (other: number | undefined) =>
        other === undefined ? 0 : Math.abs(other - cell) === 1 ? USED.across : USED.upAndDown;
      const mask = axis(before) | axis(after);
      const turns = mask === (USED.across | USED.upAndDown);
      const endsOrBends = turns || before === undefined || after === undefined ? USED.bendOrEnd : 0;
      this.used[cell] = (this.used[cell] ?? 0) | mask | endsOrBends;
    });
  }

  private mark(field: Uint8Array, box: Box): void {
    const [inX, inY] = [this.columns - 2, this.rows - 2];
    for (let y = Math.max(0, Math.ceil(box.y / GRID)); y < inY && y * GRID <= box.y + box.height; y += 1) {
      for (let x = Math.max(0, Math.ceil(box.x / GRID)); x < inX && x * GRID <= box.x + box.width; x += 1)
        field[(y + 1) * this.columns + x + 1] = 1;
    }
  }
}

/** States in order of cost; costs are whole numbers, so a list for each cost will do. */
class BucketQueue {
  private readonly buckets: number[][] = [];
  private at = 0;

  /** What the state that was taken last costs. */
  get cost(): number {
    return this.at;
  }

  push(state: number, cost: number): void {
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
