import {
  demoDesigns,
  fieldsOf,
  mirrorWays,
  shippedCatalogue,
  toKind,
  type FrameAssembly,
  type FrameKind,
} from '@vitrum/core';
import { describe, expect, it } from '@jest/globals';
import { toByteArray } from 'base64-js';
import { waysInWords } from './mirror-fields';
import { pictureAmiss, pictureFrom } from '../common/picture-edits';

describe('a picture for a print', () => {
  it('is kept as its red, green and blue, see-through places as the white behind them', () => {
    const data = new Uint8ClampedArray([255, 0, 0, 255, 0, 0, 0, 0, 0, 0, 255, 128, 10, 20, 30, 255]);
    const picture = pictureFrom('a'.repeat(200), { width: 2, height: 2, data });
    expect(picture).toMatchObject({ columns: 2, rows: 2 });
    expect(picture.name).toHaveLength(160);
    const half = Math.round(255 * (1 - 128 / 255));
    expect([...toByteArray(picture.rgb)]).toEqual([255, 0, 0, 255, 255, 255, half, half, 255, 10, 20, 30]);
  });

  it('is neither a line of pixels nor more than a design keeps', () => {
    expect(pictureAmiss({ width: 1, height: 90 })).toContain('too narrow');
    expect(pictureAmiss({ width: 400, height: 400 })).toContain('more pixels');
    expect(pictureAmiss({ width: 150, height: 100 })).toBeNull();
  });
});

describe('another kind of frame', () => {
  const at = fieldsOf<FrameAssembly>('assemblies.0');
  const [mirror] = demoDesigns['fitting-mirror'].assemblies;
  const changes = (kind: FrameKind) =>
    Object.fromEntries(toKind(at, kind, mirror!).map(({ path, value }) => [path.replace('assemblies.0.', ''), value]));

  it('takes with it what light comes through, by what it is worked, and where its strip runs', () => {
    expect(changes('print')).toMatchObject({
      'artwork.mode': 'opaque-letters',
      'face.coats': [{ coatingId: 'poster-print', coats: 1 }],
      'light.layout': 'rows',
      'case.block': null,
      // It is changed by a top that comes off; a sheet behind it that is large enough shares its groove.
      'case.faceOut': 'top-off',
      'face.second': { sheetId: 'opal-3-large', gapMm: 0, seated: true },
    });
    expect(changes('mirror-tile')).toMatchObject({
      'artwork.mode': 'lit-letters',
      'artwork.mirrored': true,
      'artwork.toolId': 'blast',
      'face.coats': [],
      'case.faceOut': 'open-top',
    });
    expect(changes('lit-mirror')).toMatchObject({
      'case.retention': 'laid-on',
      'light.layout': 'block',
      'light.facing': 'out',
      'light.corners': 'bent',
      'face.second': { sheetId: 'opal-3-large', gapMm: 0 },
      // Its inner frame follows the band.
      'case.block': null,
    });
  });
});

describe('a mirror made here against one from a glass shop', () => {
  const pane = shippedCatalogue.panes.find(({ id }) => id === 'mirror-glass-4')!;
  const size = { widthMm: 700, heightMm: 900 };
  const ways = (quote: number | null) =>
    mirrorWays({ by: 'here', failShare: 0.25, quote }, pane, size, 1, { labourPerHour: 30, wasteShare: 0.1 });

  it('counts failed tries in glass and in hours, and says which is cheaper', () => {
    const { here, bought } = ways(200);
    // A sheet of 1600 × 1000 is 64; three tries of four are good; 20 and 44 min each.
    const glass = ((64 * 700 * 900 * 1.1) / 1.6e6) * (4 / 3);
    expect(here.tries).toBeCloseTo(4 / 3, 9);
    expect(here.hours).toBeCloseTo((Math.round((20 * 4) / 3) + Math.round((44 * 4) / 3)) / 60, 9);
    expect(here.price).toBeCloseTo(glass + here.hours * 30, 6);
    expect(bought.price).toBeCloseTo(200 + (30 / 60) * 30, 6);
    expect(waysInWords(here, bought, 'EUR')).toBe(
      'Made here: 80 EUR with 1.4 h and 1.33 tries; glass shop: 215 EUR with 0.5 h. Made here is 135 EUR cheaper.',
    );
  });

  it('takes a typical price while nobody has been asked, says so, and turns about when the quote is low', () => {
    const guess = ways(null);
    // 60, and three times the glass of 700 × 900 off its sheet.
    expect(guess.bought.price).toBeCloseTo(Math.round(60 + (3 * 64 * 630) / 1600) + 15, 6);
    expect(waysInWords(guess.here, guess.bought, 'EUR')).toContain('typical price until it has been asked');
    const { here, bought } = ways(20);
    expect(waysInWords(here, bought, 'EUR')).toMatch(/Bought in is \d+ EUR cheaper\.$/);
  });
});
