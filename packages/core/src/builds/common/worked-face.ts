import type { CutPart } from '../../making/parts/index.js';

/** A picture for a machine that goes over a face line by line: a byte a pixel, black where it works; row 0 at the top. */
export interface FaceRaster {
  readonly columns: number;
  readonly rows: number;
  readonly dotsPerInch: number;
  readonly pixels: Uint8Array;
}

/** What a machine works into a face: every line and dot of it as a drawing, and as a picture where it takes one. */
export interface WorkedFace {
  readonly part: CutPart;
  readonly raster: FaceRaster | null;
}
