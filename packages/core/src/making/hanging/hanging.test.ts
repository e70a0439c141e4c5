import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { shippedCatalogue } from '../../document/catalogue/index.js';
import type { HangingDesign } from '../../document/design/index.js';
import { inPlace } from '../../base/placing/index.js';
import { battenHigh, lengthForStuds, stripOfTwo } from './cleat.js';
import { feetUnder } from './feet.js';
import { hangOf, type HangFacts } from './hang.js';
import { hangParts } from './hang-parts.js';
import { fixingPlaces, withPinnedPlaces } from './places.js';
import { pullLoads } from './pull.js';
import { sheetHoldsKg, useOf } from './rating.js';
import type { HungBody, Wall } from './types.js';
import { groundAt, studsBetween } from './wall.js';

const masonry: Wall = { kind: 'masonry', studPitchMm: 600, studAtMm: null };
const studs = (studAtMm: number | null, studPitchMm = 400): Wall => ({ kind: 'studs', studPitchMm, studAtMm });

/** A box of 800 × 300 × 100 mm that weighs 6 kg, its weight in the middle. */
const box: HungBody = {
  id: 'box',
  name: 'Box',
  bounds: { x: -400, y: -150, width: 800, height: 300 },
  depthMm: 100,
  kg: 6,
  centre: [0, 0, 50],
  hold: { x: -370, y: -120, width: 740, height: 240 },
  recessMm: 0,
  own: null,
  carrier: { partId: 'back', name: 'back', stuff: 'wood', thicknessMm: 12, seen: false, corner: [-395, -145] },
  backer: null,
  rails: {
    top: { partId: 'top', lengthMm: 800, widthMm: 100, thicknessMm: 12, heldMm: 12, free: [10, 90] },
    bottom: { partId: 'bottom', lengthMm: 800, widthMm: 100, thicknessMm: 12, heldMm: 12, free: [10, 90] },
  },
};
const ways = ['keyholes', 'cleat', 'holes', 'spacers', 'brackets', 'chain', 'feet'] as const;
const hang = (design: HangingDesign, wall: Wall = masonry, body: Partial<HungBody> = {}) => {
  const facts: HangFacts = {
    assembly: 'box',
    way: design.way,
    ways,
    design,
    wall,
    bodies: [{ ...box, ...body }],
    standsOffMm: 0,
  };
  return hangOf(facts, shippedCatalogue);
};

describe('the pull of a deep sign', () => {
  it('is weight × depth of its centre / height over the edge that bears, shared by fixings at one height', () => {
    // 6 kg × 50 mm = 300 kg·mm, over 240 mm: 1.25 kg, on two.
    expect(pullLoads([90, 90], -150, 6, 50)).toEqual([0.625, 0.625]);
  });

  it('is shared by their heights where they stand at several', () => {
    // h·M / Σh²: heights 240 and 30 over the edge, 300 / (240² + 30²) = 0.005128.
    const [top, bottom] = pullLoads([90, -120], -150, 6, 50);
    expect(top).toBeCloseTo((240 * 300) / 58_500, 12);
    expect(bottom).toBeCloseTo((30 * 300) / 58_500, 12);
    // In balance about the edge: 240 × 1.2308 + 30 × 0.1538 = 300.
    expect(240 * top! + 30 * bottom!).toBeCloseTo(300, 9);
  });

  it('pushes below and pulls above where nothing bears but the fixings, and is in balance', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: -400, max: 400 }), { minLength: 2, maxLength: 8 }),
        fc.double({ min: 0.1, max: 40, noNaN: true }),
        fc.integer({ min: 5, max: 300 }),
        (heights, kg, depth) => {
          const spread = Math.max(...heights) - Math.min(...heights);
          if (spread < 60) return;
          const pulls = pullLoads(heights, null, kg, depth);
          expect(pulls.reduce((sum, pull) => sum + pull, 0)).toBeCloseTo(0, 6);
          expect(pulls.reduce((sum, pull, at) => sum + pull * heights[at]!, 0)).toBeCloseTo(kg * depth, 5);
        },
      ),
      { seed: 7, numRuns: 100 },
    );
  });

  it('is borne by the flanges of spacers that stand at one height: kg × depth / (8 mm × how many)', () => {
    expect(pullLoads([0, 0], null, 0.4, 20)).toEqual([0.5, 0.5]);
  });
});

