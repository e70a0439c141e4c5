import { besideCut, moveOutline } from '../../base/outlines/index.js';
import type { CutPart, PartLayer, PartShape } from '../../making/parts/index.js';

const moved = (shape: PartShape, by: number): PartShape => {
  switch (shape.kind) {
    case 'outline':
      return { ...shape, outline: moveOutline(shape.outline, by, by) };
    case 'hole':
      return { ...shape, x: shape.x + by, y: shape.y + by };
    case 'path':
      return { ...shape, points: shape.points.map(([x, y]) => [x + by, y + by] as const) };
    case 'line':
      return {
        ...shape,
        from: [shape.from[0] + by, shape.from[1] + by],
        to: [shape.to[0] + by, shape.to[1] + by],
      };
  }
};

/** The layers of a part, moved right and up. */
export const movedLayers = ({ layers }: CutPart, by: number): readonly PartLayer[] =>
  layers.map(({ operation, shapes }) => ({ operation, shapes: shapes.map((shape) => moved(shape, by)) }));

/** A shape where the middle of the cut runs; nothing when the tool is too wide for a hole. */
const beside = (shape: PartShape, cutMm: number): readonly PartShape[] => {
  if (shape.kind === 'outline') return [{ ...shape, outline: besideCut(shape.outline, cutMm) }];
  if (shape.kind === 'hole')
    return shape.diameterMm > cutMm ? [{ ...shape, diameterMm: shape.diameterMm - cutMm }] : [];
  return [shape];
};

const layerBeside = ({ operation, shapes }: PartLayer, cutMm: number): PartLayer => ({
  operation,
  shapes: shapes.flatMap((shape) => (operation === 'cut' ? beside(shape, cutMm) : [shape])),
});

/**
 * A part drawn for a machine that follows lines as they are: what is cut out lies half a cut beside what is drawn, so that
 * the part comes out as large as it should. Drilled holes and marks stay. Half a cut more of room on every side.
 */
export const toolpathPart = (part: CutPart, cutMm: number): CutPart => ({
  ...part,
  name: `${part.name}, middle of the cut`,
  note: `lines half of a ${cutMm} mm cut beside the part; switch the machine’s own compensation off${part.note === '' ? '' : `; ${part.note}`}`,
  widthMm: part.widthMm + cutMm,
  heightMm: part.heightMm + cutMm,
  layers: movedLayers({ ...part, layers: part.layers.map((layer) => layerBeside(layer, cutMm)) }, cutMm / 2),
});
