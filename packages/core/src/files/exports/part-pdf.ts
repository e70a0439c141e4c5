import {
  closePath,
  lineTo,
  moveTo,
  popGraphicsState,
  pushGraphicsState,
  setLineWidth,
  setStrokingRgbColor,
  stroke,
  type PDFOperator,
} from 'pdf-lib';
import { ellipseRing, letterFlatnessMm } from '../../base/curves/index.js';
import type { Point, Ring } from '../../base/outlines/index.js';
import { usualColours, type LayerColours } from '../../document/catalogue/index.js';
import { newPdf, type PaperFonts } from '../../making/paper/index.js';
import { pointsPerMm } from '../../making/templates/index.js';
import type { CutPart, PartShape } from '../../making/parts/index.js';

/** A page of PDF is no longer than this (14,400 points). */
const longestMm = 5080;
const hairlineMm = 0.1;

interface Drawn {
  readonly points: Ring;
  readonly closed: boolean;
}

const linesOf = (shape: PartShape): readonly Drawn[] => {
  switch (shape.kind) {
    case 'outline':
      return shape.outline.map((points) => ({ points, closed: true }));
    case 'hole': {
      const radius = shape.diameterMm / 2;
      return [{ points: ellipseRing([shape.x, shape.y], radius, radius, 0, letterFlatnessMm), closed: true }];
    }
    case 'path':
      return [shape];
    case 'line':
      return [{ points: [shape.from, shape.to], closed: false }];
  }
};

const operatorsOf = ({ points, closed }: Drawn): readonly PDFOperator[] => {
  const at = ([x, y]: Point): [number, number] => [x * pointsPerMm, y * pointsPerMm];
  const [first, ...rest] = points;
  if (first === undefined) return [];
  return [
    moveTo(...at(first)),
    ...rest.map((point) => lineTo(...at(point))),
    ...(closed ? [closePath()] : []),
    stroke(),
  ];
};

const channel = (colour: string, from: number): number => Number.parseInt(colour.slice(from, from + 2), 16) / 255;

/** One part as PDF, 1:1 on one page of its own size, hairlines in the colours of its layers; null where a page cannot be so long. */
export const partPdf = async (
  part: CutPart,
  fonts: PaperFonts,
  colours: LayerColours = usualColours,
): Promise<Uint8Array | null> => {
  const { widthMm, heightMm } = part;
  if (Math.max(widthMm, heightMm) > longestMm) return null;
  const { pdf, save } = await newPdf(part.name, fonts);
  const page = pdf.addPage([widthMm * pointsPerMm, heightMm * pointsPerMm]);
  for (const { operation, shapes } of part.layers) {
    const colour = colours[operation];
    page.pushOperators(
      pushGraphicsState(),
      setLineWidth(hairlineMm * pointsPerMm),
      setStrokingRgbColor(channel(colour, 1), channel(colour, 3), channel(colour, 5)),
      ...shapes.flatMap(linesOf).flatMap(operatorsOf),
      popGraphicsState(),
    );
  }
  return save();
};
