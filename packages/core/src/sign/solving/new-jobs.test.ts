import { beforeAll, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { shippedCatalogue } from '../../document/catalogue/index.js';
import { brightnessLimit } from '../../light/glow/index.js';
import type { AssemblyResults } from '../../judging/results/index.js';
import { contradictions } from '../../testing/contradictions.js';
import { jobsAsked } from '../../testing/jobs-asked.js';
import { testFonts } from '../../testing/harness.js';
import { jobsByChance, usualJobs, type NewJob } from '../../testing/new-jobs.js';
import { createJudge, finish } from '../evaluate/index.js';
import { solveSign } from './index.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

/** What a limit is held against (cd/m²): of bright lines on dark ground the mean over both, where a build tells it. */
const seenCdM2 = (glow: AssemblyResults['glow'] & { readonly overAllCdM2?: number }): number =>
  glow.overAllCdM2 ?? glow.evenness.meanCdM2;

/** What is wrong with a job once it is solved from its answers alone: what stops or disappoints, what cannot be so. */
const amiss = ({ design: asked }: NewJob): readonly string[] => {
  const judge = createJudge(shippedCatalogue, fonts);
  const { design, sentence } = finish(solveSign(asked, 0, judge));
  const judged = judge.exact(design);
  if (judged === null) return ['it makes no sign'];
  const { findings, results } = judged;
  const { assemblies, circuit } = results;
  const [own] = assemblies;
  const night = design.power.nightLevel ?? 1;
  return [
    ...findings.filter(({ severity }) => severity !== 'note').map(({ what }) => `${what} (${sentence})`),
    ...contradictions(results),
    // Right at the edge of letters a wall is brighter than over the half width that the limit is for.
    ...(seenCdM2(own!.glow) * night <= 1.6 * brightnessLimit(design.brief) ? [] : ['it is too bright']),
    ...(own!.heat.stripC.low < own!.materials.strip.maxBoardC ? [] : ['its strip gets too hot']),
    ...(circuit.supplyCount <= 4 ? [] : [`it takes ${circuit.supplyCount} supplies`]),
  ];
};

// `npm run jobs` goes through all of them, and through 200 by chance; here some of each.
const count = jobsAsked ?? 5;
const some = jobsAsked === null ? usualJobs.filter((_, index) => index % 3 === 0) : usualJobs;

it.each(some.map((job) => [job.name, job] as const))('%s begins clean, its lists of one mind', (_, job) => {
  expect(amiss(job)).toEqual([]);
});

it(`of ${count} jobs by chance at least 98 in a hundred begin clean, the rest saying what stands in the way`, () => {
  const jobs = jobsByChance(count);
  const dirty = jobs.flatMap((job) => {
    const words = amiss(job);
    return words.length === 0 ? [] : [`${job.name}: ${words.join('; ')}`];
  });
  if (dirty.length > Math.floor(0.02 * count)) expect(dirty).toEqual([]);
  for (const words of dirty) expect(words).toContain('In the way:');
}, 1_200_000);
