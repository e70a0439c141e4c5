import {
  frameHanging,
  set,
  sheetSides,
  usualHolder,
  type Brief,
  type DesignChange,
  type EdgeLitAssembly,
  type Fields,
  type HeldSheet,
  type SheetSide,
} from '@vitrum/core';

/** The lit edges with one more or less; one is always left. */
export const edgesWith = (edges: readonly SheetSide[], side: SheetSide, on: boolean): readonly SheetSide[] => {
  const next = sheetSides.filter((each) => (each === side ? on : edges.includes(each)));
  return next.length === 0 ? edges : next;
};

/** A way to light a sheet, with the change that makes it. */
export interface EdgeWay {
  readonly label: string;
  readonly change: DesignChange;
}

const edgesToTry = [
  ['bottom', ['bottom']],
  ['top', ['top']],
  ['left', ['left']],
  ['right', ['right']],
  ['top, bottom', ['top', 'bottom']],
  ['left, right', ['right', 'left']],
  ['all four', ['top', 'right', 'bottom', 'left']],
] as const satisfies readonly (readonly [string, readonly SheetSide[]])[];

/** One, two and four edges, and other sheets with the edges as they are. What a base does not hold is tried in a frame. */
export const edgeWays = (
  at: Pick<Fields<EdgeLitAssembly>, 'light' | 'sheet' | 'holder' | 'hanging'>,
  assembly: Pick<EdgeLitAssembly, 'holder'>,
  held: HeldSheet,
  place: Brief['place'],
  panes: readonly { readonly id: string; readonly thicknessMm: number }[],
): readonly EdgeWay[] => [
  ...edgesToTry.map(([label, edges]) => {
    const framed = assembly.holder.kind === 'base' && label !== 'bottom';
    return {
      label: framed ? `${label}, framed` : label,
      change: [
        set(at.light.edges, edges),
        ...(framed ? [set(at.holder, usualHolder('frame', held)), set(at.hanging, frameHanging(place))] : []),
      ],
    };
  }),
  ...panes.map(({ id, thicknessMm }) => ({ label: `${thicknessMm} mm`, change: [set(at.sheet.paneId, id)] })),
];
