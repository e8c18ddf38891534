import { assess } from '@harbor-latch/core/assess/index';
import { readJob } from '@harbor-latch/core/file/index';
import type { Job } from '@harbor-latch/core/job/index';
import alderWren from '../../../../examples/alder-wren.json';
import lowSamphire from '../../../../examples/low-samphire.json';
import type { Settings } from '../../data/settings';
import { boatId, boatWith, Page, storeWith } from '../../testing/page.fixture';
import { waterWork } from '../../workers/waterWork';
import { roomOf } from '../../ui/room';
import { FloatStation } from './FloatStation';
import { daysInWords, runStanding, timeInWords } from './verdictWords';

// The worker’s work, done at once: what runs beside the page elsewhere is run here.
const mockWork = () => waterWork;
jest.mock('../../data/waterWorker', () => ({
  useWaterTask: (key: string | null, start: (work: unknown, onPart: () => void) => unknown) => {
    // The same result for the same question, as a worker’s is kept.
    const kept = mockKept as Map<string | null, unknown>;
    if (!kept.has(key))
      kept.set(
        key,
        start(mockWork(), () => undefined),
      );
    return {
      state: key === null ? { kind: 'idle' } : { kind: 'done', result: kept.get(key) },
      cancel: () => undefined,
      again: () => undefined,
    };
  },
}));
const mockKept = new Map<string | null, unknown>();
let page: Page;

function jobOf(file: unknown): Job {
  const read = readJob(file);
  if (!read.ok) throw new Error(read.problems[0].message);
  return { ...read.job, boat: { ...read.job.boat, id: boatId } };
}

/** The Float station of a boat's first circuit; what it changes is kept in the boat. */
async function station(job: Job, settings: Partial<Settings> = {}): Promise<Page> {
  const store = storeWith(job);
  page = new Page(store);
  page.show((draft) => {
    const all = assess(draft.job, { units: settings.units ?? 'metric' });
    const [assessed] = all;
    if (!assessed) throw new Error('no circuit');
    return (
      <FloatStation
        draft={draft}
        assessed={assessed}
        all={all}
        room={roomOf(390, 800)}
        onCircuit={(circuit) =>
          store.replace(boatId, {
            ...draft.job,
            circuits: draft.job.circuits.map((one) => (one.id === circuit.id ? circuit : one)),
          })
        }
        onJob={(changed) => store.replace(boatId, changed)}
        onBoat={() => undefined}
      />
    );
  }, settings);
  return page.settle();
}

const floatOf = ({ circuits }: Job) => circuits[0]?.water?.float;

