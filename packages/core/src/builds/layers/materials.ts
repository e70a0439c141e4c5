import { failure, success, type Problem, type Result } from '../../base/result.js';
import { toolIn, type Catalogue, type Spacer } from '../../document/catalogue/index.js';
import { linearOf, luminanceOf } from '../../light/glow/index.js';
import { meanRgb, type Picture } from '../common/picture.js';
import { glows, sheetStock, type SheetStock } from '../common/sheet-stock.js';
import { findBoxMaterials, type BoxMaterials } from '../boxes/materials.js';
import type { LayersAssembly, SheetDesign } from './schema.js';
import { findTrim, type Trim } from './trim.js';

/** The catalogue items that a scene names: those of its case, its sheets from back to front, and what holds them apart. */
export interface LayersMaterials extends BoxMaterials {
  readonly sheets: readonly SheetStock[];
  /** What is let into each of them; null where nothing is. */
  readonly inlays: readonly (SheetStock | null)[];
  readonly spacers: readonly Spacer[];
  /** What combs are cut from; null where there are none. */
  readonly combs: SheetStock | null;
  /** Round its front; null where there is none. */
  readonly trim: Trim | null;
}

/** What sheets are cut with unless a design says otherwise. */
export const usualSheetTool = 'laser';

/** White paint behind a sheet, typical. */
export const whiteReflects = 0.85;

/** Finds every item that a scene names; each unknown id becomes a problem with its field. */
export const findLayersMaterials = (assembly: LayersAssembly, catalogue: Catalogue): Result<LayersMaterials> => {
  const boxed = findBoxMaterials(
    { ...assembly, artwork: { ...assembly.artwork, toolId: assembly.artwork.toolId ?? usualSheetTool } },
    catalogue,
  );
  if (!boxed.ok) return boxed;
  const found = assembly.scene.sheets.map((sheet, at) =>
    sheetStock(sheet.materialId, catalogue, `scene.sheets.${at}.materialId`),
  );
  const letIn = assembly.scene.sheets.map(({ shape, inlay }, at): Result<SheetStock | null> =>
    shape === 'lettered' && inlay
      ? sheetStock(inlay.materialId, catalogue, `scene.sheets.${at}.inlay.materialId`)
      : success(null),
  );
  const { combs: wanted } = assembly.scene;
  const combs = wanted ? sheetStock(wanted.materialId, catalogue, 'scene.combs.materialId') : success(null);
  const trim = findTrim(assembly, boxed.value.returnBoard.thicknessMm, catalogue);
  const problems = [...found, ...letIn, combs, trim].flatMap((each): readonly Problem[] =>
    each.ok ? [] : each.problems,
  );
  if (problems.length > 0) return failure(...problems);
  const sheets = found.flatMap((each) => (each.ok ? [each.value] : []));
  const inlays = letIn.map((each) => (each.ok ? each.value : null));
  const thickest = [...sheets].sort((a, b) => b.thicknessMm - a.thicknessMm)[0];
  const workpiece =
    thickest === undefined
      ? boxed.value.workpiece
      : { stuff: thickest.stuff, thicknessMm: thickest.thicknessMm, name: thickest.name };
  const tool = catalogue.tools.find(({ id }) => id === boxed.value.tool.id) ?? boxed.value.tool;
  return success({
    ...boxed.value,
    tool: toolIn(tool, workpiece),
    workpiece,
    sheets,
    inlays,
    spacers: catalogue.spacers,
    combs: combs.ok ? combs.value : null,
    trim: trim.ok ? trim.value : null,
  });
};

/** What a sheet gives back on either side: paint on a board, the stuff itself of what glows. */
export const reflectsOf = (
  { colour, whiteBehind }: Pick<SheetDesign, 'colour' | 'whiteBehind'>,
  stock: SheetStock,
  print: Picture | null = null,
): { readonly front: number; readonly rear: number } => {
  if (glows(stock)) return { front: stock.reflects, rear: stock.reflects };
  const front = print === null ? luminanceOf(linearOf(colour)) : luminanceOf(meanRgb(print.passes));
  return { front, rear: (whiteBehind ?? true) ? whiteReflects : front };
};
