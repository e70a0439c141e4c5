import { describe, expect, it } from '@jest/globals';
import { fieldsOf, pathOf, type EdgeLitAssembly, type PanelArtwork, type PanelResults, type Ring } from '@vitrum/core';
import { areaLabel, freePlace, newArea, without } from './area-edits';
import { drawnSize, takeOutline } from './outline-edits';
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
const square = [
  [-120, -80],
  [120, -80],
  [120, 80],
  [-120, 80],
] as const;
type Bounds = readonly [number, number, number, number];
const outlined = (ring: Ring, ...bounds: readonly Bounds[]): PanelResults =>
  ({
    geometry: {
      sheet: { x: -120, y: -80, width: 240, height: 160 },
      seen: { x: -120, y: -66, width: 240, height: 146 },
      ring,
    },
    lettering: { bounds: bounds[0] && { x: bounds[0][0], y: bounds[0][1], width: bounds[0][2], height: bounds[0][3] } },
    areas: bounds.map(([x, y, width, height], place) => ({ place, lettering: { bounds: { x, y, width, height } } })),
  }) as unknown as PanelResults;
const panel = (...bounds: readonly Bounds[]): PanelResults => outlined(square, ...bounds);

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

describe('a place for a picture', () => {
  it('is what is seen of the sheet where nothing else is worked', () => {
    // 146 − 12 mm of height for 3 : 4, and 85 % of that.
    expect(freePlace(panel(), 0, 0.75)).toEqual({
      widthMm: Math.floor(0.85 * (134 / 0.75)),
      offsetXMm: 0,
      offsetYMm: 7,
    });
  });

  it('is the largest room beside what is worked', () => {
    const above = freePlace(panel([-60, -60, 120, 30]), 1, 0.75);
    expect(above.widthMm).toBe(Math.floor((80 + 30 - 12) / 0.75));
    expect(above.offsetYMm).toBe(25);
    const beside = freePlace(panel([-110, -60, 60, 130]), 1, 2);
    expect(beside.offsetXMm).toBe(35);
  });

  it('keeps within a drawn outline', () => {
    const gable: Ring = [
      [-120, -80],
      [120, -80],
      [120, 0],
      [0, 80],
      [-120, 0],
    ];
    const { widthMm, offsetXMm, offsetYMm } = freePlace(outlined(gable, [-60, -60, 120, 30]), 1, 0.75);
    expect(widthMm).toBeGreaterThan(40);
    const [half, high] = [widthMm / 2, offsetYMm + (0.75 * widthMm) / 2];
    // Its upper corners lie under the slope, which falls by 80 in 120.
    expect(offsetXMm).toBe(0);
    expect(high).toBeLessThanOrEqual(80 - (half * 80) / 120);
  });

  it('is small and over the middle where there is no room', () => {
    expect(freePlace(panel([-118, -64, 236, 142]), 1, 1).widthMm).toBe(Math.floor(0.3 * 146));
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
    expect(drawnSize(drawing(100, 60))).toEqual({ widthMm: 200, heightMm: 120 });
    expect(sizes(100, 60)).toEqual([200, 120]);
  });

  it('keeps its proportions where it is smaller or larger than any sheet', () => {
    expect(sizes(5, 10)).toEqual([30, 60]);
    expect(sizes(3000, 1500)).toEqual([3000, 1500]);
  });
});
