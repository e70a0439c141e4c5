import {
  cutsThrough,
  isCurrent,
  toolIn,
  type Catalogue,
  type Stuff,
  type Tool,
  type Workpiece,
} from '../../document/catalogue/index.js';
import type { CutPart } from '../../making/parts/index.js';

/** Smaller pieces of plain board are sawn (mm, the shorter side). */
const leastSideMm = 80;

/** What a part is cut from, where that is a sheet. */
const stuffOf = ({ materialId }: CutPart, { boards, faces, panes }: Catalogue): Stuff | null => {
  const board = boards.find(({ id }) => id === materialId);
  if (board !== undefined) return board.form === 'bar' ? null : board.stuff;
  if (faces.some(({ id }) => id === materialId)) return 'acrylic';
  return panes.find(({ id }) => id === materialId)?.stuff ?? null;
};

const onBed = ({ widthMm, heightMm }: CutPart, { bedWidthMm, bedHeightMm }: Tool): boolean =>
  Math.max(widthMm, heightMm) <= Math.max(bedWidthMm, bedHeightMm) &&
  Math.min(widthMm, heightMm) <= Math.min(bedWidthMm, bedHeightMm);

const followsLines = ({ kind, engraves, cutMm }: Tool): boolean =>
  (kind === 'beam' || kind === 'bit') && engraves === undefined && cutMm > 0;

const isSheetPart = ({ stock, member, widthMm, heightMm }: CutPart): boolean =>
  member === undefined &&
  (stock === 'face' || ((stock === 'board' || stock === 'panel') && Math.min(widthMm, heightMm) >= leastSideMm));

/**
 * What a face or a panel can be cut with that its build does not name a tool for: `preferred` where it gets through it, else the
 * shop’s finest that does and whose bed takes it. Null where there is none, or the part is sawn.
 */
export const toolFor = (part: CutPart, preferred: Tool, catalogue: Catalogue): Tool | null => {
  const stuff = isSheetPart(part) ? stuffOf(part, catalogue) : null;
  if (stuff === null) return null;
  const workpiece: Workpiece = { stuff, thicknessMm: part.thicknessMm, name: part.materialName };
  const able = [preferred, ...catalogue.tools.filter(isCurrent)].filter(
    (tool) => followsLines(tool) && cutsThrough(tool, workpiece) && onBed(part, tool),
  );
  const found = able.includes(preferred) ? preferred : [...able].sort((a, b) => a.cutMm - b.cutMm)[0];
  return found === undefined ? null : toolIn(found, workpiece);
};
