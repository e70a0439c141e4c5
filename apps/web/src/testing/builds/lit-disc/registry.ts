import { registry as shipped } from '../../../builds/registry';
import type { BuildPage } from '../../../builds/common/build-page';
import { litDiscPage } from './page';

/** The page’s registry with one line more. */
export const registry: readonly BuildPage[] = [...shipped, litDiscPage];
