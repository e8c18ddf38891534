import { Assessor } from '@harbor-latch/core/assess/index';
import { buildList } from '@harbor-latch/core/build/buildList';
import { jobSheet } from '@harbor-latch/core/documents/jobSheet';
import { labelSheet, type LabelGridKey } from '@harbor-latch/core/documents/labelSheet';
import { templateSheet } from '@harbor-latch/core/documents/templateSheet';
import { pdfDefinition, type Paper, type Sheet } from '@harbor-latch/core/documents/sheetNodes';
import type { Job } from '@harbor-latch/core/job/index';
import type { UnitSystem } from '@harbor-latch/core/units/index';
import pdfMake from 'pdfmake/build/pdfmake.min.js';

/** What is to be printed of a circuit. */
export interface PaperQuestion {
  readonly job: Job;
  readonly circuitId: string;
  readonly units: UnitSystem;
  readonly what:
    | {
        readonly kind: 'job';
        readonly paper: Paper;
        readonly svg: string | null;
        readonly address: string | null;
        readonly day: string;
        readonly version: number | null;
      }
    | { readonly kind: 'labels'; readonly grid: LabelGridKey }
    | { readonly kind: 'template'; readonly paper: Paper };
  /** Addresses of the application's own faces, by name. */
  readonly fonts: Readonly<Record<'regular' | 'medium' | 'bold', string>>;
}

const FACES = {
  Atkinson: { normal: 'regular', bold: 'bold' },
  AtkinsonMedium: { normal: 'medium' },
  AtkinsonBold: { normal: 'bold' },
};

async function bringFonts(fonts: PaperQuestion['fonts']): Promise<void> {
  for (const [name, address] of Object.entries(fonts)) {
    if (pdfMake.virtualfs.existsSync(name)) continue;
    const answer = await fetch(address);
    if (!answer.ok)
      throw new Error('The typefaces are not on this device yet. Open the application once with a signal.');
    pdfMake.virtualfs.writeFileSync(name, new Uint8Array(await answer.arrayBuffer()));
  }
  pdfMake.setFonts(FACES);
  pdfMake.setUrlAccessPolicy(() => false);
}

/** A paper, or why there is none. */
export type MadePaper =
  { readonly ok: true; readonly bytes: Uint8Array } | { readonly ok: false; readonly message: string };

function sheetOf({ job, circuitId, units, what }: PaperQuestion): Sheet | string {
  const assessed = new Assessor(units).assess(job).circuits.find(({ circuit }) => circuit.id === circuitId);
  if (!assessed || assessed.status === 'incomplete') return 'The circuit is not sized yet: finish its survey.';
  if (what.kind === 'job') return jobSheet({ job, assessed, units, ...what });
  const list = buildList(job, assessed);
  if (what.kind === 'labels') return labelSheet(`${assessed.circuit.name}, labels`, list.labels, what.grid);
  const { sheet, because } = templateSheet(`${job.boat.name}: ${assessed.circuit.name}, cut-outs`, list, what.paper);
  return sheet ?? because ?? '';
}

/** Papers as PDF: what the worker does. */
export const pdfWork = {
  async make(question: PaperQuestion): Promise<MadePaper> {
    const sheet = sheetOf(question);
    if (typeof sheet === 'string') return { ok: false, message: sheet };
    await bringFonts(question.fonts);
    return { ok: true, bytes: new Uint8Array(await pdfMake.createPdf(pdfDefinition(sheet)).getBuffer()) };
  },
};

export type PdfWork = typeof pdfWork;
