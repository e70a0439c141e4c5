import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { seededRandom } from '../../base/maths/index.js';
import { measureLine, rectRing, type Point } from '../../base/outlines/index.js';
import { chooseFont, layLettering } from '../../artwork/lettering/index.js';
import { testFonts } from '../../testing/harness.js';
import { clearStretches } from './clear-stretches.js';
import { litLines, type LitLine } from './lines.js';
import type { LinesDesign } from './schema.js';
import { wallsBeside } from './walls.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const lineOf = (number: number, points: readonly Point[], closed = false): LitLine => ({
  firstPoint: 0,
  number,
  points,
  closed,
  layer: '',
  lengthMm: measureLine(points, closed).lengthMm,
});

const drawn = (lines: NonNullable<LinesDesign['drawn']>['lines'], rest: Partial<LinesDesign> = {}): LinesDesign => ({
  from: 'drawn',
  drawn: { name: 'drawn', scale: 1, lines },
  ...rest,
});

const found = (design: LinesDesign, outline: Parameters<typeof litLines>[0] = []): readonly LitLine[] => {
  const result = litLines(outline, design);
  if (!result.ok) throw new Error(result.problems[0]!.message);
  return result.value;
};

describe('lines of light', () => {
  it('as drawn keep their points and their length, the longest first', () => {
    const lines = found(
      drawn([
        { points: [0, 0, 30, 0], closed: false },
        { points: [0, 0, 100, 0, 100, 50], closed: false, layer: 'red' },
      ]),
    );
    expect(lines.map(({ number, lengthMm, layer }) => [number, lengthMm, layer])).toEqual([
      [1, 150, 'red'],
      [2, 30, ''],
    ]);
  });

  it('grow with their scale, and their ends are drawn out and taken back along their way', () => {
    const [line] = found(
      drawn([{ points: [0, 0, 100, 0, 100, 50], closed: false }], {
        scale: 2,
        ends: [{ line: 1, startMm: 10, endMm: -30 }],
      }),
    );
    expect(line!.lengthMm).toBeCloseTo(300 + 10 - 30, 9);
    expect(line!.points[0]).toEqual([-10, 0]);
    expect(line!.points.at(-1)![1]).toBeCloseTo(70, 9);
  });

  it('round their corners by arcs of the radius: shorter by 2 r − π r / 2 at a right angle', () => {
    const [line] = found(drawn([{ points: [0, 0, 100, 0, 100, 100], closed: false, roundMm: 30 }]));
    expect(line!.lengthMm).toBeCloseTo(200 - 60 + (Math.PI * 30) / 2, 0);
  });

  it('inside an outline lie so far from it', () => {
    const [line] = found({ from: 'outline', setbackMm: 10 }, [rectRing({ x: 0, y: 0, width: 200, height: 80 })]);
    expect(line!.closed).toBe(true);
    expect(line!.lengthMm).toBeCloseTo(2 * (180 + 60), 1);
  });

  it('along the middle of strokes are one for a stroke of one width: an O is a ring, an I a bar', () => {
    const font = chooseFont('nunito-extrabold', null, fonts);
    const artwork = { fontId: 'nunito-extrabold', capHeightMm: 150, lineSpacing: 1.5, align: 'centre' } as const;
    const set = (text: string) => {
      const lettering = layLettering(text, artwork, font);
      if (!lettering.ok) throw new Error('not set');
      return found({ from: 'middle' }, lettering.value.outline);
    };
    const [ring, ...others] = set('O');
    expect(ring!.closed).toBe(true);
    expect(others).toEqual([]);
    const [bar, ...more] = set('I');
    expect(more).toEqual([]);
    expect(bar!.lengthMm).toBeGreaterThan(110);
    expect(bar!.lengthMm).toBeLessThan(150);
  });

  it('are refused in a sentence where there are none, too short or too many', () => {
    const wrong = (design: LinesDesign): string => {
      const result = litLines([], design);
      return result.ok ? '' : result.problems[0]!.message;
    };
    expect(wrong({ from: 'middle' })).toContain('no line in it');
    expect(wrong(drawn([{ points: [0, 0, 1, 0], closed: false }]))).toContain('5 mm or more');
    expect(wrong({ from: 'outline', setbackMm: 10 })).toContain('no room 10 mm inside');
    expect(wrong(drawn([{ points: [-1e5, 0, 1e5, 0, 1e5, 1e5], closed: false }]))).toContain('300 m of line');
    const many = Array.from({ length: 401 }, (_, at) => ({ points: [0, at, 50, at], closed: false }));
    expect(wrong(drawn(many))).toContain('401 lines');
  });
});

