import { cubicChords } from '../../base/curves/index.js';
import { simplifyLine, type Point } from '../../base/outlines/index.js';
import type { LinesDesign } from './schema.js';

type DrawnLines = NonNullable<LinesDesign['drawn']>;

/** A line from its start by cubic bends: two handles and an end each. */
interface Stroke {
  readonly from: Point;
  readonly bends: readonly (readonly [Point, Point, Point])[];
  readonly closed?: true;
}

/** Bends are followed this closely (mm), and drawn by points that keep them so near: few, to be dragged. */
const flatMm = 0.05;
const fewMm = 0.3;
/** What rounds the corners between them. */
const roundMm = 40;
/** Of a quarter of an ellipse, how far its handles reach. */
const quarter = 0.5523;

/** A straight stretch as a bend. */
const line = (from: Point, to: Point): readonly [Point, Point, Point] => [from, to, to];

/** An ellipse round a middle, from its right end anticlockwise. */
const ellipse = ([x, y]: Point, a: number, b: number): Stroke => ({
  from: [x + a, y],
  closed: true,
  bends: [
    [
      [x + a, y + quarter * b],
      [x + quarter * a, y + b],
      [x, y + b],
    ],
    [
      [x - quarter * a, y + b],
      [x - a, y + quarter * b],
      [x - a, y],
    ],
    [
      [x - a, y - quarter * b],
      [x - quarter * a, y - b],
      [x, y - b],
    ],
    [
      [x + quarter * a, y - b],
      [x + a, y - quarter * b],
      [x + a, y],
    ],
  ],
});

/** “late soup” in single strokes of round letters, x-height 84 mm. */
const strokes: readonly Stroke[] = [
  // l: down, and out by a foot.
  {
    from: [-318, 118],
    bends: [
      line([-318, 118], [-318, -16]),
      [
        [-318, -32],
        [-304, -46],
        [-288, -46],
      ],
    ],
  },
  // a: bowl and stem.
  ellipse([-222, -4], 36, 41.4),
  {
    from: [-168, 38],
    bends: [line([-168, 38], [-168, -46])],
  },
  // t: down with a hook, and its bar.
  {
    from: [-120, 92],
    bends: [
      line([-120, 92], [-120, -14]),
      [
        [-120, -32],
        [-106, -46],
        [-88, -46],
      ],
    ],
  },
  { from: [-164, 52], bends: [line([-164, 52], [-76, 52])] },
  // e: over, round, and open at its foot.
  {
    from: [-44, -4],
    bends: [
      line([-44, -4], [-12, -4]),
      [
        [3, -4],
        [16, 7],
        [16, 21],
      ],
      [
        [16, 35],
        [3, 46],
        [-14, 46],
      ],
      [
        [-44, 46],
        [-64, 24],
        [-64, -2],
      ],
      [
        [-64, -28],
        [-44, -48],
        [-16, -48],
      ],
      [
        [0, -48],
        [12, -42],
        [20, -34],
      ],
    ],
  },
  // s: over to the left, across, and back under.
  {
    from: [126, 34],
    bends: [
      [
        [118, 42],
        [107, 46],
        [96, 46],
      ],
      [
        [79, 46],
        [66, 35],
        [66, 22],
      ],
      [
        [66, 8],
        [79, -2],
        [96, -2],
      ],
      [
        [113, -2],
        [127, -12],
        [127, -26],
      ],
      [
        [127, -39],
        [113, -50],
        [96, -50],
      ],
      [
        [84, -50],
        [72, -46],
        [63, -37],
      ],
    ],
  },
  ellipse([186, -4], 36, 41.4),
  // u: down, round and up.
  {
    from: [246, 38],
    bends: [
      line([246, 38], [246, -10]),
      [
        [246, -58],
        [306, -58],
        [306, -10],
      ],
      line([306, -10], [306, 38]),
    ],
  },
  // p: stem, and bowl beside it.
  { from: [342, 38], bends: [line([342, 38], [342, -112])] },
  ellipse([398, -4], 36, 41.4),
];

/** The middle of them all. */
const [middleX, middleY] = [58, 3];

const rounded = (value: number): number => Math.round(100 * value) / 100;

const pointsOf = ({ from, bends, closed }: Stroke): readonly number[] => {
  let at = from;
  const points: Point[] = [from];
  for (const [one, other, to] of bends) {
    points.push(...cubicChords(at, one, other, to, flatMm));
    at = to;
  }
  const few = simplifyLine(points, fewMm);
  return (closed === true ? few.slice(0, -1) : few).flatMap(([x, y]) => [rounded(x - middleX), rounded(y - middleY)]);
};

/** The lines of the demo, as a drawing holds them. */
export const lateSoupLines: DrawnLines = {
  name: 'late soup, drawn by hand',
  scale: 0.84,
  lines: strokes.map((stroke) => ({ points: [...pointsOf(stroke)], closed: stroke.closed === true, roundMm })),
};
