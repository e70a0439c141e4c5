import type { Catalogue } from '../../document/catalogue/index.js';
import type { Design } from '../design/index.js';
import { tryoutOf } from './point.js';
import type { FaceOption } from './types.js';

/** Faces worth trying on an assembly of a design; none where nothing of it is tried out. */
export const faceOptions = (design: Design, index: number, catalogue: Catalogue): readonly FaceOption[] =>
  tryoutOf(design, index)?.faces(index, catalogue) ?? [];
