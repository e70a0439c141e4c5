import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { shippedCatalogue, type Catalogue } from '../../document/catalogue/index.js';
import { demoDesigns } from '../../sign/demo/index.js';
import { applyChange } from '../../sign/design/index.js';
import { createEvaluator, finish } from '../../sign/evaluate/index.js';
import { coarse, testFonts } from '../../testing/harness.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const { dispensary } = demoDesigns;
const { sheetId } = dispensary.assemblies[0]!.face;
const { stripId } = dispensary.assemblies[0]!.light;
/** The shop has changed the face since, and its strip; another strip it no longer offers. */
const catalogue: Catalogue = {
  ...shippedCatalogue,
  faces: shippedCatalogue.faces.flatMap((face) =>
    face.id === sheetId
      ? [
          { ...face, newerId: `${sheetId}--2` },
          { ...face, id: `${sheetId}--2`, lineId: sheetId, price: face.price + 50, editedOn: '2030-02-03' },
        ]
      : [face],
  ),
  strips: shippedCatalogue.strips.flatMap((strip, at) =>
    strip.id === stripId
      ? [
          { ...strip, newerId: `${stripId}--2` },
          { ...strip, id: `${stripId}--2`, lineId: stripId, price: strip.price + 5 },
        ]
      : [at === 3 ? { ...strip, retiredOn: '2030-01-01' } : strip],
  ),
};

describe('what has changed on the shelf since a design took it', () => {
  const found = (shelf: Catalogue) => {
    const evaluator = createEvaluator(shelf, fonts, coarse);
    const evaluation = evaluator.evaluate(dispensary);
    if (!evaluation.ok) throw new Error(evaluation.problems[0]!.message);
    return {
      evaluation: evaluation.value,
      evaluator,
      finding: finish(evaluator.fixes('newer-on-shelf')).find(({ rule }) => rule === 'newer-on-shelf'),
    };
  };

  it('is kept as it was, figures and price; the design is worked out as before', () => {
    const [before, now] = [found(shippedCatalogue), found(catalogue)];
    expect(before.finding).toBeUndefined();
    expect(now.evaluation.cost.perSign).toBe(before.evaluation.cost.perSign);
    expect(now.evaluation.figures).toEqual(before.evaluation.figures);
  });

  it('is told, and taken one by one or all, with what that costs', () => {
    const { finding, evaluator } = found(catalogue);
    expect(finding).toMatchObject({ severity: 'note', numbers: [{ value: 2 }] });
    expect(finding!.why).toMatch(/^This design keeps it as it was\. Since/);
    const all = finding!.fixes.find(({ settles }) => settles)!;
    expect(all.label).toBe('All 2 changed items as they are now');
    const changed = applyChange(dispensary, all.change);
    if (!changed.ok) throw new Error('no design');
    const after = evaluator.evaluate(changed.value);
    if (!after.ok) throw new Error(after.problems[0]!.message);
    expect(after.value.findings.some(({ rule }) => rule === 'newer-on-shelf')).toBe(false);
    const own = after.value.assemblies[0]!.assembly as unknown as (typeof dispensary.assemblies)[0];
    expect([own.face.sheetId, own.light.stripId]).toEqual([`${sheetId}--2`, `${stripId}--2`]);
    // The price that it was offered with is what comes out.
    const before = found(catalogue).evaluation.cost.perSign;
    expect(after.value.cost.perSign - before).toBeCloseTo(all.priceChange, 6);
    expect(all.priceChange).toBeGreaterThan(1);
  });

  it('is offered to no design that does not have it', () => {
    const other = {
      ...dispensary,
      assemblies: [{ ...dispensary.assemblies[0]!, face: { ...dispensary.assemblies[0]!.face, sheetId: 'opal-5' } }],
    };
    const evaluator = createEvaluator(catalogue, fonts, coarse);
    const evaluation = evaluator.evaluate(other);
    if (!evaluation.ok) throw new Error(evaluation.problems[0]!.message);
    const offered = JSON.stringify(finish(evaluator.fixes()).flatMap(({ fixes }) => fixes.map(({ change }) => change)));
    expect(offered).not.toContain(`"${sheetId}"`);
    expect(offered).not.toContain(`"${shippedCatalogue.strips[3]!.id}"`);
  });
});
