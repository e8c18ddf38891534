import { act } from 'react';
import { createRoot, type Root } from 'react-dom/client';
import type { AtStation } from './atStation';
import { useWithFigures } from './useWithFigures';

Object.assign(globalThis, { IS_REACT_ACT_ENVIRONMENT: true });

const place = document.createElement('div');
let root: Root;
let shown: AtStation;
const painted: AtStation[] = [];

function Station({ at }: { readonly at: AtStation }) {
  shown = useWithFigures(at);
  painted.push(shown);
  return null;
}

/** A circuit's state at a station: which change, and whether its figures are there. */
const at = (job: object, part: Partial<AtStation> = {}) =>
  ({ draft: { job }, index: 0, current: true, failed: false, ...part }) as AtStation;
const show = (one: AtStation) => act(() => root.render(<Station at={one} />));
const jobs = [{}, {}, {}] as const;
const first = at(jobs[0]);

beforeEach(() => {
  jest.useFakeTimers();
  root = createRoot(place);
  show(first);
  painted.length = 0;
});
afterEach(() => {
  act(() => root.unmount());
  jest.useRealTimers();
});
const wait = (ms: number) => act(() => jest.advanceTimersByTime(ms));

describe('a change at a station', () => {
  it('is shown once, with its figures', () => {
    const [asked, answered] = [at(jobs[1], { current: false }), at(jobs[1])];
    show(asked);
    expect(shown).toBe(first);
    wait(119);
    show(answered);
    wait(1000);
    expect(shown).toBe(answered);
    expect(painted).not.toContain(asked);
  });

  it('is shown without them once they take longer than 120 ms', () => {
    const asked = at(jobs[1], { current: false });
    show(asked);
    wait(119);
    expect(shown).toBe(first);
    wait(1);
    expect(shown).toBe(asked);
  });

  it('is not waited for longer where another comes meanwhile', () => {
    show(at(jobs[1], { current: false }));
    wait(80);
    const last = at(jobs[2], { current: false });
    show(last);
    wait(39);
    expect(shown).toBe(first);
    wait(1);
    expect(shown).toBe(last);
  });

  it('is waited for anew after one that was answered', () => {
    show(at(jobs[1], { current: false }));
    wait(200);
    const answered = at(jobs[1]);
    show(answered);
    show(at(jobs[2], { current: false }));
    wait(119);
    expect(shown).toBe(answered);
  });

  it.each<[string, AtStation]>([
    ['that could not be worked out', at(jobs[1], { current: false, failed: true })],
    ['of what is chosen alone', at(jobs[0], { current: false, selected: 'feed' })],
    ['to another circuit', at(jobs[1], { current: false, index: 1 })],
  ])('is shown at once: one %s', (_what, next) => {
    show(next);
    expect(shown).toBe(next);
  });
});
