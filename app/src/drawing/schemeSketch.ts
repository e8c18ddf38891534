import { outlinePlan, type ConductorColour, type Plan } from '@harbor-latch/core/schemes/index';
import { newCircuit } from '@harbor-latch/core/job/index';
import type { Part } from '@harbor-latch/core/circuit/index';
import type { Point } from '@harbor-latch/core/drawing/geometry';

/** What is drawn of a scheme in a list: what stands in source, panel and bilge, and what runs between them. */
export interface SchemeSketch {
  readonly marks: readonly SketchMark[];
  readonly lines: readonly SketchLine[];
}

export interface SketchMark extends Point {
  readonly part: Part;
}

export interface SketchLine {
  readonly points: readonly Point[];
  readonly colour: ConductorColour;
}

export const SKETCH = { width: 208, height: 68, panelX: 60, bilgeX: 134 } as const;

const SUPPLY_Y = 26;
const BACK_Y = 60;
/** Where conductors from the panel cross into the bilge, the first above the others. */
const FIRST_CROSSING_Y = 10;
const CROSSING_STEP = 16;
/** Beyond the feed's own block, where no part stands. */
const FEED_X = 66;

/** Places of a band's parts, in the order of the plan; a fifth has no room and is left out. */
const spots: Readonly<Record<'source' | 'panel' | 'bilge', readonly Point[]>> = {
  source: [
    { x: 16, y: SUPPLY_Y },
    { x: 42, y: SUPPLY_Y },
  ],
  panel: [
    { x: 84, y: SUPPLY_Y },
    { x: 114, y: FIRST_CROSSING_Y },
    { x: 114, y: 44 },
    { x: 84, y: 52 },
  ],
  bilge: [
    { x: 158, y: FIRST_CROSSING_Y + CROSSING_STEP },
    { x: 188, y: SUPPLY_Y },
  ],
};

/** Parts that are no more than a place where conductors meet. */
const untold: ReadonlySet<Part['kind']> = new Set(['joint', 'negative-bus', 'diode', 'meter']);

function marksOf(plan: Plan): SketchMark[] {
  return (['source', 'panel', 'bilge'] as const).flatMap((band) => {
    const told = plan.parts.filter((one) => one.band === band && !untold.has(one.part.kind)).map(({ part }) => part);
    // What the contacts switch stands where the conductor to the pump begins.
    const relay = told.findIndex(({ kind }) => kind === 'relay');
    const inTurn = relay > 1 ? [told[0], told[relay], ...told.filter((_, at) => at !== 0 && at !== relay)] : told;
    // A pump alone stands where a pump stands.
    const places =
      band === 'bilge' && told.length === 1 && told[0]?.kind === 'pump' ? spots.bilge.slice(1) : spots[band];
    return inTurn.flatMap((part, index) => {
      const at = places[index];
      return part && at ? [{ ...at, part }] : [];
    });
  });
}

/** The part that a conductor leads to, through joints and a part's own leads. */
function reached(plan: Plan, start: string, marks: readonly SketchMark[]): SketchMark | undefined {
  const seen = new Set<string>();
  const open = [start];
  for (let id = open.shift(); id !== undefined; id = open.shift()) {
    const mark = marks.find(({ part }) => part.id === id);
    if (mark) return mark;
    seen.add(id);
    for (const { from, to } of plan.existing) {
      const next = from.part === id ? to.part : to.part === id ? from.part : undefined;
      if (next !== undefined && !seen.has(next)) open.push(next);
    }
  }
  return undefined;
}

/** The sketch of a scheme: made of its plan alone, so that a new scheme has one. */
export function schemeSketch(scheme: string): SchemeSketch {
  const plan = outlinePlan(newCircuit('sketch', '', scheme, 'battery'), { id: 'battery', name: '' });
  const marks = marksOf(plan);
  const markOf = (id: string) => reached(plan, id, marks);
  const battery = marks.find(({ part }) => part.kind === 'battery');
  const crossing = plan.conductors.filter(({ leg }) => leg === 'panelToBilge');
  const across = crossing.flatMap(({ from, to, colour }, index): SketchLine[] => {
    const y = FIRST_CROSSING_Y + index * CROSSING_STEP;
    const [start, end] = [markOf(from.part), markOf(to.part)];
    const fromX = start?.x ?? FEED_X;
    const fromY = start?.y ?? SUPPLY_Y;
    const toX = end?.x ?? SKETCH.width;
    return [
      {
        points: [
          { x: fromX, y: fromY },
          { x: fromX, y },
          { x: toX, y },
          { x: toX, y: end?.y ?? y },
        ],
        colour,
      },
    ];
  });
  const [float, pump] = marks.filter(({ x }) => x > SKETCH.bilgeX);
  const auto = crossing.find(({ role }) => role === 'auto')?.colour;
  const between = float && pump && auto ? [{ points: [float, pump], colour: auto }] : [];
  const feed = plan.conductors.find(({ leg, role }) => leg === 'sourceToPanel' && role === 'supply');
  const panel = marks.find(({ x }) => x > SKETCH.panelX && x < SKETCH.bilgeX);
  const supply =
    battery && feed && panel ? [{ points: [battery, { x: panel.x, y: SUPPLY_Y }], colour: feed.colour }] : [];
  const back = plan.conductors.find(({ leg }) => leg === 'bilgeToNegative');
  const end = back && markOf(back.from.part);
  const home =
    battery && back && end
      ? [{ points: [end, { x: end.x, y: BACK_Y }, { x: battery.x, y: BACK_Y }, battery], colour: back.colour }]
      : [];
  return { marks, lines: [...home, ...supply, ...across, ...between] };
}
