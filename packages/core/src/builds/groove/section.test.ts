import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { outlineBounds, ringArea } from '../../base/outlines/index.js';
import type { Section, SectionShape } from '../../light/section/index.js';
import { changed, evaluatedCoarsely, inAssembly, lateSoup, testFonts } from '../../testing/harness.js';
import { hungSection } from '../../making/hanging/index.js';
import { grooveCones } from './cones.js';
import { groove } from './index.js';
import { grooveSectionAt } from './section.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

/** Two level bars, so that an upright slice meets each of them square. */
const bars = (change: Readonly<Record<string, unknown>> = {}) =>
  evaluatedCoarsely(
    changed(
      lateSoup,
      inAssembly({
        'artwork.toolId': 'bit-3',
        'lines.drawn': {
          name: 'bars',
          scale: 1,
          lines: [
            { points: [-200, 60, 200, 60], closed: false },
            { points: [-200, -60, 200, -60], closed: false },
          ],
        },
        'lines.ends': [],
        ...change,
      }),
    ),
    fonts,
  );

const ofRole = ({ shapes }: Section, role: SectionShape['role']) =>
  shapes.filter((shape) => shape.role === role).map(({ ring }) => ({ ring, ...outlineBounds([ring])! }));
const areaOf = (rings: readonly { readonly ring: SectionShape['ring'] }[]): number =>
  rings.reduce((sum, { ring }) => sum + ringArea(ring), 0);

describe('the slice through a routed board', () => {
  it('is the board less its two grooves, with strip on both floors', () => {
    const { section, geometry } = bars();
    const { groove, sheetMm, bounds } = geometry;
    expect(areaOf(ofRole(section, 'letter'))).toBeCloseTo(
      sheetMm * bounds.height - 2 * groove.widthMm * groove.depthMm,
      3,
    );
    const strips = ofRole(section, 'strip');
    expect(strips.map(({ y, height }) => Math.round(y + height / 2)).sort((a, b) => a - b)).toEqual([-60, 60]);
    for (const { x, width, height } of strips) {
      expect(x).toBeCloseTo(sheetMm - groove.depthMm, 6);
      expect(width).toBeCloseTo(groove.stripHighMm, 6);
      expect(height).toBeCloseTo(groove.stripAcrossMm, 6);
    }
  });

  it('has its cover over the strip, as proud of the face as it stands', () => {
    const { section, geometry } = bars();
    const [cover] = ofRole(section, 'face');
    const [strip] = ofRole(section, 'strip');
    expect(cover!.x).toBeGreaterThan(strip!.x + strip!.width - 1e-9);
    expect(cover!.x + cover!.width).toBeCloseTo(geometry.frontZMm + geometry.groove.proudMm, 6);
    expect(ofRole(bars({ 'groove.coverId': null }).section, 'face')).toEqual([]);
  });

  it('meets nothing beside the lines, and says so by drawing the board alone', () => {
    const { geometry, assembly, materials } = bars();
    const beside = grooveSectionAt(geometry.bounds.x + 5, geometry, assembly, materials);
    expect(ofRole(beside, 'strip')).toEqual([]);
    // The corners are round, so near the edge the board is less high.
    const [board] = ofRole(beside, 'letter');
    expect(board!.width).toBeCloseTo(geometry.sheetMm, 6);
    expect(board!.height).toBeLessThan(geometry.bounds.height);
  });

  it('stands off the wall by its spacers', () => {
    const { section, assembly } = bars({ 'carrier.spacerMm': 35 });
    const [wall] = ofRole(section, 'wall');
    expect(assembly.carrier.spacerMm).toBe(35);
    expect(wall!.x + wall!.width).toBeCloseTo(-35, 6);
    expect(section.layers.find(({ name }) => name === 'behind')!.detail).toBe('35 mm to the wall for wires');
  });
});

