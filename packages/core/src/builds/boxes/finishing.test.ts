import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { demoDesigns } from '../../sign/demo/index.js';
import { changed, curlew, dispensary, evaluatedCoarsely, inAssembly, tern, testFonts } from '../../testing/harness.js';
import { findingOn, mendedBy } from '../../testing/mended.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const finished = (finishing: unknown, more: Readonly<Record<string, unknown>> = {}) =>
  changed(dispensary, { ...inAssembly({ finishing }), ...more });

describe('what of a sign is painted and glued', () => {
  it('is the outer sides and edges of the returns of a box, and its inside by its lining', () => {
    const { finishing, geometry } = evaluatedCoarsely(dispensary, fonts);
    const [outside, inside] = finishing.surfaces;
    // Two of 900 and two of 276 mm, 90 mm wide with two edges of 12.
    expect(outside!.m2).toBeCloseTo((2 * (900 + 276) * (90 + 24)) / 1e6, 9);
    const { widthMm: w, heightMm: h, depthMm: d } = geometry.inside;
    expect(inside!.m2).toBeCloseTo((w * h + 2 * d * (w + h)) / 1e6, 9);
    expect(finishing.bonds.map(({ id, mm }) => [id, mm])).toEqual([['corners', 360]]);
  });

  it('is the fronts of letters with their edges, the returns as they come', () => {
    expect(evaluatedCoarsely(curlew, fonts).finishing.surfaces.map(({ id }) => id)).toEqual(['fronts', 'inside']);
    const cans = evaluatedCoarsely(tern, fonts).finishing;
    expect(cans.surfaces[0]).toMatchObject({ id: 'returns', comesFinished: true, layers: [] });
    expect(cans.bonds[0]).toMatchObject({ fine: true, holds: true });
    expect(cans.bonds[0]!.glue!.squeezesOut).toBe(false);
  });

  it('comes in an order: the inside before glue-up where a face in a groove shuts it in, after it else', () => {
    const order = (design: Parameters<typeof evaluatedCoarsely>[0]) => {
      const ids = evaluatedCoarsely(design, fonts).buildList.steps.map(({ id }) => id);
      return ids.indexOf('lining') < ids.indexOf('glue-up');
    };
    expect(order(demoDesigns['ticket-hall'])).toBe(true);
    expect(order(dispensary)).toBe(false);
  });

  it('waits for paint to cure before strip is stuck on it', () => {
    const { steps } = evaluatedCoarsely(dispensary, fonts).buildList;
    expect(steps.find(({ id }) => id === 'lining')!.waitMinutes).toBe(240 + 720);
  });

  it('names a paint that nobody knows with its field', () => {
    const coats = [{ surface: 'outside', layers: [{ paintId: 'whitewash', coats: 1 }] }];
    expect(() => evaluatedCoarsely(finished({ coats }), fonts)).toThrow(
      /assemblies\.0\.finishing\.coats\.0\.layers\.0\.paintId “whitewash” is not in the catalogue/,
    );
  });
});

describe('findings of paint and glue', () => {
  it('wood left raw in the wet', () => {
    const raw = { coats: [{ surface: 'outside', layers: [] }] };
    const { finding, gone } = mendedBy(finished(raw), fonts, 'raw-in-the-wet', 'finish-it');
    expect(finding.numbers[0]).toMatchObject({ label: 'raw', unit: 'm²' });
    expect(gone).toBe(true);
    expect(findingOn(finished(raw, { 'brief.exposure': 'indoors' }), fonts, 'raw-in-the-wet')).toBeNull();
    expect(findingOn(dispensary, fonts, 'raw-in-the-wet')).toBeNull();
  });

  it('paint that does not hold', () => {
    const bare = { coats: [{ surface: 'outside', layers: [{ paintId: 'etch-primer', coats: 1 }] }] };
    const { gone } = mendedBy(finished(bare), fonts, 'paint-lets-go', 'finish-it');
    expect(gone).toBe(true);
  });

  it('coats laid on before the one under them is dry', () => {
    const { finding, gone } = mendedBy(finished({ betweenCoatsMin: 60 }), fonts, 'drying-forgotten', 'let-it-dry');
    expect(finding.numbers.map(({ value }) => value)).toEqual([60, 480]);
    expect(gone).toBe(true);
    expect(findingOn(finished({ betweenCoatsMin: 480 }), fonts, 'drying-forgotten')).toBeNull();
  });

  it('a can that does not hold what is needed', () => {
    const few = finished({ atHand: [{ itemId: 'enamel', count: 1 }] }, { 'brief.quantity': 30 });
    const { finding, gone } = mendedBy(few, fonts, 'runs-out', 'have-more');
    expect(finding.numbers[0]!.value).toBeGreaterThan(0.75);
    expect(gone).toBe(true);
    expect(findingOn(finished({ atHand: [{ itemId: 'enamel', count: 1 }] }), fonts, 'runs-out')).toBeNull();
  });

  it('a glue that does not hold its joint', () => {
    const wrong = finished({ glues: [{ bond: 'corners', glueId: 'acrylic-cement' }] });
    expect(mendedBy(wrong, fonts, 'glue-does-not-hold', 'other-glue').gone).toBe(true);
    expect(findingOn(dispensary, fonts, 'glue-does-not-hold')).toBeNull();
  });

  it('glue that squeezes out where it is seen: a note', () => {
    const messy = changed(tern, inAssembly({ finishing: { glues: [{ bond: 'returns', glueId: 'construction' }] } }));
    const { finding, gone } = mendedBy(messy, fonts, 'squeezes-out', 'other-glue');
    expect(finding.severity).toBe('note');
    expect(gone).toBe(true);
    expect(findingOn(tern, fonts, 'squeezes-out')).toBeNull();
  });

  it('an inside that is painted after the face has shut it in', () => {
    const late = changed(demoDesigns['ticket-hall'], inAssembly({ finishing: { insideAfterGlueUp: true } }));
    const { finding, gone } = mendedBy(late, fonts, 'inside-shut-in', 'inside-first');
    expect(finding.numbers[0]!.unit).toBe('m²');
    expect(gone).toBe(true);
  });
});
