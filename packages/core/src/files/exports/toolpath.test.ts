import { describe, expect, it } from '@jest/globals';
import { outlineArea, outlineBounds, rectRing, subtract, type Outline } from '../../base/outlines/index.js';
import type { CutPart, PartShape } from '../../making/parts/index.js';
import { toolpathPart } from './toolpath.js';

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
const outlineOf = (shapes: readonly PartShape[]): Outline =>
  shapes.flatMap((shape) => (shape.kind === 'outline' ? shape.outline : []));

describe('a part for a machine that follows lines as they are', () => {
  const path = toolpathPart(part, 3);
  const [cut, drill, mark] = path.layers;

  it('has its outer lines half a cut outside and its holes half a cut inside', () => {
    const outline = outlineOf(cut!.shapes);
    expect(outlineBounds(outline)).toMatchObject({ width: 103, height: 63 });
    // Corners of what grows are rounded by the tool.
    const rounded = (4 - Math.PI) * 1.5 ** 2;
    expect(Math.abs(outlineArea(outline) - (103 * 63 - rounded - 37 * 17))).toBeLessThan(0.1);
    expect(cut!.shapes.filter(({ kind }) => kind === 'hole')).toEqual([
      { kind: 'hole', x: 11.5, y: 11.5, diameterMm: 5 },
    ]);
  });

  it('leaves drilled holes and marks as they were, and all of it on the drawing', () => {
    expect(drill!.shapes).toEqual([{ kind: 'hole', x: 91.5, y: 51.5, diameterMm: 4 }]);
    expect(mark!.shapes).toEqual([{ kind: 'line', from: [1.5, 31.5], to: [101.5, 31.5] }]);
    expect([path.widthMm, path.heightMm]).toEqual([103, 63]);
    const { x, y } = outlineBounds(outlineOf(cut!.shapes))!;
    expect([x, y].map((value) => Math.abs(value) < 1e-9)).toEqual([true, true]);
  });

  it('says so', () => {
    expect(path.name).toBe('Plate, middle of the cut');
    expect(path.note).toContain('3 mm cut');
  });
});
