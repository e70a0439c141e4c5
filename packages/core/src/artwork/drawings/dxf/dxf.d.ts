declare module 'dxf' {
  /** What the reader makes of an entity; every figure may be missing or no number. */
  export interface DxfEntity {
    readonly type?: string;
    readonly [key: string]: unknown;
  }
  export interface DxfBlock {
    readonly name?: string;
    readonly x?: number;
    readonly y?: number;
    readonly entities?: readonly DxfEntity[];
  }
  export interface DxfFile {
    readonly header: { readonly insUnits?: number; readonly measurement?: number };
    readonly blocks: readonly DxfBlock[];
    readonly entities: readonly DxfEntity[];
    readonly tables: {
      readonly layers: Readonly<Record<string, { readonly flags?: number; readonly colorNumber?: number }>>;
    };
  }
  export const parseString: (text: string) => DxfFile;
  /** Red, green and blue by colour number. */
  export const colors: readonly (readonly [number, number, number])[];
  export const config: { verbose: boolean };
}
