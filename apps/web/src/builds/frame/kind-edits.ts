import { opalBehind, set, type DesignChange, type Fields, type FrameAssembly, type FrameKind } from '@vitrum/core';

const printed = [{ coatingId: 'poster-print', coats: 1 }];

/** Another kind of frame, with what goes with it: what light comes through, which sheets, where its strip runs. */
export const toKind = (
  at: Fields<FrameAssembly>,
  kind: FrameKind,
  { widthMm, heightMm }: Pick<FrameAssembly['case'], 'widthMm' | 'heightMm'>,
): DesignChange => [
  set(at.shows.kind, kind),
  set(at.artwork.mode, kind === 'print' ? 'opaque-letters' : 'lit-letters'),
  set(at.artwork.mirrored, kind !== 'print'),
  set(at.artwork.toolId, kind === 'print' ? 'film-knife' : 'blast'),
  set(at.face.coats, kind === 'print' ? printed : []),
  set(at.face.second, opalBehind(widthMm, heightMm)),
  set(at.light.layout, kind === 'lit-mirror' ? 'rim' : 'rows'),
  set(at.light.facing, 'front'),
];
