import { tiny } from '../base/maths/index.js';
import { boxCases } from './box-cases.js';
import { canCases } from './can-cases.js';
import { circuitCases } from './circuit-cases.js';
import { cornerCases } from './corner-cases.js';
import { directCases } from './direct-cases.js';
import { emitterCases } from './emitter-cases.js';
import { eyeCases } from './eye-cases.js';
import { faceCases } from './face-cases.js';
import { haloCases } from './halo-cases.js';
import { haloBounceCases } from './halo-bounce-cases.js';
import { hangingCases } from './hanging-cases.js';
import { layersCases } from './layers-cases.js';
import { powerCases } from './power-cases.js';
import { roughFaceCases } from './rough-face-cases.js';
import { sheetCases } from './sheet-cases.js';
import type { ValidationCase, ValidationResult } from './types.js';

export type { ValidationCase, ValidationResult } from './types.js';

/** Every model of light against a closed form or an independent sum. */
export const validationCases: readonly ValidationCase[] = [
  ...emitterCases,
  ...directCases,
  ...boxCases,
  ...cornerCases,
  ...faceCases,
  ...roughFaceCases,
  ...eyeCases,
  ...haloCases,
  ...haloBounceCases,
  ...hangingCases,
  ...canCases,
  ...sheetCases,
  ...layersCases,
  ...circuitCases,
  ...powerCases,
];

/** Runs one case; the error is relative to what is expected. */
export const validate = ({ run, ...rest }: ValidationCase): ValidationResult => {
  const { computed, expected } = run();
  const error = Math.abs(computed - expected) / Math.max(tiny, Math.abs(expected));
  return { ...rest, computed, expected, error, holds: error <= rest.tolerance };
};
