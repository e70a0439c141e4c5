import { findArcs } from '../../base/curves/index.js';
import type { Point } from '../../base/outlines/index.js';
import type { CutPart, PartShape } from '../../making/parts/index.js';
import { dxfColours, micron } from './dxf.js';

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

const groupsOf = (shape: PartShape, layer: string): Groups => {
  switch (shape.kind) {
    case 'outline':
      return shape.outline.flatMap((ring) => {
        const found = findArcs(ring);
        return found.kind === 'circle'
          ? circle(layer, found.centre, found.radius)
          : polyline(layer, found.points, true);
      });
    case 'hole':
      return circle(layer, [shape.x, shape.y], shape.diameterMm / 2);
    case 'path':
      return polyline(
        layer,
        shape.points.map((at) => ({ at, bulge: 0 })),
        shape.closed,
      );
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
export const partDxfR12 = ({ layers, widthMm, heightMm }: CutPart): string => {
  const names = [...new Set(layers.map(({ operation }) => operation))];
  const table = names.flatMap((operation): Groups => [
    [0, 'LAYER'],
    [2, operation.toUpperCase()],
    [70, 0],
    [62, dxfColours[operation]],
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
      [70, names.length],
      ...table,
      [0, 'ENDTAB'],
    ]),
    ...section(
      'ENTITIES',
      layers.flatMap(({ operation, shapes }) => shapes.flatMap((shape) => groupsOf(shape, operation.toUpperCase()))),
    ),
    [0, 'EOF'],
  ];
  return groups.map(([code, value]) => `${code}\n${value}\n`).join('');
};
