import { createRequire } from 'node:module';
import { fileURLToPath } from 'node:url';
import path from 'node:path';

export const root = path.resolve(fileURLToPath(new URL('../..', import.meta.url)));
export const inRoot = (...parts) => path.join(root, ...parts);

/** Where the shop's data lives: `VITRUM_DATA`, else a folder of the project's own. */
export const dataFolder = () => path.resolve(process.env.VITRUM_DATA || inRoot('.vitrum', 'data'));

/** A file of an npm package as a workspace sees it, wherever npm has put the package. */
export const inPackage = (workspace, name, file) =>
  path.join(path.dirname(createRequire(inRoot(workspace, 'package.json')).resolve(`${name}/package.json`)), file);
