import { set } from '../../../document/design/index.js';
import { fieldsIn } from '../../../judging/results/index.js';
import type { Candidate, Place, Remedy } from '../../../judging/findings/index.js';
import type { Catalogue } from '../../../document/catalogue/index.js';
import { percent } from '../../common/rule-words.js';
import { evenFill } from '../fill/even-fill.js';
import type { PanelResults } from '../results.js';
import { filledShare, spacingOf } from '../worked.js';

export const one = (value: number): number => Math.round(value * 10) / 10;
export const mm = (value: number): string => `${one(value)} mm`;
export const perCent = (share: number): number => percent(share);

/** The slice round the lit edge, where a finding about slot, strip or gap points. */
export const atTheEdge = ({ geometry, assembly }: PanelResults): Place => {
  const { sheet, thicknessMm, bedMm } = geometry;
  const y = assembly.light.edges.includes('bottom') ? sheet.y - bedMm : sheet.y + sheet.height - 4;
  return { view: 'slice', rect: { x: -6, y, width: thicknessMm + 12, height: bedMm + 8 } };
};

/** Where the artwork is. */
export const onArtwork = ({ lettering, geometry }: PanelResults): Place => ({
  view: 'front',
  rect: lettering.bounds ?? geometry.seen,
});

/** What is found out only when it is asked for, and once: solvers take longer than a rule may. */
export const askedFor = (id: string, candidates: () => readonly Candidate[]): Remedy => {
  let found: readonly Candidate[] | null = null;
  return {
    id,
    get candidates() {
      found ??= candidates();
      return found;
    },
  };
};

/** Hatch and dots as dense as they go: from there on a fill can only be graded down. */
const densestTimes = { hatch: 1, dots: 0.886 } as const;

/** The fill graded so that all of the artwork gives off alike: of lines or dots as they are, a solid one as lines. */
export const gradedFill = (results: PanelResults): Remedy =>
  askedFor('even-fill', () => {
    const { artwork } = results.assembly;
    const field = fieldsIn(results).artwork;
    const { lineMm } = results.materials.engraving;
    const kinds = artwork.fill === 'solid' ? (['hatch', 'dots'] as const) : ([artwork.fill] as const);
    return kinds.flatMap((fill): readonly Candidate[] => {
      const spacingMm =
        artwork.fill === 'solid'
          ? Math.max(0.1, Math.round(100 * lineMm * densestTimes[fill]) / 100)
          : spacingOf(artwork);
      const found = evenFill(results, { ...artwork, fill, spacingMm });
      if (found === null) return [];
      return [
        {
          label: `Grade the fill as ${fill === 'hatch' ? 'lines' : 'dots'}: dense far from the strip, thin beside it`,
          change: [set(field.fill, fill), set(field.spacingMm, spacingMm), set(field.graded, found.graded)],
        },
      ];
    });
  });

/** A lighter fill everywhere: what is not taken near the strip goes on. */
export const lighterFill = (results: PanelResults): Remedy => {
  const { artwork } = results.assembly;
  const fields = fieldsIn(results).artwork;
  const { lineMm } = results.materials.engraving;
  const now = filledShare(artwork, results.materials.engraving);
  return {
    id: 'lighter-fill',
    candidates: [0.6, 0.4, 0.25, 0.15]
      .filter((share) => share < 0.9 * now)
      .map((share) => {
        const spacingMm = Math.round((100 * lineMm) / share) / 100;
        return {
          label: `Lines of ${mm(lineMm)}, ${mm(spacingMm)} apart`,
          change: [set(fields.fill, 'hatch'), set(fields.spacingMm, Math.min(20, spacingMm)), set(fields.graded, null)],
        };
      }),
  };
};

/** Sheets of the same stuff and make, thicker. */
export const thickerSheet = (results: PanelResults, catalogue: Catalogue): Remedy => {
  const { pane } = results.materials;
  return {
    id: 'thicker-sheet',
    candidates: catalogue.panes
      .filter(
        (each) =>
          each.stuff === pane.stuff &&
          (each.silver === undefined) === (pane.silver === undefined) &&
          each.thicknessMm > pane.thicknessMm,
      )
      .sort((a, b) => a.thicknessMm - b.thicknessMm)
      .map((each) => ({ label: each.name, change: [set(fieldsIn(results).sheet.paneId, each.id)] })),
  };
};

const opposite = { top: 'bottom', bottom: 'top', left: 'right', right: 'left' } as const;

/** Strip at the opposite edge as well, or at all four. */
export const moreEdges = (results: PanelResults): Remedy => {
  const { edges } = results.assembly.light;
  const both = [...new Set(edges.flatMap((side) => [side, opposite[side]]))];
  const field = fieldsIn(results).light.edges;
  return {
    id: 'more-edges',
    candidates: [
      ...(both.length > edges.length
        ? [{ label: `Light it from ${both.join(' and ')}`, change: [set(field, both)] }]
        : []),
      ...(edges.length < 4
        ? [{ label: 'Light it from all four edges', change: [set(field, ['left', 'top', 'right', 'bottom'] as const)] }]
        : []),
    ],
  };
};

/** Fewer edges, for what has too much light or too little supply. */
export const fewerEdges = (results: PanelResults): Remedy => {
  const { edges } = results.assembly.light;
  const field = fieldsIn(results).light.edges;
  return {
    id: 'fewer-edges',
    candidates: Array.from({ length: edges.length - 1 }, (_, at) => edges.slice(0, edges.length - 1 - at)).map(
      (left) => ({
        label: `Light it from ${left.join(' and ')} alone`,
        change: [set(field, left)],
      }),
    ),
  };
};
