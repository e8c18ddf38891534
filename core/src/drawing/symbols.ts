import type { Part } from '../circuit';
import type { Box, Point } from './geometry';

export type Direction = 'up' | 'down' | 'left' | 'right';

/** Where a conductor meets a symbol and which way it leaves; `any` for a joint's dot. */
export interface Port extends Point {
  readonly leaves: Direction | 'any';
}

/** A symbol's size about its anchor, its ports, and where its words go. */
export interface SymbolShape {
  readonly box: Box;
  readonly ports: Readonly<Record<string, Port>>;
  /** Place of the words: to the right of x, first line centred on y. */
  readonly words: Point;
}

/** What the shapes depend on: the distance between two lanes. */
export interface SymbolSpace {
  readonly laneStep: number;
}

type Shapes = { readonly [K in Part['kind']]: (part: Extract<Part, { kind: K }>, space: SymbolSpace) => SymbolShape };

/** Studs of a bus from the middle outwards to the left, then to the right. */
function studX(index: number): number {
  return [0, -10, 10, -20, 20][index % 5] ?? 0;
}

/** One entry a kind of part. Ports lie on the grid of 10 px. */
const shapes: Shapes = {
  battery: () => ({
    box: { x: -10, y: -20, width: 70, height: 40 },
    ports: { plus: { x: 0, y: 20, leaves: 'any' }, minus: { x: 60, y: 0, leaves: 'right' } },
    words: { x: -10, y: -44 },
  }),
  fuse: () => ({
    box: { x: -10, y: -20, width: 20, height: 40 },
    ports: { source: { x: 0, y: -20, leaves: 'up' }, load: { x: 0, y: 20, leaves: 'down' } },
    words: { x: 18, y: -8 },
  }),
  'negative-bus': (part) => ({
    box: { x: -20, y: -10, width: 40, height: 20 },
    ports: {
      main: { x: 0, y: -10, leaves: 'up' },
      ...Object.fromEntries(
        part.studs.map((stud, index) => [stud, { x: studX(index), y: 10, leaves: 'down' as const }]),
      ),
    },
    words: { x: -86, y: -8 },
  }),
  'three-way-switch': (_part, { laneStep }) => ({
    box: { x: -laneStep - 15, y: -40, width: 2 * laneStep + 60, height: 110 },
    ports: {
      common: { x: 0, y: -40, leaves: 'up' },
      manual: { x: -laneStep, y: 70, leaves: 'any' },
      auto: { x: laneStep, y: 70, leaves: 'any' },
    },
    words: { x: 14, y: -30 },
  }),
  'on-off-switch': ({ breaksAuto }) => ({
    box: { x: -20, y: -30, width: breaksAuto ? 70 : 40, height: 60 },
    ports: {
      in: { x: 0, y: -30, leaves: 'up' },
      out: { x: 0, y: 30, leaves: 'any' },
      ...(breaksAuto
        ? {
            'auto-in': { x: 30, y: -30, leaves: 'up' as const },
            'auto-out': { x: 30, y: 30, leaves: 'any' as const },
          }
        : {}),
    },
    words: { x: breaksAuto ? 56 : 26, y: -8 },
  }),
  isolator: () => ({
    box: { x: -20, y: -30, width: 40, height: 60 },
    ports: { battery: { x: 0, y: -30, leaves: 'up' }, load: { x: 0, y: 30, leaves: 'down' } },
    words: { x: 26, y: 0 },
  }),
  lamp: () => ({
    box: { x: -16, y: -20, width: 32, height: 40 },
    ports: { plus: { x: 0, y: -20, leaves: 'any' }, minus: { x: 0, y: 20, leaves: 'any' } },
    words: { x: 22, y: -8 },
  }),
  'shared-load': () => ({
    box: { x: -20, y: -30, width: 40, height: 60 },
    ports: { plus: { x: 0, y: -30, leaves: 'up' }, minus: { x: 0, y: 30, leaves: 'down' } },
    words: { x: 26, y: -8 },
  }),
  'float-switch': () => ({
    box: { x: -20, y: -30, width: 50, height: 60 },
    ports: { a: { x: 0, y: -30, leaves: 'up' }, b: { x: 0, y: 30, leaves: 'down' } },
    words: { x: 38, y: -8 },
  }),
  joint: (part) => ({
    box: { x: -6, y: -6, width: 12, height: 12 },
    ports: Object.fromEntries(part.ways.map((way) => [way, { x: 0, y: 0, leaves: 'any' as const }])),
    words: { x: 12, y: 14 },
  }),
  pump: ({ inside }) => ({
    box: { x: -30, y: -30, width: 60, height: 60 },
    ports: {
      plus: { x: 0, y: -30, leaves: 'up' },
      minus: { x: 0, y: 30, leaves: 'down' },
      ...(inside ? { auto: { x: 20, y: -30, leaves: 'up' as const } } : {}),
    },
    words: { x: 40, y: inside ? -4 : -16 },
  }),
  alarm: () => ({
    box: { x: -20, y: -30, width: 40, height: 60 },
    ports: { plus: { x: 0, y: -30, leaves: 'any' }, minus: { x: 0, y: 30, leaves: 'down' } },
    words: { x: 26, y: -8 },
  }),
  diode: () => ({
    box: { x: -12, y: -20, width: 24, height: 40 },
    ports: { anode: { x: 0, y: -20, leaves: 'up' }, cathode: { x: 0, y: 20, leaves: 'down' } },
    words: { x: 18, y: 0 },
  }),
  'probe-sensor': () => ({
    box: { x: -20, y: -30, width: 50, height: 60 },
    ports: {
      plus: { x: 0, y: -30, leaves: 'up' },
      out: { x: 0, y: 30, leaves: 'down' },
      minus: { x: 20, y: 30, leaves: 'down' },
    },
    words: { x: 36, y: -8 },
  }),
  'through-float': () => ({
    box: { x: -40, y: -30, width: 80, height: 60 },
    ports: {
      manual: { x: -30, y: -30, leaves: 'up' },
      supply: { x: 30, y: -30, leaves: 'up' },
      'pump-plus': { x: -20, y: 30, leaves: 'down' },
      'pump-minus': { x: 10, y: 30, leaves: 'down' },
      return: { x: 40, y: 0, leaves: 'right' },
    },
    words: { x: 46, y: -22 },
  }),
  relay: () => ({
    box: { x: -20, y: -40, width: 100, height: 80 },
    ports: {
      '30': { x: 0, y: -40, leaves: 'up' },
      '87': { x: 0, y: 40, leaves: 'any' },
      '87a': { x: -20, y: 0, leaves: 'left' },
      '86': { x: 60, y: -40, leaves: 'up' },
      '85': { x: 60, y: 40, leaves: 'down' },
    },
    words: { x: 86, y: -8 },
  }),
  neighbour: () => ({
    box: { x: -20, y: -30, width: 40, height: 60 },
    ports: {
      plus: { x: 0, y: -30, leaves: 'up' },
      post: { x: -20, y: 0, leaves: 'left' },
      minus: { x: 0, y: 30, leaves: 'down' },
    },
    words: { x: -96, y: -20 },
  }),
  meter: () => ({
    box: { x: -20, y: -20, width: 40, height: 40 },
    ports: { red: { x: 0, y: -20, leaves: 'up' }, black: { x: 0, y: 20, leaves: 'down' } },
    words: { x: 26, y: 0 },
  }),
};

/** The shape of a part's symbol. */
export function shapeOf(part: Part, space: SymbolSpace): SymbolShape {
  const shape = shapes[part.kind] as (part: Part, space: SymbolSpace) => SymbolShape;
  return shape(part, space);
}
