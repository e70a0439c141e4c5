declare module 'bidi-js' {
  interface Bidi {
    readonly getEmbeddingLevels: (
      text: string,
      direction?: 'ltr' | 'rtl' | 'auto',
    ) => { readonly levels: Uint8Array; readonly paragraphs: readonly { readonly level: number }[] };
    readonly getMirroredCharacter: (character: string) => string | null;
  }
  const bidiFactory: () => Bidi;
  export default bidiFactory;
}
