import { ringArea, subtract, type Outline, type Point, type Ring } from '../../base/outlines/index.js';
import type { PanelFacts } from './results.js';

/** A bridge that keeps the middle of a letter is so wide (mm); typical. */
const bridgeMm = 1.5;

/** Whether the artwork is worked through a stencil. */
const isStencilled = ({ materials: { engraving } }: Pick<PanelFacts, 'materials'>): boolean =>
  engraving.method === 'blasted' || engraving.method === 'sanded';

const countersOf = (outline: Outline): readonly Ring[] => outline.filter((ring) => ringArea(ring) < 0);

/** Middles that fall out of a stencil unless something keeps them. */
export const looseOf = (results: Pick<PanelFacts, 'materials' | 'lettering'>): number =>
  isStencilled(results) ? countersOf(results.lettering.outline).length : 0;

/** Straight up through a counter and out of the letter above it. */
const bridgeOver = (counter: Ring): Ring => {
  const xs = counter.map(([x]) => x);
  const ys = counter.map(([, y]) => y);
  const middle = (Math.min(...xs) + Math.max(...xs)) / 2;
  const [low, high] = [Math.min(...ys), Math.max(...ys)];
  const reach = high - low + 1000;
  const point = (x: number, y: number): Point => [x, y];
  return [
    point(middle - bridgeMm / 2, (low + high) / 2),
    point(middle + bridgeMm / 2, (low + high) / 2),
    point(middle + bridgeMm / 2, (low + high) / 2 + reach),
    point(middle - bridgeMm / 2, (low + high) / 2 + reach),
  ];
};

/**
 * What is cut out of the stencil: the artwork, with a bridge from the middle of each counter up to the ground, so that it stays in one piece.
 * Each bridge cuts the letters it belongs to alone. Null where nothing is stencilled.
 */
export const stencilOf = (
  results: Pick<PanelFacts, 'materials' | 'lettering'>,
): { readonly outline: Outline } | null => {
  if (!isStencilled(results) || results.lettering.outline.length === 0) return null;
  const { outline } = results.lettering;
  const bridges = countersOf(outline).map((counter) => clippedTo(outline, counter));
  return { outline: bridges.length === 0 ? outline : subtract(outline, bridges) };
};

/** The bridge over a counter, no higher than the letter round it. */
const clippedTo = (outline: Outline, counter: Ring): Ring => {
  const bridge = bridgeOver(counter);
  const [x] = [(bridge[0]![0] + bridge[1]![0]) / 2];
  const from = bridge[0]![1];
  const outer = outline.filter((ring) => ringArea(ring) > 0);
  const tops = outer
    .filter((ring) => {
      const xs = ring.map(([px]) => px);
      const ys = ring.map(([, py]) => py);
      return Math.min(...xs) <= x && x <= Math.max(...xs) && Math.min(...ys) <= from && from <= Math.max(...ys);
    })
    .map((ring) => Math.max(...ring.map(([, py]) => py)));
  const top = Math.min(...tops, bridge[2]![1]) + 0.1;
  return [bridge[0]!, bridge[1]!, [bridge[2]![0], top], [bridge[3]![0], top]];
};
