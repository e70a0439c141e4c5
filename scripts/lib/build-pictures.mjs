import { mkdirSync, writeFileSync } from 'node:fs';
import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { inRoot } from './paths.mjs';
import { say } from './say.mjs';

const widthPx = 420;

/** A new job of every build, solved and lit at dusk: the pictures by which one is chosen. */
export const drawBuilds = async (folder) => {
  const core = await import(inRoot('packages/core/dist/index.js'));
  const resolve = createRequire(inRoot('packages/core/package.json')).resolve;
  const fonts = await core.loadFontBook(async (file) => {
    const bytes = await readFile(resolve(file));
    return bytes.buffer.slice(bytes.byteOffset, bytes.byteOffset + bytes.byteLength);
  });
  mkdirSync(folder, { recursive: true });
  for (const build of core.allBuilds) {
    const asked = core.newDesign(build.name, {
      name: 'Open',
      text: 'OPEN',
      readingDistanceMm: 3000,
      sizesMm: core.usualSizes(build.sizes),
    });
    const work = core.solveSign(asked, 0, core.createJudge(core.shippedCatalogue, fonts));
    let step = work.next();
    while (!step.done) step = work.next();
    const lit = core.createEvaluator(core.shippedCatalogue, fonts).evaluate(step.value.design);
    if (!lit.ok) throw new Error(`${build.name}: ${lit.problems[0]?.message}`);
    writeFileSync(`${folder}/${build.name}.png`, core.litPng(lit.value, 'evening', widthPx));
    say(`apps/web/public/builds/${build.name}.png`);
  }
};
