declare module 'pdfmake' {
  interface PdfMake {
    setFonts(fonts: Readonly<Record<string, Readonly<Record<string, string>>>>): void;
    setUrlAccessPolicy(allows: (url: string) => boolean): void;
    setLocalAccessPolicy(allows: (path: string) => boolean): void;
    createPdf(definition: Readonly<Record<string, unknown>>): { getBuffer(): Promise<Uint8Array> };
  }
  const pdfMake: PdfMake;
  export default pdfMake;
}
