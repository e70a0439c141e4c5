import { set } from '../../document/design/index.js';
import { opensWith, type CornerJoint } from '../../joinery/members/index.js';
import { fieldsIn } from '../../judging/results/index.js';
import type { Candidate, Rule } from '../../judging/findings/index.js';
import { faceOutOf } from '../boxes/way-out.js';
import type { FrameResults } from './results.js';

const shutIn = ({ assembly: { case: box, shows } }: FrameResults): number =>
  shows.kind !== 'lit-mirror' && box.retention === 'groove' && ['never', 'lip-back'].includes(faceOutOf(box)) ? 1 : 0;

/** A print or a tile that is to be changed, in grooves whose corners are glued. */
export const showsShutIn: Rule<FrameResults> = ({ results }) => {
  if (shutIn(results) === 0) return null;
  const { case: box, shows } = results.assembly;
  const fields = fieldsIn(results);
  const what = shows.kind === 'print' ? 'print' : 'tile';
  const open = (out: 'top-off' | 'open-top', label: string): Candidate => {
    const joint: CornerJoint = opensWith[out].includes(box.cornerJoint) ? box.cornerJoint : 'butt';
    return { label, change: [set(fields.case.faceOut, out), set(fields.case.cornerJoint, joint)] };
  };
  const { face } = results.geometry;
  return {
    id: 'shows-shut-in',
    severity: 'note',
    step: 'case',
    what: `The ${what} cannot be changed`,
    why: `It stands in a groove all round, and ${faceOutOf(box) === 'never' ? 'the corners are glued' : 'the lip of the top is glued on'}: ${shows.kind === 'print' ? 'another print, or dust behind this one,' : 'another tile'} wants the frame sawn open.`,
    numbers: [{ label: 'sides that let it out', value: 0, unit: '' }],
    where: {
      view: 'front',
      rect: { x: -face.widthMm / 2, y: -face.heightMm / 2, width: face.widthMm, height: face.heightMm },
    },
    target: {
      label: 'shut in',
      better: 'lower',
      unit: '',
      read: shutIn,
      settled: (tried) => shutIn(tried) === 0,
    },
    remedies: [
      {
        id: 'let-out',
        candidates: [
          open('top-off', 'A top that comes off, screwed into inserts'),
          open('open-top', 'A top set back: it slides out upward'),
        ],
      },
    ],
  };
};
