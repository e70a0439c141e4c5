/**
 * Every test file of a project in one sandbox, one after the other: what they share is loaded and compiled once. Files
 * that stand alone would each begin cold, which takes longer than most of them.
 *
 * What a file says at its top (a hook before each test, say) is for its own tests alone: a file is a block of its own. A
 * block can only be filled at once, and a module is imported later, so the runner is told which block is being filled.
 */
const { describe, testFiles } = globalThis;
if (testFiles.length === 0) throw new Error('there is no test file in this project');

const runner = Object.getOwnPropertySymbols(globalThis)
  .map((symbol) => globalThis[symbol])
  .find((value) => value?.rootDescribeBlock !== undefined);
if (runner === undefined) throw new Error('the test runner keeps its blocks elsewhere: see tests-together.mjs');

for (const file of testFiles) {
  describe(file.slice(file.lastIndexOf('/') + 1), () => {});
  const outer = runner.currentDescribeBlock;
  runner.currentDescribeBlock = outer.children.at(-1);
  await import(file);
  runner.currentDescribeBlock = outer;
}
