import { chooseFont, layLettering } from '../artwork/index.js';
import type { Tool } from '../catalogue/index.js';
import { wireUp } from '../circuit/index.js';
import { costOf } from '../cost/index.js';
import { stageNames, type StageName } from '../evaluate/types.js';
import { heatOf } from '../heat/index.js';
import { remember } from '../maths/index.js';
import type { Outline } from '../outlines/index.js';
import { pack } from '../packing/index.js';
import { distributionOf } from '../photometry/index.js';
import { thinByShape, workabilityOf } from '../workability/index.js';

/** Letters held against the tool, each shape of letter once. */
const workabilityStage = () => {
  const thin = thinByShape();
  return remember((outline: Outline, tool: Tool, pieces?: readonly Outline[]) =>
    workabilityOf(outline, tool, pieces, thin),
  );
};

/** The stages that every build runs alike, each remembering its last call. */
export const commonStages = () => ({
  font: remember(chooseFont),
  artwork: remember(layLettering),
  workability: workabilityStage(),
  photometry: remember(distributionOf),
  circuit: remember(wireUp),
  heat: remember(heatOf),
  packing: remember(pack),
  cost: remember(costOf),
});

type Stages = Partial<Readonly<Record<StageName, { readonly reused: () => boolean }>>>;

/** The stages that did not answer from memory, in the order of the work. */
export const recomputedOf = (stages: Stages): readonly StageName[] =>
  stageNames.filter((name) => stages[name]?.reused() === false);
