import { createHash } from 'node:crypto';
import { canonicalJson, type Design } from '@vitrum/core';

/** SHA-256 of the design’s canonical JSON: equal content, equal hash. */
export const designHash = (design: Design): string => createHash('sha256').update(canonicalJson(design)).digest('hex');
