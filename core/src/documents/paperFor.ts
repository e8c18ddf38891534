import type { AssessedAlarm, AssessedCircuit, AssessedPump } from '../assess';
import { buildList, type Label } from '../build';
import type { Job } from '../job';
import type { UnitSystem } from '../units';
import { chartSheet } from './chartSheet';
import { jobSheet } from './jobSheet';
import { labelSheet, type LabelGridKey } from './labelSheet';
import { cutSheet, partsSheet } from './listSheets';
import { joined, type Paper, type Sheet } from './sheetNodes';
import { otherPumps } from '../prove/proving';
import { proofSheet } from './proofSheet';
import { templateSheet } from './templateSheet';

/** Kinds of papers, with the words that name them. */
export const paperKinds = {
  job: 'job sheet',
  cuts: 'cut list',
  labels: 'labels',
  template: 'template',
  parts: 'parts list',
  proof: 'readings to take',
  chart: 'fault-finding chart',
} as const;
export type PaperKind = keyof typeof paperKinds;

/** What a paper is asked by. */
export interface PaperAsked {
  readonly job: Job;
  /** The circuits it is of, sized or not: one that is not cannot be printed. */
  readonly circuits: readonly AssessedCircuit[];
  readonly kind: PaperKind;
  readonly paper: Paper;
  /** Of labels. */
  readonly grid: LabelGridKey;
  readonly units: UnitSystem;
  /** The day, in words. */
  readonly day: string;
  /** Version of the job; null where the server has none yet. */
  readonly version: number | null;
  /** Where a circuit is found; null where it has no address. */
  readonly addressOf: ((circuitId: string) => string) | null;
}

/** A paper, or why there is none. */
export type PaperMade =
  { readonly sheet: Sheet; readonly because?: never } | { readonly because: string; readonly sheet?: never };

/** The paper that was asked for, of one circuit or of several behind each other. */
export function paperFor(asked: PaperAsked): PaperMade {
  const { job, circuits, kind } = asked;
  const sized = circuits.filter((one): one is AssessedPump | AssessedAlarm => one.status !== 'incomplete');
  if (sized.length === 0)
    return {
      because:
        circuits.length === 1
          ? 'The circuit is not sized yet: finish its survey.'
          : 'No circuit of the boat is sized yet: finish their surveys.',
    };
  const title = `${job.boat.name}, ${paperKinds[kind]}`;
  if (kind === 'labels') return { sheet: labelSheet(title, sized.flatMap(labelsOf(job)), asked.grid) };
  const made = sized.map((one) => sheetOf(asked, one));
  const sheets = made.flatMap(({ sheet }) => sheet ?? []);
  const sheet = joined(sheets, title, [job.boat.name, asked.day]);
  return sheet ? { sheet } : { because: made.find(({ because }) => because !== undefined)?.because ?? '' };
}

const labelsOf =
  (job: Job) =>
  (one: AssessedPump | AssessedAlarm): readonly Label[] =>
    buildList(job, one).labels;

function sheetOf(asked: PaperAsked, assessed: AssessedPump | AssessedAlarm): PaperMade {
  const { job, kind, paper, units, day, version, addressOf } = asked;
  const { circuit } = assessed;
  const title = `${job.boat.name}: ${circuit.name}`;
  if (kind === 'job') {
    const address = addressOf?.(circuit.id) ?? null;
    return { sheet: jobSheet({ job, assessed, units, paper, day, version, address }) };
  }
  if (kind === 'proof')
    return { sheet: proofSheet({ title, assessed, others: otherPumps(job, circuit.id), paper, day }) };
  if (kind === 'chart') return { sheet: chartSheet({ title, assessed, paper, day }) };
  const list = buildList(job, assessed);
  switch (kind) {
    case 'cuts':
      return { sheet: cutSheet({ title, list, units, paper, day }) };
    case 'parts':
      return { sheet: partsSheet({ title, list, units, paper, day }) };
    case 'template': {
      const { sheet, because } = templateSheet(`${title}, cut-outs`, list, paper);
      return sheet ? { sheet } : { because: because ?? '' };
    }
    case 'labels':
      return { sheet: labelSheet(`${title}, labels`, list.labels, asked.grid) };
    default:
      return kind satisfies never;
  }
}
