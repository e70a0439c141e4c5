import { rectRing } from '../../base/outlines/index.js';
import type { CutPart, PartShape } from '../../making/parts/index.js';
import { cutInOrder, movedLayers } from '../../making/toolpaths/index.js';

/** Round the film, so that what is weeded comes off in one piece (mm). */
const borderMm = 8;
/** From the border to the middle of a mark, and half of its length (mm). */
const outMm = 8;
const armMm = 4;

const cross = (x: number, y: number): readonly PartShape[] => [
  { kind: 'line', from: [x - armMm, y], to: [x + armMm, y] },
  { kind: 'line', from: [x, y - armMm], to: [x, y + armMm] },
];

/**
 * Film as a plotter takes it: the lines of the part as they are (mirrored already where it is worked from behind), a border
 * to weed to, and a mark to register by at each of three corners, so that it cannot lie the wrong way round.
 */
export const filmPart = (part: CutPart): CutPart => {
  const edge = borderMm + outMm + armMm;
  const [low, right, top] = [outMm + armMm, part.widthMm + edge + borderMm, part.heightMm + edge + borderMm];
  const border: PartShape = {
    kind: 'outline',
    outline: [rectRing({ x: low, y: low, width: part.widthMm + 2 * borderMm, height: part.heightMm + 2 * borderMm })],
  };
  const marks = [
    [armMm, armMm],
    [right + outMm, armMm],
    [armMm, top + outMm],
  ] as const;
  return {
    ...part,
    name: `${part.name}, for the plotter`,
    widthMm: part.widthMm + 2 * edge,
    heightMm: part.heightMm + 2 * edge,
    note: `weed to the border; three marks to register by${part.note === '' ? '' : `; ${part.note}`}`,
    layers: [
      ...movedLayers(cutInOrder(part).layers, edge),
      { operation: 'cut', shapes: [border] },
      { operation: 'mark', shapes: marks.flatMap(([x, y]) => cross(x, y)) },
    ],
  };
};
