import { plainBoard, type CutPart } from '../../making/parts/index.js';
import { looksOut } from './rim.js';
import { boxSides, type BoxSide } from './schema.js';
import type { PartFacts } from './types.js';

/** Strip lies on the side of a ledge when its path comes so near to it (mm). */
const nearMm = 0.5;

/** The ledge of strip that looks out at the returns: the sides it has, and its size over all and up to its top (mm). */
export const ledgeOf = ({ runs, materials }: Pick<PartFacts, 'runs' | 'materials'>) => {
  const places = runs.segments.filter(looksOut).flatMap(({ path }) => path);
  if (places.length === 0) return null;
  const [reachX, reachY, top] = [0, 1, 2].map((axis) => Math.max(...places.map((place) => Math.abs(place[axis]!))));
  const touches: Readonly<Record<BoxSide, (x: number, y: number) => boolean>> = {
    top: (_, y) => y > reachY! - nearMm,
    right: (x) => x > reachX! - nearMm,
    bottom: (_, y) => y < nearMm - reachY!,
    left: (x) => x < nearMm - reachX!,
  };
  return {
    sides: boxSides.filter((side) => places.filter(([x, y]) => touches[side](x, y)).length > 1),
    widthMm: 2 * (reachX! - materials.strip.heightMm),
    heightMm: 2 * (reachY! - materials.strip.heightMm),
    depthMm: top! + materials.strip.widthMm / 2,
  };
};

/** Rails that stand on the back within the returns and carry strip that looks out at them. */
export const ledgeParts = (facts: PartFacts): readonly CutPart[] => {
  const ledge = ledgeOf(facts);
  if (ledge === null) return [];
  const board = facts.materials.returnBoard;
  const upright = Math.max(1, ledge.heightMm - 2 * board.thicknessMm);
  return ledge.sides.map((side) => {
    const stands = side === 'left' || side === 'right';
    return plainBoard(
      board,
      `ledge-${side}`,
      `Ledge, ${side}`,
      stands ? upright : ledge.widthMm,
      ledge.depthMm,
      `glued to the back${stands ? ' between top and bottom' : ''}; strip on its outer side`,
    );
  });
};
