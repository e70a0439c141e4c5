import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import {
  brimTile,
  changed,
  evaluated,
  evaluatedCoarsely,
  fittingMirror,
  inAssembly,
  testFonts,
  tideTable,
} from '../../testing/harness.js';
import { findingOn, mendedBy } from '../../testing/mended.js';
import { faceLuxOf } from './figures.js';
import { onFaceLux } from './on-face.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

type Change = Readonly<Record<string, unknown>>;
const frames = { print: tideTable, tile: brimTile, mirror: fittingMirror } as const;
const made = (frame: keyof typeof frames, change: Change) => changed(frames[frame], inAssembly(change));

describe('findings of frames', () => {
  it.each<[string, string, keyof typeof frames, Change]>([
    // What is shown goes in, comes out, and neither sticks nor rattles.
    ['shows-shut-in', 'let-out', 'print', { 'case.faceOut': 'never', 'case.cornerJoint': 'mitre' }],
    ['top-locked', 'square-corners', 'tile', { 'case.cornerJoint': 'mitre-spline' }],
    ['top-locked', 'square-corners', 'print', { 'case.cornerJoint': 'mitre' }],
    ['face-slips-out', 'less-play', 'print', { 'case.playMm': 3.4 }],
    ['face-slips-out', 'deeper-seat', 'tile', { 'case.seatMm': 4, 'case.playMm': 1.4, 'case.backPlayMm': 1 }],
    ['face-catches', 'usual-groove-play', 'print', { 'case.groovePlayMm': 0.1 }],
    ['face-rattles', 'usual-groove-play', 'print', { 'case.groovePlayMm': 1.4 }],
    ['weak-groove', 'sturdy-groove', 'print', { 'case.lipMm': 3 }],
    ['face-binds', 'more-play', 'print', { 'case.playMm': 0.2 }],
    // Fasteners keep clear of seats.
    [
      'back-screws-too-deep',
      'turn-buttons',
      'tile',
      {
        'case.depthInsideMm': 12,
        'case.backHold': 'inserts',
        'case.seatMm': 9,
        'light.layout': 'rim',
        'light.facing': 'in',
        'face.second': null,
      },
    ],
    [
      'corners-without-room',
      'splined-mitre',
      'mirror',
      {
        'case.cornerJoint': 'dowels',
        'case.depthInsideMm': 14,
        'light.layout': 'rim',
        'light.facing': 'in',
        'face.second': null,
      },
    ],
    // Sizes that are sold.
    ['larger-than-sheet', 'large-clear-sheet', 'print', { 'case.widthMm': 1300, 'case.heightMm': 500 }],
    ['larger-than-sheet', 'glass-shop', 'mirror', { 'case.widthMm': 1700 }],
    // Feet, cleat and buttons against the back.
    ['back-shut-in', 'mate-on-back', 'print', { hanging: { way: 'cleat', matedTo: 'returns' }, 'case.recessMm': 12 }],
    ['buttons-at-wall', 'back-screws', 'print', { hanging: { way: 'holes' }, 'case.backHold': 'turn-buttons' }],
    // Light.
    ['dots-show', 'opal-behind', 'tile', { 'face.second': null, 'light.stripId': 'white-24v-60' }],
    [
      'inner-frame-shades',
      'frame-within-band',
      'mirror',
      { 'case.block': { widthMm: 580, heightMm: 780, depthMm: 50, offsetXMm: 0, offsetYMm: 0 } },
    ],
    [
      'inner-frame-shades',
      'narrower-band',
      'mirror',
      { 'case.block': { widthMm: 570, heightMm: 770, depthMm: 50, offsetXMm: 0, offsetYMm: 0 } },
    ],
    [
      'too-hot',
      'turn-down',
      'print',
      { 'light.stripId': 'continuous-24v-320', 'light.rowCount': 6, 'case.depthInsideMm': 60 },
    ],
    // Glue.
    ['glue-on-band', 'bead-out', 'mirror', { 'shows.beadMm': 32 }],
    ['glue-on-band', 'band-in', 'mirror', { 'shows.beadMm': 32 }],
  ])('%s is found, and mended by %s: a %s', (rule, fix, frame, change) => {
    expect(mendedBy(made(frame, change), fonts, rule, fix).gone).toBe(true);
  });

  it('tell how little of the sheet is held, and where glue lies', () => {
    const loose = findingOn(made('print', { 'case.playMm': 3.4 }), fonts, 'face-slips-out')!;
    // A seat of 8 less twice 3.4.
    expect(loose.numbers[0]!.value).toBeCloseTo(1.2, 9);
    const glue = findingOn(made('mirror', { 'shows.beadMm': 32 }), fonts, 'glue-on-band')!;
    // 32 + half of 8 + 2 reach to 38, 3 into a band that begins at 35.
    expect(glue.numbers[0]!.value).toBeCloseTo(3, 9);
  });

  it('are none of a groove where a face lies in a rabbet', () => {
    const open = made('print', { 'case.retention': 'rabbet', 'case.groovePlayMm': 1.4, 'case.playMm': 3.4 });
    const rules = evaluatedCoarsely(open, fonts).findings.map(({ rule }) => rule);
    for (const rule of ['face-rattles', 'face-catches', 'face-slips-out', 'shows-shut-in', 'top-locked'])
      expect(rules).not.toContain(rule);
  });

  it('do not take the screws of rabbeted corners for holes in a seat', () => {
    const rabbeted = made('print', { 'case.cornerJoint': 'rabbet', 'case.faceOut': 'never' });
    expect(findingOn(rabbeted, fonts, 'holes-collide')).toBeNull();
  });
});

describe('what a lit mirror throws on a face', () => {
  it('is what its band gives summed place by place', () => {
    const mirror = { widthMm: 700, heightMm: 900 };
    const band = { insetMm: 35, widthMm: 45 };
    const cell = 2.5;
    let sum = 0;
    for (let x = -350 + cell / 2; x < 350; x += cell)
      for (let y = -450 + cell / 2; y < 450; y += cell) {
        const fromEdge = Math.min(350 - Math.abs(x), 450 - Math.abs(y));
        if (fromEdge > 35 && fromEdge < 80) {
          const r2 = (x ** 2 + y ** 2 + 600 ** 2) / 1e6;
          sum += (1000 * (cell / 1000) ** 2 * 0.36) / r2 ** 2;
        }
      }
    expect(onFaceLux(1000, mirror, band, 600) / sum).toBeCloseTo(1, 3);
    // All of a half space of even light: π times its luminance.
    expect(onFaceLux(100, { widthMm: 1e7, heightMm: 1e7 }, { insetMm: 0, widthMm: 4.9e6 }, 1)).toBeLessThan(
      100 * Math.PI,
    );
    expect(onFaceLux(100, { widthMm: 1e7, heightMm: 1e7 }, { insetMm: 0, widthMm: 5e6 }, 500)).toBeCloseTo(
      100 * Math.PI,
      3,
    );
  });

  it('is told when it is little, and mended by a wider band', () => {
    const dim = made('mirror', { 'shows.band': { insetMm: 35, widthMm: 20, cornerMm: 0 } });
    const { finding, gone } = mendedBy(dim, fonts, 'dim-before-mirror', 'wider-band');
    expect(finding.severity).toBe('note');
    expect(gone).toBe(true);
    const own = evaluated(dim, fonts);
    const told = own.findings.find(({ rule }) => rule === 'dim-before-mirror');
    expect(told?.numbers[0]!.value).toBeCloseTo(faceLuxOf(own), 6);
  });
});
