import { registry as shipped } from '../../../builds/registry.js';
import { litDisc } from './index.js';

/** The registry with one line more: what stands in its place where a new build is proved. */
export const registry = [...shipped, litDisc] as const;
