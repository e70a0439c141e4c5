import { describe, expect, it } from '@jest/globals';
import { shippedCatalogue } from '../../document/catalogue/index.js';
import type { FinishingDesign } from '../../document/design/index.js';
import { finishBought, finishingOf, gluesFor, litresOf, surfaceSteps, usualLayers, waitWords } from './index.js';
import type { Surface, ToFinish } from './index.js';

const outside: Surface = {
  id: 'outside',
  name: 'outside of the case',
  stuff: 'wood',
  m2: 0.5,
  turned: false,
  masked: 'the seats',
  showsGrain: false,
  comesFinished: false,
  fixed: null,
};
const asked: ToFinish = {
  surfaces: [outside],
  bonds: [{ id: 'corners', what: 'corners', between: ['wood', 'wood'], mm: 400, fine: false }],
  shutsIn: false,
};
const brief = { exposure: 'indoors', quantity: 1 } as const;
const finish = (design?: FinishingDesign, own: Partial<Surface> = {}, order = 1) =>
  finishingOf(
    { ...asked, surfaces: [{ ...outside, ...own }] },
    design,
    { ...brief, quantity: order },
    shippedCatalogue,
  );
const paint = (id: string) => shippedCatalogue.paints.find((each) => each.id === id)!;

describe('what is usual', () => {
  it('is oil on a grain indoors, enamel on other wood and in the wet, nothing on what comes in its colour', () => {
    const layers = (own: Partial<Surface>, exposure: 'indoors' | 'damp' = 'indoors') =>
      usualLayers({ ...outside, ...own }, { exposure }).map(({ paintId }) => paintId);
    expect(layers({ showsGrain: true })).toEqual(['hard-oil']);
    expect(layers({ showsGrain: true }, 'damp')).toEqual(['primer', 'enamel']);
    expect(layers({})).toEqual(['primer', 'enamel']);
    expect(layers({ stuff: 'metal' })).toEqual(['etch-primer', 'spray-colour']);
    expect(layers({ stuff: 'metal', comesFinished: true })).toEqual([]);
  });

  it('holds: each coat on the surface, or on a primer that does', () => {
    for (const stuff of ['wood', 'metal', 'printed', 'foam'] as const)
      expect(finish(undefined, { stuff }).surfaces[0]!.layers.map(({ letsGo }) => letsGo)).toEqual([false, false]);
  });
});

describe('paint', () => {
  it('takes area × coats / what a litre covers, and what goes past', () => {
    // Enamel: 0.5 m² × 2 / 12 m²/L × 1.1.
    expect(litresOf(paint('enamel'), 0.5, 2)).toBeCloseTo((0.5 * 2 * 1.1) / 12, 12);
    // Spray: a third more goes past.
    expect(litresOf(paint('spray-colour'), 0.5, 2)).toBeCloseTo((0.5 * 2 * 1.35) / 4, 12);
  });

  it('is bought in whole cans for the order, and told what is left of the last', () => {
    const { supplies } = finish(undefined, {}, 20);
    // Enamel: 20 × 0.0917 = 1.833 L of 0.75 L cans: 3, with 0.417 L left.
    expect(supplies.find(({ itemId }) => itemId === 'enamel')).toMatchObject({
      count: 3,
      left: expect.closeTo(3 * 0.75 - (20 * 1.1) / 12, 9),
    });
    // What a sign costs is what it uses up.
    const used = finishBought(finish()).find(({ id }) => id === 'enamel')!;
    expect(used.quantity * used.unitPrice).toBeCloseTo(((1.1 / 12) * 21) / 0.75, 9);
  });

  it('waits a recoat for every coat, and twice that where the part is turned over', () => {
    const [primer, enamel] = finish().surfaces[0]!.layers;
    expect([primer!.waitMin, enamel!.waitMin]).toEqual([60, 960]);
    expect(finish(undefined, { turned: true }).surfaces[0]!.layers[1]!.waitMin).toBe(1920);
  });

  it('does not hold where neither the surface nor a primer takes it', () => {
    const bare = { coats: [{ surface: 'outside', layers: [{ paintId: 'enamel', coats: 2 }] }] };
    expect(finish(bare, { stuff: 'acrylic' }).surfaces[0]!.layers[0]!.letsGo).toBe(true);
    expect(finish(bare, { stuff: 'wood' }).surfaces[0]!.layers[0]!.letsGo).toBe(false);
  });

  it('of a lining is the lining’s, priced by it', () => {
    const lining = finish(undefined, { id: 'inside', fixed: [{ paintId: 'matt-white-paint', coats: 2 }] });
    expect(finishBought(lining).map(({ id }) => id)).toEqual(['wood-glue']);
    expect(lining.supplies.map(({ itemId, count }) => [itemId, count])).toEqual([
      ['matt-white-paint', 1],
      ['wood-glue', 1],
    ]);
  });
});

describe('glue', () => {
  it('is the cheapest that holds both, what stays in the joint first where it is seen', () => {
    const names = (a: 'wood' | 'metal', b: 'wood' | 'composite', fine: boolean) =>
      gluesFor([a, b], fine, shippedCatalogue).map(({ id }) => id);
    expect(names('wood', 'wood', false)[0]).toBe('wood-glue');
    expect(names('metal', 'composite', true)[0]).toBe('silicone');
    expect(names('metal', 'composite', false)).not.toContain('wood-glue');
  });

  it('takes so much by the metre, with a fifth over', () => {
    expect(finish().bonds[0]!.ml).toBeCloseTo(0.4 * 6 * 1.2, 9);
  });

  it('that the design names is kept, and told where it does not hold', () => {
    const named = { glues: [{ bond: 'corners', glueId: 'acrylic-cement' }] };
    expect(finish(named).bonds[0]).toMatchObject({ holds: false });
  });
});

describe('the order', () => {
  it('is the inside first where the face shuts it in, unless the design says otherwise', () => {
    const order = (shutsIn: boolean, design?: FinishingDesign) =>
      finishingOf({ ...asked, shutsIn }, design, brief, shippedCatalogue).insideFirst;
    expect(order(false)).toBe(false);
    expect(order(true)).toBe(true);
    expect(order(true, { insideAfterGlueUp: true })).toBe(false);
  });

  it('is told coat by coat, sanding, masking and waits in words', () => {
    const steps = surfaceSteps(finish(), 'outside');
    expect(steps.map(({ title }) => title)).toEqual([
      'Prime the outside of the case',
      'Paint the outside of the case, 2 coats',
    ]);
    expect(steps[0]!.detail).toContain('Mask the seats.');
    expect(steps[0]!.detail).toContain('Sand with 240');
    expect(steps[1]!.detail).toContain('8 h after each coat');
    expect(steps[1]!.waitMinutes).toBe(960);
    expect([45, 480, 2880].map(waitWords)).toEqual(['45 min', '8 h', '2 days']);
  });
});
