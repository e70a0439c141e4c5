import { moveOutline, outlineBounds, turnedOver, type Outline } from '../../base/outlines/index.js';
import {
  box,
  dashed,
  faint,
  ink,
  measured,
  polyline,
  signal,
  text,
  type Template,
  type Tile,
} from '../../making/templates/index.js';
import { beadAtMm, gluedMirror } from './glued-mirror.js';
import type { FrameResults } from './results.js';

const one = (mm: number): string => `${Math.round(mm * 10) / 10}`;

/** A mirror as it lies on its face, its lower left corner at (0, 0): left is right. */
const seenFromBehind = (outline: Outline, widthMm: number, heightMm: number): Outline =>
  turnedOver(moveOutline(outline, widthMm / 2, heightMm / 2), widthMm);

const drawOpenings = (tile: Tile, { lettering, geometry }: FrameResults): void => {
  for (const ring of seenFromBehind(lettering.outline, geometry.face.widthMm, geometry.face.heightMm))
    polyline(tile, ring, true, signal);
};

/** What lies behind the mirror: where its glue goes, what the frame covers, its inner frame. */
const drawBehind = (tile: Tile, results: FrameResults): void => {
  const { face, inside, block } = results.geometry;
  const { widthMm, heightMm } = face;
  const ring = (inMm: number): void => {
    dashed(tile, inMm, inMm, widthMm - inMm, inMm);
    dashed(tile, widthMm - inMm, inMm, widthMm - inMm, heightMm - inMm);
    dashed(tile, widthMm - inMm, heightMm - inMm, inMm, heightMm - inMm);
    dashed(tile, inMm, heightMm - inMm, inMm, inMm);
  };
  ring((widthMm - inside.widthMm) / 2);
  if (gluedMirror(results)) {
    const bead = beadAtMm(results);
    ring(bead);
    text(tile, `middle of the glue, ${one(bead)} from the edge`, bead + 2, bead + 2, 7, faint);
  }
  if (block !== null) {
    box(tile, widthMm / 2 - block.x1, heightMm / 2 + block.y0, block.x1 - block.x0, block.y1 - block.y0, faint);
    text(tile, 'inner frame', widthMm / 2 - block.x1 + 3, heightMm / 2 + block.y0 + 3, 7, faint);
  }
};

/** The mirror at true size from behind: to cut the mask by, to lay glue and inner frame by. */
export const mirrorTemplate = (results: FrameResults): Template => {
  const { widthMm, heightMm } = results.geometry.face;
  const { name } = results.design;
  return {
    title: `${name}: mirror template`,
    heading: `${name} - mirror, seen from behind`,
    widthMm,
    heightMm,
    draw: (tile) => {
      box(tile, 0, 0, widthMm, heightMm);
      drawOpenings(tile, results);
      drawBehind(tile, results);
    },
  };
};

/** Room for sizes round a drawing to send, as a share of what is drawn. */
const marginShare = 0.14;

/** What a glass shop is sent: outline, openings, their sizes, what is to be done, on one page. */
export const glassDrawing = (results: FrameResults): Template => {
  const { geometry, design, assembly, materials, lettering } = results;
  const { widthMm, heightMm, thicknessMm } = geometry.face;
  const { band, kind } = assembly.shows;
  const around = marginShare * Math.max(widthMm, heightMm);
  const placed = (outline: Outline): Outline => moveOutline(outline, around, around);
  const openings = placed(seenFromBehind(lettering.outline, widthMm, heightMm));
  const bounds = outlineBounds(openings);
  return {
    title: `${design.name}: glass drawing`,
    heading: `${design.name} - mirror as seen from BEHIND`,
    widthMm: widthMm + 2 * around,
    heightMm: heightMm + 2 * around,
    draw: (tile) => {
      const [right, top] = [around + widthMm, around + heightMm];
      box(tile, around, around, widthMm, heightMm, ink);
      for (const ring of openings) polyline(tile, ring, true, signal);
      measured(tile, [around, around * 0.6], [right, around * 0.6], one(widthMm));
      measured(
        tile,
        [around + widthMm + around * 0.35, around],
        [around + widthMm + around * 0.35, top],
        one(heightMm),
      );
      if (kind === 'lit-mirror') {
        const y = around + heightMm / 2;
        measured(tile, [around, y], [around + band.insetMm, y], one(band.insetMm));
        measured(
          tile,
          [around + band.insetMm, y - heightMm / 8],
          [around + band.insetMm + band.widthMm, y - heightMm / 8],
          one(band.widthMm),
        );
      } else if (bounds !== null) {
        measured(tile, [around, top + around * 0.25], [bounds.x, top + around * 0.25], one(bounds.x - around));
        measured(
          tile,
          [bounds.x, top + around * 0.25],
          [bounds.x + bounds.width, top + around * 0.25],
          one(bounds.width),
        );
      }
      const notes = [
        `${materials.mirror?.name ?? ''}, ${one(thicknessMm)} mm; edges ground and polished all round; tolerance +0 / -1`,
        `Within the coloured outline: silver and paint off, glass frosted${kind === 'lit-mirror' && (band.cornerMm ?? 0) > 0 ? `; outer corners of the band R ${one(band.cornerMm ?? 0)}` : ''}. Drawing file: parts/face.dxf, mirrored as here`,
      ];
      // Lines stand apart by what is read on the paper, at whatever scale.
      const onPaper = 1 / (tile.scale ?? 1);
      notes.forEach((note, index) => text(tile, note, around * 0.2, around * 0.6 - (6 + 4.5 * index) * onPaper, 8));
    },
  };
};