describe('studs', () => {
  it('stand where one was found, and every pitch on', () => {
    expect(studsBetween(studs(50), -500, 500)).toEqual([-350, 50, 450]);
    expect(studsBetween(studs(null), -500, 500)).toEqual([]);
    expect(studsBetween(masonry, -500, 500)).toEqual([]);
  });

  it('hold a screw that has wood on both sides of it', () => {
    // 45 mm wide, 12 mm beside the screw: 10.5 mm off the middle at most.
    expect(groundAt(studs(0), 10)).toBe('timber');
    expect(groundAt(studs(0), 11)).toBe('board');
    expect(groundAt(masonry, 11)).toBe('masonry');
    expect(groundAt(studs(null), 0)).toBe('board');
  });
});

describe('the batten of a cleat', () => {
  it('reaches the two studs nearest to its middle, with wood beside the screws, wherever it is shifted', () => {
    // Studs at −100 and 300: 2 × (300 + 40 + 20).
    expect(lengthForStuds(studs(-100), 0, 20)).toBe(720);
    // Studs at −200 and 200 about the middle: 2 × (200 + 40).
    expect(lengthForStuds(studs(200), 0, 0)).toBe(480);
    // Unknown: one may stand in the middle, the next is a pitch away.
    expect(lengthForStuds(studs(null), 0, 20)).toBe(2 * (400 + 40 + 20));
  });

  it('meets two studs for every offset and every shift within what it was made for', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -600, max: 600 }),
        fc.integer({ min: 300, max: 620 }),
        fc.integer({ min: 0, max: 100 }),
        fc.double({ min: -1, max: 1, noNaN: true }),
        (offset, pitch, shift, share) => {
          const wall = studs(offset, pitch);
          for (const length of [lengthForStuds(wall, 0, shift), lengthForStuds(studs(null, pitch), 0, shift)]) {
            const middle = share * shift;
            const half = length / 2 - 40;
            expect(studsBetween(wall, middle - half - 1e-9, middle + half + 1e-9).length).toBeGreaterThanOrEqual(2);
          }
        },
      ),
      { seed: 12, numRuns: 200 },
    );
  });

  it('is ripped with its mate from one strip in one slanting cut', () => {
    // 2 × 40 − 12 × tan 45° + 3.2 / cos 45° = 80 − 12 + 4.5255.
    expect(stripOfTwo(40, 12, 3.2)).toBeCloseTo(72.5255, 4);
    expect(battenHigh(18)).toBe(54);
  });

  it('holds the foot off as far as the top, less what the case is recessed', () => {
    expect(hang({ way: 'cleat' }).cleat).toMatchObject({ thicknessMm: 12, footMm: 12, liftMm: 15 });
    expect(hang({ way: 'cleat' }, masonry, { recessMm: 12 }).cleat).toMatchObject({ footMm: 0 });
    expect(hang({ way: 'cleat', cleatMm: 18 }, masonry, { recessMm: 12 }).cleat).toMatchObject({ footMm: 6 });
  });

  it('hooks over the batten on the wall by its bevel, its screws where fixings may be', () => {
    const { cleat, fixings } = hang({ way: 'cleat' });
    // 40 mm high and 12 thick: the mate’s middle at 120, its bevel down to 100, the batten’s front edge 12 over that.
    expect(cleat!.mateTopMm).toBe(140);
    expect(cleat!.topMm).toBeCloseTo(112, 9);
    expect(fixings[0]!.at[1]).toBeCloseTo(112 - 0.6 * 40, 9);
  });

  it('is screwed to the studs that it meets, into timber', () => {
    const { fixings, cleat } = hang({ way: 'cleat', shiftMm: 0 }, studs(150));
    // Studs at −250 and 150: the farther one is 250 off, so 2 × (250 + 40).
    expect(cleat!.wallLengthMm).toBe(580);
    expect(fixings.map(({ at, ground }) => [at[0], ground])).toEqual([
      [-250, 'timber'],
      [150, 'timber'],
    ]);
    // Lever rule: the one at 150 is nearer to the weight.
    expect(fixings[1]!.load.downKg).toBeCloseTo((6 * 250) / 400, 9);
  });

  it('that is too short for two holds in board, and says so by its fixings', () => {
    const { fixings } = hang({ way: 'cleat' }, studs(null, 600));
    expect(fixings.every(({ ground }) => ground === 'board')).toBe(true);
  });
});

