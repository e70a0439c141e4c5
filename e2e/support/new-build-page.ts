import { mkdtempSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { build, preview, type InlineConfig, type Plugin } from 'vite';

const inRoot = (name: string): string => fileURLToPath(new URL(`../../${name}`, import.meta.url));

/** Each registry of builds, and what stands in its place: the same with one line more. */
const registries: Readonly<Record<string, string>> = {
  [inRoot('packages/core/src/builds/index.ts')]: inRoot('packages/core/src/testing/builds/lit-disc/registry.ts'),
  [inRoot('apps/web/src/builds/index.ts')]: inRoot('apps/web/src/testing/builds/lit-disc/registry.ts'),
};

const oneBuildMore: Plugin = {
  name: 'one-build-more',
  enforce: 'pre',
  resolveId: (source, importer) =>
    importer !== undefined && /^\.\/registry(\.js)?$/.test(source) ? (registries[importer] ?? null) : null,
};

/** The page with a build that is in the tests alone, built and served; `close` takes it away. */
export const newBuildPage = async (): Promise<{ readonly url: string; readonly close: () => Promise<void> }> => {
  const outDir = mkdtempSync(path.join(os.tmpdir(), 'vitrum-page-'));
  const shared: InlineConfig = {
    root: inRoot('apps/web'),
    logLevel: 'error',
    plugins: [oneBuildMore],
    worker: { format: 'es', plugins: () => [oneBuildMore] },
    build: { outDir, emptyOutDir: true, minify: false, chunkSizeWarningLimit: 10_000 },
  };
  await build(shared);
  const server = await preview({ ...shared, preview: { port: 0, host: '127.0.0.1' } });
  return {
    url: server.resolvedUrls!.local[0]!.replace(/\/$/, ''),
    close: async () => {
      await server.close();
      rmSync(outDir, { recursive: true, force: true });
    },
  };
};
