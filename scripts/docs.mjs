import { readFileSync, writeFileSync } from 'node:fs';
import { findingsPage } from './lib/findings-page.mjs';
import { inRoot } from './lib/paths.mjs';
import { runMain, say } from './lib/say.mjs';
import { setUp } from './lib/setup.mjs';

const marks = ['<!-- generated below by npm run docs -->', '<!-- generated above -->'];

const designFormat = async () => {
  const { designJsonSchema, demoDesigns, printDesign } = await import(inRoot('packages/core/dist/index.js'));
  return `## JSON Schema\n\n\`\`\`json\n${JSON.stringify(designJsonSchema(), null, 2)}\n\`\`\`\n\n## An example\n\nThe demo shop’s \`dispensary\` (\`npx vitrum demo dispensary\`):\n\n\`\`\`json\n${printDesign(demoDesigns.dispensary)}\`\`\``;
};

const percent = (share) => (share < 5e-7 ? '< 0.0001 %' : `${Number((share * 100).toPrecision(1))} %`);
const number = (value) => Number(value.toPrecision(5)).toString();

/** Every case of the validation suite, run now. */
const validation = async () => {
  const { validate, validationCases } = await import(inRoot('packages/core/dist/validation/index.js'));
  const rows = validationCases.map((each) => {
    const { group, name, against, tolerance, computed, expected, error, holds } = validate(each);
    if (!holds) throw new Error(`“${name}” does not hold: ${computed} against ${expected}`);
    return `| ${group} | ${name} | ${against} | ${number(computed)} | ${number(expected)} | ${percent(error)} | ${percent(tolerance)} |`;
  });
  return [
    '## Validation',
    '',
    `${rows.length} cases, from the run that wrote this page. Errors to one figure.`,
    '',
    '| about | case | held against | computed | expected | error | allowed |',
    '| --- | --- | --- | --- | --- | --- | --- |',
    ...rows,
  ].join('\n');
};

const pages = [
  ['design-format.md', designFormat],
  ['physics.md', validation],
  ['findings.md', findingsPage],
];

/** Writes the parts of the documentation that come from the program itself; `--check` only compares. */
await runMain(async () => {
  await setUp();
  for (const [name, make] of pages) {
    const target = inRoot('docs', name);
    const text = readFileSync(target, 'utf8');
    const [before] = text.split(marks[0]);
    const [, after = '\n'] = text.split(marks[1]);
    const wanted = `${before}${marks[0]}\n\n${await make()}\n\n${marks[1]}${after}`;
    if (process.argv.includes('--check')) {
      if (wanted !== text) {
        say(`docs/${name} is out of date; run “npm run docs”.`);
        process.exitCode = 1;
      }
      continue;
    }
    writeFileSync(target, wanted);
    say(`docs/${name} written`);
  }
});