describe('feet', () => {
  it('tip when the centre of gravity stands over their edge', () => {
    // 100 mm deep, the centre 50 mm from the rear and 180 mm high: atan(50 / 180).
    expect(feetUnder(100, 50, 180, 100).tipDeg).toBeCloseTo((Math.atan2(50, 180) * 180) / Math.PI, 9);
    // 10 mm off the middle takes 10 from the nearer edge.
    expect(feetUnder(100, 60, 180, 100).tipDeg).toBeCloseTo((Math.atan2(40, 180) * 180) / Math.PI, 9);
  });

  it('are as deep as stand 14°, and never less deep than the sign', () => {
    const { wantedMm, tipDeg } = feetUnder(60, 30, 300);
    expect(wantedMm).toBe(Math.ceil(2 * 300 * Math.tan((14 * Math.PI) / 180)));
    expect(tipDeg).toBeGreaterThanOrEqual(14);
    expect(feetUnder(200, 100, 100).wantedMm).toBe(200);
  });
});

describe('fixings', () => {
  it('stand at the top, level, or at the corners; in studs where two pass behind', () => {
    const { hold } = box;
    expect(fixingPlaces('keyholes', hold, masonry, 2)).toEqual([
      [-370, 120],
      [370, 120],
    ]);
    expect(fixingPlaces('spacers', hold, masonry, 4)).toEqual([
      [-370, 120],
      [370, 120],
      [-370, -120],
      [370, -120],
    ]);
    // Of the studs at −400, 0 and 400 one alone is within: then evenly.
    expect(fixingPlaces('keyholes', hold, studs(0), 2)).toEqual(fixingPlaces('keyholes', hold, masonry, 2));
    expect(fixingPlaces('keyholes', hold, studs(-300), 2)).toEqual([
      [-300, 120],
      [100, 120],
    ]);
    expect(fixingPlaces('feet', hold, masonry, 2)).toEqual([]);
  });

  it('put by hand take the place of the nearest', () => {
    const solved = fixingPlaces('keyholes', box.hold, masonry, 2);
    expect(withPinnedPlaces(solved, [[300, 100]])).toEqual([
      { at: [-370, 120], pinned: false },
      { at: [300, 100], pinned: true },
    ]);
  });

  it('add up what they carry along the wall and off it', () => {
    const plug = shippedCatalogue.fixings.find(({ id }) => id === 'plug-6')!;
    // 3 kg of 15 along, 2 of 8 off: 0.2 + 0.25.
    expect(useOf(plug, { kg: 3 }, 2)).toBeCloseTo(0.45, 12);
    expect(useOf(plug, { kg: 3 }, -2)).toBeCloseTo(0.2, 12);
  });

  it('share the weight and are the cheapest that carry it', () => {
    const light = hang({ way: 'keyholes' });
    expect(light.fixings.map(({ item, load }) => [item.id, load.downKg])).toEqual([
      ['plug-6', 3],
      ['plug-6', 3],
    ]);
    // 3 mm of plate and half the depth: 6 × 53 / 270 on two.
    expect(light.fixings[0]!.pullKg).toBeCloseTo((6 * 53) / 270 / 2, 9);
    const heavy = hang({ way: 'keyholes', count: 2 }, masonry, { kg: 40 });
    expect(heavy.fixings[0]!.item.id).toBe('plug-8');
    expect(heavy.hardware).toMatchObject({ ratedKg: 10 });
    expect(heavy.hardware!.kg).toBeGreaterThan(20);
  });

  it('are more where fewer would carry too much, unless the design says how many', () => {
    const board: Wall = { ...masonry, kind: 'board' };
    expect(hang({ way: 'keyholes' }, board, { kg: 40 }).fixings.length).toBeGreaterThan(2);
    const two = hang({ way: 'keyholes', count: 2 }, board, { kg: 40 });
    expect(two.fixings).toHaveLength(2);
    expect(Math.max(...two.fixings.map(({ use }) => use))).toBeGreaterThan(1);
  });

  it('of chains pull at the ceiling with all that they carry', () => {
    const { fixings } = hang({ way: 'chain' });
    expect(fixings.map(({ pullKg }) => pullKg)).toEqual([3, 3]);
    expect(fixings[0]!.use).toBeCloseTo(3 / 8, 9);
  });
});

