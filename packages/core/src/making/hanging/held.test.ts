import { describe, expect, it } from '@jest/globals';
import { shippedCatalogue, type Stuff } from '../../document/catalogue/index.js';
import { heldBy, type HeldAsked } from './held.js';
import type { Carrier, Cleat, Held } from './types.js';

const carrier = (thicknessMm: number, stuff: Stuff = 'wood', seen = false): Carrier => ({
  partId: 'back',
  name: 'back',
  stuff,
  thicknessMm,
  seen,
  corner: [0, 0],
});
const cleat = (thicknessMm: number): Cleat => ({
  thicknessMm,
  highMm: 50,
  bevelDeg: 45,
  wallLengthMm: 400,
  mateLengthMm: 400,
  topMm: 0,
  mateTopMm: 10,
  middleMm: 0,
  stripMm: 110,
  liftMm: 12,
  footMm: 12,
});
const held = (asked: Partial<HeldAsked>): Held | null =>
  heldBy(
    {
      way: 'keyholes',
      carrier: null,
      rail: null,
      cleat: null,
      onReturns: false,
      blocks: false,
      pieces: 2,
      mateScrews: 5,
      ...asked,
    },
    shippedCatalogue,
  );

describe('what holds a slotted plate to a sign', () => {
  it.each([
    // Plate 2 mm: a screw of 10 goes 8 into the wood, one of 16 goes 14; a millimetre stays before the point.
    ['plate-screw', carrier(9), false],
    ['plate-screw', carrier(12), false],
    ['screw', carrier(15), false],
    ['screw', carrier(18), false],
    // Too thin for a screw: through it, and a nut.
    ['plate-bolt', carrier(6), false],
    ['plate-bolt', carrier(3, 'composite'), false],
    ['plate-bolt-20', carrier(12, 'acrylic'), false],
    // A block of wood behind it takes the screw.
    ['screw', carrier(6), true],
    ['screw', carrier(3, 'composite'), true],
  ] as const)('%s in %j, blocks: %j', (id, of, blocks) => {
    const found = held({ carrier: of, blocks })!;
    expect([found.item.id, found.count, found.comesOutMm]).toEqual([id, 4, 0]);
    const { lengthMm } = found.item;
    if (found.by === 'screw') expect(lengthMm!).toBeLessThanOrEqual(2 + of.thicknessMm + (blocks ? 18 : 0) - 1);
    else expect(found.insideMm).toBeCloseTo(lengthMm! - 2 - of.thicknessMm, 9);
  });

  it('comes out at a front that is seen, where no screw is short enough; nothing is bolted through it', () => {
    // 10 mm less 2 of the plate are 8 in 6 mm, with 1 to be left: 3 too long.
    expect(held({ carrier: carrier(6, 'wood', true) })).toMatchObject({ by: 'screw', comesOutMm: 3 });
    expect(held({ carrier: carrier(3, 'composite', true) })!.comesOutMm).toBe(6);
    expect(held({ carrier: carrier(12, 'wood', true) })!.comesOutMm).toBe(0);
  });
});

describe('what holds the batten of a cleat', () => {
  it.each([
    // From inside through back and into the batten, a millimetre before its wall side: 6 + 12 − 1 = 17.
    ['cleat-screw-16', 6, 12],
    ['cleat-screw-20', 9, 12],
    ['cleat-screw', 18, 18],
    // 3 + 6 − 1 = 8 is less than any screw: bolted, its head sunk.
    ['plate-bolt-20', 3, 6],
  ] as const)('%s in a back of %d and a batten of %d', (id, backMm, battenMm) => {
    const found = held({ way: 'cleat', carrier: carrier(backMm), cleat: cleat(battenMm) })!;
    expect([found.item.id, found.count, found.from]).toEqual([id, 5, 'inside']);
    if (found.by === 'screw') expect(found.item.lengthMm!).toBeLessThanOrEqual(backMm + battenMm - 1);
  });

  it('is driven from behind where the front is seen, and between returns in any case', () => {
    const seen = held({ way: 'cleat', carrier: carrier(9, 'wood', true), cleat: cleat(12) })!;
    expect(seen).toMatchObject({ from: 'behind', comesOutMm: 0 });
    expect(seen.item.lengthMm! - 12).toBeLessThanOrEqual(8);
    expect(held({ way: 'cleat', carrier: carrier(3), cleat: cleat(12), onReturns: true })!.item.id).toBe('cleat-screw');
  });
});

describe('brackets', () => {
  const rail = { partId: 'top', lengthMm: 600, widthMm: 90, heldMm: 12, free: [0, 90] as const };
  it('are screwed to members that take it, and bolted to thin ones', () => {
    expect(held({ way: 'brackets', rail: { ...rail, thicknessMm: 12 } })!.item.id).toBe('plate-screw');
    expect(held({ way: 'brackets', rail: { ...rail, thicknessMm: 6 } })!.by).toBe('bolt');
  });
});

it('nothing holds what goes through by itself, nor what is not there', () => {
  for (const way of ['holes', 'spacers', 'chain', 'feet'] as const)
    expect(held({ way, carrier: carrier(12) })).toBeNull();
  expect(held({ carrier: carrier(12), pieces: 0 })).toBeNull();
  const bare = { ...shippedCatalogue, sundries: [] };
  expect(
    heldBy(
      {
        way: 'keyholes',
        carrier: carrier(12),
        rail: null,
        cleat: null,
        onReturns: false,
        blocks: false,
        pieces: 2,
        mateScrews: 0,
      },
      bare,
    ),
  ).toBeNull();
});
