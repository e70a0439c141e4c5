import { describe, expect, it } from '@jest/globals';
import { rectRing } from '../../base/outlines/index.js';
import { coloursOf, operations, shippedCatalogue, usualColours, type Tool } from '../../document/catalogue/index.js';
import type { CutPart } from '../../making/parts/index.js';
import { colourIndex, trueColour } from './colour-index.js';
import { partDxf, partDxfR12, partSvg } from './index.js';
import { layerName } from './layer-name.js';
import { toolFor } from './tool-for.js';

const part = (changes: Partial<CutPart> = {}): CutPart => ({
  id: 'face',
  name: 'Face',
  materialId: 'opal-3',
  materialName: 'Opal acrylic 3 mm',
  stock: 'face',
  widthMm: 400,
  heightMm: 300,
  thicknessMm: 3,
  count: 1,
  kg: 1,
  note: '',
  layers: [
    { operation: 'cut', shapes: [{ kind: 'outline', outline: [rectRing({ x: 0, y: 0, width: 400, height: 300 })] }] },
  ],
  ...changes,
});
const toolNamed = (id: string): Tool => shippedCatalogue.tools.find((tool) => tool.id === id)!;

describe('the name of a layer', () => {
  it.each([
    [{ operation: 'cut' } as const, 6, 'CUT-THROUGH-6MM'],
    [{ operation: 'cut' } as const, 0, 'CUT-THROUGH'],
    [{ operation: 'drill' } as const, 12.5, 'DRILL-THROUGH-12_5MM'],
    [{ operation: 'drill', depthMm: 10 } as const, 12, 'DRILL-10MM'],
    [{ operation: 'seat', depthMm: 9.52 } as const, 18, 'SEAT-9_52MM'],
    [{ operation: 'mark' } as const, 18, 'MARK'],
    [{ operation: 'bit-path', depthMm: 7.6 } as const, 18, 'BIT-PATH-7_6MM'],
  ])('of %j in %d mm is %s', (layer, thicknessMm, name) => {
    expect(layerName(layer, { thicknessMm })).toBe(name);
    // What the oldest format takes.
    expect(name).toMatch(/^[A-Z0-9_-]{1,31}$/);
  });
});

describe('colours of layers', () => {
  it('are those of the shop in every format, and the nearest that a number counts', () => {
    const own = coloursOf({ cut: '#0000ff' });
    expect(partSvg(part(), own)).toContain('stroke="#0000ff"');
    expect(partDxf(part(), own)).toMatch(/CUT-THROUGH-3MM\n70\n0\n62\n5\n420\n255\n/);
    expect(partDxfR12(part(), own)).toMatch(/CUT-THROUGH-3MM\n70\n0\n62\n5\n/);
    expect(coloursOf(undefined)).toEqual(usualColours);
  });

  it('are told apart, each from each', () => {
    const numbers = operations.map((operation) => colourIndex(usualColours[operation]));
    expect(new Set(numbers).size).toBe(operations.length);
    expect([colourIndex('#ff0000'), colourIndex('#fe0102'), colourIndex('#ffff00')]).toEqual([1, 1, 2]);
    expect(trueColour('#00ff10')).toBe(0x00ff10);
  });
});

describe('what cuts a face or a panel', () => {
  const knife = toolNamed('film-knife');
  it('is the tool of the design where it gets through, else the finest that the shop has', () => {
    expect(toolFor(part(), knife, shippedCatalogue)?.id).toBe('laser');
    expect(toolFor(part(), toolNamed('bit-3'), shippedCatalogue)?.id).toBe('bit-3');
    // Too thick for the beam, too large for its bed.
    expect(toolFor(part({ thicknessMm: 10 }), knife, shippedCatalogue)?.id).toBe('bit-2');
    expect(toolFor(part({ widthMm: 1200, heightMm: 800 }), knife, shippedCatalogue)?.id).toBe('bit-2');
  });

  it('is the cut that was measured in that stuff', () => {
    const tools = shippedCatalogue.tools.map((tool) =>
      tool.id === 'laser' ? { ...tool, kerfs: { acrylic: 0.17 } } : tool,
    );
    expect(toolFor(part(), knife, { ...shippedCatalogue, tools })?.cutMm).toBe(0.17);
  });

  it('is none for what no bed takes, what is sawn, and what is no longer on the shelf', () => {
    expect(toolFor(part({ widthMm: 3000 }), knife, shippedCatalogue)).toBeNull();
    expect(toolFor(part({ stock: 'board', materialId: 'ply-6', heightMm: 40 }), knife, shippedCatalogue)).toBeNull();
    expect(toolFor(part({ materialId: 'gone' }), knife, shippedCatalogue)).toBeNull();
    const tools = shippedCatalogue.tools.map((tool) => ({ ...tool, retiredOn: '2030-01-01' }));
    expect(toolFor(part(), knife, { ...shippedCatalogue, tools })).toBeNull();
  });
});
