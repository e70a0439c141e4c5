/**
 * Every test file of a project in one sandbox, one after the other: what they share is loaded and compiled once. Files
 * that stand alone would each begin cold, which takes longer than most of them.
 */
const { testFiles } = globalThis;
if (testFiles.length === 0) throw new Error('there is no test file in this project');
for (const file of testFiles) await import(file);
