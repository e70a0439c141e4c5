const pair = (code: number, value: string | number): string => `${code}\n${value}\n`;

/** A DXF file of entities, each a list of group codes and values. */
export const dxfText = (
  entities: readonly (readonly (readonly [number, string | number])[])[],
  {
    units = 4,
    blocks = '',
    tables = '',
  }: { readonly units?: number | null; readonly blocks?: string; readonly tables?: string } = {},
): string =>
  [
    units === null
      ? ''
      : pair(0, 'SECTION') + pair(2, 'HEADER') + pair(9, '$INSUNITS') + pair(70, units) + pair(0, 'ENDSEC'),
    tables,
    blocks,
    pair(0, 'SECTION') + pair(2, 'ENTITIES'),
    ...entities.map((entity) => entity.map(([code, value]) => pair(code, value)).join('')),
    pair(0, 'ENDSEC') + pair(0, 'EOF'),
  ].join('');

/** An entity as its group codes and values. */
export type Codes = readonly (readonly [number, string | number])[];
export const line = (x1: number, y1: number, x2: number, y2: number, layer = '0'): Codes => [
  [0, 'LINE'],
  [8, layer],
  [10, x1],
  [20, y1],
  [11, x2],
  [21, y2],
];
export const circle = (x: number, y: number, r: number, layer = '0'): Codes => [
  [0, 'CIRCLE'],
  [8, layer],
  [10, x],
  [20, y],
  [40, r],
];
export const arc = (x: number, y: number, r: number, from: number, to: number): Codes => [
  [0, 'ARC'],
  [8, '0'],
  [10, x],
  [20, y],
  [40, r],
  [50, from],
  [51, to],
];
export const polyline = (points: readonly (readonly [number, number, number?])[], closed = 1, layer = '0'): Codes => [
  [0, 'LWPOLYLINE'],
  [8, layer],
  [90, points.length],
  [70, closed],
  ...points.flatMap(([x, y, bulge = 0]): Codes => [
    [10, x],
    [20, y],
    [42, bulge],
  ]),
];
export const square = (x: number, y: number, size: number, layer = '0'): Codes =>
  polyline(
    [
      [x, y],
      [x + size, y],
      [x + size, y + size],
      [x, y + size],
    ],
    1,
    layer,
  );
export const spline = (
  degree: number,
  knots: readonly number[],
  points: readonly (readonly [number, number])[],
  weights: readonly number[] = [],
): Codes => [
  [0, 'SPLINE'],
  [8, '0'],
  [70, weights.length > 0 ? 12 : 8],
  [71, degree],
  [72, knots.length],
  [73, points.length],
  [74, 0],
  ...knots.map((knot): readonly [number, number] => [40, knot]),
  ...points.flatMap(([x, y], at): Codes => [
    [10, x],
    [20, y],
    ...(weights[at] === undefined ? [] : ([[41, weights[at]]] as const)),
  ]),
];
export const blockSection = (name: string, x: number, y: number, entities: readonly Codes[]): string =>
  pair(0, 'SECTION') +
  pair(2, 'BLOCKS') +
  pair(0, 'BLOCK') +
  pair(2, name) +
  pair(10, x) +
  pair(20, y) +
  entities.map((entity) => entity.map(([code, value]) => pair(code, value)).join('')).join('') +
  pair(0, 'ENDBLK') +
  pair(0, 'ENDSEC');
export const insert = (name: string, x: number, y: number, more: Codes = []): Codes => [
  [0, 'INSERT'],
  [8, '0'],
  [2, name],
  [10, x],
  [20, y],
  ...more,
];

/** A spline that is told by what it runs through. */
export const through = (points: readonly (readonly [number, number])[], closed: boolean, more: Codes = []): Codes => [
  [0, 'SPLINE'],
  [8, '0'],
  [70, closed ? 11 : 8],
  [71, 3],
  [74, points.length],
  ...more,
  ...points.flatMap(([x, y]): Codes => [
    [11, x],
    [21, y],
  ]),
];
/** A polyline with the widths of its pieces. */
export const wide = (
  points: readonly (readonly [x: number, y: number, from: number, to: number, bulge?: number])[],
  closed = 0,
): Codes => [
  [0, 'LWPOLYLINE'],
  [5, 'A1'],
  [8, '0'],
  [90, points.length],
  [70, closed],
  ...points.flatMap(([x, y, from, to, bulge = 0]): Codes => [
    [10, x],
    [20, y],
    [40, from],
    [41, to],
    [42, bulge],
  ]),
];
/** A polyline of the older kind, vertex by vertex with its flags. */
export const vertices = (
  points: readonly (readonly [x: number, y: number, flags: number])[],
  head: Codes = [],
): Codes => [
  [0, 'POLYLINE'],
  [8, '0'],
  [66, 1],
  [70, 1],
  ...head,
  ...points.flatMap(([x, y, flags]): Codes => [
    [0, 'VERTEX'],
    [8, '0'],
    [10, x],
    [20, y],
    [70, flags],
  ]),
  [0, 'SEQEND'],
];
export const onCircle = (count: number, r: number): readonly (readonly [number, number])[] =>
  Array.from({ length: count }, (_, at) => {
    const turn = (2 * Math.PI * at) / count;
    return [r * Math.cos(turn), r * Math.sin(turn)] as const;
  });
