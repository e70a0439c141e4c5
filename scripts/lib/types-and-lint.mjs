import { ESLint } from 'eslint';
import ts from 'typescript';
import { inRoot, root } from './paths.mjs';
import { runMain, say } from './say.mjs';

const host = {
  getCanonicalFileName: (name) => name,
  getCurrentDirectory: () => root,
  getNewLine: () => '\n',
};

const programOf = (file) => {
  const parsed = ts.getParsedCommandLineOfConfigFile(
    file,
    {},
    { ...ts.sys, onUnRecoverableConfigFileDiagnostic: fail },
  );
  return ts.createProgram({
    rootNames: parsed.fileNames,
    options: parsed.options,
    configFileParsingDiagnostics: parsed.errors,
  });
};

const fail = (diagnostic) => {
  throw new Error(ts.formatDiagnostic(diagnostic, host));
};

/** Types, then rules that ask for types: of one program, since to work its types out takes longer than both. */
await runMain(async () => {
  const program = programOf(inRoot('tsconfig.test.json'));
  const wrong = ts.getPreEmitDiagnostics(program);
  if (wrong.length > 0) say(ts.formatDiagnostics(wrong, host));
  const eslint = new ESLint({
    cwd: root,
    overrideConfig: [{ files: ['**/*.ts', '**/*.tsx'], languageOptions: { parserOptions: { programs: [program] } } }],
  });
  const results = await eslint.lintFiles(['.']);
  const report = await (await eslint.loadFormatter('stylish')).format(results);
  if (report !== '') say(report);
  const worst = results.some(({ errorCount, warningCount }) => errorCount + warningCount > 0);
  process.exitCode = wrong.length > 0 || worst ? 1 : 0;
});