describe('the slice through other carriers', () => {
  it('of two layers has the front cut through and the back whole', () => {
    const { section, geometry } = bars({ 'carrier.kind': 'two-layer', 'carrier.boardId': 'ply-12' });
    const { bounds, groove, sheetMm, backMm } = geometry;
    expect(areaOf(ofRole(section, 'letter'))).toBeCloseTo((bounds.height - 2 * groove.widthMm) * sheetMm, 3);
    expect(areaOf(ofRole(section, 'back'))).toBeCloseTo(bounds.height * backMm, 3);
    for (const { x } of ofRole(section, 'strip')) expect(x).toBeCloseTo(backMm, 6);
  });

  it('of clear sheet has its grooves in the back, and LEDs that look into the sheet', () => {
    const { section, geometry } = bars({
      'carrier.kind': 'clear',
      'carrier.boardId': 'clear-acrylic-10',
      'groove.coverId': null,
    });
    const { groove, sheetMm, bounds, floorZMm } = geometry;
    expect(areaOf(ofRole(section, 'face'))).toBeCloseTo(
      sheetMm * bounds.height - 2 * groove.widthMm * groove.depthMm,
      3,
    );
    for (const { x, width } of ofRole(section, 'strip')) {
      expect(x + width).toBeCloseTo(floorZMm, 6);
      expect(x).toBeGreaterThanOrEqual(-1e-9);
    }
  });

  it('of letters has the plate behind them, wider than they are', () => {
    const { section, geometry } = evaluatedCoarsely(
      changed(lateSoup, {
        ...inAssembly({
          'artwork.toolId': 'bit-3',
          'artwork.fontId': 'nunito-extrabold',
          'artwork.capHeightMm': 240,
          'carrier.kind': 'letters',
          'lines.from': 'middle',
          'lines.ends': [],
        }),
        'brief.text': 'OLE',
      }),
      fonts,
    );
    const [plate] = ofRole(section, 'back');
    expect(plate!.width).toBeCloseTo(geometry.backMm, 6);
    expect(plate!.x + plate!.width).toBeCloseTo(0, 6);
    expect(plate!.height).toBeGreaterThan(geometry.bounds.height);
  });
});

describe('cones of light in the slice', () => {
  it('open toward the viewer up to the front, no wider than the groove', () => {
    const results = bars({ 'groove.coverId': null });
    const cones = grooveCones(results, results.section, Math.tan((60 * Math.PI) / 180));
    expect(cones).toHaveLength(2);
    const { frontZMm, groove } = results.geometry;
    for (const cone of cones) {
      const { x, width, height } = outlineBounds([cone])!;
      expect(x + width).toBeCloseTo(frontZMm + groove.proudMm, 6);
      expect(height).toBeLessThanOrEqual(groove.widthMm + 1e-9);
    }
  });

  it('are none of strip on its edge: it looks at the wall of the groove', () => {
    const results = bars({ 'groove.lies': 'edge', 'groove.coverId': null });
    expect(grooveCones(results, results.section, 1)).toEqual([]);
  });
});

describe('the slice as it hangs', () => {
  const hungOf = (change: Readonly<Record<string, unknown>>) => {
    const own = bars(change);
    return { own, section: hungSection(own.section, own.hang, own.placing) };
  };
  const wallAt = (section: Section): number => {
    const walls = ofRole(section, 'wall');
    // One wall, not its own and another behind it.
    expect(walls).toHaveLength(1);
    return walls[0]!.x + walls[0]!.width;
  };

  it.each([
    ['spacers', 20],
    ['spacers', 35],
    ['holes', 20],
    ['keyholes', 20],
    ['keyholes', 1],
  ])('by %s with %d mm behind has one wall, as far off as it hangs', (way, spacerMm) => {
    const { own, section } = hungOf({ 'carrier.spacerMm': spacerMm, hanging: { way } });
    // Keyhole plates hold it 3 mm off by themselves.
    const off = Math.max(spacerMm, way === 'keyholes' ? 3 : 0);
    expect(own.hang!.offWallMm).toBe(off);
    expect(wallAt(section)).toBeCloseTo(-off, 9);
    expect(section.near!.rearZMm).toBeLessThanOrEqual(section.rearZMm);
    expect(section.layers.map(({ name }) => name)).not.toContain('behind');
    expect(section.layers.at(-1)!.detail).toContain(`${off} mm off the wall`);
  });

  it('by a cleat stands as far off as the cleat is thick, whatever its spacers were to be', () => {
    const { own, section } = hungOf({ 'carrier.spacerMm': 40, hanging: { way: 'cleat' } });
    expect(own.hang!.offWallMm).toBe(own.hang!.cleat!.thicknessMm);
    expect(wallAt(section)).toBeCloseTo(-own.hang!.cleat!.thicknessMm, 9);
  });

  it('tells its distance from the wall to the rear of the board', () => {
    for (const hanging of [{ way: 'spacers' }, { way: 'cleat' }]) {
      const { own, section } = hungOf({ 'carrier.spacerMm': 30, hanging });
      const { mm, at } = groove.depth(own);
      expect(at!.fromZMm).toBeCloseTo(wallAt(section), 9);
      // Up to the rear face of the board.
      expect(at!.fromZMm + mm).toBeCloseTo(0, 9);
    }
  });

  it('pulls its fixings the harder the farther off it stands', () => {
    const pull = (spacerMm: number): number => {
      const { hang } = hungOf({ 'carrier.spacerMm': spacerMm, hanging: { way: 'spacers' } }).own;
      return Math.max(...hang!.fixings.map(({ pullKg }) => pullKg));
    };
    expect(pull(60)).toBeGreaterThan(1.5 * pull(20));
  });
});
