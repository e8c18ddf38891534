import { assess } from '../assess';
import { readJob } from '../file';
import { newCircuit, newJob, type Circuit, type Job } from '../job';
import { schemeKeys } from '../schemes';
import alderWren from '../../../examples/alder-wren.json';
import lowSamphire from '../../../examples/low-samphire.json';
import pinnock from '../../../examples/pinnock.json';
import { circuitDiagram } from './circuitDiagram';
import { WORD_SIZE, type Drawing } from './diagram';
import { aroundSegment, overlaps, segments } from './geometry';
import { LEAST_WIDTH, layoutDiagram } from './layout';
import { textWidth } from './textWidth';

function jobFrom(data: unknown): Job {
  const read = readJob(data);
  if (!read.ok) throw new Error(read.problems[0].message);
  return read.job;
}

const longName = 'Battery of the forward house bank under the starboard saloon seat, isolated separately';
const openSurvey: Job = {
  ...newJob({ boatId: '6d1f0f6e-0d5c-4a55-9a0e-000000000000', batteryId: 'house' }, 'Tern'),
  batteries: [{ id: 'house', name: longName }],
  circuits: [newCircuit('main', 'Main', 'three-way-float', 'house')],
};

const measured = { sourceToPanel: { lengthM: 3 }, panelToBilge: { lengthM: 5 }, bilgeToNegative: { lengthM: 5 } };
const surveyed = (id: string, scheme: Circuit['scheme'], more: Partial<Circuit>): Circuit => ({
  ...newCircuit(id, id, scheme, 'house'),
  legs: measured,
  pump: { currentA: 5 },
  ...more,
});
const variants: Job = {
  ...openSurvey,
  circuits: [
    surveyed('plain', 'plain-switch', {}),
    surveyed('plain-lit', 'plain-switch', { panel: { light: 'led' }, source: { feed: 'isolator' } }),
    surveyed('lit', 'three-way-float', { panel: { light: 'filament' } }),
    surveyed('all', 'three-way-float', {
      source: { feed: 'isolator', mainFuse: { kind: 'cubeAtBattery', ratingA: 30 } },
      panel: { light: 'led', tapFuseA: 1, fuse: { kind: 'blade', ratingA: 7.5 } },
      pump: { currentA: 5, leads: { lengthM: 0.15, size: '16 AWG' } },
    }),
    ...schemeKeys.map((scheme) => surveyed(`s-${scheme.slice(0, 9)}`, scheme, {})),
    ...schemeKeys.map((scheme) =>
      surveyed(`a-${scheme.slice(0, 9)}`, scheme, {
        panel: {
          light: 'led',
          armedLight: 'led',
          tapFuseA: 1,
          legFuses: { kind: 'blade', manualA: 7.5, autoA: 7.5 },
          fuse: { kind: 'blade', ratingA: 7.5 },
        },
      }),
    ),
    surveyed('posts', 'three-way-float', { panel: { light: 'led', lightWired: 'auto-to-manual' } }),
    surveyed('alarm-two', 'backup-alarm', { alarm: { alsoFrom: 'leader' } }),
    surveyed('leader', 'three-way-float', {}),
    surveyed('follower', 'plain-switch', { sharesFeedWith: 'leader' }),
  ],
};

const jobs: readonly (readonly [string, Job])[] = [
  ['Alder Wren', jobFrom(alderWren)],
  ['Low Samphire', jobFrom(lowSamphire)],
  ['Pinnock', jobFrom(pinnock)],
  ['an open survey with a long name', openSurvey],
  ['the variants', variants],
];
const cases = jobs.flatMap(([name, job]) =>
  [LEAST_WIDTH, 390, 430, 560].flatMap((width) =>
    assess(job).map((assessed, index) => ({
      name: `${name}, ${assessed.circuit.id.length < 12 ? assessed.circuit.id : index + 1}, ${width} px`,
      job,
      assessed,
      width,
    })),
  ),
);

const drawn = ({ job, assessed, width }: (typeof cases)[number]): Drawing => {
  const battery = job.batteries.find(({ id }) => id === assessed.circuit.batteryId);
  if (!battery) throw new Error('no battery');
  return layoutDiagram(circuitDiagram(assessed, battery, 'metric'), width);
};

describe.each(cases.map((one) => [one.name, one] as const))('the drawing of %s', (_name, one) => {
  const drawing = drawn(one);
  const labels = [
    ...drawing.parts.filter(({ words }) => words.length > 0).map(({ wordsBox }) => wordsBox),
    ...drawing.wires.flatMap(({ wordsBox }) => (wordsBox ? [wordsBox] : [])),
  ];

  it('has a place for every word and a way for every conductor', () => {
    expect(drawing.crowded).toEqual([]);
    expect(drawing.wires.every(({ points }) => points.length >= 2)).toBe(true);
  });

  it('stays within its width', () => {
    expect(drawing.width).toBeLessThanOrEqual(one.width);
    for (const box of labels) expect([box.x >= 0, box.x + box.width <= drawing.width]).toEqual([true, true]);
  });

  it('puts no words on words', () => {
    labels.forEach((box, index) => {
      for (const other of labels.slice(index + 1)) expect(overlaps(box, other)).toBe(false);
    });
  });

  it('puts no words on a conductor', () => {
    const run = drawing.wires.flatMap(({ id, points }) =>
      segments(points).flatMap(([a, b]) => (labels.some((box) => overlaps(box, aroundSegment(a, b, 2))) ? [id] : [])),
    );
    expect(run).toEqual([]);
  });

  it('writes on no conductor what is written on a cable', () => {
    for (const { words, wordsAt } of drawing.cables) {
      if (!wordsAt) continue;
      const wide = textWidth(words, WORD_SIZE);
      const box = { x: wordsAt.x - wide / 2, y: wordsAt.y - 7, width: wide, height: 14 };
      for (const { points } of drawing.wires) {
        for (const [a, b] of segments(points)) expect(overlaps(box, aroundSegment(a, b, 2))).toBe(false);
      }
      for (const other of labels) expect(overlaps(box, other)).toBe(false);
    }
  });

  it('runs its conductors level or upright, from terminal to terminal, never along each other', () => {
    const level = new Set<string>();
    for (const { points } of drawing.wires) {
      for (const [a, b] of segments(points)) {
        expect(a.x === b.x || a.y === b.y).toBe(true);
        const steps = (Math.abs(a.x - b.x) + Math.abs(a.y - b.y)) / 10;
        const [dx, dy] = [Math.sign(b.x - a.x), Math.sign(b.y - a.y)];
        for (let step = 0; step < steps; step += 1) {
          const piece = [
            a.x + dx * 10 * step,
            a.y + dy * 10 * step,
            a.x + dx * 10 * (step + 1),
            a.y + dy * 10 * (step + 1),
          ];
          const key = (dx + dy > 0 ? piece : [piece[2], piece[3], piece[0], piece[1]]).join(' ');
          expect(level.has(key)).toBe(false);
          level.add(key);
        }
      }
    }
  });
});

it('the stub, the feed and the conductors from the panel lie in their bands, from top to bottom', () => {
  const first = cases[1];
  if (!first) throw new Error('no case');
  const drawing = drawn(first);
  const depth = (id: string) => drawing.parts.find(({ part }) => part.id === id)?.at.y ?? NaN;
  const order = ['battery', 'fuse', 'switch', 'float', 'pump'].map(depth);
  expect(order).toEqual([...order].sort((a, b) => a - b));
  expect(drawing.bands.map(({ band }) => band)).toEqual(['source', 'panel', 'bilge']);
});
