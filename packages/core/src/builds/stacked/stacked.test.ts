import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import {
  distanceToOutline,
  inOutline,
  intersect,
  outlineArea,
  outlineBounds,
  ringLength,
  type Outline,
} from '../../base/outlines/index.js';
import type { CutPart } from '../../making/parts/index.js';
import type { Design } from '../../sign/design/index.js';
import {
  changed,
  evaluated,
  evaluatedCoarsely,
  inAssembly,
  smokeHouse,
  testFonts,
  coarseEvaluator,
} from '../../testing/harness.js';
import { bandRipple, blurAlong } from './band-light.js';
import { heldAt, opaqueRuns, pinLengthsMm } from './held-at.js';
import { loopHeights } from './runs.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

type Change = Readonly<Record<string, unknown>>;
const made = (change: Change) => changed(smokeHouse, inAssembly(change));
const rings = (...materials: readonly string[]) =>
  materials.map((materialId, at) => ({ id: `ring-${at + 1}`, materialId }));
const shapeOf = ({ layers }: CutPart): Outline =>
  layers.flatMap(({ operation, shapes }) =>
    operation === 'cut' ? shapes.flatMap((shape) => (shape.kind === 'outline' ? shape.outline : [])) : [],
  );
const problemOf = (design: unknown): string => {
  const result = coarseEvaluator(fonts).evaluate(design as Design);
  return result.ok ? 'none' : result.problems.map(({ path, message }) => `${path} ${message}`).join('; ');
};

describe('plates of a stack', () => {
  it('are a base, rings and a lid of one outline, as thick as their boards in all', () => {
    const { cut, geometry } = evaluated(smokeHouse, fonts);
    const plates = cut.filter(({ id }) => /^(base|ring|lid)/.test(id));
    expect(plates.map(({ id }) => id)).toEqual(['base', 'ring-1', 'ring-2', 'ring-3', 'ring-4', 'lid']);
    for (const { widthMm } of plates) expect(widthMm).toBeCloseTo(280, 1);
    // 6 + 6 + 6 + 5 + 6 + 4.
    expect(geometry.outside.depthMm).toBe(33);
    expect(geometry.roomMm).toBe(23);
    expect(geometry.rings.map(({ fromZMm, toZMm, glows }) => [fromZMm, toZMm, glows])).toEqual([
      [0, 6, false],
      [6, 12, false],
      [12, 17, true],
      [17, 23, false],
    ]);
  });

  it('have rings as wide as they are asked for, and one with a slot for the lead', () => {
    const { cut } = evaluated(smokeHouse, fonts);
    const [slotted, plain] = [cut.find(({ id }) => id === 'ring-1')!, cut.find(({ id }) => id === 'ring-2')!];
    // A ring between two circles of 96 corners each: its area by their radii.
    const corners = 48 * Math.sin((2 * Math.PI) / 96);
    expect(Math.abs(outlineArea(shapeOf(plain))) / (corners * (140 ** 2 - 126 ** 2))).toBeCloseTo(1, 2);
    const lost = Math.abs(outlineArea(shapeOf(plain))) - Math.abs(outlineArea(shapeOf(slotted)));
    // The slot is 8 mm wide and goes through 14 mm of wall.
    expect(lost).toBeGreaterThan(8 * 13.5);
    expect(lost).toBeLessThan(8 * 15);
    expect(slotted.note).toContain('slot');
    const through = evaluatedCoarsely({ ...smokeHouse, brief: { ...smokeHouse.brief, leadExit: 'back' } }, fonts);
    expect(through.cut.find(({ id }) => id === 'base')!.note).toContain('hole Ø 8 mm');
    expect(through.cut.every(({ note }) => !note.includes('slot'))).toBe(true);
  });

  it('let letters into the lid with the fit that is usual, their counters with them', () => {
    const { cut, lid, lettering } = evaluated(smokeHouse, fonts);
    const inlays = cut.find(({ id }) => id === 'inlays')!;
    const pockets = outlineBounds(lid.pockets)!;
    // Acrylic in plywood is a tenth wider.
    expect(inlays.widthMm - pockets.width).toBeCloseTo(0.1, 2);
    expect(inlays.heightMm - pockets.height).toBeCloseTo(0.1, 2);
    // Of SMOKE HOUSE the two O have counters.
    expect(lid.inlay!.counters).toHaveLength(2);
    expect(lid.overWallShare).toBeCloseTo(0, 9);
    expect(Math.abs(outlineArea(lid.pockets))).toBeCloseTo(lettering.areaMm2, 0);
    const solid = Math.abs(outlineArea(lid.solid)) + Math.abs(outlineArea(lid.pockets));
    expect(solid).toBeCloseTo(Math.abs(outlineArea(evaluated(smokeHouse, fonts).geometry.outline)), 0);
  });

  it('are screwed and pinned in the middle of the wall, pins shorter than what they go through and not through what glows', () => {
    const { geometry, cut } = evaluated(smokeHouse, fonts);
    const { screws, pins } = heldAt(geometry);
    expect(screws.length).toBeGreaterThanOrEqual(3);
    for (const at of [...screws, ...pins]) {
      expect(distanceToOutline(at, geometry.outline)).toBeCloseTo(7, 0);
      expect(inOutline(at, geometry.inside)).toBe(false);
    }
    for (const pin of pins)
      for (const screw of screws) expect(Math.hypot(pin[0] - screw[0], pin[1] - screw[1])).toBeGreaterThan(10);
    expect(opaqueRuns(geometry).map((run) => run.map(({ index }) => index))).toEqual([[0, 1], [3]]);
    expect(pinLengthsMm(geometry)).toEqual([11]);
    const drilled = (id: string) =>
      cut.find((part) => part.id === id)!.layers.filter(({ operation }) => operation === 'drill').length;
    expect([drilled('ring-1'), drilled('ring-2'), drilled('ring-3'), drilled('ring-4')]).toEqual([1, 1, 0, 0]);
    expect(heldAt(evaluatedCoarsely(made({ 'plates.wallMm': 6 }), fonts).geometry)).toEqual({ screws: [], pins: [] });
  });
});

