/** What lies over a line of strip: a flat cover, a half-round dome, or nothing. */
export type LineCover = 'flat' | 'dome' | 'bare';

/** The groove that strip lies in: its width, how deep the strip’s light lies under the face, and what its floor and walls give back. */
export interface GrooveSection {
  readonly widthMm: number;
  readonly depthMm: number;
  readonly floorReflects: number;
  readonly wallsReflect: number;
}
