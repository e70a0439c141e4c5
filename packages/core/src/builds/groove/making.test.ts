import { beforeAll, describe, expect, it } from '@jest/globals';
import DxfParser from 'dxf-parser';
import { strFromU8 } from 'fflate';
import type { FontBook } from '../../artwork/lettering/index.js';
import { readSvg } from '../../artwork/drawings/index.js';
import { measureLine, outlineArea, subtract, type Outline, type Point } from '../../base/outlines/index.js';
import { partDxf, partSvg } from '../../files/exports/index.js';
import type { CutPart } from '../../making/parts/index.js';
import { changed, evaluated, inAssembly, lateSoup, testFonts } from '../../testing/harness.js';
import { packOf } from '../../testing/packs.js';
import { bandsOf } from './geometry.js';
import { bitPaths, passesFor } from './parts.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const made = (change: Readonly<Record<string, unknown>> = {}) =>
  evaluated(changed(lateSoup, inAssembly({ 'artwork.toolId': 'bit-3', ...change })), fonts);

const layerOf = (part: CutPart, operation: string) =>
  part.layers.filter((layer) => layer.operation === operation).flatMap(({ shapes }) => shapes);

describe('a routed board', () => {
  it('reads back from its SVG: outline and groove area, to a hundredth of a millimetre', () => {
    const { cut, geometry } = made();
    const [board] = cut;
    const read = readSvg(partSvg(board!));
    if (!read.ok) throw new Error(read.problems[0]!.message);
    const areaOf = (layer: string): number =>
      read.value.shapes
        .filter((shape) => shape.layer.startsWith(layer))
        .flatMap(({ paths }) => paths)
        .reduce((sum, { points }) => sum + outlineArea([points]), 0);
    // Rings of a groove wind as they should: holes are taken off.
    expect(Math.abs(areaOf('ROUT')) / outlineArea(geometry.grooveArea)).toBeCloseTo(1, 3);
    expect(board!.layers.map(({ operation }) => operation)).toEqual(['cut', 'rout', 'bit-path', 'drill']);
  });

  it('reads back from its DXF by another reader: where the bit runs, and every hole', () => {
    const { cut, runs } = made();
    const [board] = cut;
    const dxf = new DxfParser().parseSync(partDxf(board!))!;
    const holes = dxf.entities.filter(
      ({ type, layer }) => type === 'CIRCLE' && layer.startsWith('DRILL'),
    ) as unknown as {
      readonly center: { readonly x: number; readonly y: number };
    }[];
    // Spacers are drilled for besides.
    expect(holes.length).toBeGreaterThanOrEqual(runs.holes.length);
    for (const { at } of runs.holes) {
      const [x, y] = [at[0] + 350, at[1] + 175];
      expect(Math.min(...holes.map(({ center }) => Math.hypot(center.x - x, center.y - y)))).toBeLessThan(0.01);
    }
    const paths = dxf.entities.filter(({ layer }) => layer.startsWith('BIT-PATH')) as unknown as {
      readonly vertices: readonly { readonly x: number; readonly y: number }[];
    }[];
    const shapes = layerOf(board!, 'bit-path').flatMap((shape) => (shape.kind === 'path' ? [shape] : []));
    expect(paths).toHaveLength(shapes.length);
    paths.forEach(({ vertices }, index) =>
      // Where the line bends round, its points are told by arcs: fewer, each where one was.
      vertices.forEach(({ x, y }) =>
        expect(Math.min(...shapes[index]!.points.map(([px, py]) => Math.hypot(px - x, py - y)))).toBeLessThan(0.01),
      ),
    );
  });

  it('is cut by its bit as wide as the groove: what the bit goes over is the groove area', () => {
    for (const widthMm of [3, 5, 8.3, 12]) {
      const lines = [
        {
          points: [
            [0, 0],
            [120, 0],
            [160, 60],
          ] as readonly Point[],
          closed: false,
        },
      ];
      const wanted = bandsOf(lines, widthMm);
      const paths = bitPaths(lines, widthMm, 3).flatMap((shape) =>
        shape.kind === 'path' ? [{ points: shape.points, closed: shape.closed }] : [],
      );
      const goneOver: Outline = bandsOf(paths, 3);
      expect(Math.abs(outlineArea(subtract(wanted, goneOver)))).toBeLessThan(0.02 * outlineArea(wanted));
      expect(Math.abs(outlineArea(subtract(goneOver, wanted)))).toBeLessThan(0.02 * outlineArea(wanted));
    }
  });

  it('takes half the width of its bit at a pass', () => {
    expect(passesFor(7.8, 3)).toEqual({ count: 6, mm: 1.3 });
    expect(passesFor(1.5, 3)).toEqual({ count: 1, mm: 1.5 });
  });

  it('in two halves has each groove and each hole once, and weighs the same', () => {
    const whole = made();
    const split = made({ 'carrier.splits': [{ xMm: -9, yMm: 0, angleDeg: 90 }] });
    const halves = split.cut.filter(({ id }) => id.startsWith('carrier-'));
    expect(halves).toHaveLength(2);
    const kg = halves.reduce((sum, part) => sum + part.kg, 0);
    // Play of the tabs apart.
    expect(kg / whole.cut[0]!.kg).toBeCloseTo(1, 2);
    const holes = halves.reduce((sum, part) => sum + layerOf(part, 'drill').length, 0);
    expect(holes).toBe(split.runs.holes.length);
    const routed = halves.reduce(
      (sum, part) =>
        sum +
        layerOf(part, 'rout').reduce(
          (area, shape) => area + (shape.kind === 'outline' ? outlineArea(shape.outline) : 0),
          0,
        ),
      0,
    );
    expect(routed / outlineArea(whole.geometry.grooveArea)).toBeCloseTo(1, 3);
    expect(split.buildList.steps.map(({ id }) => id)).toContain('seams');
  });
});

