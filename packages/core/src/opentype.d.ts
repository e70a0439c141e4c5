/** The part of opentype.js that the artwork stage uses; the published types pull in the browser's. */
declare module 'opentype.js' {
  export interface PathCommand {
    readonly type: 'M' | 'L' | 'C' | 'Q' | 'Z';
    readonly x: number;
    readonly y: number;
    readonly x1: number;
    readonly y1: number;
    readonly x2: number;
    readonly y2: number;
  }
  export interface Path {
    readonly commands: readonly PathCommand[];
    getBoundingBox(): { readonly x1: number; readonly y1: number; readonly x2: number; readonly y2: number };
  }
  export interface Glyph {
    readonly index: number;
    readonly advanceWidth?: number;
    getPath(x: number, y: number, fontSize: number): Path;
  }
  export interface Font {
    readonly unitsPerEm: number;
    readonly tables: { readonly os2?: { readonly sCapHeight?: number } };
    stringToGlyphs(text: string): Glyph[];
    charToGlyph(character: string): Glyph;
    getKerningValue(left: Glyph, right: Glyph): number;
  }
  const opentype: { parse(buffer: ArrayBuffer): Font };
  export default opentype;
}
