import { beforeAll, describe, expect, it } from '@jest/globals';
import DxfParser from 'dxf-parser';
import { SVGPathData } from 'svg-pathdata';
import type { FontBook } from '../../artwork/lettering/index.js';
import { bulgeChords } from '../../base/curves/index.js';
import { readDxf, readSvg } from '../../artwork/drawings/index.js';
import type { Evaluation } from '../../sign/evaluate/index.js';
import { intersect, outlineArea, outlineBounds, unite, type Outline, type Point } from '../../base/outlines/index.js';
import type { CutPart } from '../../making/parts/index.js';
import { repair } from '../../artwork/repair/index.js';
import { dispensary, evaluated, testFonts } from '../../testing/harness.js';
import { dxfCorpus } from '../../testing/drawing-corpus/index.js';
import { partDxf, partSvg } from './index.js';
import { layerName } from './layer-name.js';

let fonts: FontBook;
let box: Evaluation;
beforeAll(async () => {
  fonts = await testFonts();
  box = evaluated(dispensary, fonts);
});

/** A plate of acrylic cut by a drawing of the corpus, standing in the corner of its sheet. */
const plate = (outline: Outline): CutPart => {
  const { x, y, width, height } = outlineBounds(outline)!;
  const moved = outline.map((ring) => ring.map(([px, py]): Point => [px - x, py - y]));
  return {
    id: 'plate',
    name: 'Plate',
    materialId: 'opal-3',
    materialName: 'Opal acrylic 3 mm',
    stock: 'face',
    widthMm: width,
    heightMm: height,
    thicknessMm: 3,
    count: 1,
    kg: 0,
    note: '',
    layers: [{ operation: 'cut', shapes: [{ kind: 'outline', outline: moved }] }],
  };
};

const cutOf = (part: CutPart): Outline =>
  part.layers.flatMap(({ shapes }) => shapes.flatMap((shape) => (shape.kind === 'outline' ? shape.outline : [])));

const read = (result: ReturnType<typeof readDxf>): Outline => {
  if (!result.ok) throw new Error(result.problems[0]!.message);
  const repaired = repair(result.value, { gapMm: 0.1, layers: null });
  if (!repaired.ok) throw new Error(repaired.problems[0]!.message);
  return repaired.value.outline;
};

/** Alike to the last hundredth: sizes, and what one has that the other lacks. */
const alike = (one: Outline, other: Outline): void => {
  const [a, b] = [outlineBounds(one)!, outlineBounds(other)!];
  for (const key of ['x', 'y', 'width', 'height'] as const) expect(Math.abs(a[key] - b[key])).toBeLessThan(0.01);
  const both = outlineArea(intersect(one, other));
  const rim = one.reduce((sum, ring) => sum + ring.length, 0);
  expect(outlineArea(one) - both).toBeLessThan(0.01 * Math.max(100, rim * 10));
  expect(outlineArea(other) - both).toBeLessThan(0.01 * Math.max(100, rim * 10));
};

const corpusPlates = (): readonly (readonly [string, CutPart])[] =>
  dxfCorpus.map(({ name, text }) => [name, plate(read(readDxf(text)))] as const);

/** Closed polylines and circles as an independent reader finds them. */
const byOtherDxf = (text: string): Outline => {
  const entities = (new DxfParser().parseSync(text)?.entities ?? []) as readonly {
    readonly type: string;
    readonly shape?: boolean;
    readonly vertices?: readonly { readonly x: number; readonly y: number; readonly bulge?: number }[];
    readonly center?: { readonly x: number; readonly y: number };
    readonly radius?: number;
  }[];
  const rings = entities.map(({ type, vertices = [], center, radius = 0, shape }): Outline[number] => {
    if (type === 'CIRCLE')
      return Array.from({ length: 720 }, (_, at): Point => [
        center!.x + radius * Math.cos((at * Math.PI) / 360),
        center!.y + radius * Math.sin((at * Math.PI) / 360),
      ]);
    expect(shape).toBe(true);
    return vertices.flatMap(({ x, y, bulge = 0 }, at) => {
      const next = vertices[(at + 1) % vertices.length]!;
      return bulgeChords([x, y], [next.x, next.y], bulge, 0.001);
    });
  });
  return unite(rings, 'evenodd');
};

