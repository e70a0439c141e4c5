import {
  outlineBounds,
  rectRing,
  ringArea,
  subtract,
  type Outline,
  type Rect,
  type Ring,
} from '../../base/outlines/index.js';
import { fillOf, type WorkedArea } from './areas.js';

/** A bridge that keeps the middle of a letter is so wide (mm); typical. */
const bridgeMm = 1.5;

/** Whether an area is worked through a stencil. */
export const isStencilled = ({ engraving }: Pick<WorkedArea, 'engraving'>): boolean =>
  engraving.method === 'blasted' || engraving.method === 'sanded';

const countersOf = (outline: Outline): readonly Ring[] => outline.filter((ring) => ringArea(ring) < 0);

/** Middles that fall out of a stencil unless something keeps them; between lines and dots the ground hangs together. */
export const looseOf = (area: WorkedArea): number =>
  isStencilled(area) && fillOf(area.artwork) === 'solid' ? countersOf(area.lettering.outline).length : 0;

const ringBounds = (ring: Ring): Rect => outlineBounds([ring])!;

/** Straight up from the middle of a counter, through the letter round it and no higher: a bridge from the counter to the ground. */
const bridgeOver = (outline: Outline, counter: Ring): Ring => {
  const around = ringBounds(counter);
  const [x, from] = [around.x + around.width / 2, around.y + around.height / 2];
  const tops = outline
    .filter((ring) => ringArea(ring) > 0)
    .map(ringBounds)
    .filter((each) => each.x <= x && x <= each.x + each.width && each.y <= from && from <= each.y + each.height)
    .map(({ y, height }) => y + height);
  // A hair past the letter, so that no skin of film is left; a hole with no letter round it is open as it is.
  const top = (tops.length === 0 ? around.y + around.height : Math.min(...tops)) + 0.1;
  return rectRing({ x: x - bridgeMm / 2, y: from, width: bridgeMm, height: top - from });
};

/**
 * What is cut out of the stencil: the artwork, with a bridge from the middle of each counter up to the ground, so that it stays in one piece.
 * Each bridge cuts the letters it belongs to alone. Null where nothing is stencilled.
 */
export const stencilOf = (area: WorkedArea): Outline | null => {
  const { outline } = area.lettering;
  if (!isStencilled(area) || outline.length === 0) return null;
  const bridges = countersOf(outline).map((counter) => bridgeOver(outline, counter));
  return bridges.length === 0 ? outline : subtract(outline, bridges);
};