describe('the Float station', () => {
  afterEach(() => page.close());

  it('names both bounds of the float’s window, and raises a float that stands too low in one touch', async () => {
    await station(jobOf(alderWren));
    expect(page.text).toMatch(/Best height of its base: \d+.mm/);
    expect(page.text).toMatch(/Not below \d+.mm: .+ Not above \d+.mm: /);
    const before = floatOf(page.job)?.zM ?? 0;
    await page.press('Raise the float by 21\u00a0mm');
    expect((floatOf(page.job)?.zM ?? 0) - before).toBeCloseTo(0.021, 9);
    expect(page.has('Raise the float by 21\u00a0mm')).toBe(false);
  });

  it('puts a float at the best height in one touch, and says when it stands there', async () => {
    await station(jobOf(alderWren));
    expect(page.text).toMatch(/It stands at 10.mm\./);
    await page.press('Put it at the best height');
    expect(floatOf(page.job)?.zM).toBe(0.031);
    expect(page.text).toContain('It stands there.');
    expect(page.has('Put it at the best height')).toBe(false);
  });

  it.each([
    ['30.4', true],
    ['30.6', false],
    ['31.4', false],
    ['31.6', true],
  ])('takes a float at %s mm for one at the best height within half a millimetre', async (height, offered) => {
    await station(jobOf(alderWren));
    await page.fill('Base over the pump’s, in mm', height);
    expect(page.has('Put it at the best height')).toBe(offered);
  });

  it('takes a height to the millimetre, and refuses in place one that is none', async () => {
    await station(jobOf(alderWren));
    await page.fill('Base over the pump’s, in mm', '64');
    expect(floatOf(page.job)?.zM).toBeCloseTo(0.064, 12);
    await page.fill('Base over the pump’s, in mm', 'deep');
    expect(page.text).toContain('Type a number in mm');
    expect(floatOf(page.job)?.zM).toBeCloseTo(0.064, 12);
  });

  it('moves a float with a finger, and has it where it stood where the system takes the finger away', async () => {
    await station(jobOf(alderWren));
    const height = () => slider().getAttribute('aria-valuenow');
    const slider = () => {
      const found = document.querySelector<HTMLElement>('[role="slider"][aria-label^="First float"]');
      if (!found) throw new Error('The float is not drawn.');
      return found;
    };
    const before = page.job;
    expect(height()).toBe('10');
    await page.finger(slider(), 'touchstart');
    await page.finger(slider(), 'touchmove', -30);
    expect(Number(height())).toBeGreaterThan(40);
    await page.finger(slider(), 'touchcancel', -30);
    expect([height(), slider().style.transform]).toEqual(['10', '']);
    expect(page.labelled('Base over the pump’s, in mm')).toHaveProperty('value', '10');
    expect(page.job).toBe(before);

    await page.finger(slider(), 'touchstart');
    await page.finger(slider(), 'touchmove', -30);
    await page.finger(slider(), 'touchend', -30);
    expect(floatOf(page.job)?.zM).toBeGreaterThan(0.04);
  });

  it('speaks in inches to who measures in them, in the drawing as in the words', async () => {
    await station(jobOf(alderWren), { units: 'us' });
    expect(page.text).toMatch(/Best height of its base: [\d.]+.in/);
    expect(page.text).toMatch(/on at [\d.]+.in, off at [\d.]+.in over its base/);
    expect(page.text).toContain('4 in');
    expect(page.text).not.toMatch(/\d\smm\b/);
  });

  it('gives hose and head in feet and gallons too, on even lines, and other hoses in the same', async () => {
    await station(jobOf(alderWren), { units: 'us' });
    await page.press('Hose');
    expect(page.text).toMatch(/\d+.gal\/h\s*leave the boat/);
    expect(page.text).toContain('Hose 1.1\u00a0in');
    // The lines of the chart stand at whole or half feet.
    expect(page.text).toMatch(/head, ft/);
    const ticks = page.texts('[role="img"][aria-label^="Head against flow"] text').map(Number);
    expect(ticks.filter((tick) => !Number.isNaN(tick)).every((tick) => Number.isInteger(tick * 2))).toBe(true);
    expect(ticks.filter((tick) => tick > 0).length).toBeGreaterThan(3);
  });

  it('lets each piece of the well be chosen, and says why one of them cannot be moved', async () => {
    await station(jobOf(lowSamphire));
    await page.press('First pump');
    expect(page.text).toContain('Heights and places are measured from this pump');
    await page.press('Backup float');
    await page.fill('Base over the pump’s, in mm', '200');
    const backup = page.job.circuits.find(({ scheme }) => scheme === 'backup-alarm');
    expect(backup?.water?.float?.zM).toBeCloseTo(0.2, 12);
  });

  it('begins a boat without wells with figures that it marks as guesses', async () => {
    await station(boatWith());
    expect(page.text).toMatch(/typical/i);
    expect(page.text).not.toMatch(/NaN|undefined/);
  });
});

describe('what runs show, in words', () => {
  it('gives times in the unit that a person would choose', () => {
    expect([45.4, 119, 121, 7199, 7200, 172_799, 172_800].map((seconds) => timeInWords(seconds))).toEqual(
      ['45 s', '119 s', '2 min', '120 min', '2.0 h', '48.0 h', '2.0 days'].map((words) => words.replace(' ', '\u00a0')),
    );
    expect(timeInWords(null)).toBe('never');
  });

  it('gives battery days as far as they mean anything', () => {
    expect([null, 2.24, 31, 31.1].map((days) => daysInWords(days))).toEqual([
      'not drained',
      '2.2\u00a0days',
      '31.0\u00a0days',
      'over a month',
    ]);
  });

  it('counts a run as badly as the worst in it', () => {
    const standing = (...verdicts: Parameters<typeof runStanding>[0]['verdicts']) =>
      runStanding({ verdicts } as Parameters<typeof runStanding>[0]);
    expect([standing(), standing('short-runs'), standing('short-runs', 'runs-dry')]).toEqual([
      'good',
      'caution',
      'stop',
    ]);
  });
});
