import { readdirSync } from 'node:fs';
import path from 'node:path';
import config from '../../jest.config.mjs';

const filesIn = (folder) => readdirSync(folder, { recursive: true }).map((name) => path.join(folder, name));

/** Files of a project by its patterns, all of which say how the names of tests end. */
const testFilesOf = ({ rootDir, roots, testMatch }) => {
  const endings = testMatch.map((pattern) => pattern.replace(/^\*\*\/\*?/, ''));
  return roots
    .flatMap((root) => filesIn(root.replace('<rootDir>', rootDir)))
    .filter((file) => endings.some((ending) => file.endsWith(ending)))
    .sort();
};

/** The projects of the unit tests as `npm test` runs them: each in one sandbox (see tests-together.mjs). */
export default {
  ...config,
  projects: config.projects.map((project) => ({
    ...project,
    globals: { ...project.globals, testFiles: testFilesOf(project) },
    roots: ['<rootDir>/scripts/lib'],
    testMatch: ['**/tests-together.mjs'],
  })),
};
