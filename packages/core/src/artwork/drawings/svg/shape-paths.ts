import svgpath from 'svgpath';
import { arcChords, cubicChords, ellipseRing, endpointArc, quadraticChords } from '../../../base/curves/index.js';
import { pointsOf, type Point } from '../../../base/outlines/index.js';
import type { DrawnPath } from '../types.js';
import { numbersIn } from './numbers.js';
import { lengthIn } from './units.js';
import type { Element } from './tree.js';

/** Lines of an element in its own units; `null` when its path data cannot be read. */
export type ShapePaths = readonly DrawnPath[] | null;

const pathData = (d: string, flatness: number): ShapePaths => {
  const path = svgpath(d).abs().unshort() as ReturnType<typeof svgpath> & { readonly err?: string };
  const found: { points: Point[]; closed: boolean }[] = [];
  let start: Point = [0, 0];
  const add = (from: Point, points: readonly Point[]): void => {
    const last = found[found.length - 1];
    if (last === undefined || last.closed) found.push({ points: [from, ...points], closed: false });
    else last.points.push(...points);
  };
  path.iterate((segment, _, x, y) => {
    const from: Point = [x, y];
    switch (segment[0]) {
      case 'M':
        start = [segment[1], segment[2]];
        found.push({ points: [start], closed: false });
        return;
      case 'L':
        return add(from, [[segment[1], segment[2]]]);
      case 'H':
        return add(from, [[segment[1], y]]);
      case 'V':
        return add(from, [[x, segment[1]]]);
      case 'Q':
        return add(from, quadraticChords(from, [segment[1], segment[2]], [segment[3], segment[4]], flatness));
      case 'C':
        return add(
          from,
          cubicChords(from, [segment[1], segment[2]], [segment[3], segment[4]], [segment[5], segment[6]], flatness),
        );
      case 'A': {
        const [, radiusX, radiusY, turn, large, sweep, toX, toY] = segment;
        const to: Point = [toX, toY];
        const arc = endpointArc({
          from,
          to,
          radiusX,
          radiusY,
          turnRad: (turn * Math.PI) / 180,
          large: large !== 0,
          sweep: sweep !== 0,
        });
        return add(from, arc === null ? [to] : [...arcChords(arc, flatness).slice(0, -1), to]);
      }
      case 'Z':
      case 'z': {
        const last = found[found.length - 1];
        if (last !== undefined) last.closed = true;
        return;
      }
      default:
        // Made absolute and spelt out, so that no other kind is left.
        return;
    }
  });
  return path.err ? null : found;
};

const pointList = (text: string): readonly Point[] => pointsOf(numbersIn(text));

const rectangle = (
  x: number,
  y: number,
  w: number,
  h: number,
  rx: number,
  ry: number,
  flatness: number,
): ShapePaths => {
  if (!(w > 0 && h > 0)) return [];
  const [a, b] = [Math.min(rx, w / 2), Math.min(ry, h / 2)];
  if (!(a > 0 && b > 0))
    return [
      {
        points: [
          [x, y],
          [x + w, y],
          [x + w, y + h],
          [x, y + h],
        ],
        closed: true,
      },
    ];
  const corner = (cx: number, cy: number, fromRad: number): readonly Point[] => [
    [cx + a * Math.cos(fromRad), cy + b * Math.sin(fromRad)],
    ...arcChords({ centre: [cx, cy], radiusX: a, radiusY: b, turnRad: 0, fromRad, sweepRad: Math.PI / 2 }, flatness),
  ];
  return [
    {
      points: [
        ...corner(x + w - a, y + b, -Math.PI / 2),
        ...corner(x + w - a, y + h - b, 0),
        ...corner(x + a, y + h - b, Math.PI / 2),
        ...corner(x + a, y + b, Math.PI),
      ],
      closed: true,
    },
  ];
};

/** What a percentage is of: the size of the picture that something lies in, in its own units. */
export interface Viewport {
  readonly width: number;
  readonly height: number;
}

/** The lines that an element draws by its attributes, curves in chords that stand off by no more than `flatness` (all in its own units). */
export const shapePaths = (
  { name }: Pick<Element, 'name'>,
  attributes: Readonly<Record<string, string>>,
  flatness: number,
  viewport: Viewport,
): ShapePaths => {
  const wholes: Readonly<Record<string, number>> = {
    x: viewport.width,
    y: viewport.height,
    width: viewport.width,
    height: viewport.height,
    cx: viewport.width,
    cy: viewport.height,
    rx: viewport.width,
    ry: viewport.height,
    x1: viewport.width,
    x2: viewport.width,
    y1: viewport.height,
    y2: viewport.height,
    // Of what lies across both, a percentage is of both (W3C, SVG 1.1, 7.10).
    r: Math.hypot(viewport.width, viewport.height) / Math.SQRT2,
  };
  const lengthOf = (key: string): number | null => lengthIn(attributes[key], wholes[key] ?? null);
  const size = (key: string): number => lengthOf(key) ?? 0;
  switch (name) {
    case 'path':
      return pathData(attributes['d'] ?? '', flatness);
    case 'rect': {
      const [rx, ry] = [lengthOf('rx'), lengthOf('ry')];
      return rectangle(size('x'), size('y'), size('width'), size('height'), rx ?? ry ?? 0, ry ?? rx ?? 0, flatness);
    }
    case 'circle': {
      const r = size('r');
      return r > 0 ? [{ points: ellipseRing([size('cx'), size('cy')], r, r, 0, flatness), closed: true }] : [];
    }
    case 'ellipse': {
      const [rx, ry] = [size('rx'), size('ry')];
      return rx > 0 && ry > 0
        ? [{ points: ellipseRing([size('cx'), size('cy')], rx, ry, 0, flatness), closed: true }]
        : [];
    }
    case 'line':
      return [
        {
          points: [
            [size('x1'), size('y1')],
            [size('x2'), size('y2')],
          ],
          closed: false,
        },
      ];
    case 'polygon':
    case 'polyline':
      return [{ points: pointList(attributes['points'] ?? ''), closed: name === 'polygon' }];
    default:
      return [];
  }
};
