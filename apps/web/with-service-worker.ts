import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { build, type Plugin } from 'vite';

const isPartOfPage = /^(index\.html|mark\.svg|assets\/.*\.(js|css|woff2?|wasm|svg|png))$/;

const hashOf = (file: string): string => createHash('sha256').update(readFileSync(file)).digest('hex').slice(0, 16);

/** What the build named by its contents needs no other mark of its version. */
const filesOf = (root: string): readonly { readonly url: string; readonly revision?: string }[] =>
  readdirSync(root, { recursive: true, encoding: 'utf8' })
    .map((file) => file.split(path.sep).join('/'))
    .filter((file) => isPartOfPage.test(file))
    .sort()
    .map((file) => ({
      url: `/${file}`,
      ...(file.startsWith('assets/') ? {} : { revision: hashOf(path.join(root, file)) }),
    }));

/**
 * Builds the service worker once the page is built, for it carries the list of the page’s files. It is one plain script,
 * under a name that stays, as browsers want it.
 */
export const withServiceWorker = (): Plugin => {
  let root = '';
  let outDir = '';
  return {
    name: 'with-service-worker',
    apply: 'build',
    configResolved: (config) => {
      root = config.root;
      outDir = path.resolve(config.root, config.build.outDir);
    },
    closeBundle: async () => {
      await build({
        configFile: false,
        root,
        logLevel: 'warn',
        publicDir: false,
        define: { VITRUM_FILES: JSON.stringify(filesOf(outDir)), 'process.env.NODE_ENV': '"production"' },
        build: {
          outDir,
          emptyOutDir: false,
          lib: { entry: path.join(root, 'src/offline/service-worker.ts'), formats: ['iife'], name: 'vitrum' },
          rolldownOptions: { output: { entryFileNames: 'sw.js' } },
        },
      });
    },
  };
};
