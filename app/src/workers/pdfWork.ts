import { Assessor } from '@harbor-latch/core/assess/index';
import { buildList } from '@harbor-latch/core/build/buildList';
import { jobSheet } from '@harbor-latch/core/documents/jobSheet';
import { labelSheet, type LabelGridKey } from '@harbor-latch/core/documents/labelSheet';
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
    | { readonly kind: 'labels'; readonly grid: LabelGridKey };
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

function sheetOf({ job, circuitId, units, what }: PaperQuestion): Sheet | null {
  const assessed = new Assessor(units).assess(job).circuits.find(({ circuit }) => circuit.id === circuitId);
  if (!assessed || assessed.status === 'incomplete') return null;
  if (what.kind === 'job') return jobSheet({ job, assessed, units, ...what });
  return labelSheet(`${assessed.circuit.name}, labels`, buildList(job, assessed).labels, what.grid);
}

/** Papers as PDF: what the worker does. */
export const pdfWork = {
  /** @returns the file's bytes; null for a circuit that is not sized */
  async make(question: PaperQuestion): Promise<Uint8Array | null> {
    const sheet = sheetOf(question);
    if (!sheet) return null;
    await bringFonts(question.fonts);
    return new Uint8Array(await pdfMake.createPdf(pdfDefinition(sheet)).getBuffer());
  },
};

export type PdfWork = typeof pdfWork;
