// A table of data, longer than other files: drawings of every kind, each with its area.

/** A drawing file of our own making, and the area that it should come to. */
export interface CorpusFile {
  readonly name: string;
  readonly text: string;
  readonly areaMm2: number;
  /** Share by which the area may be off: none but rounding where there are no curves. */
  readonly tolerance: number;
}

const exact = 1e-6;
/** Chords stand off a curve by 5 µm: this much of a small circle’s area. */
const curved = 1.5e-3;

const svg = (body: string, attributes = 'width="200mm" height="100mm" viewBox="0 0 200 100"', head = ''): string =>
  `<?xml version="1.0" encoding="UTF-8"?>\n<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" ${attributes}>${head}${body}</svg>`;

const of = (name: string, text: string, areaMm2: number, tolerance = exact): CorpusFile => ({
  name,
  text,
  areaMm2,
  tolerance,
});

/** Every kind of thing an SVG drawing may hold that bounds an area. */
export const svgCorpus: readonly CorpusFile[] = [
  of('rectangle', svg('<rect x="10" y="10" width="60" height="30"/>'), 1800),
  of('rounded rectangle', svg('<rect width="60" height="30" rx="5"/>'), 1800 - (4 - Math.PI) * 25, curved),
  of(
    'rounded by half a side at the most',
    svg('<rect width="60" height="30" rx="500" ry="500"/>'),
    Math.PI * 30 * 15,
    curved,
  ),
  of('circle', svg('<circle cx="50" cy="50" r="20"/>'), Math.PI * 400, curved),
  of(
    'ellipse, turned',
    svg('<ellipse cx="50" cy="50" rx="30" ry="12" transform="rotate(30 50 50)"/>'),
    Math.PI * 360,
    curved,
  ),
  of('polygon', svg('<polygon points="0,0 40,0 40,30"/>'), 600),
  of('polyline, filled as if closed', svg('<polyline points="0 0 40 0 40 30"/>'), 600),
  of('path with relative steps', svg('<path d="m10 10h50v20h-50z"/>'), 1000),
  of('path of two arcs', svg('<path d="M20 50a30 30 0 0 1 60 0a30 30 0 0 1-60 0z"/>'), Math.PI * 900, curved),
  of('arc too small for its ends grows', svg('<path d="M20 50A1 1 0 0 1 80 50Z"/>'), (Math.PI * 900) / 2, curved),
  of('quadratic bow', svg('<path d="M0 0Q30 60 60 0Z"/>'), (2 / 3) * 60 * 30, curved),
  of('cubic bow', svg('<path d="M0 0C20 40 40 40 60 0Z"/>'), 1200, curved),
  of('ring by even-odd', svg('<path fill-rule="evenodd" d="M0 0h60v60h-60zM10 10h40v40h-40z"/>'), 2000),
  of('the same by winding: no hole', svg('<path d="M0 0h60v60h-60zM10 10h40v40h-40z"/>'), 3600),
  of('hole wound the other way', svg('<path d="M0 0h60v60h-60zM10 10v40h40v-40z"/>'), 2000),
  of('two that overlap', svg('<rect width="40" height="40"/><rect x="20" y="20" width="40" height="40"/>'), 2800),
  of(
    'nested groups, moved and scaled',
    svg('<g transform="translate(10 5)"><g transform="scale(2)"><rect width="10" height="10"/></g></g>'),
    400,
  ),
  of('skewed', svg('<rect width="20" height="30" transform="skewX(20)"/>'), 600),
  of('matrix that mirrors', svg('<rect width="20" height="30" transform="matrix(-1 0 0 2 50 0)"/>'), 1200),
  of(
    'view box that scales',
    svg('<rect width="10" height="10"/>', 'width="100mm" height="50mm" viewBox="0 0 200 100"'),
    25,
  ),
  of('inches', svg('<rect width="1" height="1"/>', 'width="4in" height="2in" viewBox="0 0 4 2"'), 25.4 ** 2),
  of('no size: 96 to the inch', svg('<rect width="96" height="96"/>', ''), 25.4 ** 2),
  of(
    'svg in svg',
    svg('<svg x="10" y="10" width="50" height="50" viewBox="0 0 10 10"><rect width="10" height="10"/></svg>'),
    2500,
  ),
  of(
    'a copy of a shape',
    svg('<defs><rect id="a" width="10" height="10"/></defs><use href="#a"/><use xlink:href="#a" x="20"/>'),
    200,
  ),
  of(
    'a symbol, used',
    svg('<symbol id="s"><circle r="10"/></symbol><use href="#s" x="30" y="30"/>'),
    Math.PI * 100,
    curved,
  ),
  of(
    'styled by class',
    svg(
      '<rect class="gone" width="10" height="10"/><rect class="here" x="20" width="10" height="10"/>',
      undefined,
      '<style>.gone{display:none} .here{fill:#000}</style>',
    ),
    100,
  ),
  of(
    'unfilled outlines: ring in ring',
    svg('<g fill="none" stroke="black"><rect width="40" height="40"/><circle cx="20" cy="20" r="10"/></g>'),
    1600 - Math.PI * 100,
    curved,
  ),
  of(
    'invisible things',
    svg(
      '<rect width="10" height="10" visibility="hidden"/><rect width="10" height="10" opacity="0"/><rect width="10" height="10" fill="none"/><rect x="20" width="10" height="10"/>',
    ),
    100,
  ),
  of(
    'clipped',
    svg(
      '<clipPath id="c"><rect width="20" height="20"/></clipPath><rect clip-path="url(#c)" x="10" y="10" width="40" height="40"/>',
    ),
    100,
  ),
  of('four lines that meet', svg('<path fill="none" stroke="#000" d="M0 0H50M50 0V20M50 20H0M0 20V0"/>'), 1000),
];

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

const root2 = Math.SQRT1_2;

/** Every kind of thing a DXF drawing may hold that bounds an area. */
export const dxfCorpus: readonly CorpusFile[] = [
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
