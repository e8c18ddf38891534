import { fileOf, latch, refusal } from './latch.fixture';

describe('diagnose', () => {
  const wren = ['examples/pinnock.json', '--circuit', 'b1770000-3e4e-4c1a-9b0a-0000000000c1'] as const;

  it('lists what can be stated of a circuit', async () => {
    const { status, stdout } = await latch('diagnose', ...wren, '--symptoms');
    expect(status).toBe(0);
    const { symptoms } = JSON.parse(stdout) as { symptoms: { code: string }[] };
    expect(symptoms.map(({ code }) => code)).toContain('auto-dead');
  });

  it('says what is likely wrong and what to test next, and takes readings', async () => {
    const first = await latch('diagnose', ...wren, '--symptom', 'auto-dead', '--access', 'hard');
    const begun = JSON.parse(first.stdout) as {
      suspects: { share: number }[];
      other: number;
      next: { test: string; outcomes: { reads: string }[] }[];
      expectedMinutes: number;
      textbookMinutes: number;
    };
    expect(begun.suspects.reduce((sum, { share }) => sum + share, begun.other)).toBeCloseTo(1, 6);
    expect(begun.expectedMinutes).toBeLessThanOrEqual(begun.textbookMinutes);
    const [next] = begun.next;
    const readings = fileOf('readings.json', JSON.stringify([{ test: next?.test, outcome: next?.outcomes[0]?.reads }]));
    const then = JSON.parse(
      (await latch('diagnose', ...wren, '--symptom', 'auto-dead', '--access', 'hard', '--readings', readings)).stdout,
    ) as { suspects: { share: number; because: string }[] };
    expect(then.suspects[0]?.share).toBeGreaterThan(begun.suspects[0]?.share ?? 1);
    expect(then.suspects[0]?.because).toContain('Read:');
  });

  it('gives model and tree for whoever wants to walk it himself', async () => {
    const model = JSON.parse((await latch('diagnose', ...wren, '--symptom', 'no-water', '--model')).stdout) as {
      start: string;
      hypotheses: { id: string; repair: string }[];
      tests: { id: string; outcomes: Record<string, string> }[];
    };
    type Tree = { test: string; branches: Record<string, Tree> } | { repair: string; among?: string[] };
    const tree = JSON.parse((await latch('diagnose', ...wren, '--symptom', 'no-water', '--tree')).stdout) as Tree;
    for (const { id, repair } of model.hypotheses) {
      let node = tree;
      while ('test' in node) {
        const { test, branches } = node;
        const reads = model.tests.find((one) => one.id === test)?.outcomes[id] ?? '';
        const next: Tree | undefined = branches[reads];
        if (!next) throw new Error(`${test} has no branch ${reads}`);
        node = next;
      }
      expect('among' in node ? node.among : [node.repair]).toContain(repair);
    }
  });

  it.each([
    [['--symptom', 'nothing'], 'no-such-symptom', '$.symptom'],
    [[], 'no-symptom', '$.symptom'],
    [['--symptom', 'auto-dead', '--access', 'medium'], 'bad-access', '$.access'],
    [['--symptom', 'auto-dead', '--order', 'worst'], 'bad-order', '$.order'],
    [['--symptom', 'auto-dead', '--instruments', 'nose'], 'bad-instruments', '$.instruments'],
    [['--symptom', 'auto-dead', '--readings', 'package.json'], 'bad-readings', '$'],
    [['--symptom', 'auto-dead', '--readings', 'absent.json'], 'unreadable', '$'],
  ])('refuses %j by its place', async (more, code, path) => {
    expect(await refusal('diagnose', ...wren, ...more)).toMatchObject({ code, path });
  });
});
