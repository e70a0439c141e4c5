import type { BeforeHanging } from '../../judging/results/index.js';
import type { ToFinish } from '../../making/finishing/index.js';
import { boxToFinish } from '../boxes/to-finish.js';
import { gluedMirror, roundMm } from './glued-mirror.js';
import type { FrameResults } from './results.js';

/** What of a frame is painted and glued: that of its case, and a mirror that is laid on. */
export const frameToFinish = (results: BeforeHanging<FrameResults>): ToFinish => {
  const found = boxToFinish(results);
  const { mirror, returnBoard } = results.materials;
  return mirror === null || !gluedMirror(results)
    ? found
    : {
        ...found,
        bonds: [
          ...found.bonds,
          {
            id: 'mirror',
            what: 'mirror on the frame',
            between: [returnBoard.stuff, mirror.stuff],
            mm: roundMm(results),
            // Whatever comes out is seen in the glass.
            fine: true,
          },
        ],
      };
};
