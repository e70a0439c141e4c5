import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { seededRandom } from '../../base/maths/index.js';
import { allBuilds } from '../../builds/index.js';
import { shippedCatalogue } from '../../document/catalogue/index.js';
import { asShown, type Fix, type Judged } from '../../judging/findings/index.js';
import { changedByChance } from '../../testing/chance.js';
import { coarse, testFonts } from '../../testing/harness.js';
import { jobsAsked } from '../../testing/jobs-asked.js';
import { demoDesigns, newDesign } from '../demo/index.js';
import { applyChange, type Design } from '../design/index.js';
import { createEvaluator, finish, type Evaluator } from './index.js';

let fonts: FontBook;
/** A second evaluator, which knows nothing of the trials: it evaluates what was applied, as the page does. */
let second: Evaluator;
beforeAll(async () => {
  fonts = await testFonts();
  second = createEvaluator(shippedCatalogue, fonts, coarse);
});

const cents = (value: number): number => Math.round(value * 100) / 100;

/** All that a fix promised and did not keep. */
const broken = (id: string, { label, change, after, settles, priceChange }: Fix, design: Design, now: Judged) => {
  const found = now.findings.find((each) => each.id === id)!;
  const applied = applyChange(design, change);
  const then = applied.ok ? second.judge(applied.value) : applied;
  if (!then.ok) return [`${id} “${label}”: makes no sign`];
  const { results, findings } = then.value;
  const known = (other: string) => now.findings.some((each) => each.id === other);
  const paid = results.cost.perSign - now.results.cost.perSign;
  return [
    ...(asShown(found.target.read(results)) === after ? [] : [`gives ${found.target.read(results)}, not ${after}`]),
    ...(cents(paid) === cents(priceChange) ? [] : [`costs ${paid}, not ${priceChange}`]),
    ...(settles && !found.target.settled(results) ? ['does not settle'] : []),
    ...findings
      .filter((each) => each.severity !== 'note' && !known(each.id))
      .map((each) => `brings on ${each.id} (${each.severity})`),
  ].map((what) => `${id} “${label}”: ${what}`);
};

/** Every fix of a design applied; how many there were, and what was not kept. */
const allApplied = (design: Design): { readonly tried: number; readonly wrong: readonly string[] } => {
  const evaluator = createEvaluator(shippedCatalogue, fonts, coarse);
  if (!evaluator.evaluate(design).ok) return { tried: 0, wrong: [] };
  const now = evaluator.judge(design);
  if (!now.ok) return { tried: 0, wrong: ['is judged by one and refused by the other'] };
  const findings = finish(evaluator.fixes());
  const silent = findings.filter(
    ({ severity, fixes, whyNone }) => severity !== 'note' && (fixes.length === 0) !== (whyNone !== null),
  );
  return {
    tried: findings.reduce((sum, { fixes }) => sum + fixes.length, 0),
    wrong: [
      ...silent.map(({ id }) => `${id} has no fix and does not say why, or has one and says there is none`),
      ...findings.flatMap(({ id, fixes }) => fixes.flatMap((fix) => broken(id, fix, design, now.value))),
    ],
  };
};

/**
 * Small signs, for a great many are evaluated, most of them of the build that is evaluated soonest. `npm run jobs` goes
 * through 200; here it is a part of them, the same ones.
 */
const small = { widthMm: 400, heightMm: 160, capHeightMm: 140 } as const;
const slow = allBuilds.filter(({ name }) => name !== 'lightbox');
const isWhole = jobsAsked !== null;
const [inAll, ofSlow] = isWhole ? ([200, 12] as const) : ([70, 4] as const);
const byChance = allBuilds.map(
  ({ name }) => [name === 'lightbox' ? inAll - ofSlow * slow.length : ofSlow, name] as const,
);

describe('every fix that is offered', () => {
  it.each(Object.entries(demoDesigns))(
    'of %s gives the figure it promised, costs what it said, and brings nothing on',
    (_, design) => expect(allApplied(design as Design).wrong).toEqual([]),
  );

  it.each(byChance)('keeps its word on %d designs by chance: %s', (count, build) => {
    const random = seededRandom(67);
    const answers = { name: 'Chance', text: 'I', readingDistanceMm: 2500, sizesMm: small };
    let tried = 0;
    const wrong = Array.from({ length: count }, () => {
      const design = changedByChance(random, newDesign(build, answers), 3);
      const applied = allApplied(design);
      tried += applied.tried;
      return applied.wrong;
    });
    expect(wrong.flat()).toEqual([]);
    expect(tried).toBeGreaterThanOrEqual(count / 2);
  });
});
