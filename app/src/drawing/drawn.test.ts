import { assess } from '@harbor-latch/core/assess/index';
import { boatWith } from '../testing/page.fixture';
import { Drawn } from './drawn';

const job = boatWith();
const assessedAt = (lengthM: number) => {
  const legs = { sourceToPanel: { lengthM }, panelToBilge: { lengthM: 5 }, bilgeToNegative: { lengthM: 5 } };
  const changed = boatWith({ legs });
  const [assessed] = assess(changed);
  if (!assessed) throw new Error('No circuit.');
  return { job: changed, assessed };
};
const wordsOf = (diagram: ReturnType<Drawn['diagram']>) => diagram.wires.flatMap(({ words }) => words).join(' ');

describe('drawings made last', () => {
  it('are the same object as long as they say the same, and laid out once a width', () => {
    const drawn = new Drawn();
    const [first, second] = [assessedAt(3), assessedAt(3)];
    const diagram = drawn.diagram(first.assessed, first.job, 'metric');
    expect(first.assessed).not.toBe(second.assessed);
    expect(drawn.diagram(second.assessed, second.job, 'metric')).toBe(diagram);
    expect(drawn.drawing(diagram, 380)).toBe(drawn.drawing(diagram, 380));
    expect(drawn.drawing(diagram, 560)).not.toBe(drawn.drawing(diagram, 380));
  });

  it('follow a change, and the one in other units', () => {
    const drawn = new Drawn();
    const [short, long] = [assessedAt(3), assessedAt(6)];
    const before = drawn.diagram(short.assessed, short.job, 'metric');
    const after = drawn.diagram(long.assessed, long.job, 'metric');
    expect(wordsOf(after)).not.toBe(wordsOf(before));
    expect(wordsOf(drawn.diagram(long.assessed, long.job, 'us'))).not.toBe(wordsOf(after));
  });

  it('are kept apart by what was made of them', () => {
    const drawn = new Drawn();
    const { assessed } = assessedAt(3);
    const plain = drawn.diagram(assessed, job, 'metric');
    const bare = drawn.diagram(assessed, job, 'metric', 'bare', (of) => ({ ...of, cables: [] }));
    expect([plain.cables.length > 0, bare.cables]).toEqual([true, []]);
    expect(drawn.diagram(assessed, job, 'metric')).toBe(plain);
  });
});
