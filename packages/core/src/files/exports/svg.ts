import { arcsAlong, findArcs, type BulgedPoint } from '../../base/curves/index.js';
import { ringArea, type Outline, type Point, type Ring } from '../../base/outlines/index.js';
import { usualColours, type LayerColours } from '../../document/catalogue/index.js';
import type { CutPart, PartShape } from '../../making/parts/index.js';
import { layerName } from './layer-name.js';

const number = (value: number): string => String(Math.round(value * 1000) / 1000 + 0);

/** How a point is written, y turned down. */
type Place = (point: Point) => string;

const placeOn =
  (heightMm: number): Place =>
  ([x, y]) =>
    `${number(x)} ${number(heightMm - y)}`;

/** The way from a corner to the next, straight or round. */
const wayTo = ({ at, bulge }: BulgedPoint, to: Point, place: Place): string => {
  if (bulge === 0) return `L${place(to)}`;
  const chord = Math.hypot(to[0] - at[0], to[1] - at[1]);
  const radius = number((chord * (1 + bulge * bulge)) / (4 * Math.abs(bulge)));
  return `A${radius} ${radius} 0 ${Math.abs(bulge) > 1 ? 1 : 0} ${bulge > 0 ? 0 : 1} ${place(to)}`;
};

const ringData = (ring: Ring, heightMm: number): string => {
  const place = placeOn(heightMm);
  const found = findArcs(ring);
  if (found.kind === 'circle') {
    const { centre, radius } = found;
    const [east, west]: [Point, Point] = [
      [centre[0] + radius, centre[1]],
      [centre[0] - radius, centre[1]],
    ];
    // Holes go on running the other way round; y is turned down, and with it the sweep.
    const sweep = ringArea(ring) > 0 ? 0 : 1;
    const half = (to: Point): string => `A${number(radius)} ${number(radius)} 0 0 ${sweep} ${place(to)}`;
    return `M${place(east)}${half(west)}${half(east)}Z`;
  }
  const { points } = found;
  const ways = points.map((from, index) => {
    const to = points[(index + 1) % points.length]!.at;
    return from.bulge === 0 && index === points.length - 1 ? '' : wayTo(from, to, place);
  });
  return `M${place(points[0]!.at)}${ways.join('')}Z`;
};

/** A line whose ends stay apart, or are joined. */
const lineData = (points: Ring, closed: boolean, heightMm: number): string => {
  if (closed) return ringData(points, heightMm);
  const place = placeOn(heightMm);
  const found = arcsAlong(points);
  const ways = found.slice(0, -1).map((from, at) => wayTo(from, found[at + 1]!.at, place));
  return `M${place(found[0]!.at)}${ways.join('')}`;
};

/** An outline as SVG path data in mm, arcs where arcs were, y turned down for a part `heightMm` high. */
export const pathData = (outline: Outline, heightMm: number): string =>
  outline.map((ring) => ringData(ring, heightMm)).join('');

const shapeText = (shape: PartShape, heightMm: number): string => {
  switch (shape.kind) {
    case 'outline':
      return `<path d="${pathData(shape.outline, heightMm)}"/>`;
    case 'hole':
      return `<circle cx="${number(shape.x)}" cy="${number(heightMm - shape.y)}" r="${number(shape.diameterMm / 2)}"/>`;
    case 'path':
      return `<path d="${lineData(shape.points, shape.closed, heightMm)}"/>`;
    case 'line':
      return `<path d="M${number(shape.from[0])} ${number(heightMm - shape.from[1])}L${number(shape.to[0])} ${number(heightMm - shape.to[1])}"/>`;
  }
};

const escape = (text: string): string =>
  text.replace(
    /[&<>"]/g,
    (character) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[character] ?? character,
  );

/** One part as SVG, 1:1 in mm, a group a layer named by its operation and depth; letters are paths, never text. */
export const partSvg = (part: CutPart, colours: LayerColours = usualColours): string => {
  const { widthMm, heightMm } = part;
  const layers = part.layers
    .map((layer) => {
      const { operation, shapes, depthMm } = layer;
      const [name, depth] = [
        layerName(layer, part),
        depthMm === undefined ? '' : ` data-depth-mm="${number(depthMm)}"`,
      ];
      const body = shapes.map((shape) => `    ${shapeText(shape, heightMm)}`).join('\n');
      return `  <g id="${name}" data-operation="${operation}"${depth} fill="none" fill-rule="nonzero" stroke="${colours[operation]}" stroke-width="0.1">\n${body}\n  </g>`;
    })
    .join('\n');
  return `<?xml version="1.0" encoding="UTF-8"?>
<svg xmlns="http://www.w3.org/2000/svg" width="${number(widthMm)}mm" height="${number(heightMm)}mm" viewBox="0 0 ${number(widthMm)} ${number(heightMm)}">
  <title>${escape(part.name)}</title>
  <desc>${escape(`${part.materialName}; ${number(widthMm)} × ${number(heightMm)} × ${number(part.thicknessMm)} mm; ${part.note}`)}</desc>
${layers}
</svg>
`;
};
