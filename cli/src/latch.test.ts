import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileOf, folder, latch, latchRun, refusal, root } from './latch.fixture';

describe('the headless command', () => {
  it('assesses a job file and prints nothing but the result', async () => {
    const { status, stdout, stderr } = await latch('assess', 'examples/alder-wren.json');
    expect([status, stderr]).toEqual([0, '']);
    const [circuit] = (JSON.parse(stdout) as { circuits: Record<string, unknown>[] }).circuits;
    expect(circuit).toMatchObject({ designCurrentA: 4.6, status: 'sized', protection: { ratingA: 7.5 } });
    // 18 AWG over 5.5 m in an engine space: 17.241/0.823 × 1.1572 × 5.5 = 133.3 mΩ.
    const auto = (circuit?.['conductors'] as { id: string; resistanceOhm: number }[]).find(({ id }) => id === 'auto');
    expect(auto?.resistanceOhm).toBeCloseTo(0.13333, 4);
  });

  const alderPump = ['--circuit', 'a1de0000-3e4e-4c1a-9b0a-0000000000c1'];

  it('says what building a circuit takes, every length with what it is made of', async () => {
    const { status, stdout, stderr } = await latch('build', 'examples/alder-wren.json', ...alderPump);
    expect([status, stderr]).toEqual([0, '']);
    const { conductors, joints, steps, order } = JSON.parse(stdout) as Record<string, Record<string, unknown>[]>;
    // 1.05 × 5.5 + 0.3 + 0.45 + 0.1 + 0.05 + 0.1 = 6.775 m, cut at 6.8.
    expect(conductors?.find(({ id }) => id === 'manual')).toMatchObject({
      netM: 5.5,
      cutM: 6.8,
      slackM: { panelEnd: 0.3, bench: 0.45, dripLoop: 0.1, joints: 0.05, remake: 0.1 },
      from: { part: 'switch', terminal: 'manual' },
      labels: ['MAIN-MANUAL-A', 'MAIN-MANUAL-B'],
    });
    expect(joints?.find(({ id }) => id === 'joint-negative')).toMatchObject({
      barrel: 'yellow',
      stripMm: 10,
      pullN: 67,
    });
    expect(steps?.find(({ id }) => id === 'fuse-in')?.['needs']).toEqual(['dead-tests']);
    expect(order?.length).toBeGreaterThan(3);
    expect(await refusal('build', 'examples/alder-wren.json', '--circuit', 'none')).toMatchObject({
      code: 'no-such-circuit',
    });
    const unsized = fileOf('unsized.json', latchExample().replace('"currentA": 4.6,', ''));
    expect(await refusal('build', unsized, ...alderPump)).toMatchObject({ code: 'not-sized', path: '$.circuits' });
  });

  it('cuts a boat from stock, and refuses stock that cannot be read at its path', async () => {
    const drum = { id: 'red-10', size: '10 AWG', colour: 'red', insulationC: 105, metres: 10 };
    const stock = fileOf('stock.json', JSON.stringify({ drums: [drum] }));
    const { status, stdout } = await latch('cut', 'examples/alder-wren.json', '--stock', stock);
    expect(status).toBe(0);
    const { cuts, missing, exact } = JSON.parse(stdout) as { cuts: object[]; missing: object[]; exact: boolean };
    expect(cuts).toContainEqual({
      drum: 'red-10',
      conductor: 'a1de0000-3e4e-4c1a-9b0a-0000000000c1/feed',
      metres: 3.7,
    });
    expect([missing.length > 0, exact]).toEqual([true, true]);
    const bad = fileOf('bad-stock.json', JSON.stringify({ drums: [drum, { ...drum, metres: -1 }] }));
    expect(await refusal('cut', 'examples/alder-wren.json', '--stock', bad)).toMatchObject({
      code: 'invalid-stock',
      path: '$.drums[1].metres',
    });
    const twice = fileOf('twice.json', JSON.stringify({ drums: [drum, drum] }));
    expect(await refusal('cut', 'examples/alder-wren.json', '--stock', twice)).toMatchObject({ path: '$.drums[1].id' });
    expect(await refusal('cut', 'examples/alder-wren.json', '--stock', join(folder, 'absent.json'))).toMatchObject({
      code: 'unreadable',
    });
    expect(await refusal('cut', 'examples/alder-wren.json', '--stock', fileOf('x.json', 'x'))).toMatchObject({
      code: 'not-json',
    });
  });

  it('says what every meter must show on a circuit, at the battery as it was read', async () => {
    const { status, stdout, stderr } = await latch(
      'prove',
      'examples/alder-wren.json',
      ...alderPump,
      '--resting',
      '12.6',
    );
    expect([status, stderr]).toEqual([0, '']);
    const { tests } = JSON.parse(stdout) as { tests: { id: string; power: string; expect: { nominal?: number } }[] };
    expect(tests[0]).toMatchObject({ id: 'battery-resting', power: 'dead' });
    expect(tests.find(({ id }) => id === 'volts-common-off-down')?.expect.nominal).toBeCloseTo(12.6, 6);
    const refused = (...more: readonly string[]) => refusal('prove', 'examples/alder-wren.json', ...more);
    expect(await refused(...alderPump, '--resting', '126')).toMatchObject({ code: 'bad-volts', path: '$.resting' });
    expect(await refused(...alderPump, '--running', 'OL')).toMatchObject({ code: 'bad-volts', path: '$.running' });
    expect(await refused('--circuit', 'none')).toMatchObject({ code: 'no-such-circuit' });
  });

  it('prints the JSON Schema of the job file', async () => {
    const { status, stdout } = await latch('schema');
    expect(status).toBe(0);
    expect(JSON.parse(stdout)).toMatchObject({ title: 'Harbor Latch job file', type: 'object' });
  });

  it('names the path of an offending value', async () => {
    const bad = fileOf('bad.json', latchExample().replace('"currentA": 4.6', '"curentA": 4.6'));
    expect(await refusal('assess', bad)).toMatchObject({ code: 'invalid-job', path: '$.circuits[0].pump.curentA' });
    expect((await refusal('assess', bad)).message).toContain('Did you mean "currentA"?');
  });

  it('refuses what is no job file, each for its reason', async () => {
    expect(await refusal('assess', fileOf('text.json', 'pump'))).toMatchObject({ code: 'not-json', path: '$' });
    expect(
      await refusal('assess', fileOf('new.json', latchExample().replace(/"version": \d+/, '"version": 99'))),
    ).toMatchObject({
      code: 'newer-version',
      path: '$.version',
    });
    expect(await refusal('assess', fileOf('large.json', ' '.repeat(10 * 1024 * 1024)))).toMatchObject({
      code: 'too-large',
    });
    expect(await refusal('assess', join(folder, 'absent.json'))).toMatchObject({ code: 'unreadable' });
    expect(await refusal('assess', folder)).toMatchObject({ code: 'unreadable' });
  });

  it('is a program: what it prints, what it says against it, and how it ends', async () => {
    const good = latchRun('assess', 'examples/pinnock.json');
    expect(good).toEqual(await latch('assess', 'examples/pinnock.json'));
    expect([good.status, good.stderr]).toEqual([0, '']);
    const bad = latchRun('assess', join(folder, 'absent.json'));
    expect(bad).toEqual(await latch('assess', join(folder, 'absent.json')));
    expect([bad.status, bad.stdout]).toEqual([2, '']);
  });

  it('lists its verbs and their options when it is asked for help', async () => {
    const { status, stdout, stderr } = await latch('--help');
    expect([status, stderr]).toEqual([0, '']);
    for (const verb of ['assess', 'water', 'diagnose', 'verify']) expect(stdout).toContain(`\n  ${verb} `);
    expect((await latch('water', '--help')).stdout).toContain('--hours <hours>');
  });

  it('says which verbs there are when none fits', async () => {
    expect((await refusal('asess', 'examples/pinnock.json')).message).toContain('Verbs: assess FILE, solve FILE,');
    expect((await refusal()).message).toMatch(/^Say what to do\. Verbs: assess FILE,/);
    expect(await refusal('assess')).toMatchObject({ code: 'usage' });
  });
});

