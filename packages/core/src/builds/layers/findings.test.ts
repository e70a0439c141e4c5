import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { changed, evaluated, inAssembly, reedBed, testFonts } from '../../testing/harness.js';
import { findingOn, mendedBy } from '../../testing/mended.js';
import type { SheetDesign } from './schema.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const sheets = reedBed.assemblies[0]!.scene.sheets;
const [farBank, , , , window] = sheets;
type Change = Readonly<Record<string, unknown>>;
const only = (...kept: readonly SheetDesign[]): Change => ({ 'scene.sheets': kept });
const made = (change: Change) => changed(reedBed, inAssembly(change));
const ring = (x: number, y: number, width: number, height: number): number[] => [
  x,
  y,
  x + width,
  y,
  x + width,
  y + height,
  x,
  y + height,
];
const drawn = (heightMm: number, ...rings: number[][]): SheetDesign => ({
  ...farBank!,
  id: 'piece',
  name: 'Piece',
  heightMm,
  drawing: { name: 'piece', scale: 1, rings },
});

describe('findings of scenes', () => {
  it.each<[string, string, Change]>([
    // What is seen that should not be.
    ['strip-seen', 'wider-border', only(farBank!, { ...window!, borderMm: 5 })],
    ['strip-seen', 'add-window', only(farBank!)],
    ['strip-seen', 'move-strip', { ...only(farBank!, { ...window!, borderMm: 8 }), 'light.fromBackMm': 20 }],
    ['spacer-seen', 'lower-sheet', only(farBank!, drawn(50, ring(-60, -20, 120, 14)), window!)],
    // Layers that do not read.
    [
      'layers-alike',
      'darker',
      only(farBank!, { ...drawn(12, ring(-20, -120, 40, 110)), colour: farBank!.colour }, window!),
    ],
    [
      'layers-alike',
      'lighter',
      only(farBank!, { ...drawn(12, ring(-20, -120, 40, 110)), colour: farBank!.colour }, window!),
    ],
    [
      'layer-dark',
      'move-strip',
      {
        'light.fromBackMm': 4,
        'scene.sheets': [
          { ...farBank!, id: 'wall', name: 'Wall', shape: 'window', borderMm: 126, heightMm: 12 },
          { ...drawn(21, ring(-60, -110, 120, 60)), colour: '#d0d0d0' },
          window!,
        ],
      },
    ],
    // What takes the same room.
    ['sheets-collide', 'raise-sheet', only(farBank!, drawn(10, ring(-60, -110, 120, 60)), window!)],
    ['sheet-meets-strip', 'strip-to-gap', { 'light.fromBackMm': 66 }],
    // What stands on nothing.
    ['not-carried', 'glue-flat', only(farBank!, drawn(21, ring(-60, -110, 120, 60), ring(0, -20, 4, 4)), window!)],
    ['not-carried', 'glue-flat', only(drawn(12, ring(-40, -10, 4, 4)), window!)],
    ['not-carried', 'stand-on-sheet', only(drawn(12, ring(-40, -10, 4, 4)), window!)],
    ['height-off', 'take-height', { 'case.depthInsideMm': 220, ...only({ ...window!, heightMm: 195 }) }],
    // Metal at bare pads.
    [
      'metal-at-joints',
      'wooden-sheet',
      {
        'light.fromBackMm': 62,
        'light.stripId': 'white-24v-60',
        ...only(farBank!, { ...window!, materialId: 'aluminium-2' }),
      },
    ],
  ])('%s is found, and mended by %s', (rule, fix, change) => {
    expect(mendedBy(made(change), fonts, rule, fix).gone).toBe(true);
  });

  it('none stops the demo, none will disappoint', () => {
    const { findings } = evaluated(reedBed, fonts);
    expect(findings.filter(({ severity }) => severity !== 'note')).toEqual([]);
  });

  it('tell how many LEDs are seen, and how far two sheets are in each other', () => {
    const open = findingOn(made(only(farBank!)), fonts, 'strip-seen')!;
    expect(open.numbers[0]!.value).toBe(100);
    const both = findingOn(
      made(only(farBank!, drawn(10, ring(-60, -110, 120, 60)), window!)),
      fonts,
      'sheets-collide',
    )!;
    // The far bank ends at 12, the piece begins at 10.
    expect(both.numbers[0]!.value).toBeCloseTo(2, 6);
    expect(both.severity).toBe('stop');
  });

  it('leave what is painted dark on purpose alone', () => {
    const { findings } = evaluated(reedBed, fonts);
    expect(findings.some(({ rule }) => rule === 'layer-dark')).toBe(false);
  });
});
