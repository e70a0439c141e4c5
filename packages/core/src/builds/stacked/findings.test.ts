import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { changed, evaluated, inAssembly, smokeHouse, testFonts } from '../../testing/harness.js';
import { findingOn, notMendedBy } from '../../testing/mended.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

type Change = Readonly<Record<string, unknown>>;
const made = (change: Change) => changed(smokeHouse, inAssembly(change));
const rings = (...materials: readonly string[]) =>
  materials.map((materialId, at) => ({ id: `ring-${at + 1}`, materialId }));

/** A large flat sign, its letters far from the strip. */
const flat: Change = {
  'plates.shape': 'rectangle',
  'plates.widthMm': 720,
  'plates.heightMm': 450,
  'plates.rings': rings('ply-6', 'opal-5', 'ply-6'),
  'artwork.capHeightMm': 108,
};
/** Strip of few LEDs on a ledge right behind the band. */
const near: Change = {
  'light.stripId': 'white-24v-60',
  'light.facing': 'out',
  'light.fromWallMm': 6,
  'light.fromBaseMm': 14.5,
  'plates.wallMm': 9,
};

describe('findings of stacked plates', () => {
  it.each<[string, readonly string[], Change]>([
    // Strip that does not go in, or lies where it should not.
    [
      'stack-too-thin',
      ['lift-lid', 'change-strip'],
      { 'light.stripId': 'white-24v-60', 'plates.rings': rings('ply-6', 'mdf-3') },
    ],
    ['stack-too-thin', ['drop-loop'], { 'light.loops': 4 }],
    ['strip-covers-band', ['move-strip'], { 'light.fromBaseMm': 14.5 }],
    ['strip-covers-band', ['lift-bands', 'farther-from-band'], { 'plates.rings': rings('opal-5', 'mdf-3', 'mdf-3') }],
    ['no-strip', ['on-the-wall'], { 'light.facing': 'out', 'light.fromWallMm': 113, 'light.stripId': 'white-24v-70' }],
    // Letters where no light is, or too little.
    ['letters-over-wall', ['smaller-letters'], { 'artwork.capHeightMm': 52 }],
    ['letters-over-wall', ['narrower-wall'], { 'plates.wallMm': 34 }],
    ['letters-uneven', ['lift-lid'], flat],
    // The band.
    ['band-dots', ['farther-from-band', 'change-strip'], near],
    ['band-dim', ['narrower-wall'], { 'plates.wallMm': 30, 'artwork.capHeightMm': 30 }],
    // The lid.
    ['inlay-tight', ['usual-fit'], { 'lid.inlay': { materialId: 'opal-3', overMm: 0.4 } }],
    ['inlay-loose', ['usual-fit'], { 'lid.inlay': { materialId: 'opal-3', overMm: -0.4 } }],
    ['letters-sunk', ['thinner-lid'], { 'lid.materialId': 'ply-12' }],
    // What holds it, and what shorts.
    ['ring-too-narrow', ['wider-rings'], { 'plates.wallMm': 5 }],
    ['metal-at-joints', ['wooden-plates'], { 'plates.baseId': 'aluminium-2' }],
  ])('%s is found, and mended by %s', (rule, fixes, change) => {
    expect(notMendedBy(made(change), fonts, rule, fixes)).toEqual([]);
  });

  it('none will disappoint on the demo', () => {
    const { findings } = evaluated(smokeHouse, fonts);
    expect(findings.filter(({ severity }) => severity !== 'note')).toEqual([]);
  });

  it('offer film under the lid and a second loop where they help', () => {
    const bright = findingOn(
      { ...made({}), power: { ...smokeHouse.power, level: 1 }, brief: { ...smokeHouse.brief, ambient: 'dark' } },
      fonts,
      'too-bright',
    );
    expect(bright!.fixes.some(({ id }) => id === 'film-under-lid' || id === 'turn-down')).toBe(true);
    const dim = findingOn(
      {
        ...made({}),
        power: { ...smokeHouse.power, level: 0.3 },
        brief: { ...smokeHouse.brief, ambient: 'overcast', exposure: 'indoors' },
      },
      fonts,
      'too-dim',
    );
    expect(dim!.fixes.map(({ id }) => id)).toContain('add-loop');
  });

  it('tell by how much: what strip takes, and how far rings are too low', () => {
    const thin = findingOn(made({ 'plates.rings': rings('mdf-3', 'mdf-3') }), fonts, 'stack-too-thin')!;
    // 5 mm of strip and a millimetre over and under it, in two rings of 3 mm.
    expect(thin.numbers.map(({ value }) => value)).toEqual([7, 6]);
    expect(thin.severity).toBe('stop');
  });
});