describe('a circuit on the bench', () => {
  const alder = ['examples/alder-wren.json', '--circuit', 'a1de0000-3e4e-4c1a-9b0a-0000000000c1'] as const;

  it('is solved in the setting asked for: volts by node, amperes and words by part', async () => {
    const { status, stdout, stderr } = await latch('solve', ...alder, '--switch', 'auto', '--float', 'all=up');
    expect([status, stderr]).toEqual([0, '']);
    const solved = JSON.parse(stdout) as {
      nodes: Record<string, number>;
      currents: Record<string, number>;
      states: Record<string, string>;
      terminals: Record<string, string>;
    };
    expect(Object.keys(solved.nodes).every((name) => /^[a-z0-9_]+$/.test(name))).toBe(true);
    expect(solved.states).toMatchObject({ pump: 'running', light: 'lit', float: 'up', switch: 'auto' });
    expect(solved.currents['auto']).toBeCloseTo(solved.currents['float'] ?? NaN, 6);
    const pumpV = (solved.nodes[solved.terminals['pump.plus'] ?? ''] ?? 0) - (solved.nodes['pump_minus'] ?? 0);
    expect(pumpV).toBeGreaterThan(11);
    expect(solved.terminals['battery.minus']).toBe('0');
  });

  it('moves any switch, fuse or isolator by its part, and tells joints’ currents and speeds', async () => {
    type Solved = {
      currents: Record<string, number>;
      states: Record<string, string>;
      speedRatios: Record<string, number>;
    };
    const solved = async (...options: string[]) =>
      JSON.parse((await latch('solve', ...alder, ...options)).stdout) as Solved;
    const running = await solved('--switch', 'manual');
    expect(running.speedRatios['pump']).toBeGreaterThan(0.9);
    expect(running.speedRatios['pump']).toBeLessThan(1.2);
    const joints = Object.entries(running.states).filter(([, word]) => word === 'joined');
    expect(joints.map(([id]) => id)).toContain('joint-negative');
    expect(running.currents['joint-negative']).toBeCloseTo(running.currents['pump'] ?? NaN, 3);
    // The same by the switch's own name, and nothing at all once its fuse is out.
    expect(await solved('--set', 'switch=manual')).toEqual(running);
    const dead = await solved('--switch', 'manual', '--set', 'fuse=out');
    expect(dead.speedRatios).toEqual({ pump: 0 });
    expect(dead.currents['pump']).toBeCloseTo(0, 12);
    expect(dead.states).toMatchObject({ fuse: 'open', pump: 'standing' });
  });

  it('is written as a SPICE deck with the same nodes', async () => {
    const { status, stdout } = await latch('spice', ...alder, '--switch', 'manual', '--fault', 'corroded=3@manual');
    expect(status).toBe(0);
    const { nodes } = JSON.parse((await latch('solve', ...alder, '--switch', 'manual')).stdout) as { nodes: object };
    const named = new Set(
      stdout
        .split('\n')
        .filter((line) => /^r(?!leak)/.test(line))
        .flatMap((line) => line.split(' ').slice(1, 3)),
    );
    named.delete('0');
    for (const node of named) expect(Object.keys(nodes)).toContain(node);
    expect(stdout).toContain('.op');
  });

  it.each([
    ['no-such-circuit', ['--circuit', 'none'], 'There are: a1de0000'],
    ['no-such-position', ['--switch', 'left'], 'It has: off, manual, auto.'],
    ['no-such-part', ['--float', 'bow=up'], 'Floats: float, or all.'],
    ['usage', ['--float', 'all'], 'Write --float ID=up'],
    ['usage', ['--set', 'fuse'], 'Write --set PART=POSITION'],
    ['no-such-part', ['--set', 'mast=on'], 'There are: '],
    ['no-such-position', ['--set', 'switch=sideways'], 'It has: off, manual, auto'],
    ['no-such-position', ['--set', 'fuse=half'], 'in or out'],
    ['usage', ['--fault', 'rust@pump'], 'with one of: open, corroded'],
    ['fault-does-not-fit', ['--fault', 'stuck-up@relay'], 'It can be: float.'],
    ['fault-does-not-fit', ['--fault', 'corroded=9000@manual'], 'outside 0.2 to 200'],
  ])('refuses %s: %j', async (code, options, words) => {
    const error = await refusal('solve', ...alder, ...options);
    expect(error.code).toBe(code);
    expect(error.message).toContain(words);
  });

  it('refuses a conductor that ends nowhere, and posts of the same name, naming both', async () => {
    const text = latchExample();
    const stray = fileOf(
      'stray.json',
      text.replace('"pump": {', '"rewired": {"moved": {"auto": {"to": "bilge.in"}}}, "pump": {'),
    );
    const [, ...circuit] = alder;
    expect(await refusal('solve', stray, ...circuit)).toMatchObject({ code: 'conductor-to-nowhere' });
    expect((await refusal('solve', stray, ...circuit)).message).toContain('there is no part “bilge”');
    const posts = fileOf(
      'posts.json',
      text.replace('"panel": {', '"panel": {"posts": {"switch.auto": "3", "switch.manual": "3"},'),
    );
    expect((await refusal('assess', posts)).message).toContain('both switch.auto and switch.manual');
  });
});

