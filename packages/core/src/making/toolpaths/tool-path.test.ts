import { beforeAll, describe, expect, it } from '@jest/globals';
import { ellipseRing } from '../../base/curves/index.js';
import {
  distanceToOutline,
  inOutline,
  outlineBounds,
  rectRing,
  ringArea,
  subtract,
  unite,
  type Outline,
  type Point,
  type Ring,
} from '../../base/outlines/index.js';
import { evaluatedCoarsely, curlew, testFonts } from '../../testing/harness.js';
import type { CutPart, PartShape } from '../parts/index.js';
import { tidyPart, toolpathPart } from './index.js';

const plate = subtract(
  [rectRing({ x: 0, y: 0, width: 100, height: 60 })],
  [rectRing({ x: 30, y: 20, width: 40, height: 20 })],
);
const part: CutPart = {
  id: 'plate',
  name: 'Plate',
  materialId: 'ply-6',
  materialName: 'Plywood 6 mm',
  stock: 'board',
  widthMm: 100,
  heightMm: 60,
  thicknessMm: 6,
  count: 1,
  kg: 0.1,
  note: '',
  layers: [
    {
      operation: 'cut',
      shapes: [
        { kind: 'outline', outline: plate },
        { kind: 'hole', x: 10, y: 10, diameterMm: 8 },
        { kind: 'hole', x: 20, y: 10, diameterMm: 2 },
      ],
    },
    { operation: 'drill', shapes: [{ kind: 'hole', x: 90, y: 50, diameterMm: 4 }] },
    { operation: 'mark', shapes: [{ kind: 'line', from: [0, 30], to: [100, 30] }] },
  ],
};

const bit = { kind: 'bit', cutMm: 3 } as const;
const onTheLine = { ...bit, way: { leadMm: 0, tabMm: 0 } };
const cutOf = (from: CutPart): Outline =>
  from.layers
    .filter(({ operation }) => operation === 'cut')
    .flatMap(({ shapes }) => shapes.flatMap((shape) => (shape.kind === 'outline' ? shape.outline : [])));
const pathsOf = (from: CutPart, operation: 'cut' | 'tab'): readonly Ring[] =>
  from.layers
    .filter((layer) => layer.operation === operation)
    .flatMap(({ shapes }) => shapes.flatMap((shape: PartShape) => (shape.kind === 'path' ? [shape.points] : [])));
/** What of a part is kept: its outlines less the holes that are cut in it. */
const solidOf = (from: CutPart): Outline => {
  const holes = from.layers.flatMap(({ operation, shapes }) =>
    shapes.flatMap((shape) =>
      operation === 'cut' && shape.kind === 'hole'
        ? [ellipseRing([shape.x, shape.y], shape.diameterMm / 2, shape.diameterMm / 2, 0, 0.001)]
        : [],
    ),
  );
  return subtract(cutOf(from), holes);
};
/** Points along a line, not only its corners. */
const along = (line: Ring): readonly Point[] =>
  line.flatMap((from, at): readonly Point[] => {
    const to = line[at + 1];
    return to === undefined
      ? [from]
      : [0, 0.25, 0.5, 0.75].map((share) => [from[0] + (to[0] - from[0]) * share, from[1] + (to[1] - from[1]) * share]);
  });
const openLength = (line: Ring): number =>
  line.slice(1).reduce((sum, to, at) => sum + Math.hypot(to[0] - line[at]![0], to[1] - line[at]![1]), 0);

let letters: readonly CutPart[];
beforeAll(async () => {
  letters = evaluatedCoarsely(curlew, await testFonts()).cut.filter(({ stock }) => stock !== 'return');
});

