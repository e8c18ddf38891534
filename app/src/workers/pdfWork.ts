import { Assessor } from '@harbor-latch/core/assess/index';
import { certificateSheet, type CertificateGround } from '@harbor-latch/core/documents/certificate';
import type { LabelGridKey } from '@harbor-latch/core/documents/labelSheet';
import { paperFor, type PaperKind } from '@harbor-latch/core/documents/paperFor';
import { pdfDefinition, pdfFaces, type Paper } from '@harbor-latch/core/documents/sheetNodes';
import type { Job } from '@harbor-latch/core/job/index';
import type { UnitSystem } from '@harbor-latch/core/units/index';
import pdfMake from 'pdfmake/build/pdfmake.min.js';

/** What is to be printed of a circuit. */
export interface PaperQuestion {
  readonly job: Job;
  readonly circuitId: string;
  readonly units: UnitSystem;
  readonly kind: PaperKind;
  readonly paper: Paper;
  readonly grid: LabelGridKey;
  /** Where the circuit is found. */
  readonly address: string;
  /** The day, in words. */
  readonly day: string;
  /** Version of the job; null where the server has none yet. */
  readonly version: number | null;
  /** Addresses of the application's own faces, by name. */
  readonly fonts: Readonly<Record<'regular' | 'medium' | 'bold', string>>;
}

async function bringFonts(fonts: PaperQuestion['fonts']): Promise<void> {
  for (const [name, address] of Object.entries(fonts)) {
    if (pdfMake.virtualfs.existsSync(name)) continue;
    const answer = await fetch(address);
    if (!answer.ok)
      throw new Error('The typefaces are not on this device yet. Open the application once with a signal.');
    pdfMake.virtualfs.writeFileSync(name, new Uint8Array(await answer.arrayBuffer()));
  }
  pdfMake.setFonts(pdfFaces);
  pdfMake.setUrlAccessPolicy(() => false);
}

/** A paper, or why there is none. */
export type MadePaper =
  { readonly ok: true; readonly bytes: Uint8Array } | { readonly ok: false; readonly message: string };

/** A certificate that is asked for. */
export interface CertificateQuestion extends Omit<CertificateGround, 'timeInWords'> {
  /** Times in words, by the time. */
  readonly times: Readonly<Record<string, string>>;
  readonly fonts: PaperQuestion['fonts'];
}

/** Papers as PDF: what the worker does. */
export const pdfWork = {
  /** The certificate of a proof. */
  async certificate({ times, fonts, ...asked }: CertificateQuestion): Promise<MadePaper> {
    const sheet = certificateSheet({ ...asked, timeInWords: (iso) => times[iso] ?? iso });
    await bringFonts(fonts);
    return { ok: true, bytes: new Uint8Array(await pdfMake.createPdf(pdfDefinition(sheet)).getBuffer()) };
  },

  async make({ address, circuitId, fonts, ...asked }: PaperQuestion): Promise<MadePaper> {
    const { circuits } = new Assessor(asked.units).assess(asked.job);
    const own = circuits.filter(({ circuit }) => circuit.id === circuitId);
    const { sheet, because } = paperFor({ ...asked, circuits: own, addressOf: () => address });
    if (!sheet) return { ok: false, message: because };
    await bringFonts(fonts);
    return { ok: true, bytes: new Uint8Array(await pdfMake.createPdf(pdfDefinition(sheet)).getBuffer()) };
  },
};

export type PdfWork = typeof pdfWork;
