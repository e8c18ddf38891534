import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const root = join(__dirname, '../..');
const folder = mkdtempSync(join(tmpdir(), 'latch-cli-'));
afterAll(() => rmSync(folder, { recursive: true }));

function latch(...args: readonly string[]) {
  const { status, stdout, stderr } = spawnSync(process.execPath, ['--import', 'tsx', 'cli/src/main.ts', ...args], {
    cwd: root,
    encoding: 'utf8',
  });
  return { status, stdout, stderr };
}

function fileOf(name: string, text: string): string {
  const path = join(folder, name);
  writeFileSync(path, text);
  return path;
}

function refusal(...args: readonly string[]) {
  const { status, stdout, stderr } = latch(...args);
  expect(status).toBe(2);
  expect(stdout).toBe('');
  expect(stderr).not.toMatch(/\n\s+at /);
  return (JSON.parse(stderr) as { error: { code: string; message: string; path: string } }).error;
}

describe('the headless command', () => {
  it('assesses a job file and prints nothing but the result', () => {
    const { status, stdout, stderr } = latch('assess', 'examples/alder-wren.json');
    expect([status, stderr]).toEqual([0, '']);
    const [circuit] = (JSON.parse(stdout) as { circuits: Record<string, unknown>[] }).circuits;
    expect(circuit).toMatchObject({ designCurrentA: 4.6, status: 'sized', protection: { ratingA: 7.5 } });
    // 18 AWG over 5.5 m in an engine space: 17.241/0.823 × 1.1572 × 5.5 = 133.3 mΩ.
    const auto = (circuit?.['conductors'] as { id: string; resistanceOhm: number }[]).find(({ id }) => id === 'auto');
    expect(auto?.resistanceOhm).toBeCloseTo(0.13333, 4);
  });

  it('prints the JSON Schema of the job file', () => {
    const { status, stdout } = latch('schema');
    expect(status).toBe(0);
    expect(JSON.parse(stdout)).toMatchObject({ title: 'Harbor Latch job file', type: 'object' });
  });

  it('names the path of an offending value', () => {
    const bad = fileOf('bad.json', latchExample().replace('"currentA": 4.6', '"curentA": 4.6'));
    expect(refusal('assess', bad)).toMatchObject({ code: 'invalid-job', path: '$.circuits[0].pump.curentA' });
    expect(refusal('assess', bad).message).toContain('Did you mean "currentA"?');
  });

  it('refuses what is no job file, each for its reason', () => {
    expect(refusal('assess', fileOf('text.json', 'pump'))).toMatchObject({ code: 'not-json', path: '$' });
    expect(refusal('assess', fileOf('new.json', latchExample().replace('"version": 1', '"version": 9')))).toMatchObject(
      {
        code: 'newer-version',
        path: '$.version',
      },
    );
    expect(refusal('assess', fileOf('large.json', ' '.repeat(10 * 1024 * 1024)))).toMatchObject({ code: 'too-large' });
    expect(refusal('assess', join(folder, 'absent.json'))).toMatchObject({ code: 'unreadable' });
    expect(refusal('assess', folder)).toMatchObject({ code: 'unreadable' });
  });

  it('says which verbs there are when none fits', () => {
    expect(refusal('asess', 'examples/pinnock.json').message).toContain('Verbs: assess FILE, schema.');
    expect(refusal('assess')).toMatchObject({ code: 'usage' });
  });
});

function latchExample(): string {
  const { stdout } = spawnSync('cat', [join(root, 'examples/alder-wren.json')], { encoding: 'utf8' });
  return stdout;
}