describe('a part for a machine that follows lines as they are', () => {
  it('has its outer lines half a cut outside and its holes half a cut inside', () => {
    const [hole, inner, outer] = pathsOf(toolpathPart(part, onTheLine), 'cut');
    const rounded = (4 - Math.PI) * 1.5 ** 2;
    const area = (line: Ring): number => Math.abs(ringArea(line.slice(0, -1)));
    expect(Math.abs(area(outer!) - (103 * 63 - rounded))).toBeLessThan(0.1);
    expect(area(inner!)).toBeCloseTo(37 * 17, 3);
    expect(area(hole!) / (Math.PI * 2.5 ** 2)).toBeCloseTo(1, 2);
    expect(outlineBounds([outer!])).toMatchObject({ width: 103, height: 63 });
  });

  it.each([0.2, 3])('keeps the middle of a %d mm cut half of it from every letter, to a hundredth', (cutMm) => {
    for (const letter of letters) {
      const path = toolpathPart(letter, { ...onTheLine, cutMm });
      const drawn = cutOf(letter);
      const wrong: (readonly number[])[] = [];
      for (const line of pathsOf(path, 'cut'))
        for (const [x, y] of along(line)) {
          const at: Point = [x - cutMm / 2, y - cutMm / 2];
          const off = Math.abs(distanceToOutline(at, drawn) - cutMm / 2);
          if (!(off < 0.01) || inOutline(at, drawn)) wrong.push([x, y, off]);
        }
      expect(wrong).toEqual([]);
    }
  });

  it('cuts inside before outside, small before large, after all else', () => {
    const path = toolpathPart(part, onTheLine);
    expect(path.layers.map(({ operation }) => operation)).toEqual(['mark', 'drill', 'drill', 'cut']);
    const areas = pathsOf(path, 'cut').map((line) => Math.abs(ringArea(line.slice(0, -1))));
    expect(areas).toEqual([...areas].sort((a, b) => a - b));
    for (const letter of letters) {
      const rings = pathsOf(toolpathPart(letter, onTheLine), 'cut').map((line) => line.slice(0, -1));
      rings.forEach((ring, at) =>
        rings.slice(0, at).forEach((before) => expect(inOutline(ring[0]!, unite([before], 'evenodd'))).toBe(false)),
      );
    }
  });

  it('drills what is too small to be cut; drilled holes and marks stay', () => {
    const { layers } = toolpathPart(part, onTheLine);
    expect(layers.filter(({ operation }) => operation === 'drill').flatMap(({ shapes }) => shapes)).toEqual([
      { kind: 'hole', x: 91.5, y: 51.5, diameterMm: 4 },
      { kind: 'hole', x: 21.5, y: 11.5, diameterMm: 2 },
    ]);
    expect(layers[0]!.shapes).toEqual([{ kind: 'line', from: [1.5, 31.5], to: [101.5, 31.5] }]);
  });

  it.each([
    ['a plate', () => [part]],
    ['letters', () => letters],
  ] as const)('comes into every cut of %s from the waste, along the line that it goes on', (_, parts) => {
    for (const each of parts()) {
      const bare = toolpathPart(each, onTheLine);
      const led = toolpathPart(each, { ...onTheLine, way: { leadMm: 2, tabMm: 0 } });
      const room = led.widthMm / 2 - each.widthMm / 2;
      const drawn = solidOf(each);
      const [without, within] = [pathsOf(bare, 'cut'), pathsOf(led, 'cut')];
      expect(within).toHaveLength(without.length);
      within.forEach((line, at) => {
        // The rest of the line is the same way round; in front of it is a quarter turn.
        const lead = openLength(line) - openLength(without[at]!);
        expect(lead).toBeGreaterThan(0.7);
        expect(lead).toBeLessThan((Math.PI / 2) * 2 + 0.05);
        let upTo = 0;
        line.slice(0, 12).forEach(([x, y], step) => {
          const next = line[step + 1]!;
          upTo += Math.hypot(next[0] - x, next[1] - y);
          const own: Point = [x - room, y - room];
          expect(distanceToOutline(own, drawn)).toBeGreaterThan(1.5 - 0.011);
          expect(inOutline(own, drawn)).toBe(false);
        });
        expect(upTo).toBeCloseTo(lead, 1);
      });
    }
  });

  it('leaves tabs that hold the part, over a layer that says how deep', () => {
    const path = toolpathPart(part, { ...bit, way: { tabMm: 6, tabHighMm: 1.5, tabEveryMm: 100, leadMm: 0 } });
    const tabs = path.layers.find(({ operation }) => operation === 'tab')!;
    expect(tabs.depthMm).toBe(4.5);
    // Outside 329 mm round, four of them; inside 109 mm, three; a hole of 8 mm takes none.
    const lines = pathsOf(path, 'tab');
    expect(lines).toHaveLength(7);
    for (const line of lines) {
      expect(openLength(line)).toBeCloseTo(9, 6);
      // On a straight: its ends are as far apart as it is long.
      expect(Math.hypot(line.at(-1)![0] - line[0]![0], line.at(-1)![1] - line[0]![1])).toBeCloseTo(9, 6);
    }
    const all = [...lines, ...pathsOf(path, 'cut')].reduce((sum, line) => sum + openLength(line), 0);
    const whole = pathsOf(toolpathPart(part, onTheLine), 'cut').reduce((sum, line) => sum + openLength(line), 0);
    expect(all).toBeCloseTo(whole, 3);
    expect(path.note).toContain('7 tabs 6 mm wide, 1.5 mm high');
  });

  it('needs no tabs for a beam, and no leads for a knife', () => {
    const beam = toolpathPart(part, { kind: 'beam', cutMm: 0.2 });
    expect(pathsOf(beam, 'tab')).toEqual([]);
    // The hole of 2 mm has room for a quarter of the lead, that of 8 mm for all of it.
    const [small, hole] = pathsOf(beam, 'cut');
    const [bare, bareHole] = pathsOf(toolpathPart(part, { kind: 'beam', cutMm: 0.2, way: { leadMm: 0 } }), 'cut');
    expect(openLength(small!) - openLength(bare!)).toBeCloseTo(Math.PI / 4, 1);
    expect(openLength(hole!) - openLength(bareHole!)).toBeCloseTo(Math.PI, 1);
    const knife = toolpathPart(part, { kind: 'knife', cutMm: 0.1 });
    expect(knife.widthMm).toBeCloseTo(100.1, 9);
  });

  it('says so', () => {
    const path = toolpathPart(part, bit);
    expect(path.name).toBe('Plate, middle of the cut');
    expect(path.note).toContain('3 mm cut');
    expect(path.note).toContain('inside before outside');
  });
});

describe('a part as machines take it', () => {
  it('has no step shorter than a hundredth of a millimetre, and stays where it was', () => {
    const stepped: Ring = [
      [0, 0],
      [50, 0],
      [50, 0.004],
      [100, 0.004],
      [100, 60],
      [0.003, 60],
      [0, 60],
    ];
    const tidy = tidyPart({
      ...part,
      layers: [{ operation: 'cut', shapes: [{ kind: 'outline', outline: [stepped] }] }],
    });
    const [ring] = cutOf(tidy);
    expect(ring).toHaveLength(5);
    for (const point of stepped) expect(distanceToOutline(point, [ring!])).toBeLessThan(0.01);
  });

  it('of letters, too', () => {
    for (const letter of letters)
      for (const ring of cutOf(tidyPart(letter)))
        ring.forEach((from, at) => {
          const to = ring[(at + 1) % ring.length]!;
          expect(Math.hypot(to[0] - from[0], to[1] - from[1])).toBeGreaterThanOrEqual(0.01);
        });
  });
});
