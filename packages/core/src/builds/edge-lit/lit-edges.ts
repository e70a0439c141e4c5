import type { SheetSide } from '../../light/sheet/index.js';
import type { PanelLight } from './schema.js';

/** Clockwise from the lower left corner, so that the wire from one edge to the next is short. */
const round = ['left', 'top', 'right', 'bottom'] as const satisfies readonly SheetSide[];

/** The lit edges of a design, each once, in the order in which strip runs. */
export const litEdges = ({ edges }: Pick<PanelLight, 'edges'>): readonly SheetSide[] =>
  round.filter((side) => edges.includes(side));
