import { curved, of, type CorpusFile } from './corpus-file.js';
import {
  arc,
  blockSection,
  circle,
  dxfText,
  insert,
  line,
  onCircle,
  polyline,
  spline,
  square,
  through,
  vertices,
  wide,
  type Codes,
} from './dxf-entities.js';

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
