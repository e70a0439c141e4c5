import { chooseFont, layLettering } from '../../artwork/lettering/index.js';
import { thinByShape, workabilityOf } from '../../artwork/workability/index.js';
import { memoizeLast } from '../../base/maths/index.js';
import type { Outline } from '../../base/outlines/index.js';
import type { Tool } from '../../document/catalogue/index.js';
import { distributionOf } from '../../light/photometry/index.js';
import { heatOf } from '../../power/heat/index.js';
import { stageNames, type StageName } from './stage-names.js';

/** Letters held against the tool, each shape of letter once. */
const workabilityStage = () => {
  const thin = thinByShape();
  return memoizeLast((outline: Outline, tool: Tool, parts?: readonly Outline[]) =>
    workabilityOf(outline, tool, parts, thin),
  );
};

/** The stages that every build runs alike, each memoized by its last calls. */
export const commonStages = () => ({
  font: memoizeLast(chooseFont),
  artwork: memoizeLast(layLettering),
  workability: workabilityStage(),
  photometry: memoizeLast(distributionOf),
  heat: memoizeLast(heatOf),
});

type Memos = Partial<Readonly<Record<StageName, { readonly reused: () => boolean }>>>;

/** The stages that did not answer from memory, in the order of the work. */
export const recomputedOf = (stages: Memos): readonly StageName[] =>
  stageNames.filter((name) => stages[name]?.reused() === false);
