import { assess } from '@harbor-latch/core/assess/index';
import { conductorList } from '@harbor-latch/core/documents/index';
import { readJob } from '@harbor-latch/core/file/index';
import { boatWith } from '../testing/page.fixture';
import { exportTable } from './exportTable';
import { exportJob, exportSvg } from './files';

/** What the browser is given to keep. */
interface Kept {
  readonly name: string;
  readonly type: string;
  readonly text: string;
}

/** Runs an export and gives the file that comes of it. */
function kept(work: () => void): Kept {
  const blobs: { readonly text: string; readonly type: string }[] = [];
  const names: string[] = [];
  const { Blob: WholeBlob } = globalThis;
  const { createObjectURL } = URL;
  const TextBlob = jest.fn(([text = '']: readonly string[], { type }: { readonly type: string }) => {
    blobs.push({ text, type });
  });
  Object.assign(globalThis, { Blob: TextBlob });
  Object.assign(URL, { createObjectURL: () => 'blob:kept' });
  const click = jest.spyOn(HTMLAnchorElement.prototype, 'click').mockImplementation(function (this: HTMLAnchorElement) {
    names.push(this.download);
  });
  // The address is given up later, when nobody needs it.
  const later = jest.spyOn(globalThis, 'setTimeout').mockImplementation(() => 0 as unknown as NodeJS.Timeout);
  work();
  later.mockRestore();
  click.mockRestore();
  Object.assign(globalThis, { Blob: WholeBlob });
  Object.assign(URL, { createObjectURL });
  const [blob] = blobs;
  if (!blob) throw new Error('Nothing was given.');
  return { name: names[0] ?? '', ...blob };
}

const named = (name: string) => {
  const job = boatWith();
  return { ...job, boat: { ...job.boat, name } };
};

describe('a boat’s file', () => {
  it('is read back as the boat it was', () => {
    const job = named('Tern');
    const file = kept(() => exportJob(job));
    expect(file).toMatchObject({ name: 'tern.json', type: 'application/json' });
    const read = readJob(JSON.parse(file.text));
    expect(read.ok && read.job).toEqual(job);
  });

  it.each([
    ['Étoile du Nord', 'étoile-du-nord.json'],
    ['../../etc/passwd', 'etc-passwd.json'],
    ['<script>', 'script.json'],
    ['🚢', 'boat.json'],
    ['x'.repeat(120), `${'x'.repeat(80)}.json`],
  ])('of %s is called %s', (name, file) => {
    expect(kept(() => exportJob(named(name))).name).toBe(file);
  });
});

describe('a table', () => {
  it('is CSV in UTF-8 in which nothing is taken for a formula', () => {
    const job = named('Tern');
    const [circuit] = job.circuits;
    const hostile = { ...job, circuits: circuit ? [{ ...circuit, name: '=1+1, "two"\nlines' }] : [] };
    const { text, type } = kept(() => exportTable('Tern', conductorList(assess(hostile))));
    expect(type).toBe('text/csv');
    expect(text.charCodeAt(0)).toBe(0xfeff);
    expect(text).toContain(`"'=1+1, ""two""\nlines"`);
    expect(text.split('\r\n')[0]).toContain('Circuit,Conductor,From,To');
    // Full-width signs, and signs after something unseen.
    for (const name of ['＝1+1', '\u200b=1+1', ' +1', '＠x']) {
      const odd = { ...job, circuits: circuit ? [{ ...circuit, name }] : [] };
      const told = kept(() => exportTable('Tern', conductorList(assess(odd)))).text;
      expect(told).toContain(`'${name}`);
    }
  });
});

describe('a drawing', () => {
  it('is a file called after boat and circuit', () => {
    const text = '<svg xmlns="http://www.w3.org/2000/svg"/>';
    expect(kept(() => exportSvg('Tern, Main', text))).toEqual({ name: 'tern-main.svg', type: 'image/svg+xml', text });
  });
});
