import AtkinsonRegular from '@expo-google-fonts/atkinson-hyperlegible-next/400Regular/AtkinsonHyperlegibleNext_400Regular.ttf';
import AtkinsonMedium from '@expo-google-fonts/atkinson-hyperlegible-next/600SemiBold/AtkinsonHyperlegibleNext_600SemiBold.ttf';
import AtkinsonBold from '@expo-google-fonts/atkinson-hyperlegible-next/700Bold/AtkinsonHyperlegibleNext_700Bold.ttf';
import { wrap, type Remote } from 'comlink';
import { Asset } from 'expo-asset';
import type { PaperQuestion, PdfWork } from '../workers/pdfWork';
import { downloadBytes, fileName } from './files';
import { spawnPdf } from './spawnPdf';

let work: Remote<PdfWork> | undefined;

const addressOf = (face: number) => new URL(Asset.fromModule(face).uri, window.location.href).href;

/** Makes a paper on this device, and hands it over as a file. @returns false where there is nothing to print yet */
export async function makePaper(name: string, question: Omit<PaperQuestion, 'fonts'>): Promise<boolean> {
  work ??= wrap<PdfWork>(spawnPdf());
  const fonts = {
    regular: addressOf(AtkinsonRegular),
    medium: addressOf(AtkinsonMedium),
    bold: addressOf(AtkinsonBold),
  };
  const bytes = await work.make({ ...question, fonts });
  if (bytes === null) return false;
  downloadBytes(`${fileName(name, 'paper')}.pdf`, bytes, 'application/pdf');
  return true;
}
