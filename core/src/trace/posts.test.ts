import { newCircuit, type Circuit, type Continuity } from '../job';
import { continuityBetween, panelPosts, switchFaults, type PanelPosts, type SwitchFault } from './panelPosts';
import { assignmentsOf, PostIdentifier, type Assignment, type PostReading } from './posts';

const battery = { id: 'house', name: 'House' };
const circuit = (panel: Circuit['panel'], scheme = 'three-way-float'): Circuit => ({
  ...newCircuit('main', 'Main', scheme, 'house'),
  ...(panel ? { panel } : {}),
});
const fuse = { kind: 'blade' as const, ratingA: 7.5 };
const posts = (count: number, panel: Circuit['panel'] = {}): PanelPosts => {
  const found = panelPosts(circuit(panel), battery, count);
  if (!found) throw new Error('No posts to tell apart.');
  return found;
};
const rolesOf = (panel: PanelPosts) => panel.roles.map(({ role }) => role);

/** Puts its questions to a panel wired in one way. @returns what it found, and after how many questions */
function dialogue(identifier: PostIdentifier, truth: Assignment, fault: SwitchFault | null = null) {
  const readings: PostReading[] = [];
  for (;;) {
    const found = identifier.after(readings);
    if (found.kind !== 'asking') return { found, count: readings.length };
    readings.push({ ...found.question, reads: identifier.reads(truth, found.question, fault) });
  }
}