describe('strip in a stack', () => {
  it('goes round the wall looking in, in whole cuts, within the room', () => {
    const { runs, geometry, materials } = evaluated(smokeHouse, fonts);
    expect(runs.segments).toHaveLength(1);
    const [loop] = runs.segments;
    expect((loop!.lengthMm / materials.strip.cutPitchMm) % 1).toBeCloseTo(0, 6);
    const round = ringLength(geometry.inside[0]!) - 2 * Math.PI * materials.strip.heightMm;
    expect(loop!.lengthMm + loop!.leftoverMm).toBeCloseTo(round, 0);
    for (let led = 0; led < runs.leds.count; led += 1) {
      const at = [runs.leds.x[led]!, runs.leds.y[led]!] as const;
      expect(inOutline(at, geometry.inside)).toBe(true);
      // Its look goes to the middle.
      const toMiddle = -(at[0] * runs.ways!.looks[3 * led]! + at[1] * runs.ways!.looks[3 * led + 1]!);
      expect(toMiddle / Math.hypot(...at)).toBeGreaterThan(0.99);
    }
  });

  it('looks out from a ledge, or both ways, loop over loop', () => {
    const { runs, geometry } = evaluatedCoarsely(
      made({ 'light.facing': 'both', 'light.loops': 2, 'light.fromWallMm': 30 }),
      fonts,
    );
    expect(runs.segments).toHaveLength(4);
    expect(geometry.ledge!.heightMm).toBe(13);
    expect(runs.segments.map(({ from }) => from[2])).toEqual([3.5, 9.5, 3.5, 9.5]);
    const outward = runs.segments.map(({ from, normal }) => Math.sign(from[0] * normal[0] + from[1] * normal[1]));
    expect(outward).toEqual([1, 1, -1, -1]);
    for (const { from } of runs.segments) {
      const toWall = distanceToOutline([from[0], from[1]], geometry.inside);
      expect(Math.abs(toWall - 30)).toBeLessThan(12);
    }
  });

  it('lies as low as it goes, or where it is asked for within the room', () => {
    const room = { roomMm: 23, stripMm: 7 };
    expect(loopHeights(room, { loops: 1 }, 5)).toEqual([3.5]);
    expect(loopHeights(room, { loops: 1, fromBaseMm: 12 }, 5)).toEqual([12]);
    expect(loopHeights(room, { loops: 1, fromBaseMm: 90 }, 5)).toEqual([19.5]);
    expect(loopHeights({ roomMm: 23, stripMm: 13 }, { loops: 2, fromBaseMm: 10 }, 5)).toEqual([7, 13]);
  });
});

