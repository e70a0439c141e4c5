import { rolldown } from 'rolldown';
import { inRoot } from './paths.mjs';

/**
 * The built core and what it stands on in few files, for Node: servers, their threads and the command line begin in a
 * third of the time that over a thousand modules take to be found and read.
 */
const dist = inRoot('packages/core/dist');

/** These find files of their own beside them. */
const staysOutside = /^(css-tree|harfbuzzjs|pdfjs-dist|woff2-encoder)\b/;

const bundle = await rolldown({
  input: { index: `${dist}/index.js`, validation: `${dist}/validation/index.js` },
  platform: 'node',
  external: (id) => staysOutside.test(id),
  // What the page loads late comes with the rest here.
  checks: { ineffectiveDynamicImport: false },
});
await bundle.write({ dir: `${dist}/bundle`, format: 'esm', chunkFileNames: '[name].js', cleanDir: true });
await bundle.close();
