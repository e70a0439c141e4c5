import { failure, success, type Problem, type Result } from '../../base/result.js';
import { moveOutline, outlineArea, outlineBounds, simplify, type Outline } from '../../base/outlines/index.js';
import { maxDrawingNumbers } from '../../document/design/index.js';
import type { Drawing, DrawnShape } from '../drawings/index.js';
import { repair } from '../repair/index.js';
import { readDrawing, type DrawingFile, type IntakeOptions } from './take-drawing.js';

/** One layer of a drawing, as a sheet is cut by it. */
export interface TakenLayer {
  readonly name: string;
  /** As six hexadecimal digits; null where the file tells none. */
  readonly colour: string | null;
  /** In mm, y up, about the middle of all layers together. */
  readonly outline: Outline;
}

/** The layers of a drawing, or a picture at several brightnesses, in the order in which they are drawn: the rearmost first. */
export interface TakenLayers {
  readonly layers: readonly TakenLayer[];
  readonly widthMm: number;
  readonly heightMm: number;
  readonly sizeStated: boolean;
  /** Every layer of the file, those left out with them. */
  readonly known: readonly string[];
  readonly notes: readonly string[];
  readonly changes: readonly string[];
}

/** How a picture is cut into brightnesses: so many sheets. */
export interface LayerOptions extends IntakeOptions {
  readonly tones: number;
}

/** The most layers that are taken in at once. */
export const mostLayers = 16;
const thinnings = [0.02, 0.05, 0.1, 0.3, 0.6];
const countOf = (outline: Outline): number => outline.reduce((sum, ring) => sum + 2 * ring.length, 0);

/** The colour of which most is drawn, by the area that the rings of its shapes are wound round. */
const colourOf = (shapes: readonly DrawnShape[]): string | null => {
  const areas = new Map<string, number>();
  for (const { colour, paths } of shapes)
    if (colour !== undefined)
      areas.set(
        colour,
        (areas.get(colour) ?? 0) + paths.reduce((sum, { points }) => sum + Math.abs(outlineArea([points])), 0.01),
      );
  return [...areas].sort((a, b) => b[1] - a[1])[0]?.[0] ?? null;
};

interface Cut {
  readonly name: string;
  readonly colour: string | null;
  readonly drawing: Drawing;
}

const grey = (share: number): string => {
  const digits = Math.round(255 * share)
    .toString(16)
    .padStart(2, '0');
  return `#${digits}${digits}${digits}`;
};

/** A picture at several brightnesses: each sheet is what is darker than its share of white, the lightest at the back. */
const tonesOf = (file: DrawingFile, options: LayerOptions): Result<readonly Cut[]> => {
  const tones = Math.min(mostLayers, Math.max(1, Math.round(options.tones)));
  const cuts: Cut[] = [];
  for (let tone = 0; tone < tones; tone += 1) {
    const share = (tones - tone) / (tones + 1);
    const read = readDrawing(file, { ...options, threshold: 255 * share });
    // A brightness that nothing is darker than is no sheet.
    if (!read.ok) {
      if (tone === 0 && tones === 1) return read;
      continue;
    }
    cuts.push({ name: `Tone ${tone + 1}`, colour: grey(Math.max(0, share - 0.5 / (tones + 1))), drawing: read.value });
  }
  return cuts.length === 0
    ? failure({ path: '', message: 'there is nothing darker than white in this picture; invert it, or take another' })
    : success(cuts);
};

/** The group of a shape so deep in the drawing; the innermost where it lies less deep. */
const groupAt = ({ groups, layer }: DrawnShape, depth: number): string =>
  groups?.[Math.min(depth, groups.length - 1)] ?? layer;

/**
 * What tells the sheets of a drawing apart: the outermost groups, or those within them where one holds everything. Drawing programs
 * name every group; what lies deeper belongs to the same sheet.
 */
const namesOf = (shapes: readonly DrawnShape[]): readonly string[] => {
  const deepest = Math.max(1, ...shapes.map(({ groups }) => groups?.length ?? 1));
  let names: readonly string[] = [];
  for (let depth = 0; depth < deepest; depth += 1) {
    names = shapes.map((shape) => groupAt(shape, depth));
    if (new Set(names).size > 1) break;
  }
  return names;
};

/** The sheets of a drawing in the order in which they are first drawn. */
const cutsOf = (file: DrawingFile, options: LayerOptions): Result<readonly Cut[]> => {
  if (file.kind === 'picture') return tonesOf(file, options);
  const read = readDrawing(file, options);
  if (!read.ok) return read;
  const names = namesOf(read.value.shapes);
  return success(
    [...new Set(names)].map((name, at): Cut => {
      const shapes = read.value.shapes.filter((_, shape) => names[shape] === name);
      return {
        name: name === '' ? `Layer ${at + 1}` : name.slice(0, 120),
        colour: colourOf(shapes),
        // What is told of the file is told once.
        drawing: { ...read.value, shapes, notes: at === 0 ? read.value.notes : [] },
      };
    }),
  );
};

/**
 * Reads a drawing file layer by layer, each as an area, order, names and colours kept; a picture at several brightnesses. Fails
 * with what is wrong with the file, where no layer bounds an area, or where there are more than are taken.
 */
export const takeLayers = (file: DrawingFile, options: LayerOptions): Result<TakenLayers> => {
  const read = cutsOf(file, options);
  if (!read.ok) return read;
  const known = read.value.map(({ name }) => name);
  const wanted = read.value.filter(({ name }) => options.layers === null || options.layers.includes(name));
  const changes: string[] = [];
  const empty: string[] = [];
  const knots: Problem[] = [];
  const found = wanted.flatMap(({ name, colour, drawing }) => {
    const done = repair(drawing, { gapMm: options.gapMm, layers: null });
    if (!done.ok) {
      knots.push(...done.problems.map(({ message }) => ({ path: name, message })));
      return [];
    }
    const repaired = done.value;
    changes.push(...repaired.changes.map((each) => `${name}: ${each}`));
    if (repaired.outline.length === 0) {
      empty.push(name);
      return [];
    }
    return [{ name, colour, outline: repaired.outline }];
  });
  if (knots.length > 0) return failure(...knots);
  if (found.length === 0)
    return failure({
      path: '',
      message: `no layer of this drawing closes, so there is nothing to cut (${empty.slice(0, 3).join(', ') || 'all left out'}); widen the gap that is bridged, or take other layers`,
    });
  if (found.length > mostLayers)
    return failure({
      path: '',
      message: `has ${found.length} layers; a scene takes ${mostLayers} at once. Join some in the drawing, or leave some out`,
    });
  const fine = thinnings
    .map((mm) => found.map((layer) => ({ ...layer, outline: simplify(layer.outline, mm) })))
    .find((layers) => layers.reduce((sum, { outline }) => sum + countOf(outline), 0) <= maxDrawingNumbers / 2);
  if (fine === undefined)
    return failure({ path: '', message: 'these layers have too many points even when thinned; simplify them first' });
  const { x, y, width, height } = outlineBounds(fine.flatMap(({ outline }) => outline))!;
  return success({
    layers: fine.map((layer) => ({ ...layer, outline: moveOutline(layer.outline, -x - width / 2, -y - height / 2) })),
    widthMm: width,
    heightMm: height,
    sizeStated: read.value[0]!.drawing.sizeStated,
    known,
    notes: [
      ...read.value.flatMap(({ drawing }) => drawing.notes),
      ...empty.map((name) => `${name} bounds no area and was left out`),
    ],
    changes,
  });
};
