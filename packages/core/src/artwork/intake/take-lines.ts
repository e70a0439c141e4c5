import { mostDrawnLines, mostLineNumbers } from '../../document/design/index.js';
import type { DrawnShape } from '../drawings/index.js';
import { measureLine, outlineBounds, simplify, simplifyLine, type Ring } from '../../base/outlines/index.js';
import { failure, success, type Result } from '../../base/result.js';
import { joinEnds } from '../repair/index.js';
import { readDrawing, type DrawingFile, type IntakeOptions } from './take-drawing.js';

/** A line as it is drawn (mm, y up). */
export interface DrawnLine {
  readonly points: Ring;
  readonly closed: boolean;
  readonly layer: string;
}

/** Lines of a drawing taken in, their middle at the origin. */
export interface TakenLines {
  readonly lines: readonly DrawnLine[];
  readonly widthMm: number;
  readonly heightMm: number;
  readonly layers: readonly string[];
  readonly sizeStated: boolean;
  /** Areas that are filled, which are no lines. */
  readonly areas: number;
  readonly notes: readonly string[];
  readonly changes: readonly string[];
}

/** Shorter than this is dust (mm). */
const dustMm = 1;
/** Coarser and coarser until the lines fit into a design (mm). */
const thinnings = [0.003, 0.01, 0.03, 0.1, 0.3];

const plural = (count: number, one: string): string => `${count.toLocaleString('en')} ${one}${count === 1 ? '' : 's'}`;

const countOf = (lines: readonly DrawnLine[]): number => lines.reduce((sum, { points }) => sum + 2 * points.length, 0);

const thinned = (lines: readonly DrawnLine[], mm: number): readonly DrawnLine[] =>
  lines.map((line) => ({
    ...line,
    points: line.closed ? (simplify([line.points], mm)[0] ?? line.points) : simplifyLine(line.points, mm),
  }));

/** Strokes of several colours in one layer are told apart by them: each is a layer of its own. */
const byColour = (shapes: readonly DrawnShape[]): readonly DrawnShape[] => {
  const colours = new Map<string, Set<string>>();
  for (const { layer, stroke = '' } of shapes) colours.set(layer, (colours.get(layer) ?? new Set()).add(stroke));
  return shapes.map((shape) =>
    colours.get(shape.layer)!.size > 1 ? { ...shape, layer: `${shape.layer} ${shape.stroke ?? ''}`.trim() } : shape,
  );
};

/** Lines of the shapes that are only drawn, ends joined layer by layer. */
const linesOf = (shapes: readonly DrawnShape[], gapMm: number) => {
  const layers = [...new Set(shapes.map(({ layer }) => layer))];
  const joined = layers.map((layer) => ({
    layer,
    ...joinEnds(
      shapes
        .filter((shape) => shape.layer === layer)
        .flatMap(({ paths }) => paths.filter(({ points }) => points.length > 1)),
      gapMm,
    ),
  }));
  return {
    joints: joined.reduce((sum, { joints }) => sum + joints, 0),
    lines: joined.flatMap(({ layer, closed, open }) => [
      ...closed.map((points): DrawnLine => ({ points, closed: true, layer })),
      ...open.map((points): DrawnLine => ({ points, closed: false, layer })),
    ]),
  };
};

/**
 * Reads the strokes of a drawing file as lines, open and closed, with their layers. Fails with what is wrong with the file, or when it
 * draws areas and no lines, or more than a design takes: in a sentence with the remedy.
 */
export const takeLines = (file: DrawingFile, options: IntakeOptions): Result<TakenLines> => {
  if (file.kind === 'picture')
    return failure({
      path: '',
      message:
        'a scan has no strokes that can be followed; take it in as the drawing, and its middle or its outline as lines',
    });
  const read = readDrawing(file, options);
  if (!read.ok) return read;
  const { shapes, sizeStated, notes } = read.value;
  const wanted = shapes.filter(({ layer }) => options.layers === null || options.layers.includes(layer));
  const areas = wanted.filter(({ fill }) => fill !== null).length;
  const { lines: all, joints } = linesOf(byColour(wanted.filter(({ fill }) => fill === null)), options.gapMm);
  const long = all.filter(({ points, closed }) => measureLine(points, closed).lengthMm >= dustMm);
  const dust = all.length - long.length;
  if (long.length === 0)
    return failure({
      path: '',
      message:
        areas > 0
          ? `draws ${plural(areas, 'area')} and no lines; take it in as the drawing, and the middle of its strokes or its outline as lines`
          : 'has no line in it',
    });
  if (long.length > mostDrawnLines)
    return failure({
      path: '',
      message: `has ${plural(long.length, 'line')}; a design takes ${mostDrawnLines}. Join them in the drawing, or leave layers out`,
    });
  const fine = thinnings.map((mm) => thinned(long, mm)).find((lines) => countOf(lines) <= mostLineNumbers);
  if (fine === undefined)
    return failure({ path: '', message: 'these lines have too many points even when thinned; simplify them first' });
  const { x, y, width, height } = outlineBounds(fine.map(({ points }) => points))!;
  return success({
    lines: fine.map((line) => ({
      ...line,
      points: line.points.map(([px, py]) => [px - x - width / 2, py - y - height / 2] as const),
    })),
    widthMm: width,
    heightMm: height,
    layers: [...new Set(fine.map(({ layer }) => layer))],
    sizeStated,
    areas,
    notes,
    changes: [
      ...(joints > 0 ? [`${plural(joints, 'gap')} closed`] : []),
      ...(dust > 0 ? [`${plural(dust, 'speck')} of less than ${dustMm} mm left out`] : []),
      ...(areas > 0 ? [`${plural(areas, 'filled area')} left out: only strokes are lines`] : []),
    ],
  });
};

const micrometres = (value: number): number => Math.round(value * 1000) / 1000 + 0;

/** Lines taken in as a design keeps them. */
export const asDrawnLines = ({ lines }: TakenLines, name: string) => ({
  name: name.slice(0, 160),
  scale: 1,
  lines: lines.map(({ points, closed, layer }) => ({
    points: points.flatMap(([x, y]) => [micrometres(x), micrometres(y)]),
    closed,
    ...(layer === '' ? {} : { layer: layer.slice(0, 120) }),
  })),
});
