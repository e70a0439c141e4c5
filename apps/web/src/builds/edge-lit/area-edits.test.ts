import { describe, expect, it } from '@jest/globals';
import { fieldsOf, pathOf, type EdgeLitAssembly, type PanelArtwork, type PanelResults } from '@vitrum/core';
import { areaLabel, newArea, without } from './area-edits';
import { takeOutline } from './outline-edits';
import { photoAmiss, photoFrom, takePhoto } from './photo-edits';

const artwork: PanelArtwork = {
  fontId: 'overpass',
  capHeightMm: 40,
  lineSpacing: 1.5,
  align: 'centre',
  offsetXMm: 0,
  offsetYMm: 0,
  depthMm: 0.2,
  fill: 'hatch',
  mirrored: true,
  toolId: 'engrave-bit',
};
/** A sheet of 240 × 160 mm about the origin, its lowest 14 mm unseen, with artwork of these bounds. */
const panel = ([x, y, width, height]: readonly [number, number, number, number]): PanelResults =>
  ({
    geometry: {
      sheet: { x: -120, y: -80, width: 240, height: 160 },
      seen: { x: -120, y: -66, width: 240, height: 146 },
    },
    lettering: { bounds: { x, y, width, height } },
  }) as unknown as PanelResults;

describe('a new area', () => {
  it('is smaller, worked as the artwork is, and lies below it', () => {
    const area = newArea(artwork, panel([-60, 0, 120, 40]));
    expect(area).toMatchObject({ capHeightMm: 16, toolId: 'engrave-bit', mirrored: true, depthMm: 0.2, fill: 'solid' });
    expect(area.offsetYMm).toBe(-16);
  });

  it('lies above where there is no room below', () => {
    expect(newArea(artwork, panel([-60, -60, 120, 40])).offsetYMm).toBe(-4);
  });

  it('is called by what it shows', () => {
    expect(areaLabel(artwork)).toBe('artwork');
    expect(areaLabel({ ...artwork, text: 'open\ndaily' })).toBe('open');
    expect(areaLabel({ ...artwork, text: ' ' })).toBe('text');
    expect(areaLabel({ ...artwork, drawing: { name: 'a', rings: [], scale: 1 } })).toBe('drawing');
  });

  it('goes again alone', () => {
    expect(without(['a', 'b', 'c'], 1)).toEqual(['a', 'c']);
  });
});

describe('a photograph', () => {
  const picture = { width: 4, height: 3, grey: Uint8Array.from({ length: 12 }, (_, at) => at * 20) };

  it('is kept with every tone, and takes the place of text and drawing', () => {
    const photo = photoFrom(`${'n'.repeat(200)}.png`, picture, 80);
    expect(photo).toMatchObject({ columns: 4, rows: 3, widthMm: 80 });
    expect(photo.name).toHaveLength(160);
    expect([...Buffer.from(photo.tones, 'base64')]).toEqual([...picture.grey]);
    const changes = takePhoto(fieldsOf<PanelArtwork>('artwork'), photo, 0.2, { offsetXMm: 3, offsetYMm: 4 });
    expect(Object.fromEntries(changes.map(({ path, value }) => [path, value]))).toMatchObject({
      'artwork.drawing': null,
      'artwork.fill': 'dots',
      'artwork.spacingMm': 0.2,
      'artwork.offsetXMm': 3,
      'artwork.offsetYMm': 4,
    });
    expect(takePhoto(fieldsOf<PanelArtwork>('artwork'), photo, 0.2, null)).toHaveLength(5);
  });

  it('of no width or too many tones is refused', () => {
    expect(photoAmiss({ width: 1, height: 300 })).toContain('two pixels');
    expect(photoAmiss({ width: 400, height: 400 })).toContain('more tones');
    expect(photoAmiss({ width: 200, height: 200 })).toBeNull();
  });
});

describe('an outline from a drawing', () => {
  const at = fieldsOf<EdgeLitAssembly>('assemblies.0').sheet;
  const drawing = (width: number, height: number) => ({
    name: 'a.svg',
    rings: [[5, 5, 5 + width, 5, 5 + width, 5 + height, 5, 5 + height]],
    scale: 2,
  });
  const sizes = (width: number, height: number): readonly unknown[] => {
    const changes = takeOutline(at, drawing(width, height));
    return [at.widthMm, at.heightMm].map((field) => changes.find(({ path }) => path === pathOf(field))?.value);
  };

  it('makes the sheet as large as it is drawn', () => {
    expect(sizes(100, 60)).toEqual([200, 120]);
  });

  it('keeps its proportions where it is smaller or larger than any sheet', () => {
    expect(sizes(5, 10)).toEqual([30, 60]);
    expect(sizes(3000, 1500)).toEqual([3000, 1500]);
  });
});
