import { schemeKeys } from '../schemes/keys';
import { assessedOf } from '../trace/hunts.fixture';
import { besideTerminal, readIn } from './besideTerminal';
import { circuitDiagram } from './circuitDiagram';
import type { Drawing } from './diagram';
import { grown, overlaps, within, type Box } from './geometry';
import { LEAST_WIDTH, layoutDiagram } from './layout';
import { shapeOf } from './symbols';

const SIGN = 24;
const battery = { id: 'house', name: 'House' };
const drawn = schemeKeys.map((key): [string, Drawing] => [
  key,
  layoutDiagram(circuitDiagram(assessedOf(key), battery, 'metric'), LEAST_WIDTH),
]);

const terminals = (drawing: Drawing) =>
  drawing.parts.flatMap(({ part, laneStep, at }) =>
    Object.values(shapeOf(part, { laneStep }).ports).map((port) => ({ x: at.x + port.x, y: at.y + port.y })),
  );

describe.each(drawn)('a sign at any terminal of %s', (_key, drawing) => {
  it('lies within the drawing, on no word and not on the sign of another terminal', () => {
    const field = { x: 0, y: 0, width: drawing.width, height: drawing.height };
    const read = readIn(drawing);
    let other: Box[] = [];
    for (const at of terminals(drawing)) {
      const sign = besideTerminal(drawing, at, SIGN, other);
      expect(within(sign, field)).toBe(true);
      expect([...read, ...other].filter((box) => overlaps(sign, box))).toEqual([]);
      other = [sign];
    }
  });
});

it('what is to be read is all of it: the words of a switch’s positions too', () => {
  const drawing = new Map(drawn).get('three-way-float');
  if (!drawing) throw new Error('No such scheme.');
  const lever = drawing.parts.find(({ part }) => part.kind === 'three-way-switch');
  if (!lever) throw new Error('No switch.');
  const around = readIn(drawing).filter((box) => overlaps(grown(lever.box, 12), box));
  expect(around.length).toBeGreaterThanOrEqual(3);
});

describe('where no place is free', () => {
  const empty = (width: number, height: number): Drawing => ({
    width,
    height,
    bands: [],
    parts: [],
    wires: [],
    cables: [],
    crowded: [],
  });

  it('it stands up to the right', () => {
    expect(besideTerminal(empty(20, 20), { x: 10, y: 10 }, SIGN)).toEqual({ x: 20, y: -24, width: 24, height: 24 });
  });

  it('it may touch the drawing’s edge, and goes to the other side a pixel beyond it', () => {
    expect(besideTerminal(empty(134, 300), { x: 100, y: 100 }, SIGN).x).toBe(110);
    expect(besideTerminal(empty(133, 300), { x: 100, y: 100 }, SIGN).x).toBe(66);
  });
});
