import { judgeColour } from './colours';
import { built, byId } from './build.fixture';

const manual = { name: 'Manual positive', role: 'manual', colour: { base: 'brown' } } as const;
const negative = { name: 'Negative', role: 'negative', colour: { base: 'black' } } as const;

describe('insulation of another colour', () => {
  it.each([
    [manual, { base: 'black' }, true],
    [manual, { base: 'yellow' }, true],
    [manual, { base: 'green' }, true],
    [manual, { base: 'brown', stripe: 'yellow' }, true],
    [manual, { base: 'brown', stripe: 'red' }, false],
    [manual, { base: 'red' }, false],
    [manual, { base: 'blue' }, false],
    [negative, { base: 'red' }, true],
    [negative, { base: 'brown' }, true],
    [negative, { base: 'green' }, true],
    [negative, { base: 'yellow' }, false],
    [negative, { base: 'grey' }, false],
  ] as const)('%j in %j lies: %s', (conductor, taken, lies) => {
    expect(judgeColour(conductor, taken).lies).toBe(lies);
    // Banded it may stay, and the tape says what it is.
    const banded = judgeColour(conductor, { ...taken, banded: true });
    expect([banded.lies, banded.band]).toEqual([false, conductor.colour]);
    expect(banded.record).toMatch(/ in place of .*banded at both ends\.$/);
  });

  it('as planned needs no tape and no record', () => {
    expect(judgeColour(manual, { base: 'brown' })).toEqual({
      lies: false,
      message: 'As planned.',
      band: null,
      record: '',
    });
  });

  it('is in the list as it lies in the boat, with its tape; one that lies is refused in place', () => {
    const { conductors, problems, differences } = built('three-way-float', {
      colours: { auto: { base: 'blue' }, manual: { base: 'yellow' } },
    });
    expect(byId(conductors, 'auto')).toMatchObject({
      colour: { base: 'blue' },
      band: { base: 'brown', stripe: 'white' },
    });
    expect(problems).toEqual([
      { at: 'manual', refused: true, message: expect.stringContaining('Yellow is a negative') },
    ]);
    expect(differences).toEqual([
      'Auto positive: blue in place of brown with white stripe.',
      'Manual positive: yellow in place of brown.',
    ]);
  });
});
