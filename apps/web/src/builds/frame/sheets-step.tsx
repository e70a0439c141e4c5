import type { FrameAssembly } from '@vitrum/core';
import { useFields } from '../../document/selection';
import { useDesignValue } from '../../fields/design-fields';
import { FaceStep } from '../boxes/face-step';

/** The sheets of a frame; a mirror is chosen with what it shows. */
export const SheetsStep = () => (
  <FaceStep withSheet={useDesignValue(useFields<FrameAssembly>().shows.kind) === 'print'} />
);