describe('strip where lines meet', () => {
  it('goes through on the first, and stops clear of it on the others', () => {
    const across = lineOf(1, [
      [-100, 0],
      [100, 0],
    ]);
    const up = lineOf(2, [
      [0, -50],
      [0, 50],
    ]);
    const pieces = clearStretches([across, up], 8);
    expect(pieces.map(({ line }) => line)).toEqual([1, 2, 2]);
    const [whole, below, above] = pieces;
    expect(whole).toMatchObject({ atStart: true, atEnd: true });
    expect(below).toMatchObject({ atStart: true, atEnd: false });
    expect(above).toMatchObject({ atStart: false, atEnd: true });
    expect(below!.points.at(-1)![1]).toBeLessThanOrEqual(-7);
    expect(above!.points[0]![1]).toBeGreaterThanOrEqual(7);
  });

  it('goes round a closed line over its start, clear of what crosses it', () => {
    const bar = lineOf(1, [
      [-200, 30],
      [200, 30],
    ]);
    const ring = lineOf(2, rectRing({ x: -50, y: -50, width: 100, height: 100 }), true);
    const [, ...pieces] = clearStretches([bar, ring], 8);
    expect(pieces).toHaveLength(2);
    const total = pieces.reduce((sum, { points }) => sum + measureLine(points, false).lengthMm, 0);
    expect(total).toBeGreaterThan(400 - 2 * 18);
    expect(total).toBeLessThan(400 - 2 * 14);
    for (const { points, atStart, atEnd } of pieces) {
      expect([atStart, atEnd]).toEqual([false, false]);
      for (const [, y] of points) expect(Math.abs(y - 30)).toBeGreaterThan(7);
    }
  });

  it('never lies nearer to strip of another line than what must be clear, for lines by chance', () => {
    const random = seededRandom(19);
    for (let turn = 0; turn < 40; turn += 1) {
      const lines = Array.from({ length: 5 }, (_, at) =>
        lineOf(
          at + 1,
          Array.from({ length: 3 }, (): Point => [300 * random(), 200 * random()]),
        ),
      );
      const pieces = clearStretches(lines, 8);
      const places = pieces.map(({ line, points }) => {
        const measured = measureLine(points, false);
        return {
          line,
          at: Array.from({ length: Math.ceil(measured.lengthMm / 2) }, (_, step) => measured.station(2 * step).at),
        };
      });
      let nearest = Infinity;
      for (const one of places)
        for (const other of places)
          if (other.line > one.line)
            for (const [x, y] of one.at)
              for (const [px, py] of other.at) nearest = Math.min(nearest, Math.hypot(x - px, y - py));
      expect(nearest).toBeGreaterThan(6.9);
    }
  });
});

describe('walls beside grooves', () => {
  const board = [rectRing({ x: -200, y: -100, width: 400, height: 200 })];
  const level = (number: number, y: number): LitLine =>
    lineOf(number, [
      [-150, y],
      [150, y],
    ]);

  it('are what is between two that run side by side, and to the edge', () => {
    const { between, toEdge } = wallsBeside([level(1, 0), level(2, 12)], board, 8, 12);
    expect(between!.mm).toBeCloseTo(4, 1);
    expect(between!.at[1]).toBeCloseTo(6, 0);
    expect(toEdge!.mm).toBeCloseTo(50 - 4, 0);
  });

  it('are less than nothing where grooves run into each other', () =>
    expect(wallsBeside([level(1, 0), level(2, 6)], board, 8, 12).between!.mm).toBeCloseTo(-2, 1));

  it('are none where lines cross or join', () => {
    const upright = lineOf(2, [
      [0, -80],
      [0, 80],
    ]);
    const joins = lineOf(3, [
      [-120, 60],
      [-120, 0],
    ]);
    expect(wallsBeside([level(1, 0), upright, joins], board, 8, 12).between).toBeNull();
  });

  it('are found between strokes of one line that has come back, not along a bend', () => {
    const hairpin = lineOf(1, [
      [-100, 0],
      [100, 0],
      [100, 11],
      [-100, 11],
    ]);
    expect(wallsBeside([hairpin], board, 8, 12).between!.mm).toBeCloseTo(3, 0);
    const bow = lineOf(
      1,
      Array.from({ length: 40 }, (_, at): Point => [60 * Math.cos(at / 12), 60 * Math.sin(at / 12)]),
    );
    expect(wallsBeside([bow], board, 8, 12).between).toBeNull();
  });
});