describe('what a sheet holds', () => {
  it('grows with its thickness, and is more with a block behind it', () => {
    expect(sheetHoldsKg('wood', 6, false)).toBeCloseTo(5.4, 9);
    expect(sheetHoldsKg('wood', 18, false)).toBeCloseTo(10.8, 9);
    expect(sheetHoldsKg('composite', 3, true)).toBe(15);
  });
});

describe('what hanging adds', () => {
  it('is both battens, one of which stays on the wall, a foot spacer, screws and plugs', () => {
    const parts = hangParts(hang({ way: 'cleat' }), inPlace, shippedCatalogue);
    expect(parts.cut.map(({ id, hangs }) => [id, hangs])).toEqual([
      ['cleat-wall', false],
      ['cleat-mate', undefined],
      ['cleat-foot', undefined],
    ]);
    expect(parts.bought.map(({ id, quantity, hangs }) => [id, quantity, hangs])).toEqual([
      ['cleat-screw-20', 5, true],
      ['plug-6', 2, false],
    ]);
    // The mate’s screws stand where fixings may, in the drawing of the back at 120 + 145.
    const [layer] = parts.holes.get('back')!;
    expect(layer!.shapes).toHaveLength(5);
    expect(layer!.shapes[0]).toMatchObject({ y: 265, diameterMm: 4 });
  });

  it('is holes in the back where plates are, blocks behind them where asked', () => {
    const parts = hangParts(hang({ way: 'keyholes', blocks: true }), inPlace, shippedCatalogue);
    expect(parts.cut.map(({ id, count }) => [id, count])).toEqual([['glue-block', 2]]);
    // Screws of 3 × 16 mm into the blocks: pilots through the back.
    expect(parts.holes.get('back')).toEqual([
      {
        operation: 'drill',
        shapes: [-370, 370].flatMap((x) =>
          [-12, 12].map((off) => ({ kind: 'hole', x: x + off + 395, y: 265, diameterMm: 2 })),
        ),
      },
    ]);
    expect(parts.bought.find(({ id }) => id === 'screw')!.quantity).toBe(4);
    // Without blocks they end in the back: 10 mm less the plate’s 2.
    const plain = hangParts(hang({ way: 'keyholes' }), inPlace, shippedCatalogue).holes.get('back')!;
    expect(plain.map(({ depthMm }) => depthMm)).toEqual([8]);
  });

  it('is eyes in the top for chains, and two screws a foot in the bottom, between the seats', () => {
    const eyes = hangParts(hang({ way: 'chain' }), inPlace, shippedCatalogue).holes.get('top');
    expect(eyes!.flatMap(({ shapes }) => shapes)).toEqual([
      { kind: 'hole', x: 400 - 370, y: 50, diameterMm: 4 },
      { kind: 'hole', x: 400 + 370, y: 50, diameterMm: 4 },
    ]);
    const screws = hangParts(hang({ way: 'feet' }), inPlace, shippedCatalogue)
      .holes.get('bottom')!
      .flatMap(({ shapes }) => shapes);
    expect(screws).toHaveLength(4);
    // 80 mm are free from 10 on: at a third and two thirds of them.
    expect(screws[0]).toMatchObject({ x: 400 + 0.35 * 800, y: expect.closeTo(10 + 80 / 3, 9) });
  });
});