describe('the posts of a panel', () => {
  it('are, in order, those of the switch, the light’s negative, the fuse, and spares', () => {
    expect(rolesOf(posts(3))).toEqual(['common', 'manual', 'auto']);
    expect(rolesOf(posts(7, { light: 'led', fuse }))).toEqual([
      'common',
      'manual',
      'auto',
      'lightNegative',
      'fuseIn',
      'fuseOut',
      'spare',
    ]);
    expect(rolesOf(posts(5, { fuse }))).toEqual(['common', 'manual', 'auto', 'fuseIn', 'fuseOut']);
    expect(rolesOf(posts(4, { light: 'led', lightWired: 'auto-to-manual' }))).toContain('spare');
    expect(posts(4, { fuse }).fuseToCommon).toBe(true);
    expect(posts(5, { fuse }).fuseToCommon).toBe(false);
    expect(posts(5, { light: 'led', fuse }).roles.map(({ terminal }) => terminal)).toEqual([
      'switch.common',
      'switch.manual',
      'switch.auto',
      'light.minus',
      'panel-fuse.source',
    ]);
  });

  it('are told apart from three to seven, on a switch with manual and auto', () => {
    for (const [count, there] of [
      [2, false],
      [3, true],
      [7, true],
      [8, false],
    ] as const)
      expect(panelPosts(circuit({}), battery, count) !== null).toBe(there);
    expect(panelPosts(circuit({}, 'plain-switch'), battery, 3)).toBeNull();
  });

  it.each<readonly [Parameters<typeof continuityBetween>[1], 'manual' | 'off' | 'auto', Continuity]>([
    [['common', 'manual'], 'manual', 'beeps'],
    [['common', 'manual'], 'auto', 'none'],
    [['common', 'auto'], 'auto', 'beeps'],
    [['common', 'auto'], 'off', 'none'],
    [['manual', 'auto'], 'manual', 'none'],
    // The filament reads from the manual post, and through the closed contact from the common.
    [['manual', 'lightNegative'], 'off', 'some'],
    [['common', 'lightNegative'], 'manual', 'some'],
    [['common', 'lightNegative'], 'off', 'none'],
    [['fuseIn', 'fuseOut'], 'off', 'beeps'],
    [['fuseIn', 'common'], 'manual', 'none'],
  ])('between %s with the lever at %s: %s', (pair, lever, reads) => {
    expect(continuityBetween(posts(6, { light: 'filament', fuse }), pair, lever)).toBe(reads);
  });

  it('three are found with three questions at most, 2.67 on average: no way takes fewer', () => {
    // Six ways; a question leaves 2 or 4; of 4 another leaves 2, or 1 and 3: 3, 3, 3, 3, 2, 2.
    const identifier = new PostIdentifier(posts(3));
    expect([identifier.ways, identifier.effort]).toEqual([
      6,
      { worst: 3, sum: 16, question: expect.any(Number) as number },
    ]);
  });

  it.each<readonly [string, number, Circuit['panel']]>([
    ['three', 3, {}],
    ['four, one a spare', 4, {}],
    ['four, a fuse within', 4, { fuse }],
    ['four with a filament', 4, { light: 'filament' }],
    ['five with a diode and a fuse', 5, { light: 'led', fuse }],
    ['five with a filament and a fuse', 5, { light: 'filament', fuse }],
    ['five with both lights', 5, { light: 'filament', armedLight: 'filament', fuse }],
    ['six', 6, { light: 'led', fuse }],
    ['seven with a filament', 7, { light: 'filament' }],
  ])('%s are found whichever way they are wired, by the questions foretold', (_name, count, panel) => {
    const of = posts(count, panel);
    const identifier = new PostIdentifier(of);
    let [worst, sum, ways] = [0, 0, 0];
    const seen = new Set<string>();
    const all = assignmentsOf(of);
    // Of many ways some, spread over all of them.
    const step = all.length > 200 ? 23 : 1;
    for (const truth of all.filter((_, at) => at % step === 0)) {
      const { found, count: questions } = dialogue(identifier, truth);
      if (found.kind !== 'found') throw new Error(found.kind);
      // What may be exchanged has the same roles between it.
      const alike = new Set(found.alike.flat());
      truth.forEach((role, at) => {
        if (!alike.has(at)) expect(found.assignment[at]).toBe(role);
      });
      for (const group of found.alike) {
        const told = (assignment: Assignment) => group.map((at) => assignment[at]).sort();
        expect(told(found.assignment)).toEqual(told(truth));
      }
      const key = found.assignment.join();
      if (!seen.has(key)) [ways, sum, worst] = [ways + 1, sum + questions, Math.max(worst, questions)];
      seen.add(key);
    }
    const { effort } = identifier;
    if (step === 1) expect([ways, worst, sum]).toEqual([identifier.ways, effort.worst, effort.sum]);
    else expect(worst).toBeLessThanOrEqual(effort.worst);
    // With clip leads no more than the bound of any questions by yes and no.
    if (identifier.clips) expect(worst).toBeLessThanOrEqual(Math.ceil(Math.log2(identifier.ways)));
  });

  it.each<readonly [number, Circuit['panel']]>([
    [4, {}],
    [4, { light: 'led', fuse }],
    [5, { light: 'filament', fuse }],
    [5, { light: 'led', fuse }],
  ])('%i of %j take no more in the worst case than by searching every order to the end', (count, panel) => {
    const [quick, whole] = [
      new PostIdentifier(posts(count, panel)),
      new PostIdentifier(posts(count, panel), false, 120),
    ];
    expect(quick.effort.worst).toBe(whole.effort.worst);
    expect(quick.effort.sum / whole.effort.sum).toBeLessThanOrEqual(1.01);
  });

  it('takes the ends of a fuse for either, and says so', () => {
    const truth: Assignment = ['fuseOut', 'auto', 'common', 'manual', 'fuseIn'];
    const { found } = dialogue(new PostIdentifier(posts(5, { fuse })), truth);
    expect(found).toMatchObject({ kind: 'found', alike: [[0, 4]] });
  });

  it.each(Object.keys(switchFaults) as SwitchFault[])(
    'never takes a switch for sound that reads as with %s',
    (fault) => {
      const of = posts(5, { light: 'filament', fuse });
      const identifier = new PostIdentifier(of);
      const all: PostReading[] = [];
      const truth: Assignment = ['auto', 'common', 'fuseIn', 'manual', 'lightNegative'];
      // Every test there is: what a sound switch could read as well is no fault of this one.
      for (const lever of ['manual', 'off', 'auto'] as const)
        for (let a = 0; a < 5; a += 1)
          for (let b = a + 1; b < 5; b += 1) {
            const question = { a: [a], b: [b], lever };
            all.push({ ...question, reads: identifier.reads(truth, question, fault) });
          }
      const found = identifier.after(all);
      if (found.kind !== 'faulty') throw new Error(found.kind);
      expect(found.faults.map((one) => one.fault)).toContain(fault);
    },
  );
});
