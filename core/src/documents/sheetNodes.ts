/** A piece of a document as the PDF maker takes it: plain data. */
export type SheetNode = string | { readonly [key: string]: unknown } | readonly SheetNode[];

/** A document before it is drawn: plain data, which goes through a worker. */
export interface Sheet {
  readonly paper: Paper;
  readonly title: string;
  /** At the top of each page, left and right. */
  readonly head: readonly [string, string];
  /** At its foot, beside the page's number. */
  readonly foot: string;
  readonly content: readonly SheetNode[];
  /** Margins left, top, right, bottom, points; left out: those of a text. */
  readonly margins?: readonly [number, number, number, number];
}

export const papers = {
  a4: { name: 'A4', size: 'A4', widthMm: 210, heightMm: 297 },
  letter: { name: 'Letter', size: 'LETTER', widthMm: 215.9, heightMm: 279.4 },
} as const;
export type Paper = keyof typeof papers;

/** Points of a millimetre. */
export const mm = (millimetres: number): number => (millimetres * 72) / 25.4;

export const heading = (text: string, more: object = {}): SheetNode => ({
  text,
  font: 'AtkinsonBold',
  fontSize: 14,
  margin: [0, 14, 0, 6],
  headlineLevel: 1,
  ...more,
});

/** What follows begins on a page of its own. */
export const onNewPage: SheetNode = { text: '', pageBreak: 'before' };

/** A table whose heads come again on each page, and whose lines are not torn. */
export function table(
  widths: readonly (string | number)[],
  heads: readonly string[],
  rows: readonly (readonly SheetNode[])[],
): SheetNode {
  return {
    layout: 'lightHorizontalLines',
    table: {
      headerRows: 1,
      dontBreakRows: true,
      keepWithHeaderRows: 1,
      widths,
      body: [heads.map((text) => ({ text, font: 'AtkinsonMedium' })), ...rows],
    },
  };
}

/** A box to be ticked with a pencil, and what it is for. */
export const tickBox = (text: SheetNode): SheetNode => ({
  columns: [
    { width: 18, canvas: [{ type: 'rect', x: 0, y: 1, w: 11, h: 11, lineWidth: 1 }] },
    { width: '*', stack: [text] },
  ],
  margin: [0, 3, 0, 3],
  unbreakable: true,
});

/** The application's faces as the PDF maker asks for them: each family with the names its files go by. */
export const pdfFaces = {
  Atkinson: { normal: 'regular', bold: 'bold' },
  AtkinsonMedium: { normal: 'medium' },
  AtkinsonBold: { normal: 'bold' },
} as const;

/** What the PDF maker tells of a piece that it has placed. */
interface PlacedNode {
  readonly headlineLevel?: number;
  /** `verticalRatio`: 0 at the top of what the page holds, 1 at its foot. */
  readonly startPosition: { readonly verticalRatio: number };
}

/** A heading lower than this on its page begins the next one, share of the page. */
const LOWEST_HEADING = 0.88;

const MARGINS = [40, 58, 40, 52] as const;

/**
 * A sheet as the PDF maker takes it, with its head and foot on each page.
 * @param onPages hears how many pages there are, before the last is drawn
 */
export function pdfDefinition(
  { paper, title, head, foot, content, margins = MARGINS }: Sheet,
  onPages: (count: number) => void = () => undefined,
): Record<string, unknown> {
  const running = margins === MARGINS;
  return {
    pageSize: papers[paper].size,
    pageMargins: [...margins],
    language: 'en',
    info: { title },
    // No heading stands alone at the foot of a page.
    pageBreakBefore: ({ headlineLevel, startPosition }: PlacedNode) =>
      headlineLevel === 1 && startPosition.verticalRatio > LOWEST_HEADING,
    defaultStyle: { font: 'Atkinson', fontSize: 10.5, lineHeight: 1.15 },
    content,
    ...(running
      ? {
          header: () => ({
            margin: [40, 26, 40, 0],
            columns: [
              { text: head[0], font: 'AtkinsonMedium' },
              { text: head[1], alignment: 'right', width: 'auto' },
            ],
          }),
          footer: (page: number, of: number) => {
            onPages(of);
            return {
              margin: [40, 14, 40, 0],
              fontSize: 8.5,
              columns: [foot, { text: `Page ${page} of ${of}`, alignment: 'right', width: 80 }],
            };
          },
        }
      : {
          footer: (_page: number, of: number) => {
            onPages(of);
            return '';
          },
        }),
  };
}

/** Sheets of one kind behind each other, each beginning on a page of its own. */
export function joined(sheets: readonly Sheet[], title: string, head: Sheet['head']): Sheet | null {
  const [first, ...others] = sheets;
  if (!first) return null;
  if (others.length === 0) return first;
  return {
    ...first,
    title,
    head,
    content: [first, ...others].flatMap(({ content }, at) => (at === 0 ? content : [onNewPage, ...content])),
  };
}

/** What stands at the foot of every paper. */
export const NOT_A_LICENCE =
  'These figures do not replace the boat’s rules, the insurer or a licensed marine electrician. Check the edition in force where you work.';