describe('light of a stack', () => {
  it('gives more letters with another loop, a brighter edge with thinner walls, and keeps its sums', () => {
    const lettersOf = (change: Change) => evaluatedCoarsely(made(change), fonts).glow;
    const plain = lettersOf({});
    const two = lettersOf({ 'light.loops': 2 });
    expect(two.lettersCdM2 / plain.lettersCdM2).toBeGreaterThan(1.8);
    expect(two.lettersCdM2 / plain.lettersCdM2).toBeLessThan(2.2);
    const thin = lettersOf({ 'plates.wallMm': 9 });
    expect(thin.bands[0]!.meanCdM2).toBeGreaterThan(1.2 * plain.bands[0]!.meanCdM2);
    const { balance } = plain;
    expect((balance.outLm + balance.absorbedCaseLm) / balance.emittedLm).toBeCloseTo(1, 5);
  });

  it('shows on the wall where a band glows, and none where none does', () => {
    const lit = evaluatedCoarsely(smokeHouse, fonts);
    const { grid, luminance, wallCdM2 } = lit.glow;
    const at = (x: number, y: number): number => {
      const column = Math.floor((x - grid.area.x) / grid.cellWidthMm);
      return luminance[Math.floor((y - grid.area.y) / grid.cellHeightMm) * grid.columns + column]!;
    };
    expect(wallCdM2).toBeGreaterThan(1);
    expect(at(160, 0)).toBeGreaterThan(at(220, 0));
    expect(at(0, -120)).toBe(0);
    const dark = evaluatedCoarsely(made({ 'plates.rings': rings('ply-6', 'ply-6', 'ply-6') }), fonts).glow;
    expect(dark.bands).toEqual([]);
    expect(dark.wallCdM2).toBe(0);
  });

  it('has no ripple left where a slab spreads it, and tells what is left', () => {
    const places = Array.from({ length: 400 }, (_, at) => ({
      x: at,
      y: 0,
      outX: 0,
      outY: 1,
      lengthMm: 1,
      ring: 0,
    }));
    // A wave of 20 % about a mean of 10, 16 mm long.
    const wave = Float64Array.from(places, (_, at) => 10 * (1 + 0.2 * Math.cos((2 * Math.PI * at) / 16)));
    expect(bandRipple(places, wave, 16)).toBeCloseTo(0.2, 2);
    // Spread by a Gaussian of 5 mm, the wave keeps exp(−2π²σ²/λ²) of it.
    const left = 0.2 * Math.exp((-2 * Math.PI ** 2 * 5 ** 2) / 16 ** 2);
    expect(bandRipple(places, blurAlong(places, wave, 10), 16)).toBeCloseTo(left, 2);
    // Slower than the pitch, it is no ripple of the LEDs.
    const slow = Float64Array.from(places, (_, at) => 10 * (1 + 0.2 * Math.cos((2 * Math.PI * at) / 400)));
    expect(bandRipple(places, slow, 16)).toBeLessThan(0.005);
  });
});

describe('plates that cannot be', () => {
  it.each<[string, Change, RegExp]>([
    [
      'rings wider than the plates',
      { 'plates.wallMm': 150 },
      /plates\.wallMm is 150 mm all round, and nothing is left/,
    ],
    ['a ledge without room', { 'light.facing': 'out', 'light.fromWallMm': 125 }, /light\.fromWallMm is 125 mm/],
    ['an outline that no drawing gives', { 'plates.shape': 'drawing' }, /plates\.drawing is to be their outline/],
    ['a lid that lets light through', { 'lid.materialId': 'opal-5' }, /lid\.materialId is Opal acrylic 5 mm/],
    ['a base that does', { 'plates.baseId': 'opal-3' }, /plates\.baseId is Opal acrylic 3 mm/],
    [
      'letters that are seen through',
      { 'lid.inlay': { materialId: 'clear-3' } },
      /lid\.inlay\.materialId is Clear acrylic/,
    ],
    ['a ring of nothing known', { 'plates.rings': rings('moon-dust') }, /plates\.rings\.0\.materialId “moon-dust”/],
  ])('%s', (_, change, words) => {
    expect(problemOf(made(change))).toMatch(words);
  });

  it('a drawing of two areas, or one that its rings part at the waist', () => {
    const square = (x: number, size: number) => [x, 0, x + size, 0, x + size, size, x, size];
    const drawn = (...shapes: number[][]) =>
      problemOf(
        made({
          'plates.shape': 'drawing',
          'plates.drawing': { name: 'two', scale: 1, rings: shapes },
          'plates.widthMm': 300,
        }),
      );
    expect(drawn(square(0, 100), square(200, 100))).toMatch(/has 2 separate areas/);
    const waist = [
      0, 0, 100, 0, 100, 45, 200, 45, 200, 0, 300, 0, 300, 100, 200, 100, 200, 55, 100, 55, 100, 100, 0, 100,
    ];
    expect(drawn(waist)).toMatch(/parts the room within/);
    expect(drawn(square(0, 100))).toBe('none');
  });

  it('letters past the plates end at their edge, and are told', () => {
    const { lid, geometry, findings } = evaluatedCoarsely(made({ 'artwork.capHeightMm': 120 }), fonts);
    expect(lid.overWallShare).toBeGreaterThan(0.3);
    expect(Math.abs(outlineArea(lid.pockets))).toBeCloseTo(
      Math.abs(outlineArea(intersect(lid.pockets, geometry.outline))),
      0,
    );
    expect(findings.find(({ rule }) => rule === 'letters-over-wall')!.severity).toBe('stop');
  });
});