/** Path data as an independent reader follows it: arcs to curves, curves to 40 chords each. */
const byOtherSvg = (text: string, heightMm: number): Outline => {
  const rings: Point[][] = [];
  for (const [, d] of text.matchAll(/ d="([^"]+)"/g)) {
    let at: Point = [0, 0];
    for (const command of new SVGPathData(d!).toAbs().aToC().commands) {
      if (command.type === SVGPathData.MOVE_TO) rings.push([]);
      if (command.type === SVGPathData.CURVE_TO) {
        const { x1, y1, x2, y2, x, y } = command;
        for (let step = 1; step <= 40; step += 1) {
          const t = step / 40;
          const [a, b, c, e] = [(1 - t) ** 3, 3 * t * (1 - t) ** 2, 3 * t * t * (1 - t), t ** 3];
          rings.at(-1)!.push([a * at[0] + b * x1 + c * x2 + e * x, heightMm - (a * at[1] + b * y1 + c * y2 + e * y)]);
        }
      }
      if ('x' in command && 'y' in command) {
        at = [command.x, command.y];
        if (command.type !== SVGPathData.CURVE_TO) rings.at(-1)!.push([at[0], heightMm - at[1]]);
      }
    }
  }
  return unite(rings, 'evenodd');
};

describe('what is written is read back', () => {
  it('as DXF by Vitrum and by an independent reader, to 0.01 mm', () => {
    for (const [, part] of corpusPlates()) {
      const text = partDxf(part);
      alike(read(readDxf(text)), cutOf(part));
      alike(byOtherDxf(text), cutOf(part));
    }
  });

  it('as SVG by Vitrum and by an independent reader, to 0.01 mm', () => {
    for (const [, part] of corpusPlates()) {
      const text = partSvg(part);
      const found = read(readSvg(text));
      // Vitrum’s own reading has its sheet hang below the origin.
      alike(
        found.map((ring) => ring.map(([x, y]): Point => [x, y + part.heightMm])),
        cutOf(part),
      );
      alike(byOtherSvg(text, part.heightMm), cutOf(part));
    }
  });

  it('with circles as circles and arcs as arcs', () => {
    const named = new Map(corpusPlates());
    const washer = new DxfParser().parseSync(partDxf(named.get('washer')!))!;
    expect(washer.entities.map(({ type }) => type)).toEqual(['CIRCLE', 'CIRCLE']);
    const slot = partDxf(named.get('slot by bulges')!);
    const [line] = new DxfParser().parseSync(slot)!.entities as unknown as readonly {
      readonly vertices: readonly { readonly bulge?: number }[];
    }[];
    expect(line!.vertices).toHaveLength(4);
    expect(line!.vertices.filter(({ bulge = 0 }) => Math.abs(bulge - 1) < 0.001)).toHaveLength(2);
    expect(partSvg(named.get('slot by bulges')!).match(/A/g)).toHaveLength(2);
  });

  it('layer by layer, named by the operation, in millimetres', () => {
    const back = box.parts.cut.find(({ id }) => id === 'back')!;
    const text = partDxf(back);
    const file = new DxfParser().parseSync(text)!;
    expect(file.header['$INSUNITS']).toBe(4);
    const layers = new Set(file.entities.map(({ layer }) => layer));
    expect(layers).toEqual(
      new Set(back.layers.filter(({ shapes }) => shapes.length > 0).map((layer) => layerName(layer, back))),
    );
    const holes = back.layers.flatMap(({ shapes }) => shapes.filter(({ kind }) => kind === 'hole'));
    expect(file.entities.filter(({ type }) => type === 'CIRCLE').length).toBe(holes.length);
  });

  it('and the film of the letters keeps its area', () => {
    const film = box.parts.cut.find(({ id }) => id === 'film')!;
    const area = outlineArea(unite(cutOf(film)));
    expect(outlineArea(byOtherDxf(partDxf(film))) / area).toBeCloseTo(1, 3);
  });
});
