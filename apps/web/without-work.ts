import { readFileSync } from 'node:fs';
import type { Plugin } from 'vite';

/** What only workers and the server need of a build (see `BuildWork` in the core). */
const workFile = /\/builds\/[^/]+\/work\.ts$/;

/**
 * Leaves the work of builds out of what it is given: the page draws, it never evaluates. What stands in its place throws,
 * should anything on the page come to ask for it. Workers are bundled apart, and have it.
 */
export const withoutWork = (): Plugin => ({
  name: 'without-work',
  apply: 'build',
  enforce: 'pre',
  load: (id) => {
    if (!workFile.test(id)) return null;
    const names = [...readFileSync(id, 'utf8').matchAll(/^export const (\w+)/gm)].map(([, name]) => name);
    const stand = names.map(
      (name) =>
        `export const ${name} = new Proxy({}, { get: (_, key) => { throw new Error(\`${name}.\${String(key)} is for workers\`); } });`,
    );
    return { code: stand.join('\n'), map: null };
  },
});
