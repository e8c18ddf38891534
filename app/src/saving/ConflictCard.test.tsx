import type { StoredBoat } from '../data/api';
import { boatId, boatWith, Page, storeWith } from '../testing/page.fixture';
import { ConflictCard } from './ConflictCard';
import { Differences } from './Differences';

let page: Page;
afterEach(() => page.close());

const base = boatWith();
const mine = boatWith({ pump: { currentA: 4 }, note: 'mine' });
const theirs = boatWith({ pump: { currentA: 6 }, manual: 'momentary' });
const current: StoredBoat = {
  id: boatId,
  version: 5,
  savedAt: '2026-01-01T10:00:00Z',
  savedBy: 'Samphire',
  job: theirs,
};

function conflicting(): Page {
  page = new Page(storeWith(base));
  page.store.change(boatId, mine);
  return page.show((draft) => (
    <ConflictCard draft={{ ...draft, save: { kind: 'conflict', current } }} current={current} />
  ));
}

describe('two copies of a boat', () => {
  it('are laid out field by field: what both changed is asked, with mine taken at first', () => {
    conflicting();
    expect(page.text).toContain('Circuit Main: pump, amperes');
    expect(page.labelled('Mine: 4\u00a0A').getAttribute('aria-checked')).toBe('true');
    expect(page.labelled('Other: 6\u00a0A').getAttribute('aria-checked')).toBe('false');
  });

  it('let either side be taken for one field alone', async () => {
    conflicting();
    await page.press('Other: 6\u00a0A');
    expect(page.labelled('Other: 6\u00a0A').getAttribute('aria-checked')).toBe('true');
  });

  it('show what the other copy has', () => {
    conflicting();
    expect(page.text).toContain('Circuit Main: manual');
    expect(page.text).toContain('not entered → momentary');
    expect(page.text).toContain('mine → not entered');
  });

  it('offer all three ways out', () => {
    conflicting();
    for (const way of ['Save both together', 'Keep mine', 'Take the other']) expect(page.has(way)).toBe(true);
  });
});

describe('differences', () => {
  it('are counted where there are too many to show', () => {
    page = new Page(storeWith(base));
    const circuits = Array.from({ length: 20 }, (_, index) => ({
      ...base.circuits[0],
      id: `c${index}`,
      name: `C${index}`,
    }));
    page.show(() => <Differences before={base} after={{ ...base, circuits } as typeof base} />);
    expect(page.text).toContain('And 9 more.');
  });

  it('of two alike are none', () => {
    page = new Page(storeWith(base));
    page.show(() => <Differences before={base} after={boatWith()} />);
    expect(page.text).toBe('Nothing differs.');
  });
});
