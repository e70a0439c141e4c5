import { existsSync } from 'node:fs';
import { createRequire } from 'node:module';
import { fileURLToPath } from 'node:url';
import path from 'node:path';

export const root = path.resolve(fileURLToPath(new URL('../..', import.meta.url)));
export const inRoot = (...parts) => path.join(root, ...parts);

/** Where the shop's data lives: `VITRUM_DATA`, else a folder of the project's own. */
export const dataFolder = () => path.resolve(process.env.VITRUM_DATA || inRoot('.vitrum', 'data'));

/** A file of an npm package as a workspace sees it, wherever npm has put the package. */
export const inPackage = (workspace, name, file) => {
  const folders = createRequire(inRoot(workspace, 'package.json')).resolve.paths(name) ?? [];
  const folder = folders.map((each) => path.join(each, name)).find((each) => existsSync(each));
  if (folder === undefined) throw new Error(`the npm package ${name} is not installed`);
  return path.join(folder, file);
};
