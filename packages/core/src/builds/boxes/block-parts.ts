import { plainBoard, type CutPart } from '../../making/parts/index.js';
import type { PartFacts } from './types.js';

/** The box over a supply that stands on the back, open toward it: a front, two long sides and two ends between them. */
export const blockParts = ({ geometry, materials }: PartFacts): readonly CutPart[] => {
  const { block } = geometry;
  if (block === null) return [];
  const board = materials.backBoard;
  const t = board.thicknessMm;
  const [widthMm, heightMm, depthMm] = [block.x1 - block.x0, block.y1 - block.y0, block.heightMm];
  const part = (id: string, name: string, width: number, height: number, note: string): CutPart =>
    plainBoard(board, `block-${id}`, `Block, ${name}`, width, height, note);
  const side = Math.max(1, depthMm - t);
  const end = Math.max(1, heightMm - 2 * t);
  return [
    part('front', 'front', widthMm, heightMm, 'lined like the case; screwed on from the back, so that it comes off'),
    ...[1, 2].map((which) => part(`side-${which}`, `long side ${which}`, widthMm, side, 'glued under the front')),
    ...[1, 2].map((which) => part(`end-${which}`, `end ${which}`, end, side, 'glued between the long sides')),
  ];
};
