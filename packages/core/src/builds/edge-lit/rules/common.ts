import { set, type DesignChange, type FieldRef, type Fields } from '../../../document/design/index.js';
import { fieldsIn } from '../../../judging/results/index.js';
import type { Candidate, Place, Remedy } from '../../../judging/findings/index.js';
import type { Catalogue, Engraving } from '../../../document/catalogue/index.js';
import { askedFor } from '../../common/asked-for.js';
import { percent } from '../../common/rule-words.js';
import { fillOf, workedOf, type WorkedArea } from '../areas.js';
import { evenFill } from '../fill/even-fill.js';
import type { PanelResults } from '../results.js';
import type { PanelArtwork } from '../schema.js';
import { isStencilled } from '../stencil.js';
import { densestMm, filledShare, spacingOf } from '../worked.js';

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

/** Where an area is. */
export const onArea = ({ geometry }: PanelResults, { lettering }: WorkedArea): Place => ({
  view: 'front',
  rect: lettering.bounds ?? geometry.seen,
});

/** An area, and by how much it is amiss. */
export interface Off {
  readonly area: WorkedArea;
  readonly by: number;
}

/** The area that is most amiss; where none is, the first by 0. */
export const worstOf = ({ areas }: PanelResults, off: (area: WorkedArea) => number): Off =>
  areas.map((area): Off => ({ area, by: off(area) })).reduce((worst, each) => (each.by > worst.by ? each : worst));

/** Tools that work the face of this sheet and suit besides, as they would be chosen for an area, with what goes with each. */
export const engraversFor = (
  { materials: { pane } }: PanelResults,
  { tools }: Catalogue,
  field: FieldRef<string | undefined>,
  suits: (engraves: Engraving) => boolean,
  besides: (engraves: Engraving) => DesignChange = () => [],
): readonly Candidate[] =>
  tools.flatMap(({ id, name, engraves, cuts }) =>
    engraves !== undefined && suits(engraves) && cuts.some(({ stuff }) => stuff === pane.stuff)
      ? [{ label: name, change: [set(field, id), ...besides(engraves)] }]
      : [],
  );

/** The fields of an area, by its place. */
export const areaFields = (results: PanelResults, { place }: Pick<WorkedArea, 'place'>): Fields<PanelArtwork> => {
  const fields = fieldsIn(results);
  return place === 0 ? fields.artwork : fields.areas.at(place - 1);
};

/** An area as lines or dots that can be graded: as it is where it is that already. Lines and dots are made by no stencil. */
const gradable = (area: WorkedArea, solidAs: 'hatch' | 'dots'): WorkedArea | null => {
  const fill = fillOf(area.artwork);
  if (fill !== 'solid') return area;
  if (isStencilled(area)) return null;
  return {
    ...area,
    artwork: { ...area.artwork, fill: solidAs, spacingMm: densestMm(area.engraving, solidAs) },
  };
};

/** The fill graded so that all that is worked gives off alike: of lines or dots as they are, a solid one as lines. */
export const gradedFill = (results: PanelResults): Remedy =>
  askedFor('even-fill', () => {
    const worked = workedOf(results.areas);
    const solid = worked.some(({ artwork }) => fillOf(artwork) === 'solid');
    const [first] = worked;
    const kinds =
      solid || first === undefined ? (['hatch', 'dots'] as const) : [fillOf(first.artwork) as 'hatch' | 'dots'];
    return kinds.flatMap((kind): readonly Candidate[] => {
      const areas = worked.flatMap((area) => gradable(area, kind) ?? []);
      if (areas.length < worked.length) return [];
      const found = evenFill(results, areas);
      if (found === null) return [];
      return [
        {
          label: `Grade the fill as ${kind === 'hatch' ? 'lines' : 'dots'}: dense far from the strip, thin beside it`,
          change: areas.flatMap((area) => {
            const field = areaFields(results, area);
            return [
              set(field.fill, fillOf(area.artwork)),
              set(field.spacingMm, spacingOf(area.artwork)),
              set(field.graded, found.graded),
            ];
          }),
        },
      ];
    });
  });

/** A lighter fill everywhere: what is not taken near the strip goes on. Lines are made by no stencil. */
export const lighterFill = (results: PanelResults): Remedy => {
  const worked = workedOf(results.areas);
  const now = Math.max(0, ...worked.map(({ artwork, engraving }) => filledShare(artwork, engraving)));
  return {
    id: 'lighter-fill',
    candidates: (worked.some(isStencilled) ? [] : [0.6, 0.4, 0.25, 0.15])
      .filter((share) => share < 0.9 * now)
      .map((share) => {
        const lines = worked.map((area) => {
          const { lineMm } = area.engraving;
          const apart = area.photo === null ? lineMm / share : lineMm * Math.sqrt(Math.PI / 4 / share);
          return { area, spacingMm: Math.min(20, Math.round(100 * apart) / 100) };
        });
        const [first] = lines;
        return {
          label:
            lines.length === 1 && first !== undefined
              ? `${first.area.photo === null ? 'Lines' : 'Dots'} of ${mm(first.area.engraving.lineMm)}, ${mm(first.spacingMm)} apart`
              : `Fill ${perCent(share)} % of every area`,
          change: lines.flatMap(({ area, spacingMm }) => {
            const field = areaFields(results, area);
            return [
              set(field.fill, area.photo === null ? 'hatch' : 'dots'),
              set(field.spacingMm, spacingMm),
              set(field.graded, null),
            ];
          }),
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
