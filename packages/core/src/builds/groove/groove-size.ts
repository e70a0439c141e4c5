import type { Strip } from '../../document/catalogue/index.js';
import { allStrips, type GrooveMaterials } from './materials.js';
import type { GrooveDesign } from './schema.js';
import type { LineCover } from '../../light/line/index.js';

/** Under a groove stay so many mm, and this share of the sheet; typical. */
export const thinnestFloorMm = 1.5;
const floorShare = 0.25;

/** What should be left under a groove in a sheet so thick (mm). */
export const leastFloorMm = (sheetMm: number): number => Math.max(thinnestFloorMm, floorShare * sheetMm);

/** What lies in a groove, across it (mm). */
export interface InGroove {
  readonly what: string;
  readonly mm: number;
}

/** A groove and what of it is lit, in mm. */
export interface GrooveSize {
  readonly widthMm: number;
  readonly depthMm: number;
  /** As wide and as deep as what lies in it asks for. */
  readonly wantedMm: number;
  readonly wantedDepthMm: number;
  /** Everything that lies in it, the widest first. */
  readonly holds: readonly InGroove[];
  /** What of the strip lies across the groove, and what of it stands up in it. */
  readonly stripAcrossMm: number;
  readonly stripHighMm: number;
  /** As wide as it shines, what over it, and how far that stands before the face. */
  readonly litMm: number;
  readonly cover: LineCover;
  readonly proudMm: number;
  /** From the face of the strip to what is seen to shine. */
  readonly overStripMm: number;
  /** The tightest bow that all that lies in it takes. */
  readonly bendRadiusMm: number;
}

/** Bare strip lies so far under the face, so that it is not touched (mm); typical. */
const bareUnderMm = 4;
/** A soldered joint is a little wider than strip, a clip or a plug much (mm); typical. */
const solderOverMm = 0.5;
/** On its edge strip bends the way it likes to: half as tight again as flat; typical. */
const onEdgeTighter = 0.5;

/** What a groove holds and how large that makes it; a width or a depth that the design states stands. */
export const grooveSize = (
  groove: GrooveDesign,
  materials: Pick<GrooveMaterials, 'strip' | 'layers' | 'cover' | 'sheet'>,
): GrooveSize => {
  const { cover, sheet } = materials;
  const strips = allStrips(materials);
  const most = (of: (strip: Strip) => number): number => Math.max(...strips.map(of));
  const edge = groove.lies === 'edge';
  // One bit cuts all grooves: as wide and as deep as the largest strip asks for.
  const stripAcrossMm = most(({ heightMm, widthMm }) => (edge ? heightMm : widthMm));
  const stripHighMm = most(({ heightMm, widthMm }) => (edge ? widthMm : heightMm));
  const holds = [
    { what: 'the strip', mm: stripAcrossMm },
    { what: 'a soldered joint', mm: stripAcrossMm + solderOverMm },
    ...(cover === null
      ? []
      : [
          { what: cover.form === 'tube' ? 'the tube' : 'the cover', mm: cover.widthMm },
          { what: 'its end cap', mm: cover.capWidthMm },
        ]),
  ].sort((one, other) => other.mm - one.mm);
  const wantedMm = holds[0]!.mm + groove.clearanceMm;
  const under =
    cover === null
      ? stripHighMm + (sheet.clear ? 0 : bareUnderMm)
      : cover.form === 'tube'
        ? cover.heightMm - cover.proudMm
        : stripHighMm + cover.overStripMm + cover.heightMm - cover.proudMm;
  const widthMm = groove.widthMm ?? wantedMm;
  const depthMm = groove.depthMm ?? under;
  return {
    widthMm,
    depthMm,
    wantedMm,
    wantedDepthMm: under,
    holds,
    stripAcrossMm,
    stripHighMm,
    litMm: cover === null ? widthMm : Math.min(cover.litMm, widthMm),
    cover: cover === null ? 'bare' : cover.form === 'flat' ? 'flat' : 'dome',
    // What does not go in as deep as it should stands out the more.
    proudMm: cover === null ? 0 : Math.max(0, cover.proudMm + under - depthMm),
    overStripMm:
      cover !== null
        ? cover.overStripMm
        : sheet.clear
          ? Math.max(0.5, sheet.thicknessMm - depthMm)
          : Math.max(0.2, depthMm - stripHighMm),
    bendRadiusMm: Math.max(
      most(({ bendRadiusMm }) => bendRadiusMm) * (edge ? onEdgeTighter : 1),
      cover?.bendRadiusMm ?? 0,
    ),
  };
};
