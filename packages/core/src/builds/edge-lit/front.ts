import {
  rectRing,
  subtract,
  unite,
  type Outline,
  type Point,
  type Rect,
  type Ring,
} from '../../base/outlines/index.js';
import { adaptedHue, type LinearRgb } from '../../light/colour/index.js';
import { sheetSides, type SheetSide } from '../../light/sheet/index.js';
import { opaque, type Front, type FrontShape } from '../common/front.js';
import { eyeHoleOf } from './eye-hole.js';
import { arrisMm, showsEdge } from './glow.js';
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

/** The corners of a rectangle, rounded where they stand free. */
const roundedRing = ({ x, y, width, height }: Rect, radius: number, low: number): Ring => {
  const steps = 8;
  const arc = (cx: number, cy: number, from: number, r: number): readonly Point[] =>
    r <= 0
      ? [[cx, cy]]
      : Array.from({ length: steps + 1 }, (_, at): Point => {
          const angle = from + (at / steps) * (Math.PI / 2);
          return [cx + r * Math.cos(angle), cy + r * Math.sin(angle)];
        });
  const [right, top] = [x + width, y + height];
  return [
    ...arc(x + low, y + low, Math.PI, low),
    ...arc(right - low, y + low, 1.5 * Math.PI, low),
    ...arc(right - radius, top - radius, 0, radius),
    ...arc(x + radius, top - radius, Math.PI / 2, radius),
  ];
};

/** Outline of a sheet: its corners are round where they do not stand in a base. */
export const sheetRing = (sheet: Rect, cornerMm: number, standing: boolean): Ring =>
  roundedRing(sheet, cornerMm, standing ? 0 : cornerMm);

/** Strips along the free edges, as wide as their arris shows. */
const edgeBands = (results: PanelResults): Outline => {
  const { assembly, geometry } = results;
  const { x, y, width, height } = geometry.sheet;
  const bands: Readonly<Record<SheetSide, Rect>> = {
    left: { x, y, width: arrisMm, height },
    right: { x: x + width - arrisMm, y, width: arrisMm, height },
    bottom: { x, y, width, height: arrisMm },
    top: { x, y: y + height - arrisMm, width, height: arrisMm },
  };
  return sheetSides.filter((side) => showsEdge(assembly, geometry, side)).map((side) => rectRing(bands[side]));
};

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
  const { outside, sheet, holder } = geometry;
  const ring = sheetRing(sheet, assembly.sheet.cornerMm ?? 0, holder.kind === 'base');
  const worked = lettering.outline;
  const dark = subtract([ring], [...worked, ...edgeBands(results)]);
  const holding = holderShape(results);
  return {
    lights: 'itself',
    seenHue: design.brief.light.kind === 'white' ? adaptedHue(glow.hue) : glow.hue,
    cover,
    covered: 'round-letters',
    // Square sheets fill their map.
    clip: (assembly.sheet.cornerMm ?? 0) > 0 ? [ring] : null,
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
