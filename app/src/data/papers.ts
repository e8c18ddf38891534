import AtkinsonRegular from '@expo-google-fonts/atkinson-hyperlegible-next/400Regular/AtkinsonHyperlegibleNext_400Regular.ttf';
import AtkinsonMedium from '@expo-google-fonts/atkinson-hyperlegible-next/600SemiBold/AtkinsonHyperlegibleNext_600SemiBold.ttf';
import AtkinsonBold from '@expo-google-fonts/atkinson-hyperlegible-next/700Bold/AtkinsonHyperlegibleNext_700Bold.ttf';
import { wrap, type Remote } from 'comlink';
import { Asset } from 'expo-asset';
import type { CertificateQuestion, PaperQuestion, PdfWork } from '../workers/pdfWork';
import { downloadBytes, fileName } from './files';
import { spawnPdf } from './spawnPdf';

let work: Remote<PdfWork> | undefined;

const addressOf = (face: number) => new URL(Asset.fromModule(face).uri, window.location.href).href;

const faces = () => ({
  regular: addressOf(AtkinsonRegular),
  medium: addressOf(AtkinsonMedium),
  bold: addressOf(AtkinsonBold),
});

/** Makes the certificate of a proof on this device, and hands it over as a file. @returns why there is none, or null */
export async function makeCertificate(
  name: string,
  question: Omit<CertificateQuestion, 'fonts'>,
): Promise<string | null> {
  work ??= wrap<PdfWork>(spawnPdf());
  const made = await work.certificate({ ...question, fonts: faces() });
  if (!made.ok) return made.message;
  downloadBytes(`${fileName(name, 'certificate')}.pdf`, made.bytes, 'application/pdf');
  return null;
}

/** Makes a paper on this device, and hands it over as a file. @returns why there is none, or null */
export async function makePaper(name: string, question: Omit<PaperQuestion, 'fonts'>): Promise<string | null> {
  work ??= wrap<PdfWork>(spawnPdf());
  const made = await work.make({ ...question, fonts: faces() });
  if (!made.ok) return made.message;
  downloadBytes(`${fileName(name, 'paper')}.pdf`, made.bytes, 'application/pdf');
  return null;
}
