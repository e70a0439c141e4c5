import { linearOf, type LinearRgb } from '../../light/colour/index.js';
import type { GrooveMaterials } from './materials.js';
import type { GrooveAssembly } from './schema.js';

/** What is seen through a clear sheet: the wall, a little darker. */
const throughClear: LinearRgb = [0.5, 0.48, 0.43];

/** What the front of a carrier gives back of the light on it. */
export const carrierReflects = (
  { colour }: Pick<GrooveAssembly['carrier'], 'colour'>,
  { sheet }: Pick<GrooveMaterials, 'sheet'>,
): LinearRgb => (sheet.clear ? throughClear : linearOf(colour));
