import type { BoxEvaluation, Evaluation, FaceLitEvaluation, HaloEvaluation, Ring } from '@vitrum/core';
import type { Size } from './use-size';

/**
 * The slice lies on its back, as on the bench: the piece's top at the left, its face upward. px = origin + mm × scale.
 */
export interface SliceDrawing {
  readonly scale: number;
  readonly left: number;
  /** Screen y of the face's front. */
  readonly faceY: number;
  readonly widthPx: number;
}

const profileRoom = 76;
const sideRoom = 46;
const belowRoom = 30;

/** Fits the section under its luminance profile; `held` keeps a scale while a handle is dragged. */
export const sliceDrawing = ({ section }: Evaluation, size: Size, held: number | null): SliceDrawing => {
  const depth = section.frontZMm - section.rearZMm;
  const fit = Math.min((size.width - 2 * sideRoom) / section.heightMm, (size.height - profileRoom - belowRoom) / depth);
  const scale = held ?? Math.max(0.02, fit);
  const widthPx = section.heightMm * scale;
  return { scale, left: Math.max(sideRoom, (size.width - widthPx) / 2), faceY: profileRoom, widthPx };
};

/** A point of the section (z, y) on the screen. */
export const onSlice = (
  drawing: SliceDrawing,
  evaluation: Evaluation,
  z: number,
  y: number,
): readonly [number, number] => [
  drawing.left + (evaluation.section.heightMm / 2 - y) * drawing.scale,
  drawing.faceY + (evaluation.section.frontZMm - z) * drawing.scale,
];

export const ringPath = (drawing: SliceDrawing, evaluation: Evaluation, ring: Ring): string =>
  `M${ring
    .map(([z, y]) =>
      onSlice(drawing, evaluation, z, y)
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

/** The face's luminance along the slice at `xMm`, drawn above it; the baseline is zero. */
export const luminanceProfile = (drawing: SliceDrawing, evaluation: Evaluation, xMm: number): Profile => {
  const { grid, luminance: ground, letters, evenness } = evaluation.glow;
  const column = Math.min(grid.columns - 1, Math.max(0, Math.floor((xMm - grid.area.x) / grid.cellWidthMm)));
  const top = Math.max(1e-9, evenness.maxCdM2);
  const hides = evaluation.build === 'halo';
  const shows = evaluation.build === 'face-lit';
  const half = evaluation.section.heightMm / 2;
  const rows = Array.from({ length: grid.rows }, (_, row) => {
    const cell = row * grid.columns + column;
    const y = grid.area.y + (row + 0.5) * grid.cellHeightMm;
    // Letters in front of a lit wall hide it; beside lit letters there is no light.
    return {
      y,
      value: (hides && (letters[cell] ?? 0) > 0.5) || (shows && (letters[cell] ?? 0) < 0.5) ? 0 : (ground[cell] ?? 0),
    };
  }).filter(({ y }) => Math.abs(y) <= half);
  const values = rows.map(({ value }) => value);
  const points = rows.map(({ y, value }) => {
    const [x] = onSlice(drawing, evaluation, 0, y);
    return `${x.toFixed(1)} ${(drawing.faceY - 14 - (value / top) * profileHeight).toFixed(1)}`;
  });
  return { path: `M${points.join('L')}`, topCdM2: Math.max(...values), lowCdM2: Math.min(...values) };
};

/** Half-beam cones of the LEDs on the back of a box that the slice meets, up to the face, clipped by the returns. */
const boxCones = (drawing: SliceDrawing, evaluation: BoxEvaluation, spread: number): readonly string[] => {
  const { runs, geometry } = evaluation;
  const half = geometry.inside.heightMm / 2;
  const { depthMm } = geometry.inside;
  return runs.segments
    .filter(({ on }) => on === 'back')
    .map(({ from }) => {
      const reach = (depthMm - from[2]) * spread;
      const [high, low] = [Math.min(half, from[1] + reach), Math.max(-half, from[1] - reach)];
      // Where a return cuts the cone, its edge runs up the return.
      const zAt = (y: number): number => from[2] + Math.abs(y - from[1]) / spread;
      const ring: Ring = [
        [from[2], from[1]],
        [zAt(high), high],
        [depthMm, high],
        [depthMm, low],
        [zAt(low), low],
      ];
      return ringPath(drawing, evaluation, ring);
    });
};

/** Half-beam cones of LEDs that face the wall, down to it. */
const haloCones = (drawing: SliceDrawing, evaluation: HaloEvaluation, spread: number): readonly string[] => {
  const { ledZMm } = evaluation.geometry;
  return evaluation.section.shapes
    .filter(({ role }) => role === 'strip')
    .map(({ ring }) => {
      const ys = ring.map(([, y]) => y);
      const y = (Math.min(...ys) + Math.max(...ys)) / 2;
      const reach = ledZMm * spread;
      return ringPath(drawing, evaluation, [
        [ledZMm, y],
        [0, y + reach],
        [0, y - reach],
      ]);
    });
};

/** Half-beam cones of LEDs in letter-shaped cases, up to the face, within their own stroke. */
const canCones = (drawing: SliceDrawing, evaluation: FaceLitEvaluation, spread: number): readonly string[] => {
  const { ledZMm, depthInsideMm } = evaluation.geometry;
  const spans = (role: 'strip' | 'face') =>
    evaluation.section.shapes
      .filter((shape) => shape.role === role)
      .map(({ ring }) => ring.map(([, y]) => y))
      .map((ys) => [Math.min(...ys), Math.max(...ys)] as const);
  const faces = spans('face');
  return spans('strip').flatMap(([low, high]) => {
    const y = (low + high) / 2;
    const own = faces.find(([from, to]) => y > from && y < to);
    if (own === undefined) return [];
    const reach = (depthInsideMm - ledZMm) * spread;
    const [bottom, top] = [Math.max(own[0], y - reach), Math.min(own[1], y + reach)];
    const zAt = (at: number): number => ledZMm + Math.abs(at - y) / spread;
    return ringPath(drawing, evaluation, [
      [ledZMm, y],
      [zAt(top), top],
      [depthInsideMm, top],
      [depthInsideMm, bottom],
      [zAt(bottom), bottom],
    ]);
  });
};

/** The half beams of the LEDs that the slice meets. */
export const lightCones = (drawing: SliceDrawing, evaluation: Evaluation): readonly string[] => {
  const spread = Math.tan(Math.min(80, evaluation.materials.strip.beamAngleDeg / 2) * (Math.PI / 180));
  switch (evaluation.build) {
    case 'lightbox':
      return boxCones(drawing, evaluation, spread);
    case 'halo':
      return evaluation.assembly.light.standing ? [] : haloCones(drawing, evaluation, spread);
    case 'face-lit':
      return canCones(drawing, evaluation, spread);
  }
};
