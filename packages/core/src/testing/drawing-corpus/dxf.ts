import { curved, of, type CorpusFile } from './corpus-file.js';

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

type Codes = readonly (readonly [number, string | number])[];
const line = (x1: number, y1: number, x2: number, y2: number, layer = '0'): Codes => [
  [0, 'LINE'],
  [8, layer],
  [10, x1],
  [20, y1],
  [11, x2],
  [21, y2],
];
const circle = (x: number, y: number, r: number, layer = '0'): Codes => [
  [0, 'CIRCLE'],
  [8, layer],
  [10, x],
  [20, y],
  [40, r],
];
const arc = (x: number, y: number, r: number, from: number, to: number): Codes => [
  [0, 'ARC'],
  [8, '0'],
  [10, x],
  [20, y],
  [40, r],
  [50, from],
  [51, to],
];
const polyline = (points: readonly (readonly [number, number, number?])[], closed = 1, layer = '0'): Codes => [
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
const square = (x: number, y: number, size: number, layer = '0'): Codes =>
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
const spline = (
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
const blockSection = (name: string, x: number, y: number, entities: readonly Codes[]): string =>
  pair(0, 'SECTION') +
  pair(2, 'BLOCKS') +
  pair(0, 'BLOCK') +
  pair(2, name) +
  pair(10, x) +
  pair(20, y) +
  entities.map((entity) => entity.map(([code, value]) => pair(code, value)).join('')).join('') +
  pair(0, 'ENDBLK') +
  pair(0, 'ENDSEC');
const insert = (name: string, x: number, y: number, more: Codes = []): Codes => [
  [0, 'INSERT'],
  [8, '0'],
  [2, name],
  [10, x],
  [20, y],
  ...more,
];

/** A spline that is told by what it runs through. */
const through = (points: readonly (readonly [number, number])[], closed: boolean, more: Codes = []): Codes => [
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
const wide = (
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
const vertices = (points: readonly (readonly [x: number, y: number, flags: number])[], head: Codes = []): Codes => [
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
const onCircle = (count: number, r: number): readonly (readonly [number, number])[] =>
  Array.from({ length: count }, (_, at) => {
    const turn = (2 * Math.PI * at) / count;
    return [r * Math.cos(turn), r * Math.sin(turn)] as const;
  });

const root2 = Math.SQRT1_2;

/** Every kind of thing a DXF drawing may hold that bounds an area. */
export const dxfCorpus: readonly CorpusFile[] = [
  of('a spline through points round a circle', dxfText([through(onCircle(24, 20), true)]), 400 * Math.PI, curved),
  of(
    'the same, its first point told again',
    dxfText([through([...onCircle(24, 20), [20, 0]], true)]),
    400 * Math.PI,
    curved,
  ),
  of(
    'a bow through points that sets out and comes in upright, over its chord',
    dxfText([
      through(
        Array.from({ length: 17 }, (_, at) => {
          const turn = (Math.PI * at) / 16;
          return [20 * Math.cos(turn), 20 * Math.sin(turn)] as const;
        }),
        false,
        [
          [12, 0],
          [22, 1],
          [13, 0],
          [23, -1],
        ],
      ),
      line(-20, 0, 20, 0),
    ]),
    200 * Math.PI,
    curved,
  ),
  of(
    'a line with a width',
    dxfText([
      wide([
        [0, 0, 10, 10],
        [50, 0, 10, 10],
      ]),
    ]),
    500,
  ),
  of(
    'a width for all of it, with pointed corners',
    dxfText([
      [
        ...polyline(
          [
            [0, 0],
            [50, 0],
            [50, 30],
          ],
          0,
        ),
        [43, 4],
      ],
    ]),
    // Two bars, and the square at their corner.
    50 * 4 + 30 * 4,
  ),
  of(
    'a frame with a width',
    dxfText([
      wide(
        [
          [0, 0, 4, 4],
          [40, 0, 4, 4],
          [40, 40, 4, 4],
          [0, 40, 4, 4],
        ],
        1,
      ),
    ]),
    44 * 44 - 36 * 36,
  ),
  of(
    'a line that grows wider',
    dxfText([
      wide([
        [0, 0, 10, 20],
        [50, 0, 0, 0],
      ]),
    ]),
    750,
  ),
  of(
    'a ring of two bowed pieces with a width',
    dxfText([
      wide(
        [
          [-10, 0, 5, 5, 1],
          [10, 0, 5, 5, 1],
        ],
        1,
      ),
    ]),
    2 * Math.PI * 10 * 5,
    curved,
  ),
  of(
    'a polyline with the frame of the curve that it once was',
    dxfText([
      vertices([
        [-5, -5, 16],
        [0, 0, 8],
        [30, 0, 8],
        [60, 60, 16],
        [30, 20, 8],
        [0, 20, 8],
      ]),
    ]),
    600,
  ),
  of(
    'an older polyline with a width',
    dxfText([
      vertices(
        [
          [0, 0, 0],
          [40, 0, 0],
          [40, 40, 0],
          [0, 40, 0],
        ],
        [
          [40, 3],
          [41, 3],
        ],
      ),
    ]),
    43 * 43 - 37 * 37,
  ),
  of(
    'solids of three and four corners',
    dxfText([
      [
        [0, 'SOLID'],
        [8, '0'],
        [10, 0],
        [20, 0],
        [11, 20],
        [21, 0],
        [12, 0],
        [22, 20],
        [13, 20],
        [23, 20],
      ],
      [
        [0, 'SOLID'],
        [8, '0'],
        [10, 40],
        [20, 0],
        [11, 60],
        [21, 0],
        [12, 40],
        [22, 20],
        [13, 40],
        [23, 20],
      ],
    ]),
    600,
  ),
  of('four lines', dxfText([line(0, 0, 50, 0), line(50, 0, 50, 20), line(50, 20, 0, 20), line(0, 20, 0, 0)]), 1000),
  of(
    'lines every which way round',
    dxfText([line(50, 20, 50, 0), line(0, 0, 50, 0), line(0, 20, 0, 0), line(50, 20, 0, 20)]),
    1000,
  ),
  of(
    'lines with gaps of a hair',
    dxfText([line(0, 0.04, 50, 0), line(50, 0.03, 50, 20), line(50, 20, 0, 20), line(0, 20, 0, 0)]),
    1000,
    2e-3,
  ),
  of('closed polyline', dxfText([square(5, 5, 30)]), 900),
  of(
    'polyline whose ends meet',
    dxfText([
      polyline(
        [
          [0, 0],
          [30, 0],
          [30, 30],
          [0, 0],
        ],
        0,
      ),
    ]),
    450,
  ),
  of(
    'slot by bulges',
    dxfText([
      polyline([
        [0, 0],
        [40, 0, 1],
        [40, 20],
        [0, 20, 1],
      ]),
    ]),
    800 + Math.PI * 100,
    curved,
  ),
  of(
    'bulge inwards',
    dxfText([
      polyline([
        [0, 0],
        [40, 0, -Math.tan(Math.PI / 8)],
        [40, 20],
        [0, 20],
      ]),
    ]),
    800 - ((Math.PI * 200) / 4 - 100),
    curved,
  ),
  of('circle', dxfText([circle(10, 10, 25)]), Math.PI * 625, curved),
  of('washer', dxfText([circle(0, 0, 25), circle(0, 0, 10)]), Math.PI * 525, curved),
  of('half disc of arc and line', dxfText([arc(0, 0, 20, 0, 180), line(-20, 0, 20, 0)]), Math.PI * 200, curved),
  of('arc over the start of the angles', dxfText([arc(0, 0, 20, 270, 90), line(0, -20, 0, 20)]), Math.PI * 200, curved),
  of(
    'ellipse',
    dxfText([
      [
        [0, 'ELLIPSE'],
        [8, '0'],
        [10, 0],
        [20, 0],
        [11, 30],
        [21, 40],
        [40, 0.5],
        [41, 0],
        [42, 2 * Math.PI],
      ],
    ]),
    Math.PI * 50 * 25,
    curved,
  ),
  of(
    'half an ellipse',
    dxfText([
      [
        [0, 'ELLIPSE'],
        [8, '0'],
        [10, 0],
        [20, 0],
        [11, 30],
        [21, 0],
        [40, 0.5],
        [41, 0],
        [42, Math.PI],
      ],
      line(-30, 0, 30, 0),
    ]),
    (Math.PI * 30 * 15) / 2,
    curved,
  ),
  of(
    'spline of one cubic piece and a line',
    dxfText([
      spline(
        3,
        [0, 0, 0, 0, 1, 1, 1, 1],
        [
          [0, 0],
          [0, 40],
          [60, 40],
          [60, 0],
        ],
      ),
      line(60, 0, 0, 0),
    ]),
    1440,
    curved,
  ),
  of(
    'quarter disc as a rational spline',
    dxfText([
      spline(
        2,
        [0, 0, 0, 1, 1, 1],
        [
          [20, 0],
          [20, 20],
          [0, 20],
        ],
        [1, root2, 1],
      ),
      line(0, 20, 0, 0),
      line(0, 0, 20, 0),
    ]),
    Math.PI * 100,
    curved,
  ),
  of('inches', dxfText([square(0, 0, 2)], { units: 1 }), (2 * 25.4) ** 2),
  of('no unit: millimetres', dxfText([square(0, 0, 20)], { units: null }), 400),
  of(
    'a block set twice, once turned and doubled',
    dxfText(
      [
        insert('B', 0, 0),
        insert('B', 100, 0, [
          [41, 2],
          [42, 2],
          [50, 45],
        ]),
      ],
      { blocks: blockSection('B', 5, 5, [square(5, 5, 10)]) },
    ),
    500,
    5e-5,
  ),
  of(
    'a block in rows and columns',
    dxfText(
      [
        insert('B', 0, 0, [
          [70, 3],
          [71, 2],
          [44, 20],
          [45, 20],
        ]),
      ],
      { blocks: blockSection('B', 0, 0, [circle(0, 0, 5)]) },
    ),
    6 * Math.PI * 25,
    curved,
  ),
  of(
    'outer and holes on two layers',
    dxfText([square(0, 0, 40, 'OUTER'), circle(20, 20, 5, 'HOLES')]),
    1600 - Math.PI * 25,
    curved,
  ),
  of('drawn twice', dxfText([square(0, 0, 40), square(0, 0, 40)]), 1600),
  of(
    'seen from behind',
    dxfText([
      [
        ...polyline([
          [0, 0],
          [40, 0, 1],
          [40, 20],
          [0, 20],
        ]),
        [230, -1],
      ],
    ]),
    800 + Math.PI * 50,
    curved,
  ),
  of(
    'old polyline of vertices',
    dxfText([
      [
        [0, 'POLYLINE'],
        [8, '0'],
        [66, 1],
        [70, 1],
      ],
      ...[
        [0, 0],
        [30, 0],
        [30, 10],
        [0, 10],
      ].map(([x, y]): Codes => [
        [0, 'VERTEX'],
        [8, '0'],
        [10, x!],
        [20, y!],
      ]),
      [[0, 'SEQEND']],
    ]),
    300,
  ),
];
