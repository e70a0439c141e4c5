import { sheetSides, type DesignChange, type EdgeLitAssembly, type Fields, set, type SheetSide } from '@vitrum/core';

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

/** One, two and four edges, and thicker sheets with the edges as they are. */
export const edgeWays = (
  at: Pick<Fields<EdgeLitAssembly>, 'light' | 'sheet'>,
  panes: readonly { readonly id: string; readonly name: string }[],
): readonly EdgeWay[] => [
  ...(
    [
      ['bottom alone', ['bottom']],
      ['top alone', ['top']],
      ['left alone', ['left']],
      ['right alone', ['right']],
      ['top and bottom', ['top', 'bottom']],
      ['left and right', ['right', 'left']],
      ['all four', ['top', 'right', 'bottom', 'left']],
    ] as const
  ).map(([label, edges]) => ({ label, change: [set(at.light.edges, edges)] })),
  ...panes.map(({ id, name }) => ({ label: name, change: [set(at.sheet.paneId, id)] })),
];
