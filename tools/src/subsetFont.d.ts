declare module 'subset-font' {
  /** The font with the glyphs of a text and nothing else. */
  export default function subsetFont(
    font: Buffer,
    text: string,
    options?: { readonly targetFormat?: 'truetype' | 'woff' | 'woff2' },
  ): Promise<Buffer>;
}
