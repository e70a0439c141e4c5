import { readFileSync, writeFileSync } from 'node:fs';
import { inRoot } from './lib/paths.mjs';
import { runMain, say } from './lib/say.mjs';
import { setUp } from './lib/setup.mjs';

const target = inRoot('docs', 'design-format.md');
const marks = ['<!-- generated below by npm run docs -->', '<!-- generated above -->'];

/** Writes the parts of the documentation that come from the program itself; `--check` only compares. */
await runMain(async () => {
  await setUp();
  const { designJsonSchema, demoDesigns, printDesign } = await import(inRoot('packages/core/dist/index.js'));
  const text = readFileSync(target, 'utf8');
  const [before] = text.split(marks[0]);
  const [, after = '\n'] = text.split(marks[1]);
  const generated = `${marks[0]}\n\n## JSON Schema\n\n\`\`\`json\n${JSON.stringify(designJsonSchema(), null, 2)}\n\`\`\`\n\n## An example\n\nThe demo shop’s \`dispensary\` (\`npx vitrum demo dispensary\`):\n\n\`\`\`json\n${printDesign(demoDesigns.dispensary)}\`\`\`\n\n${marks[1]}`;
  const wanted = `${before}${generated}${after}`;
  if (process.argv.includes('--check')) {
    if (wanted !== text) {
      say('docs/design-format.md is out of date; run “npm run docs”.');
      process.exitCode = 1;
    }
    return;
  }
  writeFileSync(target, wanted);
  say('docs/design-format.md written');
});
