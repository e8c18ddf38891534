import { existsSync, readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { folder, latch, refusal, root, run } from './latch.fixture';

describe('a sheet', () => {
  const textOf = (pdf: string) => run('pdftotext', '-layout', pdf, '-').stdout;
  const times = (text: string, word: string) => text.split(/\s+/).filter((one) => one === word).length;

  it('holds every conductor of all circuits once, as text to be searched, its faces within', async () => {
    const out = join(folder, 'job.pdf');
    const { status, stdout, stderr } = await latch(
      'sheet',
      'examples/low-samphire.json',
      '--paper',
      'a4',
      '--out',
      out,
    );
    expect([status, stderr]).toEqual([0, '']);
    const { pages, bytes } = JSON.parse(stdout) as { pages: number; bytes: number };
    expect(bytes).toBe(statSync(out).size);
    expect(bytes).toBeLessThan(300_000);
    expect(Number(/Pages: +(\d+)/.exec(run('pdfinfo', out).stdout)?.[1])).toBe(pages);
    const text = textOf(out);
    const job = JSON.parse(readFileSync(join(root, 'examples/low-samphire.json'), 'utf8')) as {
      circuits: { id: string; name: string }[];
    };
    for (const { id, name } of job.circuits) {
      expect(text).toContain(name);
      const list = await latch('build', 'examples/low-samphire.json', '--circuit', id);
      const { conductors } = JSON.parse(list.stdout) as { conductors: { labels: [string, string] }[] };
      for (const label of conductors.flatMap(({ labels }) => labels)) {
        expect([label, times(text, label)]).toEqual([label, 1]);
      }
    }
    const fonts = run('pdffonts', out).stdout.split('\n').slice(2).filter(Boolean);
    expect(fonts).toHaveLength(3);
    for (const line of fonts) expect(line).toMatch(/AtkinsonHyperlegibleNext.* yes yes yes /);
  });

  it.each([
    ['cuts', 'Cable to order'],
    ['parts', 'To get'],
    ['labels', 'ALWAYS LIVE'],
  ])('of the kind %s is made, too', async (kind, words) => {
    const out = join(folder, `${kind}.pdf`);
    const made = await latch('sheet', 'examples/pinnock.json', '--paper', 'letter', '--out', out, '--kind', kind);
    expect([made.status, made.stderr]).toEqual([0, '']);
    expect((JSON.parse(made.stdout) as { pages: number }).pages).toBeGreaterThan(0);
    expect(textOf(out)).toContain(words);
    expect(run('pdfinfo', out).stdout).toMatch(/Page size: +612 x 792 pts/);
  });

  it('that cannot be made says why, and where', async () => {
    const out = join(folder, 'x.pdf');
    const ask = (...more: readonly string[]) => refusal('sheet', 'examples/pinnock.json', '--out', out, ...more);
    expect(await ask('--paper', 'a5')).toMatchObject({ code: 'bad-paper', path: '$.paper' });
    expect(await ask('--paper', 'a4', '--kind', 'poster')).toMatchObject({ code: 'bad-kind', path: '$.kind' });
    expect(await ask('--paper', 'a4', '--circuit', 'none')).toMatchObject({ code: 'no-such-circuit' });
    expect(await ask('--paper', 'a4', '--kind', 'template')).toMatchObject({ code: 'no-sheet' });
    const nowhere = join(folder, 'absent/x.pdf');
    expect(await refusal('sheet', 'examples/pinnock.json', '--paper', 'a4', '--out', nowhere)).toMatchObject({
      code: 'unwritable',
      path: '$.out',
    });
    expect(existsSync(out)).toBe(false);
  });
});
