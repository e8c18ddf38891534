import { assess } from '@harbor-latch/core/assess/index';
import { readJob } from '@harbor-latch/core/file/index';
import type { Job } from '@harbor-latch/core/job/index';
import alderWren from '../../../../examples/alder-wren.json';
import pinnock from '../../../../examples/pinnock.json';
import { waterWork } from '../../workers/waterWork';
import { boatId, Page, storeWith } from '../../testing/page.fixture';
import { CyclePanel } from './CyclePanel';
import type { Moment } from './moments';
import { RunsPanel } from './RunsPanel';

// The worker’s work, done at once: what runs beside the page elsewhere is run here.
const mockWork = () => waterWork;
jest.mock('../../data/waterWorker', () => ({
  useWaterTask: (key: string | null, start: (work: unknown, onPart: () => void) => unknown) => ({
    state: key === null ? { kind: 'idle' } : { kind: 'done', result: start(mockWork(), () => undefined) },
    cancel: () => undefined,
    again: () => undefined,
  }),
}));
let page: Page;
afterEach(() => page.close());

function jobOf(file: unknown): Job {
  const read = readJob(file);
  if (!read.ok) throw new Error(read.problems[0].message);
  return { ...read.job, boat: { ...read.job.boat, id: boatId } };
}

const wellOf = (job: Job) => job.wells?.[0]?.id ?? '';

describe('the runs of a well', () => {
  function runs(job: Job, units: 'metric' | 'us' = 'metric'): Page {
    const store = storeWith(job);
    page = new Page(store);
    return page.show(
      (draft) => (
        <RunsPanel
          job={draft.job}
          all={assess(draft.job)}
          wellId={wellOf(draft.job)}
          onCircuit={(circuit) =>
            store.replace(boatId, {
              ...draft.job,
              circuits: draft.job.circuits.map((one) => (one.id === circuit.id ? circuit : one)),
            })
          }
        />
      ),
      { units },
    );
  }

  it('show every way in with every pose, and what is wrong in words', () => {
    const job = jobOf(alderWren);
    runs(job);
    for (const { name } of job.ingress ?? []) expect(page.text).toContain(name);
    const rows = page.labels('[role="button"][aria-expanded]');
    expect(rows).toHaveLength((job.ingress ?? []).length * (job.poses ?? []).length);
    expect(page.text).toContain('Starts an hour');
    expect(page.text).toContain('never stops');
    expect(page.text).not.toMatch(/NaN|undefined|Infinity/);
  });

  it('open to all their figures, in gallons where the yard measures in them', async () => {
    runs(jobOf(alderWren), 'us');
    const [first = ''] = page.labels('[role="button"][aria-expanded]');
    await page.press(first);
    expect(page.text).toMatch(/Pumped[\d.]+.gal/);
    expect(page.text).toContain('To the limit, no pump');
  });

  it('of a battery that is gone before the weekend say so, and are mended by the fix that is offered', async () => {
    const job = jobOf(pinnock);
    runs(job);
    expect(page.text).toContain('before the weekend is over');
    const fixes = page.labels('[role="button"]').filter((label) => /^(Use|Fit|Add|Raise|Move)/.test(label));
    expect(fixes.length).toBeGreaterThan(0);
    await page.press(fixes[0] ?? '');
    expect(page.job.circuits[0]).not.toEqual(job.circuits[0]);
    expect(page.text).not.toContain('before the weekend is over');
  });

  it('are kept to be put beside others, until they are forgotten', async () => {
    const job = jobOf(alderWren);
    runs(job);
    await page.pressText('Keep to compare');
    expect(page.text).toContain('Figures before the arrow are those of the placement that was kept.');
    await page.replace({
      ...job,
      circuits: job.circuits.map((one) => ({
        ...one,
        ...(one.water ? { water: { ...one.water, float: { ...one.water.float, zM: 0.09 } } } : {}),
      })),
    });
    expect(page.text).toMatch(/[\d.]+ → [\d.]+/);
    await page.pressText('Forget the kept one');
    expect(page.text).not.toContain(' → ');
  });

  it('of a well into which nothing comes ask for a way in', () => {
    const { ingress: _none, ...dry } = jobOf(alderWren);
    runs(dry);
    expect(page.text).toContain('No way of taking in water is listed for this well yet');
  });
});

describe('a run that is played', () => {
  const moments: (Moment | null)[] = [];

  function cycle(job: Job): Page {
    moments.length = 0;
    page = new Page(storeWith(job));
    return page.show((draft) => (
      <CyclePanel
        job={draft.job}
        all={assess(draft.job)}
        wellId={wellOf(draft.job)}
        poseId={draft.job.poses?.[0]?.id ?? ''}
        width={360}
        onMoment={note}
        onCircuit={() => undefined}
      />
    ));
  }
  const note = (moment: Moment | null) => void moments.push(moment);

  it('tells at each moment the level, what runs and the battery, and adds up what came in and left', async () => {
    cycle(jobOf(pinnock));
    expect(page.text).toMatch(/0.s: .*battery at 100 %/);
    expect(page.text).toMatch(/[\d.]+.L came in, [\d.]+.L left, [\d.]+.L stand in the well\./);
    expect(page.text).toMatch(/\d+ starts, .+ a run\./);
    expect(moments.some((moment) => moment !== null && Number.isFinite(moment.levelM))).toBe(true);
    expect(page.text).not.toMatch(/NaN|undefined|Infinity/);
  });

  it('shows what a stuck float and a locked pump do to it', async () => {
    cycle(jobOf(pinnock));
    const starts = () => Number(/(\d+) starts/.exec(page.text)?.[1]);
    const sound = starts();
    expect(sound).toBeGreaterThan(0);
    await page.choose('Fault in the run', 'Float stuck down');
    expect(starts()).toBe(0);
    await page.choose('Fault in the run', 'Float stuck up');
    expect(starts()).toBe(1);
    await page.choose('Fault in the run', 'All sound');
    expect(starts()).toBe(sound);
  });

  it('lasts as long as is asked for, and longer runs start the pump more often', async () => {
    cycle(jobOf(pinnock));
    const starts = () => Number(/(\d+) starts/.exec(page.text)?.[1]);
    const six = starts();
    await page.choose('Length of the run', '1 day');
    expect(starts()).toBeGreaterThan(six);
    await page.choose('Length of the run', '1 h');
    expect(starts()).toBeLessThan(six);
  });

  it('gives the section back when it is left', () => {
    cycle(jobOf(pinnock));
    page.close();
    expect(moments[moments.length - 1]).toBeNull();
    cycle(jobOf(pinnock));
  });
});
