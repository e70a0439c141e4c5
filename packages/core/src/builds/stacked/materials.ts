import { failure, success, type Problem, type Result } from '../../base/result.js';
import {
  findCoats,
  findItem,
  foundAll,
  lightProblems,
  toolIn,
  type Catalogue,
  type Coats,
  type CommonMaterials,
  type FaceSheet,
  type Lining,
} from '../../document/catalogue/index.js';
import { glows, sheetStock, type SheetStock } from '../common/sheet-stock.js';
import type { StackedAssembly } from './schema.js';

/** The catalogue items that stacked plates name. */
export interface StackedMaterials extends CommonMaterials {
  readonly base: SheetStock;
  /** From the base up. */
  readonly rings: readonly SheetStock[];
  readonly lid: SheetStock;
  readonly inlay: SheetStock;
  /** What is let in as light sees it, and what is laid under it. */
  readonly face: FaceSheet;
  readonly faceCoats: readonly Coats[];
  readonly lining: Lining;
}

/** What plates are cut with unless a design says otherwise. */
export const usualPlateTool = 'laser';

const opaque = (found: Result<SheetStock>, path: string): Result<SheetStock> =>
  found.ok && glows(found.value)
    ? failure({ path, message: `is ${found.value.name}, which lets light through; take a board` })
    : found;

/** Finds every item that stacked plates name; each unknown id, and each sheet that will not do in its place, becomes a problem with its field. */
export const findStackedMaterials = (
  { plates, lid, light, artwork }: StackedAssembly,
  catalogue: Catalogue,
): Result<StackedMaterials> => {
  const rings = plates.rings.map(({ materialId }, at) =>
    sheetStock(materialId, catalogue, `plates.rings.${at}.materialId`),
  );
  const wrong = rings.flatMap((each): readonly Problem[] => (each.ok ? [] : each.problems));
  const found = foundAll<Omit<StackedMaterials, 'workpiece' | 'rings'>>({
    strip: findItem(catalogue.strips, light.stripId, 'light.stripId'),
    tool: findItem(catalogue.tools, artwork.toolId ?? usualPlateTool, 'artwork.toolId'),
    base: opaque(sheetStock(plates.baseId, catalogue, 'plates.baseId'), 'plates.baseId'),
    lid: opaque(sheetStock(lid.materialId, catalogue, 'lid.materialId'), 'lid.materialId'),
    inlay: sheetStock(lid.inlay.materialId, catalogue, 'lid.inlay.materialId'),
    face: findItem(catalogue.faces, lid.inlay.materialId, 'lid.inlay.materialId'),
    faceCoats: findCoats(lid.coats, catalogue, 'lid.coats'),
    lining: findItem(catalogue.linings, plates.liningId, 'plates.liningId'),
  });
  if (!found.ok) return failure(...found.problems, ...wrong);
  if (wrong.length > 0) return failure(...wrong);
  const { face, faceCoats, tool, lid: board } = found.value;
  const unlit = lightProblems(face, faceCoats, null, 'lid');
  if (unlit.length > 0) return failure(...unlit);
  const workpiece = { stuff: board.stuff, thicknessMm: board.thicknessMm, name: board.name };
  return success({
    ...found.value,
    rings: rings.flatMap((each) => (each.ok ? [each.value] : [])),
    tool: toolIn(tool, workpiece),
    workpiece,
  });
};
