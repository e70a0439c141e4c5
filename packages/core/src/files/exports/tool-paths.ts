import { buildOf } from '../../builds/index.js';
import type { Catalogue, Tool } from '../../document/catalogue/index.js';
import type { CutPart } from '../../making/parts/index.js';
import { toolpathPart } from '../../making/toolpaths/index.js';
import type { AssemblyEvaluation, Evaluation } from '../../sign/evaluate/index.js';
import { toolFor } from './tool-for.js';

/** A part named by its assembly, where there are several. */
const named = (own: AssemblyEvaluation, part: CutPart): CutPart => ({
  ...part,
  id: `${own.label === '' ? '' : `${own.id}-`}${part.id}`,
});

/** The tool that a part is cut with by a machine: that of its build, or one that the shop has for such a sheet; null where it is sawn. */
const toolOf = (part: CutPart, own: AssemblyEvaluation, catalogue: Catalogue): Tool | null => {
  const { tool } = own.materials;
  if (!buildOf(own).work.cutByTool(part)) return toolFor(part, tool, catalogue);
  const cutMm = part.kerfMm ?? tool.cutMm;
  return cutMm > 0 ? { ...tool, cutMm } : null;
};

/** What machines cut, with lines where the middle of the cut runs; the note names the tool. */
export const toolPaths = ({ assemblies }: Evaluation, catalogue: Catalogue): readonly CutPart[] =>
  assemblies.flatMap((own) =>
    own.cut.flatMap((part) => {
      const tool = toolOf(part, own, catalogue);
      if (tool === null) return [];
      const path = toolpathPart(named(own, part), tool);
      return [{ ...path, note: `for ${tool.name}; ${path.note}` }];
    }),
  );

/** Test pieces, cut with the middle of the cut beside their lines as the parts are. */
export const couponPaths = ({ assemblies }: Evaluation): readonly CutPart[] =>
  assemblies.flatMap((own) =>
    (buildOf(own).work.coupons?.(own) ?? []).map((part) => {
      const { tool } = own.materials;
      const cutMm = part.kerfMm ?? tool.cutMm;
      return cutMm > 0 ? toolpathPart(named(own, part), { ...tool, cutMm }) : named(own, part);
    }),
  );
