import { Assessor, type AssessedAlarm, type AssessedPump } from '@harbor-latch/core/assess/index';
import { buildingOf } from '@harbor-latch/core/build/building';
import { buildList } from '@harbor-latch/core/build/buildList';
import { cutFromStock } from '@harbor-latch/core/build/cutting';
import { yardOrder } from '@harbor-latch/core/build/openJobs';
import { stockOf } from '@harbor-latch/core/build/stockLedger';
import { paperFor } from '@harbor-latch/core/documents/index';
import { newCircuit, type Job } from '@harbor-latch/core/job/index';
import { panelPosts } from '@harbor-latch/core/trace/panelPosts';
import { PostIdentifier } from '@harbor-latch/core/trace/posts';
import { demoStock } from './demoStock';
import { medianMs } from './median';

/** How long building takes, medians, ms. */
export interface BuildFigures {
  /** All lists of the demo circuit with the most conductors. */
  readonly listMs: number;
  /** The same with its schedules for one and for two. */
  readonly schedulesMs: number;
  /** Twenty pieces from five drums. */
  readonly cuttingMs: number;
  /** What a hundred circuits still take, assessments apart. */
  readonly orderMs: number;
  /** From nothing to the first question about five posts, and about seven. */
  readonly fivePostsMs: number;
  readonly sevenPostsMs: number;
  /** The definition of its job sheet with the drawing, before it is made a PDF. */
  readonly sheetMs: number;
}

const DAY = new Date('2026-05-01T08:00:00Z');

function posts(count: number): number {
  const circuit = {
    ...newCircuit('bench', 'Bench', 'three-way-float', 'house'),
    panel: { light: 'led' as const, fuse: { kind: 'blade' as const, ratingA: 7.5 } },
  };
  const panel = panelPosts(circuit, { id: 'house', name: 'House' }, count);
  if (!panel) throw new Error('No posts to tell apart.');
  return medianMs(() => new PostIdentifier(panel).after([]), 5);
}

/** How long building takes to be worked out. */
export function buildFigures(jobs: readonly Job[]): BuildFigures {
  const assessed = jobs.map((job) => ({ job, circuits: new Assessor('metric').assess(job).circuits }));
  const sized = assessed.flatMap(({ job, circuits }) =>
    circuits.flatMap((one): { job: Job; one: AssessedPump | AssessedAlarm }[] =>
      one.status === 'incomplete' ? [] : [{ job, one }],
    ),
  );
  const [largest] = sized.sort((a, b) => b.one.plan.conductors.length - a.one.plan.conductors.length);
  if (!largest) throw new Error('No circuit of the demo is sized.');
  const { job, one } = largest;
  const drums = [5, 8, 11, 14, 60].map((metres, at) => ({
    id: `d${at}`,
    size: '14 AWG',
    colour: 'red',
    insulationC: 105,
    metres,
    opened: at === 4 ? null : `2026-0${at + 1}-01`,
  }));
  const pieces = Array.from({ length: 20 }, (_, at) => ({
    conductor: `c${at}`,
    size: '14 AWG',
    colour: 'red',
    insulationC: 105,
    metres: 1.3 + ((at * 7) % 20) / 5,
  }));
  const yard = Array.from({ length: 20 }, () => assessed).flat();
  const stock = stockOf(demoStock(DAY));
  return {
    listMs: medianMs(() => buildList(job, one), 200),
    schedulesMs: medianMs(() => buildingOf(job, one, 20, DAY.getTime()), 40),
    cuttingMs: medianMs(() => cutFromStock(pieces, drums), 20),
    orderMs: medianMs(() => yardOrder(yard, stock, 'all'), 10),
    fivePostsMs: posts(5),
    sevenPostsMs: posts(7),
    sheetMs: medianMs(
      () =>
        paperFor({
          job,
          circuits: [one],
          kind: 'job',
          paper: 'a4',
          grid: 'a4-24',
          units: 'metric',
          day: '1 May 2026',
          version: 1,
          addressOf: null,
        }),
      20,
    ),
  };
}
