import { chooseFont, layLettering } from '../artwork/index.js';
import { wireUp } from '../circuit/index.js';
import { costOf } from '../cost/index.js';
import { stageNames, type StageName } from '../evaluate/types.js';
import { heatOf } from '../heat/index.js';
import { remember } from '../maths/index.js';
import { pack } from '../packing/index.js';
import { distributionOf } from '../photometry/index.js';
import { workabilityOf } from '../workability/index.js';

/** The stages that every build runs alike, each remembering its last call. */
export const commonStages = () => ({
  font: remember(chooseFont),
  artwork: remember(layLettering),
  workability: remember(workabilityOf),
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
