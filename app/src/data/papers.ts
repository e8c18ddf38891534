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

/** Makes a paper on this device, and hands it over as a file. @returns why there is none, or null */
export async function makePaper(name: string, question: Omit<PaperQuestion, 'fonts'>): Promise<string | null> {
  work ??= wrap<PdfWork>(spawnPdf());
  const fonts = {
    regular: addressOf(AtkinsonRegular),
    medium: addressOf(AtkinsonMedium),
    bold: addressOf(AtkinsonBold),
  };
  const made = await work.make({ ...question, fonts });
  if (!made.ok) return made.message;
  downloadBytes(`${fileName(name, 'paper')}.pdf`, made.bytes, 'application/pdf');
  return null;
}
