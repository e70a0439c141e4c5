import type { Lit } from './exposure.js';

/** Light on a wall goes on beyond its map, ever weaker; in the picture it ends there, over this share of the margin. */
const fadeShare = 0.5;

/** How far the map of a lit wall reaches round what lights it (mm). */
const marginOf = ({ glow, front }: Lit): number =>
  Math.max(0, Math.min(front.fitted.x - glow.grid.area.x, front.fitted.y - glow.grid.area.y));

/** Share of the light on a wall that is shown at a place of its map: 1 inside, falling smoothly to 0 at the border. */
export const wallFade = (own: Lit): ((x: number, y: number) => number) => {
  const margin = own.front.lights === 'ground' ? fadeShare * marginOf(own) : 0;
  if (margin === 0) return () => 1;
  const { x: left, y: low, width, height } = own.glow.grid.area;
  return (x, y) => {
    const border = Math.min(x - left, left + width - x, y - low, low + height - y);
    const share = Math.min(1, Math.max(0, border / margin));
    return share * share * (3 - 2 * share);
  };
};
