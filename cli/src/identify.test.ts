import { fileOf, latch, refusal } from './latch.fixture';

const alder = ['examples/alder-wren.json', '--circuit', 'a1de0000-3e4e-4c1a-9b0a-0000000000c1'] as const;

describe('identify', () => {
  it('asks the next question of posts and of a harness, and says which is which in the end', async () => {
    const posts = JSON.parse((await latch('identify', ...alder, '--kind', 'posts')).stdout) as {
      left: number;
      next: object[];
    };
    expect(posts).toMatchObject({ left: 6, next: [{ a: [expect.any(Number)], b: [expect.any(Number)] }] });
    // Wires 0 and 1 read ohms with the float down, 0 and 2 beep with it up: manual, negative, auto.
    const readings = fileOf(
      'harness.json',
      JSON.stringify([
        { a: 0, b: 1, lifted: 'down', reads: 'some' },
        { a: 0, b: 2, lifted: 'up', reads: 'beeps' },
        { a: 1, b: 2, lifted: 'up', reads: 'some' },
      ]),
    );
    const { settled } = JSON.parse(
      (await latch('identify', ...alder, '--kind', 'harness', '--readings', readings)).stdout,
    ) as {
      settled: { ways: { roles: string[] }[]; labels: { name: string }[] };
    };
    expect(settled.ways[0]?.roles).toEqual(['manual', 'negative', 'auto']);
    expect(settled.labels[0]?.name).toBe('Manual positive');
  });

  it.each([
    [['--kind', 'colours'], 'bad-kind', '$.kind'],
    [['--kind', 'harness', '--count', '9'], 'bad-count', '$.count'],
    [['--kind', 'harness', '--count', '2'], 'bad-count', '$.count'],
    [['--kind', 'posts', '--readings', 'package.json'], 'bad-readings', '$'],
  ])('refuses %j by its place', async (more, code, path) => {
    expect(await refusal('identify', ...alder, ...more)).toMatchObject({ code, path });
  });
});

describe('drill', () => {
  it('gives the same hidden fault for the same number, and what it hides only when asked', async () => {
    const one = await latch('drill', '--seed', '5', '--level', '2');
    expect((await latch('drill', '--seed', '5', '--level', '2')).stdout).toBe(one.stdout);
    expect(JSON.parse(one.stdout)).not.toHaveProperty('fault');
    const revealed = JSON.parse((await latch('drill', '--seed', '5', '--level', '2', '--reveal')).stdout) as object;
    expect(revealed).toMatchObject({ fault: expect.any(String), optimum: expect.any(Number), path: expect.any(Array) });
  });

  it.each([
    [['--seed', 'x'], 'bad-seed', '$.seed'],
    [['--seed', '1', '--level', '9'], 'bad-level', '$.level'],
  ])('refuses %j by its place', async (more, code, path) => {
    expect(await refusal('drill', ...more)).toMatchObject({ code, path });
  });
});
