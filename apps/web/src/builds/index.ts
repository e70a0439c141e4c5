import { registry } from './registry';
import type { BuildPage } from './common/build-page';

export type { AssemblyStep, BuildPage, OverlayProps, ProveRow } from './common/build-page';

const byName: ReadonlyMap<string, BuildPage> = new Map(registry.map((page) => [page.name, page]));

/** Of every build. */
export const allPages: readonly BuildPage[] = registry;

/** The page’s part of the build of an assembly. Throws at a build that the core knows and the page does not. */
export const pageOf = ({ build }: { readonly build: string }): BuildPage => {
  const found = byName.get(build);
  if (found === undefined) throw new Error(`the page has no folder for the build “${build}”`);
  return found;
};
