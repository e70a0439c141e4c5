import { arcsAlong, findArcs } from '../../base/curves/index.js';
import type { Point, Ring } from '../../base/outlines/index.js';
import { usualColours, type LayerColours } from '../../document/catalogue/index.js';
import type { CutPart, PartShape } from '../../making/parts/index.js';
import { colourIndex } from './colour-index.js';
import { micron } from './dxf.js';
import { layerName } from './layer-name.js';

type Groups = readonly (readonly [code: number, value: string | number])[];

const polyline = (
  layer: string,
  points: readonly { readonly at: Point; readonly bulge: number }[],
  closed: boolean,
): Groups => [
  [0, 'POLYLINE'],
  [8, layer],
  [66, 1],
  [10, 0],
  [20, 0],
  [30, 0],
  [70, closed ? 1 : 0],
  ...points.flatMap(({ at, bulge }): Groups => [
    [0, 'VERTEX'],
    [8, layer],
    [10, micron(at[0])],
    [20, micron(at[1])],
    [30, 0],
    ...(bulge === 0 ? [] : ([[42, bulge]] as const)),
  ]),
  [0, 'SEQEND'],
  [8, layer],
];

const circle = (layer: string, [x, y]: Point, radius: number): Groups => [
  [0, 'CIRCLE'],
  [8, layer],
  [10, micron(x)],
  [20, micron(y)],
  [30, 0],
  [40, micron(radius)],
];

const ringGroups = (ring: Ring, layer: string): Groups => {
  const found = findArcs(ring);
  return found.kind === 'circle' ? circle(layer, found.centre, found.radius) : polyline(layer, found.points, true);
};

const groupsOf = (shape: PartShape, layer: string): Groups => {
  switch (shape.kind) {
    case 'outline':
      return shape.outline.flatMap((ring) => ringGroups(ring, layer));
    case 'hole':
      return circle(layer, [shape.x, shape.y], shape.diameterMm / 2);
    case 'path':
      return shape.closed ? ringGroups(shape.points, layer) : polyline(layer, arcsAlong(shape.points), false);
    case 'line':
      return [
        [0, 'LINE'],
        [8, layer],
        [10, micron(shape.from[0])],
        [20, micron(shape.from[1])],
        [30, 0],
        [11, micron(shape.to[0])],
        [21, micron(shape.to[1])],
        [31, 0],
      ];
  }
};

const section = (name: string, groups: Groups): Groups => [[0, 'SECTION'], [2, name], ...groups, [0, 'ENDSEC']];

/**
 * One part as DXF of the oldest kind that machines ask for (release 12), 1:1; its unit is the millimetre, which such a file
 * cannot say. Layers, arcs and circles as in the newer one.
 */
export const partDxfR12 = (part: CutPart, colours: LayerColours = usualColours): string => {
  const { layers, widthMm, heightMm } = part;
  const named = new Map(layers.map((layer) => [layerName(layer, part), layer.operation]));
  const table = [...named].flatMap(([name, operation]): Groups => [
    [0, 'LAYER'],
    [2, name],
    [70, 0],
    [62, colourIndex(colours[operation])],
    [6, 'CONTINUOUS'],
  ]);
  const groups: Groups = [
    ...section('HEADER', [
      [9, '$ACADVER'],
      [1, 'AC1009'],
      [9, '$EXTMIN'],
      [10, 0],
      [20, 0],
      [30, 0],
      [9, '$EXTMAX'],
      [10, micron(widthMm)],
      [20, micron(heightMm)],
      [30, 0],
    ]),
    ...section('TABLES', [
      [0, 'TABLE'],
      [2, 'LTYPE'],
      [70, 1],
      [0, 'LTYPE'],
      [2, 'CONTINUOUS'],
      [70, 0],
      [3, 'Solid line'],
      [72, 65],
      [73, 0],
      [40, 0],
      [0, 'ENDTAB'],
      [0, 'TABLE'],
      [2, 'LAYER'],
      [70, named.size],
      ...table,
      [0, 'ENDTAB'],
    ]),
    ...section(
      'ENTITIES',
      layers.flatMap((layer) => layer.shapes.flatMap((shape) => groupsOf(shape, layerName(layer, part)))),
    ),
    [0, 'EOF'],
  ];
  return groups.map(([code, value]) => `${code}\n${value}\n`).join('');
};
