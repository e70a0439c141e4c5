import {
  readDxf,
  readSvg,
  tracePicture,
  type Drawing,
  type GreyPicture,
  type TraceOptions,
} from '../drawings/index.js';
import { maxDrawingNumbers, type Artwork } from '../../document/design/index.js';
import { outlineBounds, simplify, type Outline, type Point } from '../../base/outlines/index.js';
import { repair } from '../repair/index.js';
import { failure, success, type Result } from '../../base/result.js';

/** A drawing file as it was loaded. */
export type DrawingFile =
  | {
      readonly kind: 'svg' | 'dxf';
      readonly name: string;
      readonly text: string;
      /** What was left out before it was text. */
      readonly told?: readonly string[];
    }
  | { readonly kind: 'picture'; readonly name: string; readonly picture: GreyPicture };

/** How a drawing file is taken in. */
export interface IntakeOptions extends TraceOptions {
  readonly gapMm: number;
  readonly layers: readonly string[] | null;
  /** How many times as large as the file states it is; curves are followed at the true size. */
  readonly scale: number;
}

/** What is taken when nothing is said. */
export const usualIntake: IntakeOptions = {
  gapMm: 0.1,
  layers: null,
  scale: 1,
  threshold: 128,
  inverted: false,
  smoothPx: 1,
};

/** A drawing taken in, at the size that was wished for. */
export interface TakenDrawing {
  readonly outline: Outline;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly layers: readonly string[];
  readonly sizeStated: boolean;
  /** What was left out of the file, and what was put right. */
  readonly notes: readonly string[];
  readonly changes: readonly string[];
  readonly open: readonly (readonly Point[])[];
}

/** A drawing file read by what it is. */
export const readDrawing = (file: DrawingFile, options: IntakeOptions): Result<Drawing> => {
  switch (file.kind) {
    case 'svg':
    case 'dxf': {
      const read = (file.kind === 'svg' ? readSvg : readDxf)(file.text, options.scale);
      return read.ok ? success({ ...read.value, notes: [...(file.told ?? []), ...read.value.notes] }) : read;
    }
    case 'picture':
      return tracePicture(file.picture, options, options.scale);
  }
};

/** Coarser and coarser until the outline fits into a design (mm). */
const thinnings = [0.01, 0.03, 0.1, 0.3];
const countOf = (outline: Outline): number => outline.reduce((sum, ring) => sum + 2 * ring.length, 0);

/** Reads a drawing file and makes an area of it. Fails with what is wrong with the file, or when no area is left. */
export const takeDrawing = (file: DrawingFile, options: IntakeOptions): Result<TakenDrawing> => {
  const read = readDrawing(file, options);
  if (!read.ok) return read;
  const repaired = repair(read.value, options);
  if (!repaired.ok) return repaired;
  const { outline: full, changes, open } = repaired.value;
  const bounds = outlineBounds(full);
  if (bounds === null)
    return failure({
      path: '',
      message: [
        'no line of this drawing closes, so there is nothing to cut; widen the gap that is bridged',
        ...changes,
      ].join('; '),
    });
  const thinned = thinnings.find((mm) => countOf(simplify(full, mm)) <= maxDrawingNumbers);
  const outline = countOf(full) <= maxDrawingNumbers ? full : thinned === undefined ? null : simplify(full, thinned);
  if (outline === null)
    return failure({ path: '', message: 'this drawing has too many points even when thinned; simplify it first' });
  return success({
    outline,
    widthMm: bounds.width,
    heightMm: bounds.height,
    layers: [...new Set(read.value.shapes.map(({ layer }) => layer))],
    sizeStated: read.value.sizeStated,
    notes: read.value.notes,
    changes: outline === full ? changes : [...changes, `points thinned to within ${thinned} mm`],
    open,
  });
};

const micrometres = (value: number): number => Math.round(value * 1000) / 1000;

/** A drawing taken in as the design keeps it. */
export const asArtwork = ({ outline }: TakenDrawing, name: string): NonNullable<Artwork['drawing']> => ({
  name: name.slice(0, 160),
  rings: outline.map((ring) => ring.flatMap(([x, y]) => [micrometres(x), micrometres(y)])),
  scale: 1,
});
