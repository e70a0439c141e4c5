import {
  fitsSheet,
  frameHanging,
  heldSheet,
  set,
  sheetSides,
  usualHolder,
  type DesignChange,
  type EdgeLitAssembly,
  type Fields,
  type Pane,
  type PanelResults,
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

/** A clear sheet of the shelf, as far as it matters here. */
type Stock = Pick<
  Pane,
  'id' | 'stuff' | 'silver' | 'thicknessMm' | 'price' | 'sheetWidthMm' | 'sheetHeightMm' | 'trimMm'
>;

/** Sheets of the same make that the panel can be cut from: of each thickness the cheapest. */
export const otherSheets = (
  panes: readonly Stock[],
  now: Stock,
  { widthMm, heightMm }: { readonly widthMm: number; readonly heightMm: number },
): readonly Stock[] => {
  const fit = panes
    .filter(
      (each) =>
        each.stuff === now.stuff &&
        (each.silver === undefined) === (now.silver === undefined) &&
        fitsSheet(each, { widthMm, heightMm }),
    )
    .sort((one, other) => one.thicknessMm - other.thicknessMm || one.price - other.price);
  return fit.filter(({ thicknessMm }, at) => at === 0 || fit[at - 1]!.thicknessMm !== thicknessMm);
};

/** Artwork keeps so far from what bounds the sheet (mm); more than this share of its height it has but one place. */
const marginMm = 8;
const smallShare = 0.6;

/** Small artwork beside the strip, in the middle, and at the far side: for sheets lit from below or above. */
const places = ({ areas, geometry, glow, assembly }: PanelResults): readonly (readonly [string, number])[] => {
  const bounds = areas[0]?.lettering.bounds ?? null;
  const { seen, sheet } = geometry;
  // Among other areas the artwork has its place.
  if (bounds === null || areas.length > 1 || bounds.height > smallShare * seen.height) return [];
  const middle = bounds.y + bounds.height / 2;
  const clear = Math.max(marginMm, glow.fans.evenFromMm - (seen.y - sheet.y));
  const [low, high] = [seen.y + clear + bounds.height / 2, seen.y + seen.height - marginMm - bounds.height / 2];
  const shift = (to: number): number => Math.round(10 * (assembly.artwork.offsetYMm + to - middle)) / 10;
  return [
    ['artwork low', shift(low)],
    ['artwork in the middle', shift(seen.y + seen.height / 2)],
    ['artwork high', shift(high)],
  ];
};

/**
 * One, two and four edges, other sheets with the edges as they are, and other places for small artwork. What a base does not hold is
 * tried in a frame.
 */
export const edgeWays = (
  at: Pick<Fields<EdgeLitAssembly>, 'artwork' | 'light' | 'sheet' | 'holder' | 'hanging'>,
  results: PanelResults,
  panes: readonly Stock[],
): readonly EdgeWay[] => {
  const { assembly, design, materials } = results;
  return [
    ...edgesToTry.map(([label, edges]) => {
      const framed = assembly.holder.kind === 'base' && label !== 'bottom';
      return {
        label: framed ? `${label}, framed` : label,
        change: [
          set(at.light.edges, edges),
          ...(framed
            ? [
                set(at.holder, usualHolder('frame', heldSheet(results))),
                set(at.hanging, frameHanging(design.brief.place)),
              ]
            : []),
        ],
      };
    }),
    ...otherSheets(panes, materials.pane, assembly.sheet).map(({ id, thicknessMm }) => ({
      label: `${thicknessMm} mm`,
      change: [set(at.sheet.paneId, id)],
    })),
    ...places(results).map(([label, offsetYMm]) => ({ label, change: [set(at.artwork.offsetYMm, offsetYMm)] })),
  ];
};
