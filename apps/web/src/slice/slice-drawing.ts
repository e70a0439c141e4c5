import { buildOf, type AssemblyEvaluation, type Ring, type Section } from '@vitrum/core';
import type { Size } from '../job/use-size';

/**
 * The slice lies on its back, as on the bench: the sign's top at the left, its face upward. px = origin + mm × scale.
 */
export interface SliceDrawing {
  readonly section: Section;
  readonly scale: number;
  readonly left: number;
  /** Screen y of the face's front. */
  readonly faceY: number;
  readonly widthPx: number;
  /** What of its height is drawn. */
  readonly lowMm: number;
  readonly highMm: number;
  readonly rearZMm: number;
  readonly frontZMm: number;
}

const profileRoom = 76;
const sideRoom = 46;
const belowRoom = 30;

/** Fits the section under its luminance profile; `held` keeps a scale while a handle is dragged. */
export const sliceDrawing = (section: Section, size: Size, held: number | null): SliceDrawing => {
  const { rearZMm, frontZMm } = section.near ?? section;
  const depth = frontZMm - rearZMm;
  const lowMm = section.near?.lowMm ?? -section.heightMm / 2;
  const highMm = section.near?.highMm ?? section.heightMm / 2;
  const fit = Math.min((size.width - 2 * sideRoom) / (highMm - lowMm), (size.height - profileRoom - belowRoom) / depth);
  const scale = held ?? Math.max(0.02, fit);
  const widthPx = (highMm - lowMm) * scale;
  return {
    section,
    scale,
    left: Math.max(sideRoom, (size.width - widthPx) / 2),
    faceY: profileRoom,
    widthPx,
    lowMm,
    highMm,
    rearZMm,
    frontZMm,
  };
};

/** A point of the section (z, y) on the screen. */
export const onSlice = (
  { scale, left, faceY, highMm, frontZMm }: SliceDrawing,
  z: number,
  y: number,
): readonly [number, number] => [left + (highMm - y) * scale, faceY + (frontZMm - z) * scale];

export const ringPath = (drawing: SliceDrawing, ring: Ring): string =>
  `M${ring
    .map(([z, y]) =>
      onSlice(drawing, z, y)
        .map((value) => value.toFixed(1))
        .join(' '),
    )
    .join('L')}Z`;

/** Luminance down the slice: screen points and the values they stand for. */
export interface Profile {
  readonly path: string;
  readonly topCdM2: number;
  readonly lowCdM2: number;
}

const profileHeight = 40;

/** The luminance of an assembly along the slice at `xMm`, drawn above it; the baseline is zero. */
export const luminanceProfile = (
  drawing: SliceDrawing,
  { glow: { grid, luminance, letters, evenness }, front: { profile } }: AssemblyEvaluation,
  xMm: number,
): Profile => {
  const column = Math.min(grid.columns - 1, Math.max(0, Math.floor((xMm - grid.area.x) / grid.cellWidthMm)));
  const top = Math.max(1e-9, evenness.maxCdM2);
  // Letters in front of a lit wall hide it; beside lit letters there is no light.
  const isHidden = (share: number): boolean =>
    (profile === 'round-letters' && share > 0.5) || (profile === 'letters' && share < 0.5);
  const rows = Array.from({ length: grid.rows }, (_, row) => {
    const cell = row * grid.columns + column;
    const y = grid.area.y + (row + 0.5) * grid.cellHeightMm;
    return { y, value: isHidden(letters[cell] ?? 0) ? 0 : (luminance[cell] ?? 0) };
  });
  const values = rows.map(({ value }) => value);
  const drawn = rows.filter(({ y }) => y >= drawing.lowMm && y <= drawing.highMm);
  const points = drawn.map(({ y, value }) => {
    const [x] = onSlice(drawing, 0, y);
    return `${x.toFixed(1)} ${(drawing.faceY - 14 - (value / top) * profileHeight).toFixed(1)}`;
  });
  return {
    path: `M${points.join('L')}`,
    topCdM2: Math.max(0, ...values),
    lowCdM2: values.length === 0 ? 0 : Math.min(...values),
  };
};

/** The widest half beam that is drawn (degrees). */
const widestBeamDeg = 80;

/** The half beams of the LEDs that the slice meets. */
export const lightCones = (drawing: SliceDrawing, own: AssemblyEvaluation): readonly string[] => {
  const spread = Math.tan(Math.min(widestBeamDeg, own.materials.strip.beamAngleDeg / 2) * (Math.PI / 180));
  return buildOf(own)
    .cones(own, drawing.section, spread)
    .map((ring) => ringPath(drawing, ring));
};