function latchExample(): string {
  return readFileSync(join(root, 'examples/alder-wren.json'), 'utf8');
}

describe('water', () => {
  const water = async (...options: readonly string[]) => {
    const { status, stdout, stderr } = await latch('water', 'examples/alder-wren.json', ...options);
    expect([status, stderr]).toEqual([0, '']);
    return JSON.parse(stdout) as {
      operatingPoints: { supplyV: number; flowLPerH: number; headM: number }[];
      windows: { float: string; minM: number; maxM: number; lowBound: { rule: string; pose: string } }[];
      runs: { ingress: string; pose: string; verdicts: string[]; massErrorL: number; timeToLimitS: object }[];
    };
  };

  it('gives the pump at three supplies, the window with what bounds it, and a run for each pose and way in', async () => {
    const { operatingPoints, windows, runs } = await water();
    expect(operatingPoints.map(({ supplyV }) => supplyV)).toEqual([12, 12.8, 13.6]);
    expect(windows[0]).toMatchObject({ lowBound: { rule: 'prime', pose: 'under-way' }, highBound: { rule: 'limit' } });
    expect(runs).toHaveLength(9);
    expect(runs.find(({ ingress, pose }) => ingress === 'rain' && pose === 'under-way')?.verdicts).toContain(
      'never-stops',
    );
    for (const { massErrorL } of runs) expect(Math.abs(massErrorL)).toBeLessThan(0.001);
    expect(runs[0]?.timeToLimitS).toEqual({ none: null, primary: null, all: null });
  });

  it('takes one circuit and another length of run', async () => {
    const { runs } = await water('--circuit', 'a1de0000-3e4e-4c1a-9b0a-0000000000c1', '--hours', '1');
    expect(runs[0]).toMatchObject({ hours: 1 });
  });

  it('gives assess its flow and head', async () => {
    const { stdout } = await latch('assess', 'examples/alder-wren.json');
    const [circuit] = (JSON.parse(stdout) as { circuits: { flowLPerH: number; headM: number }[] }).circuits;
    expect(circuit?.flowLPerH).toBeCloseTo((await water('--hours', '1')).operatingPoints[1]?.flowLPerH ?? NaN, 9);
  });

  it('refuses hours that are none and circuits that are not there', async () => {
    expect(await refusal('water', 'examples/pinnock.json', '--hours', '-2')).toMatchObject({ code: 'bad-hours' });
    expect(await refusal('water', 'examples/pinnock.json', '--circuit', 'x')).toMatchObject({
      code: 'no-such-circuit',
    });
  });

  it.each([
    ['"boreM": 0.025', '"boreM": 0', '$.circuits[0].water.hose.boreM', 'bore'],
    ['"foreM": 0.7', '"foreM": -0.9', '$.wells[0].foreM', 'has a length'],
    ['"zM": 0.01', '"onM": 0.02, "offM": 0.03', '$.circuits[0].water.float.onM', 'switches on higher'],
    ['"wellId": "engine"', '"wellId": "stern"', '$.circuits[0].water.wellId', 'No well has the id'],
    ['"deadriseDeg": 12', '"deadriseDeg": 0', '$.wells[0].section.deadriseDeg', 'A flat floor is a box'],
  ])('refuses %s made into %s with its path', async (from, to, path, words) => {
    expect(latchExample()).toContain(from);
    const found = await refusal('water', fileOf('wet.json', latchExample().replace(from, to)));
    expect(found).toMatchObject({ code: 'invalid-job', path });
    expect(found.message).toContain(words);
  });

  it('refuses a table whose areas do not grow with the height', async () => {
    const table =
      '"section": {"kind": "table", "rows": [{"heightM": 0.1, "areaM2": 0.05}, {"heightM": 0.2, "areaM2": 0.05}]}';
    const text = latchExample().replace(/"section": \{[^}]*\}/, table);
    expect(await refusal('water', fileOf('table.json', text))).toMatchObject({
      path: '$.wells[0].section.rows[1].areaM2',
    });
  });
});
