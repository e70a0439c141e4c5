import { ellipseRing, flatnessMm } from '../../base/curves/index.js';
import { besideCut, type Outline, type Ring } from '../../base/outlines/index.js';
import { operations, type Operation, type Tool } from '../../document/catalogue/index.js';
import { layerOf, type CutPart, type PartLayer, type PartShape } from '../parts/index.js';
import { inCuttingOrder } from './cutting-order.js';
import { cutWayOf } from './cut-way.js';
import { beginRing } from './lead-in.js';
import { movedLayers } from './moved.js';
import { withTabs, type RingPiece } from './tabs.js';

/** A ring that the middle of the tool goes round, and what all rings with it enclose. */
interface Way {
  readonly ring: Ring;
  readonly solid: Outline;
}

/** Where the middle of the tool goes round a hole: anticlockwise is round a part, so clockwise. */
const holeRing = (shape: Extract<PartShape, { kind: 'hole' }>, cutMm: number): Ring => {
  const radius = (shape.diameterMm - cutMm) / 2;
  return [...ellipseRing([shape.x, shape.y], radius, radius, 0, flatnessMm)].reverse();
};

/** What is kept round a hole, as far as a lead goes: all that is not in the hole. */
const roundHole = (ring: Ring, reachMm: number): Outline => {
  const xs = ring.map(([x]) => x);
  const ys = ring.map(([, y]) => y);
  const [left, right] = [Math.min(...xs) - reachMm, Math.max(...xs) + reachMm];
  const [low, high] = [Math.min(...ys) - reachMm, Math.max(...ys) + reachMm];
  return [
    [
      [left, low],
      [right, low],
      [right, high],
      [left, high],
    ],
    ring,
  ];
};

const waysOf = (shape: PartShape, cutMm: number, leadMm: number): readonly Way[] => {
  if (shape.kind === 'outline') {
    const solid = besideCut(shape.outline, cutMm);
    return solid.map((ring) => ({ ring, solid }));
  }
  if (shape.kind !== 'hole' || shape.diameterMm <= cutMm) return [];
  const ring = holeRing(shape, cutMm);
  return [{ ring, solid: roundHole(ring, leadMm + cutMm) }];
};

const open = ({ points }: RingPiece): PartShape => ({ kind: 'path', points, closed: false });

/** The order of layers in a file: what is worked into a part comes before it is cut loose. */
const inOrder = (layers: readonly PartLayer[]): readonly PartLayer[] => {
  const rank = ({ operation }: { readonly operation: Operation }): number => operations.indexOf(operation);
  return [...layers].sort((a, b) => rank(a) - rank(b));
};

const mm = (value: number): string => `${Math.round(value * 100) / 100} mm`;

/**
 * A part drawn for a machine that follows lines as they are: what is cut out lies half a cut beside what is drawn, so that
 * the part comes out as large as it should; inside before outside, small before large; the tool comes in from the waste, and
 * leaves bridges where its kind needs them. Marks and drilled holes stay; a hole too small for the cut is drilled.
 */
export const toolpathPart = (part: CutPart, tool: Pick<Tool, 'kind' | 'cutMm' | 'way'>): CutPart => {
  const { cutMm } = tool;
  const { leadMm, tabMm, tabHighMm, tabEveryMm } = cutWayOf(tool);
  // A bridge is less than half of the sheet, and needs a sheet that it is less than.
  const tabHigh = Math.min(tabHighMm, part.thicknessMm / 2);
  const plan = { widthMm: tabHigh > 0 ? tabMm : 0, everyMm: tabEveryMm };
  const cut = part.layers.filter(({ operation }) => operation === 'cut').flatMap(({ shapes }) => shapes);
  const lines = cut.filter(({ kind }) => kind === 'line' || kind === 'path');
  const drilled = cut.filter((shape) => shape.kind === 'hole' && shape.diameterMm <= cutMm);
  const begun = inCuttingOrder(
    cut.flatMap((shape) => waysOf(shape, cutMm, leadMm)),
    ({ ring }) => ring,
  ).map(({ ring, solid }) => beginRing(ring, solid, leadMm));
  const pieces = begun.flatMap(({ ring, leadIn }) => {
    const [first, ...rest] = withTabs(ring, plan, cutMm);
    return [{ ...first!, points: [...leadIn, ...first!.points] }, ...rest];
  });
  const tabs = pieces.filter(({ kind }) => kind === 'tab');
  const layers = [
    ...part.layers.filter(({ operation }) => operation !== 'cut'),
    ...layerOf('drill', drilled),
    ...layerOf('cut', [...lines, ...pieces.filter(({ kind }) => kind === 'cut').map(open)]),
    ...layerOf('tab', tabs.map(open), part.thicknessMm - tabHigh),
  ];
  const room = cutMm / 2 + (begun.some(({ leadIn }) => leadIn.length > 0) ? leadMm : 0);
  return {
    ...part,
    name: `${part.name}, middle of the cut`,
    note: [
      `lines half of a ${mm(cutMm)} cut beside the part; switch the machine’s own compensation off`,
      'cut in the order of the file: inside before outside, small before large',
      ...(tabs.length > 0 ? [`${tabs.length} tabs ${mm(tabMm)} wide, ${mm(tabHigh)} high`] : []),
      ...(part.note === '' ? [] : [part.note]),
    ].join('; '),
    widthMm: part.widthMm + 2 * room,
    heightMm: part.heightMm + 2 * room,
    layers: movedLayers(inOrder(layers), room),
  };
};
