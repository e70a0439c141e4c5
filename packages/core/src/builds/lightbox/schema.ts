import * as z from 'zod';
import type { Frozen } from '../../document/design/index.js';
import { boxSchema } from '../boxes/schema.js';

/** A light box in a design. */
export const lightboxSchema = boxSchema.extend({ build: z.literal('lightbox') });

export type LightboxAssembly = Frozen<z.infer<typeof lightboxSchema>>;
