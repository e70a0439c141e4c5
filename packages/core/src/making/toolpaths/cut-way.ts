import type { CutWay, Tool } from '../../document/catalogue/index.js';

type WholeWay = Required<CutWay>;

const onTheLine: WholeWay = { leadMm: 0, tabMm: 0, tabHighMm: 1.5, tabEveryMm: 250 };

/** What is usual: a beam burns in beside the line; a bit comes in as far as it is wide, and leaves bridges that hold the part. */
const usual = ({ kind, cutMm }: Pick<Tool, 'kind' | 'cutMm'>): WholeWay => {
  switch (kind) {
    case 'beam':
      return { ...onTheLine, leadMm: 2 };
    case 'bit':
      return { ...onTheLine, leadMm: Math.max(2, cutMm), tabMm: 6 };
    case 'knife':
    case 'nozzle':
      return onTheLine;
  }
};

/** How a tool comes into a cut and leaves bridges: by its own figures where it has some, else as is usual for its kind. */
export const cutWayOf = (tool: Pick<Tool, 'kind' | 'cutMm' | 'way'>): WholeWay => ({ ...usual(tool), ...tool.way });
