import { fieldsOf, type FrameAssembly } from '@vitrum/core';
import { describe, expect, it } from '@jest/globals';
import { toByteArray } from 'base64-js';
import { toKind } from './kind-edits';
import { pictureAmiss, pictureFrom } from './picture-edits';

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
  const changes = (kind: 'print' | 'mirror-tile' | 'lit-mirror') =>
    Object.fromEntries(
      toKind(at, kind, { widthMm: 700, heightMm: 900 }).map(({ path, value }) => [
        path.replace('assemblies.0.', ''),
        value,
      ]),
    );

  it('takes with it what light comes through, by what it is worked, and where its strip runs', () => {
    expect(changes('print')).toMatchObject({
      'artwork.mode': 'opaque-letters',
      'face.coats': [{ coatingId: 'poster-print', coats: 1 }],
      'light.layout': 'rows',
    });
    expect(changes('mirror-tile')).toMatchObject({
      'artwork.mode': 'lit-letters',
      'artwork.mirrored': true,
      'artwork.toolId': 'blast',
      'face.coats': [],
    });
    // A sheet behind it that is large enough.
    expect(changes('lit-mirror')).toMatchObject({
      'light.layout': 'rim',
      'light.facing': 'front',
      'face.second': { sheetId: 'opal-3-large', gapMm: 0 },
    });
  });
});
