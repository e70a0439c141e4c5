import { moveOutline, type Rect, type Ring } from '../../base/outlines/index.js';
import { failure, success, type Problem, type Result } from '../../base/result.js';
import { fieldsOf, pathOf } from '../../document/design/index.js';
import type { SheetSize, SignGeometry } from '../../light/geometry/index.js';
import type { Member } from '../../joinery/members/index.js';
import { baseGeometry, type BaseGeometry } from './base-geometry.js';
import { framedGeometry, type FramedGeometry } from './framed-geometry.js';
import type { PanelMaterials } from './materials.js';
import type { EdgeLitAssembly } from './schema.js';
import { outlinedSheet, type OutlinedSheet } from './sheet-outline.js';

const own = fieldsOf<EdgeLitAssembly>();

/**
 * An edge-lit sheet with its holder, in mm: x right, y up from the middle of both together; z from the rear face of the
 * sheet toward the viewer.
 */
export interface PanelGeometry extends SignGeometry {
  readonly sheet: Rect;
  /** Its outline: the rectangle of `sheet` with round corners, or a drawing that just fits into it. */
  readonly ring: Ring;
  /** The straight part of each lit edge, from the lower left corner of the sheet. */
  readonly straight: OutlinedSheet['straight'];
  readonly thicknessMm: number;
  /** What is seen of the sheet from the front. */
  readonly seen: Rect;
  readonly rearZMm: number;
  readonly frontZMm: number;
  /** From the edge to where the strip’s back lies (mm). */
  readonly bedMm: number;
  readonly holder: BaseGeometry | FramedGeometry;
}

/** The members of a holder that has some. */
export const membersIn = ({ holder }: PanelGeometry): readonly Member[] =>
  holder.kind === 'base' ? [] : holder.members;

/** What closes a holder: a lid, a bottom; nothing of a frame. */
export const closingIn = ({ holder }: PanelGeometry): SheetSize | null => holder.closing;

/** From the edge of the sheet to the back of the strip: the gap and the strip’s own height (mm). */
const bedOf = ({ light }: EdgeLitAssembly, { strip }: PanelMaterials): number => light.gapMm + strip.heightMm;

const moved = (ring: Ring, { x, y }: Rect): Ring => moveOutline([ring], x, y)[0]!;

/** Sizes of an edge-lit sheet in its holder; fails where they contradict each other, with the field. */
export const panelGeometry = (assembly: EdgeLitAssembly, materials: PanelMaterials): Result<PanelGeometry> => {
  const { sheet, holder } = assembly;
  const bedMm = bedOf(assembly, materials);
  const problems: Problem[] = [];
  const corner = sheet.cornerMm ?? 0;
  // A drawn outline has its own corners.
  if ((sheet.outline ?? null) === null && 2 * corner > Math.min(sheet.widthMm, sheet.heightMm))
    problems.push({
      path: pathOf(own.sheet.cornerMm),
      message: `rounds more than there is; ${Math.floor(Math.min(sheet.widthMm, sheet.heightMm) / 2)} mm is the most here`,
    });
  if (problems.length > 0) return failure(...problems);
  const thicknessMm = materials.pane.thicknessMm;
  const outlined = outlinedSheet(assembly);
  if (!outlined.ok) return outlined;
  const { ring, straight, root } = outlined.value;
  if (holder.kind === 'base') {
    const found = baseGeometry({ ...sheet, widthMm: root.toMm - root.fromMm }, holder, materials, bedMm);
    if (!found.ok) return found;
    const heightMm = found.value.heightMm + sheet.heightMm - holder.slotMm;
    const low = -heightMm / 2 + found.value.heightMm;
    // What stands in the slot stands over the middle of the base.
    const x = -(root.fromMm + root.toMm) / 2;
    const place = { x, y: low - holder.slotMm, width: sheet.widthMm, height: sheet.heightMm };
    const widthMm = Math.max(2 * Math.max(-x, x + sheet.widthMm), found.value.lengthMm);
    return success({
      outside: { widthMm, heightMm, depthMm: holder.depthMm },
      sheet: place,
      ring: moved(ring, place),
      straight,
      thicknessMm,
      seen: { ...place, y: low, height: sheet.heightMm - holder.slotMm },
      rearZMm: thicknessMm / 2 - holder.depthMm / 2,
      frontZMm: thicknessMm / 2 + holder.depthMm / 2,
      bedMm,
      holder: found.value,
    });
  }
  const found = framedGeometry(sheet, holder, materials, bedMm);
  if (!found.ok) return found;
  const { outside, inside, frontZMm } = found.value;
  const place = { x: -sheet.widthMm / 2, y: -sheet.heightMm / 2, width: sheet.widthMm, height: sheet.heightMm };
  return success({
    outside: { ...outside, depthMm: holder.depthMm },
    sheet: place,
    ring: moved(ring, place),
    straight,
    thicknessMm,
    seen: { x: -inside.widthMm / 2, y: -inside.heightMm / 2, width: inside.widthMm, height: inside.heightMm },
    rearZMm: frontZMm - holder.depthMm,
    frontZMm,
    bedMm,
    holder: found.value,
  });
};
