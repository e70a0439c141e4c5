import { set, type DesignChange, type Fields } from '../../document/design/index.js';
import { bandChange, bandLight } from './inner-frame.js';
import type { FrameAssembly, FrameKind } from './schema.js';
import { opalBehindTile, opalWithin } from './sheets.js';

const printed = [{ coatingId: 'poster-print', coats: 1 }];

/** How each kind is held: a print and a tile come out again, a lit mirror is glued on. */
const held = {
  print: { retention: 'groove', cornerJoint: 'rabbet', faceOut: 'top-off' },
  'mirror-tile': { retention: 'groove', cornerJoint: 'butt', faceOut: 'open-top' },
  'lit-mirror': { retention: 'laid-on', cornerJoint: 'mitre-spline', faceOut: 'never' },
} as const;

/** Another kind of frame, with what goes with it: what light comes through, how it is held, which sheets, where its strip runs. */
export const toKind = (
  at: Fields<FrameAssembly>,
  kind: FrameKind,
  { shows: { band }, case: { widthMm, heightMm, depthInsideMm } }: Pick<FrameAssembly, 'shows' | 'case'>,
): DesignChange => {
  const hold = held[kind];
  return [
    set(at.shows.kind, kind),
    set(at.artwork.mode, kind === 'print' ? 'opaque-letters' : 'lit-letters'),
    set(at.artwork.mirrored, kind !== 'print'),
    set(at.artwork.toolId, kind === 'print' ? 'film-knife' : 'blast'),
    set(at.face.coats, kind === 'print' ? printed : []),
    set(at.case.retention, hold.retention),
    set(at.case.cornerJoint, hold.cornerJoint),
    set(at.case.faceOut, hold.faceOut),
    ...(kind === 'lit-mirror'
      ? [
          ...bandChange(at, bandLight({ widthMm, heightMm }, band, depthInsideMm)),
          // Glass is heavy: plates in a thin back would tear out.
          set(at.hanging, { way: 'brackets' as const }),
        ]
      : [
          set(at.case.block, null),
          set(at.light.layout, 'rows'),
          set(at.light.facing, 'front'),
          set(at.light.corners, 'cut'),
          set(at.face.second, kind === 'print' ? opalWithin(widthMm, heightMm) : opalBehindTile(widthMm, heightMm)),
        ]),
  ];
};
