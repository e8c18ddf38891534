import { assess } from '../assess';
import { buildList } from '../build';
import { assessedIn, jobWith } from '../build/build.fixture';
import type { Job } from '../job';
import { paperFor, paperKinds, type PaperAsked, type PaperKind } from './paperFor';

const HOSTILE = '=HYPERLINK("x") <b>&amp;</b> \u202e{{name}} %PDF';
const kinds = Object.keys(paperKinds) as PaperKind[];

/** A boat with two circuits, both with a name that is none, and holes to be drilled. */
const job: Job = (() => {
  const base = jobWith('three-way-float', { build: { outlet: { threadM: 0.04 }, aboard: { pump: true } } });
  const [one] = base.circuits;
  if (!one) throw new Error('no circuit');
  return {
    ...base,
    boat: { ...base.boat, name: HOSTILE },
    circuits: [
      { ...one, name: `${HOSTILE} 1` },
      { ...one, id: 'second', name: `${HOSTILE} 2` },
    ],
  };
})();
const circuits = assess(job);
const asked = (kind: PaperKind, more: Partial<PaperAsked> = {}): PaperAsked => ({
  job,
  circuits,
  kind,
  paper: 'a4',
  grid: 'a4-24',
  units: 'metric',
  day: '1 May 2026',
  version: 3,
  addressOf: (id) => `http://127.0.0.1/${id}`,
  ...more,
});
const count = (text: string, part: string) => text.split(part).length - 1;

describe('a paper', () => {
  it.each(kinds)('of the kind %s holds both circuits, whatever they are called, as plain data', (kind) => {
    const { sheet } = paperFor(asked(kind));
    if (!sheet) throw new Error('no sheet');
    expect(JSON.parse(JSON.stringify(sheet))).toEqual(sheet);
    const text = JSON.stringify(sheet);
    expect(text).toContain(JSON.stringify(HOSTILE).slice(1, -1));
    if (kind !== 'labels') {
      for (const name of [`${HOSTILE} 1`, `${HOSTILE} 2`]) expect(text).toContain(JSON.stringify(name).slice(1, -1));
      // The second begins on a page of its own.
      const one = JSON.stringify(paperFor(asked(kind, { circuits: circuits.slice(0, 1) })).sheet);
      expect(count(text, '"pageBreak":"before"')).toBe(2 * count(one, '"pageBreak":"before"') + 1);
    }
  });

  it('of labels holds each label of each circuit once', () => {
    const { sheet } = paperFor(asked('labels'));
    const labels = circuits.flatMap((one) => (one.status === 'incomplete' ? [] : buildList(job, one).labels));
    expect(sheet?.content).toHaveLength(labels.length);
  });

  it('of parts tells what is on board apart from what is to be got', () => {
    const { sheet } = paperFor(asked('parts', { circuits: circuits.slice(0, 1) }));
    const text = JSON.stringify(sheet);
    expect(text.indexOf('On board already')).toBeGreaterThan(text.indexOf('To get'));
    expect(text.indexOf('"Bilge pump"')).toBeGreaterThan(text.indexOf('On board already'));
    const without = jobWith('three-way-float');
    const bare = paperFor(asked('parts', { job: without, circuits: [assessedIn(without)] }));
    expect(JSON.stringify(bare.sheet)).not.toContain('On board already');
  });

  it('that cannot be says why', () => {
    const unsized = assess({ ...job, circuits: job.circuits.map((one) => ({ ...one, pump: {} })) });
    expect(paperFor(asked('job', { circuits: unsized })).because).toContain('No circuit of the boat is sized');
    expect(paperFor(asked('job', { circuits: unsized.slice(0, 1) })).because).toContain('The circuit is not sized');
    const bare = jobWith('plain-switch');
    const noHoles = paperFor(asked('template', { job: bare, circuits: [assessedIn(bare)] }));
    expect(noHoles.because).toContain('Measure the panel or the skin fitting’s thread first');
  });
});
