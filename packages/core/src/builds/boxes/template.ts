import { entersAs } from '../common/enters-as.js';
import type { BoxResults } from './results.js';
import type { CutPart } from '../../making/parts/index.js';
import {
  box,
  circle,
  cross,
  faint,
  line,
  signal,
  text,
  type Template,
  type Tile,
} from '../../making/templates/index.js';

const arrow = (tile: Tile, x: number, y: number, way: number): void => {
  line(tile, x, y, x - 5 * way, y + 2, signal, 0.8);
  line(tile, x, y, x - 5 * way, y - 2, signal, 0.8);
};

/** Strip outlines, cut marks, numbers and arrows, in the back's own coordinates. */
const drawStrip = (tile: Tile, { runs, materials }: BoxResults, back: CutPart): void => {
  const { strip } = materials;
  for (const { from, to, number, lengthMm, on, path } of runs.segments) {
    // What follows an outline has a plan of its own.
    if (on !== 'back' || path.length > 2) continue;
    const way = Math.sign(to[0] - from[0]);
    const left = Math.min(from[0], to[0]) + back.widthMm / 2;
    const y = from[1] + back.heightMm / 2;
    box(tile, left, y - strip.widthMm / 2, lengthMm, strip.widthMm);
    for (let cut = strip.cutPitchMm; cut < lengthMm - 0.5; cut += strip.cutPitchMm)
      line(tile, left + cut, y - strip.widthMm / 2, left + cut, y + strip.widthMm / 2, faint, 0.3);
    text(tile, `${number}`, left + lengthMm / 2, y + strip.widthMm / 2 + 2, 11, signal);
    for (let mark = 60; mark < lengthMm; mark += 150) arrow(tile, left + (way > 0 ? mark : lengthMm - mark), y, way);
    const entry = from[0] + back.widthMm / 2;
    text(
      tile,
      entersAs(strip),
      entry + (way > 0 ? 2 : strip.addressable === true ? -26 : -16),
      y - strip.widthMm / 2 - 5,
      7,
    );
  }
};

/** Where a block or an inner frame stands on the back, to be glued or screwed on by. */
const drawBlock = (tile: Tile, { geometry: { block } }: BoxResults, back: CutPart): void => {
  if (block === null) return;
  const [x, y] = [block.x0 + back.widthMm / 2, block.y0 + back.heightMm / 2];
  box(tile, x, y, block.x1 - block.x0, block.y1 - block.y0);
  text(tile, 'stands here', x + 4, y + 4, 8);
};

const drawHoles = (tile: Tile, back: CutPart): void => {
  for (const { operation, shapes } of back.layers)
    if (operation === 'drill')
      for (const shape of shapes)
        if (shape.kind === 'hole') {
          circle(tile, shape.x, shape.y, shape.diameterMm);
          cross(tile, shape.x, shape.y);
        }
};

/**
 * The strip-placement template of a case with a lit face: the back with its rows, cut marks, numbers, arrows and holes. Strip on the
 * returns is not drawn on the back; the strip plan lists it.
 */
export const boxStripTemplate = (results: BoxResults): Template => {
  const back = results.cut.find(({ id }) => id === 'back');
  if (back === undefined) throw new Error('a case without a back');
  return {
    title: `${results.design.name}: strip template`,
    heading: `${results.design.name} - strip template`,
    widthMm: back.widthMm,
    heightMm: back.heightMm,
    draw: (tile) => {
      box(tile, 0, 0, back.widthMm, back.heightMm);
      drawBlock(tile, results, back);
      drawStrip(tile, results, back);
      drawHoles(tile, back);
    },
  };
};
