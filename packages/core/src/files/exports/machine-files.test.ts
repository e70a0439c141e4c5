import { beforeAll, describe, expect, it } from '@jest/globals';
import DxfParser from 'dxf-parser';
import { strFromU8 } from 'fflate';
import type { FontBook } from '../../artwork/lettering/index.js';
import { readDxf, readSvg, pdfAsSvg } from '../../artwork/drawings/index.js';
import { sum } from '../../base/maths/index.js';
import { outlineArea, outlineBounds, type Outline } from '../../base/outlines/index.js';
import type { CutPart } from '../../making/parts/index.js';
import { shippedCatalogue } from '../../document/catalogue/index.js';
import { evaluate, type Evaluation } from '../../sign/evaluate/index.js';
import { demoJobs } from '../../sign/demo/index.js';
import { coarse, testFonts } from '../../testing/harness.js';
import { packOf, testPaper } from '../../testing/packs.js';
import { read, repaired } from '../../testing/drawing-corpus/read-drawing.js';
import { layerName } from './layer-name.js';
import { filmPart, partDxf, partDxfR12, partPdf, partSvg } from './index.js';

let fonts: FontBook;
let parts: readonly (readonly [string, CutPart])[] = [];
const evaluated = (design: (typeof demoJobs)[number]['design']): Evaluation => {
  const found = evaluate(design, shippedCatalogue, fonts, coarse, 'none');
  if (!found.ok) throw new Error(found.problems[0]!.message);
  return found.value;
};
beforeAll(async () => {
  fonts = await testFonts();
  parts = demoJobs.flatMap(({ design }) =>
    evaluated(design).parts.cut.map((part) => [`${design.name}, ${part.name}`, part] as const),
  );
});

const outlineOf = (drawing: ReturnType<typeof readDxf>): Outline => repaired(read(drawing)).outline;
/** What of a part its own cut bounds. */
const cutIn = ({ layers }: CutPart): CutPart['layers'] =>
  layers.filter(({ operation, shapes }) => operation === 'cut' && shapes.some(({ kind }) => kind === 'outline'));
const asPdf = async (part: CutPart): Promise<Outline> => {
  const text = await pdfAsSvg((await partPdf(part, await testPaper()))!);
  if (!text.ok) throw new Error(text.problems[0]!.message);
  return outlineOf(readSvg(text.value.text));
};
/** How long all edges of an area are (mm). */
const edgeOf = (outline: Outline): number =>
  sum(
    outline.map((ring) => sum(ring.map(([x, y], at) => Math.hypot(x - ring.at(at - 1)![0], y - ring.at(at - 1)![1])))),
  );
const sizeOf = (outline: Outline): readonly number[] => {
  const { width, height } = outlineBounds(outline)!;
  return [width, height];
};

describe('files for machines, of every part of every demo', () => {
  it('say the same in every form, within a hundredth of a millimetre', async () => {
    let compared = 0;
    for (const [name, whole] of parts) {
      const part = { ...whole, layers: cutIn(whole) };
      if (part.layers.length === 0) continue;
      const newest = outlineOf(readDxf(partDxf(part)));
      const oldest = outlineOf(readDxf(partDxfR12(part)));
      const drawn = outlineOf(readSvg(partSvg(part)));
      const printed = await asPdf(part);
      for (const other of [oldest, drawn, printed]) {
        expect([name, sizeOf(other)]).toEqual([name, sizeOf(newest).map((mm) => expect.closeTo(mm, 2))]);
        // No edge runs a hundredth of a millimetre beside the other.
        expect(Math.abs(outlineArea(other) - outlineArea(newest))).toBeLessThan(0.01 * edgeOf(newest));
      }
      compared += 1;
    }
    expect(compared).toBeGreaterThan(60);
  });

  it('of release 12 are such, with layers, arcs and extents, by an independent reader', () => {
    const [, part] = parts.find(([, { layers }]) => layers.some(({ operation }) => operation === 'drill'))!;
    const text = partDxfR12(part);
    expect(text).toContain('AC1009');
    const file = new DxfParser().parseSync(text)!;
    expect(Object.keys(file.tables.layer.layers)).toEqual(
      expect.arrayContaining(part.layers.map((layer) => layerName(layer, part))),
    );
    expect(file.header['$EXTMAX']).toMatchObject({ x: expect.closeTo(part.widthMm, 3) });
    expect(file.entities.some(({ type }) => type === 'CIRCLE')).toBe(true);
    expect(file.entities.every(({ type }) => ['POLYLINE', 'CIRCLE', 'LINE'].includes(type))).toBe(true);
    const newer = new DxfParser().parseSync(partDxf(part))!;
    expect(newer.header['$MEASUREMENT']).toBe(1);
    expect(newer.header['$EXTMAX']).toMatchObject({ y: expect.closeTo(part.heightMm, 3) });
    // The same things in both.
    expect(file.entities.length).toBe(newer.entities.length);
  });

  it('of film have a border to weed to and three marks, the film in their midst at its size', async () => {
    const [, film] = parts.find(([, { stock }]) => stock === 'film')!;
    const made = filmPart(film);
    expect([made.widthMm - film.widthMm, made.heightMm - film.heightMm]).toEqual([40, 40]);
    const [own, border, marks] = [made.layers[0]!, made.layers.at(-2)!, made.layers.at(-1)!];
    expect(sizeOf(border.shapes.flatMap((shape) => (shape.kind === 'outline' ? shape.outline : [])))).toEqual([
      expect.closeTo(film.widthMm + 16, 6),
      expect.closeTo(film.heightMm + 16, 6),
    ]);
    // Three crosses: turned or mirrored they lie elsewhere.
    expect([marks.operation, marks.shapes.length]).toEqual(['mark', 6]);
    const ringsOf = (layer: CutPart['layers'][number]): Outline =>
      layer.shapes.flatMap((shape) => (shape.kind === 'outline' ? shape.outline : []));
    expect(outlineArea(ringsOf(own))).toBeCloseTo(outlineArea(ringsOf(film.layers[0]!)), 4);
    const within = outlineBounds(ringsOf(own))!;
    expect(within.x).toBeGreaterThanOrEqual(20 - 1e-6);
    const paths = (
      await packOf(evaluated(demoJobs.find(({ design }) => design.name.startsWith('Rye'))!.design))
    ).filter(({ path }) => path.startsWith('film/'));
    expect(paths.map(({ path }) => path.replace(/^.*\./, ''))).toEqual(['svg', 'dxf', 'dxf', 'pdf']);
    expect(strFromU8(paths[0]!.bytes)).toContain('for the plotter');
    // Longer than a page can be, it goes without one.
    expect(await partPdf({ ...film, widthMm: 6000 }, await testPaper())).toBeNull();
  });
});
