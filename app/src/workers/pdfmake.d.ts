declare module 'pdfmake/build/pdfmake.min.js' {
  interface PdfMake {
    readonly virtualfs: {
      existsSync(name: string): boolean;
      writeFileSync(name: string, bytes: Uint8Array): void;
    };
    setFonts(fonts: Readonly<Record<string, Readonly<Record<string, string>>>>): void;
    setUrlAccessPolicy(allows: (url: string) => boolean): void;
    createPdf(definition: Readonly<Record<string, unknown>>): { getBuffer(): Promise<Uint8Array> };
  }
  const pdfMake: PdfMake;
  export default pdfMake;
}
