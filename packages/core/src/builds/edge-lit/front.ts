import { rectRing, subtract, unite, type Outline, type Ring } from '../../base/outlines/index.js';
import { adaptedHue, type LinearRgb } from '../../light/colour/index.js';
import { wallsOf } from '../../light/sheet/index.js';
import { roundedRing } from '../common/rounded-ring.js';
import { opaque, type Front, type FrontShape } from '../common/front.js';
import { eyeHoleOf } from './eye-hole.js';
import { arrisMm, showsEdge } from './edge-glow.js';
import { behindOf, clearRgb } from './look.js';
import type { PanelResults } from './results.js';

/** How the woods of holders look; others as the last. */
const woods: Readonly<Record<string, LinearRgb>> = {
  'oak-block-40': [0.36, 0.25, 0.14],
  'oak-block-30': [0.36, 0.25, 0.14],
  'oak-18': [0.34, 0.23, 0.13],
};
const otherWood: LinearRgb = [0.42, 0.33, 0.22];
const printedBlack: LinearRgb = [0.045, 0.045, 0.05];
const eyeBlack: LinearRgb = [0.01, 0.008, 0.01];

/** Strips along the free edges, as wide as their arris shows. */
const edgeBands = ({ assembly, geometry }: PanelResults): Outline =>
  wallsOf(geometry.ring)
    .filter(({ side }) => showsEdge(assembly, geometry, side))
    .map(({ x0, y0, x1, y1, intoX, intoY }): Ring => {
      const [inX, inY] = [arrisMm * intoX, arrisMm * intoY];
      return [
        [x0, y0],
        [x1, y1],
        [x1 + inX, y1 + inY],
        [x0 + inX, y0 + inY],
      ];
    });

const holderShape = ({ geometry, materials, assembly }: PanelResults): FrontShape => {
  const { outside, holder, seen } = geometry;
  const whole = rectRing({
    x: -outside.widthMm / 2,
    y: -outside.heightMm / 2,
    width: outside.widthMm,
    height: outside.heightMm,
  });
  const printed = assembly.holder.kind === 'base' && assembly.holder.make === 'printed';
  const outline: Outline =
    holder.kind === 'base'
      ? [
          rectRing({
            x: -holder.lengthMm / 2,
            y: -outside.heightMm / 2,
            width: holder.lengthMm,
            height: holder.heightMm,
          }),
        ]
      : [whole, rectRing(seen)];
  return {
    id: 'holder',
    outline,
    rule: 'evenodd',
    paint: { reflects: printed ? printedBlack : (woods[materials.board.id] ?? otherWood) },
    beside: true,
  };
};

/** The eye of a remote in the front of a base: a dark disc. */
const eyeShapes = (results: PanelResults): readonly FrontShape[] => {
  const eye = eyeHoleOf(results);
  if (eye === null) return [];
  const [size, radius] = [eye.diameterMm, eye.diameterMm / 2];
  const y = eye.upMm - results.geometry.outside.heightMm / 2;
  const disc = roundedRing({ x: eye.x - radius, y: y - radius, width: size, height: size }, radius, radius);
  return [{ id: 'eye', outline: [disc], rule: 'nonzero', paint: { reflects: eyeBlack }, beside: true }];
};

/** A dark clear sheet with what is seen through it, worked places and edges that shine, and what holds it. */
export const panelFront = (results: PanelResults): Front => {
  const { geometry, lettering, assembly, design, glow, materials } = results;
  const cover = { passes: opaque, reflects: clearRgb(behindOf(assembly.sheet, materials.pane)) };
  const { outside, ring, holder } = geometry;
  const worked = lettering.outline;
  const dark = subtract([ring], [...worked, ...edgeBands(results)]);
  const holding = holderShape(results);
  return {
    lights: 'itself',
    seenHue: design.brief.light.kind === 'white' ? adaptedHue(glow.hue) : glow.hue,
    cover,
    covered: 'round-letters',
    // Square sheets fill their map.
    clip: ring.length > 4 ? [ring] : null,
    sheet: true,
    rim: null,
    shapes: [
      { id: 'letters', outline: dark, rule: 'nonzero', paint: cover, beside: false },
      holding,
      ...eyeShapes(results),
    ],
    fitted: { x: -outside.widthMm / 2, y: -outside.heightMm / 2, width: outside.widthMm, height: outside.heightMm },
    body: holder.kind === 'base' ? unite([ring, ...holding.outline]) : [holding.outline[0]!],
    profile: 'letters',
  };
};