describe('other carriers', () => {
  it('of two layers are cut through in front, and the back has the holes', () => {
    const { cut, geometry } = made({ 'carrier.kind': 'two-layer', 'carrier.boardId': 'ply-12' });
    const [front, back] = cut;
    expect([front!.name, back!.name]).toEqual(['Front layer', 'Back layer']);
    const [shape] = layerOf(front!, 'cut');
    // The groove is a hole in the part: whoever cuts beside the lines cuts within it.
    const kept = shape?.kind === 'outline' ? outlineArea(shape.outline) : 0;
    expect((outlineArea(geometry.outline) - kept) / outlineArea(geometry.grooveArea)).toBeCloseTo(1, 3);
    expect(layerOf(front!, 'rout')).toEqual([]);
    expect(layerOf(back!, 'drill').length).toBeGreaterThan(10);
    expect(geometry.groove.depthMm).toBe(12);
  });

  it('of clear sheet are drawn mirrored, need no holes, and say what is masked', async () => {
    const evaluation = made({
      'carrier.kind': 'clear',
      'carrier.boardId': 'clear-acrylic-10',
      'groove.coverId': null,
    });
    const [sheet] = evaluation.cut;
    expect(sheet!.note).toContain('mirrored');
    expect(layerOf(sheet!, 'drill').length).toBeLessThan(evaluation.runs.holes.length);
    const paths = (await packOf(evaluation)).map(({ path }) => path);
    expect(paths).toContain('masks.csv');
  });

  it('of letters are cut one by one, each with the groove in it, on a plate', () => {
    const { cut, geometry } = evaluated(
      changed(lateSoup, {
        ...inAssembly({
          'artwork.toolId': 'bit-3',
          'artwork.fontId': 'nunito-extrabold',
          'artwork.capHeightMm': 240,
          'carrier.kind': 'letters',
          'lines.from': 'middle',
          'lines.ends': [],
        }),
        'brief.text': 'OLE',
      }),
      fonts,
    );
    const letters = cut.filter(({ id }) => id.startsWith('carrier-'));
    expect(letters).toHaveLength(3);
    for (const letter of letters) expect(layerOf(letter, 'rout')).toHaveLength(1);
    expect(cut.at(-1)!.name).toBe('Plate');
    expect(geometry.walls.toEdge!.mm).toBeGreaterThan(0);
  });
});

describe('lists for the bench', () => {
  it('tell every piece, hole and cover, and add up', async () => {
    const evaluation = made();
    const files = await packOf(evaluation);
    const rowsOf = (name: string): readonly (readonly string[])[] =>
      strFromU8(files.find(({ path }) => path === name)!.bytes)
        .replace(/^\uFEFF/, '')
        .trim()
        .split('\r\n')
        .slice(1)
        .map((row) => row.split(','));
    const pieces = rowsOf('pieces.csv');
    expect(pieces).toHaveLength(evaluation.runs.segments.length);
    expect(pieces.reduce((sum, row) => sum + Number(row[2]), 0)).toBeCloseTo(evaluation.runs.stripMm, 0);
    expect(rowsOf('wire-holes.csv')).toHaveLength(2 * pieces.length);
    const covers = rowsOf('covers.csv');
    const lengths = evaluation.geometry.lines.map(({ points, closed }) => measureLine(points, closed).lengthMm);
    expect(covers).toHaveLength(lengths.length);
    covers.forEach((row, index) => expect(Number(row.at(-4))).toBeCloseTo(lengths[index]!, 0));
  });
});
