import type { CornerJoint, Fastener } from './types.js';

/** What a joint means for the members that it joins. */
export interface JointMake {
  readonly name: string;
  readonly ends: 'square' | 'mitre';
  /** Of the thickness of a through member, cut away at its ends to take the member between. */
  readonly lapShare: number;
  /** What holds it besides glue. */
  readonly fastener: Fastener['kind'] | 'spline' | null;
  /** How it is put together, in a sentence. */
  readonly howTo: string;
}

/** Every corner joint by its name. */
export const cornerJoints: Readonly<Record<CornerJoint, JointMake>> = {
  butt: {
    name: 'butt, screwed',
    ends: 'square',
    lapShare: 0,
    fastener: 'screw',
    howTo: 'Glue, and screw through the long members into the ends of the short ones; pilot holes first.',
  },
  rabbet: {
    name: 'rabbeted and screwed',
    ends: 'square',
    lapShare: 0.5,
    fastener: 'screw',
    howTo: 'The short members stand in the end rabbets of the long ones; glue, and screw from outside.',
  },
  'pocket-screws': {
    name: 'butt, pocket screws',
    ends: 'square',
    lapShare: 0,
    fastener: 'pocket-screw',
    howTo: 'Pockets on the inner side of the short members; clamp flush before each screw goes in.',
  },
  dowels: {
    name: 'butt, dowelled',
    ends: 'square',
    lapShare: 0,
    fastener: 'dowel',
    howTo: 'Dowels glued in both; drill with a jig from the front edges, and clamp.',
  },
  mitre: {
    name: 'mitre',
    ends: 'mitre',
    lapShare: 0,
    fastener: null,
    howTo: 'Glue twice on the end grain, and draw together with a band; a plain mitre is weak.',
  },
  'mitre-spline': {
    name: 'mitre with a spline',
    ends: 'mitre',
    lapShare: 0,
    fastener: 'spline',
    howTo: 'Splines with the grain across the joint, glued in the slots; draw together with a band.',
  },
  'mitre-tenon': {
    name: 'mitre with loose tenons',
    ends: 'mitre',
    lapShare: 0,
    fastener: 'tenon',
    howTo: 'Loose tenons glued in both; draw together with a band.',
  },
};
