import { assess } from '../assess';
import { buildList } from '../build';
import { assessedIn, jobWith } from '../build/build.fixture';
import { schemeKeys } from '../schemes';
import { jobSheet, type SheetGround } from './jobSheet';
import { NOT_A_LICENCE } from './sheetNodes';
import { textsOf } from './texts.fixture';
import { labelGrids, labelSheet, type LabelGridKey } from './labelSheet';
import { mm, papers, pdfDefinition } from './sheetNodes';

const HOSTILE = '=HYPERLINK("x") <b>&amp;</b> \u202e{{name}} %PDF';

function groundOf(scheme: string, more: Partial<SheetGround> = {}): SheetGround {
  const job = jobWith(scheme, { panel: { light: 'led', armedLight: 'led' } });
  const named = { ...job, boat: { ...job.boat, name: HOSTILE } };
  return {
    job: named,
    assessed: assessedIn(named),
    units: 'metric',
    paper: 'a4',
    address: 'http://127.0.0.1/boat/x',
    day: '1 May 2026',
    version: 7,
    ...more,
  };
}

const count = (texts: readonly string[], text: string) => texts.filter((one) => one === text).length;

describe('the job sheet', () => {
  it.each([...schemeKeys])(
    'of %s holds each conductor, joint, step and part once, whatever the boat is called',
    (scheme) => {
      const ground = groundOf(scheme);
      const list = buildList(ground.job, ground.assessed);
      const sheet = jobSheet(ground);
      const texts = textsOf(sheet.content);
      for (const { name, labels } of list.conductors) {
        expect([name, count(texts, name)]).toEqual([name, list.conductors.filter((one) => one.name === name).length]);
        for (const label of labels) expect([label, count(texts, label)]).toEqual([label, 1]);
      }
      for (const { name } of list.joints) expect(count(texts, name)).toBeGreaterThanOrEqual(1);
      for (const { text } of list.steps) expect(count(texts, text)).toBe(1);
      // In the table of parts, which begins with its heads.
      const from = texts.indexOf('Why');
      expect(list.parts.map(({ item }) => item).every((item) => texts.indexOf(item, from) > from)).toBe(true);
      for (const { message } of ground.assessed.findings) expect(texts).toContain(message);
      expect(sheet.head).toEqual([`${HOSTILE}: Main bilge pump`, 'Version 7 · 1 May 2026']);
      // It goes through a message to a worker as it is.
      expect(JSON.parse(JSON.stringify(sheet))).toEqual(sheet);
    },
  );

  it('says on each page whose it is, how many there are, and that it replaces no licence', () => {
    const made = pdfDefinition(jobSheet(groundOf('three-way-float'))) as {
      header: () => object;
      footer: (page: number, of: number) => object;
      pageSize: string;
    };
    expect(textsOf(made.header())).toEqual([`${HOSTILE}: Main bilge pump`, 'Version 7 · 1 May 2026']);
    expect(textsOf(made.footer(2, 6))).toEqual([NOT_A_LICENCE, 'Page 2 of 6']);
    expect(made.pageSize).toBe('A4');
    expect(pdfDefinition(jobSheet(groundOf('relay', { paper: 'letter' })))['pageSize']).toBe('LETTER');
  });

  it('does without an address, and tells feet where those are wanted', () => {
    const sheet = jobSheet(groundOf('three-way-float', { address: null, version: null, units: 'us' }));
    expect(JSON.stringify(sheet.content)).not.toContain('"qr"');
    expect(JSON.stringify(jobSheet(groundOf('three-way-float')).content)).toContain('"qr"');
    expect(sheet.head[1]).toBe('1 May 2026');
    expect(textsOf(sheet.content)).toContain('17.1\u00a0ft');
  });
});

describe('labels', () => {
  it.each(Object.keys(labelGrids) as LabelGridKey[])(
    'on %s lie within their stickers and the paper, page by page',
    (key) => {
      const [assessed] = assess(jobWith('relay'));
      if (!assessed || assessed.status === 'incomplete') throw new Error('not sized');
      const { labels } = buildList(jobWith('relay'), assessed);
      const many = Array.from({ length: 5 }, () => labels).flat();
      const { content, paper } = labelSheet('Labels', many, key);
      const { across, down, widthMm, heightMm } = labelGrids[key];
      expect(content).toHaveLength(many.length);
      const places = content.map((node) => (node as { absolutePosition: { x: number; y: number } }).absolutePosition);
      for (const { x, y } of places) {
        expect(x + mm(widthMm - 6)).toBeLessThanOrEqual(mm(papers[paper].widthMm));
        expect(y + mm(heightMm - 6)).toBeLessThanOrEqual(mm(papers[paper].heightMm));
      }
      const breaks = content.filter((node) => typeof node === 'object' && 'pageBreak' in node).length;
      expect(breaks).toBe(Math.ceil(many.length / (across * down)) - 1);
      expect(new Set(places.slice(0, across * down).map(({ x, y }) => `${x} ${y}`)).size).toBe(
        Math.min(many.length, across * down),
      );
    },
  );
});
