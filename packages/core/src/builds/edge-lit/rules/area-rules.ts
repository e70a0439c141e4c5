import { intersect, outlineArea, outlineBounds, type Rect } from '../../../base/outlines/index.js';
import { set } from '../../../document/design/index.js';
import { fieldsIn } from '../../../judging/results/index.js';
import { oneChange, type Candidate, type Rule } from '../../../judging/findings/index.js';
import { fillOf, type WorkedArea } from '../areas.js';
import { marksOf } from '../fill/marks.js';
import { dotsToRead, photoWants } from '../photo.js';
import type { PanelResults } from '../results.js';
import { isStencilled } from '../stencil.js';
import { densestMm, spacingOf, usualDepth } from '../worked.js';
import { areaFields, engraversFor, onArea, one, worstOf, type Off } from './common.js';

const apart = (a: Rect | null, b: Rect | null): boolean =>
  a === null ||
  b === null ||
  a.x + a.width <= b.x ||
  b.x + b.width <= a.x ||
  a.y + a.height <= b.y ||
  b.y + b.height <= a.y;

/** What two areas of one face have in common, the later one first; null where none do. A ground on the other face is no fault. */
const overlapIn = ({
  areas,
}: PanelResults): { readonly area: WorkedArea; readonly under: WorkedArea; readonly mm2: number } | null => {
  for (const [at, area] of areas.entries())
    for (const under of areas.slice(0, at)) {
      if (area.onBack !== under.onBack || apart(area.lettering.bounds, under.lettering.bounds)) continue;
      const mm2 = Math.abs(outlineArea(intersect(area.lettering.outline, under.lettering.outline)));
      if (mm2 > 1) return { area, under, mm2 };
    }
  return null;
};

/** So much is left between areas that are moved apart (mm). */
const betweenMm = 4;

const movedApart = (results: PanelResults, area: WorkedArea, under: WorkedArea): readonly Candidate[] => {
  const [own, other] = [area.lettering.bounds, under.lettering.bounds];
  if (own === null || other === null) return [];
  const { artwork } = area;
  const fields = areaFields(results, area);
  const moved = (label: string, by: number, field: 'offsetXMm' | 'offsetYMm'): Candidate => ({
    label: `Move it ${Math.ceil(Math.abs(by))} mm ${label}`,
    change: [set(fields[field], one(artwork[field] + by))],
  });
  return [
    moved('up', other.y + other.height + betweenMm - own.y, 'offsetYMm'),
    moved('down', other.y - betweenMm - own.y - own.height, 'offsetYMm'),
    moved('to the right', other.x + other.width + betweenMm - own.x, 'offsetXMm'),
    moved('to the left', other.x - betweenMm - own.x - own.width, 'offsetXMm'),
  ];
};

/** Two areas over each other: one is worked into what the other left, and neither reads. */
export const areasOverlap: Rule<PanelResults> = ({ results }) => {
  const found = overlapIn(results);
  if (found === null) return null;
  const { area, under, mm2 } = found;
  const common = outlineBounds(intersect(area.lettering.outline, under.lettering.outline));
  const rest = (results.assembly.areas ?? []).filter((_, at) => at !== area.place - 1);
  return {
    id: 'areas-overlap',
    severity: 'fix',
    step: 'artwork',
    what: `Areas ${under.place + 1} and ${area.place + 1} lie over each other`,
    why: `${Math.round(mm2)} mm² are worked twice: the second cut tears at the edges of the first, and neither reads.`,
    numbers: [{ label: 'worked twice', value: Math.round(mm2), unit: 'mm²' }],
    where: { view: 'front', rect: common ?? results.geometry.seen },
    target: {
      label: 'worked twice',
      better: 'lower',
      unit: 'mm²',
      read: (tried) => Math.round(overlapIn(tried)?.mm2 ?? 0),
      settled: (tried) => overlapIn(tried) === null,
    },
    remedies: [
      { id: 'move-apart', candidates: movedApart(results, area, under) },
      {
        id: 'one-area-less',
        candidates: [{ label: `Leave area ${area.place + 1} out`, change: [set(fieldsIn(results).areas, rest)] }],
      },
    ],
  };
};

/** Fewer dots than that are no picture at all; typical. */
const dotsAtLeast = 60;

/** Dots along the longer side of a photograph; of other areas none are asked for. */
const dotsAlong = ({ artwork, photo }: WorkedArea): number =>
  photo === null ? Infinity : Math.max(photo.grid.area.width, photo.grid.area.height) / spacingOf(artwork);

const fewestDots = (results: PanelResults): Off => worstOf(results, (area) => dotsToRead / dotsAlong(area));

/** A photograph too small for its dots. */
export const photoTooCoarse: Rule<PanelResults> = ({ results }) => {
  const { area, by } = fewestDots(results);
  const { photo } = area;
  if (by <= 1 + 1e-9 || photo === null) return null;
  const dots = dotsAlong(area);
  const fields = areaFields(results, area);
  const spacing = spacingOf(area.artwork);
  const wants = photoWants(photo.grid, spacing);
  const { seen } = results.geometry;
  const fits = wants <= seen.width && (wants * photo.grid.rows) / photo.grid.columns <= seen.height;
  const densest = densestMm(area.engraving, 'dots');
  const finer = Math.max(densest, Math.floor((100 * spacing) / by) / 100);
  return {
    id: 'photo-too-coarse',
    severity: dots < dotsAtLeast ? 'fix' : 'note',
    step: 'artwork',
    what: 'The photograph is too small for its dots',
    why: `Dots ${spacing} mm apart leave ${Math.floor(dots)} along its longer side; from about ${dotsToRead} on a face or a house can be told (typical).`,
    numbers: [
      { label: 'dots along it', value: Math.floor(dots), unit: '' },
      { label: 'wants a width of', value: wants, unit: 'mm' },
    ],
    where: onArea(results, area),
    target: {
      label: 'dots along it',
      better: 'higher',
      unit: '',
      read: (tried) => Math.floor(Math.min(1e6, dotsToRead / fewestDots(tried).by)),
      settled: (tried) => fewestDots(tried).by <= 1 + 1e-9,
    },
    remedies: [
      ...(finer < spacing ? [oneChange('finer-dots', `Dots ${finer} mm apart`, fields.spacingMm, finer)] : []),
      ...(fits ? [oneChange('larger-photo', `${wants} mm wide`, fields.photo.widthMm, wants)] : []),
    ],
    noRemedy: 'Finer dots than this tool makes would be needed, or a larger sheet.',
  };
};

/** More lines or dots than this are not weeded out of a film; typical. */
const mostWeeded = 1500;

const weededIn = (results: PanelResults, area: WorkedArea): number => {
  if (!isStencilled(area) || fillOf(area.artwork) === 'solid') return 0;
  const marks = marksOf(area, results.geometry.sheet);
  return marks.kind === 'lines'
    ? marks.strokes.length
    : marks.kind === 'dots'
      ? marks.dots.length
      : marks.kind === 'too-many'
        ? Infinity
        : 0;
};

const finest = (results: PanelResults): Off => worstOf(results, (area) => weededIn(results, area));

/** Lines or dots by the thousand through a stencil: nobody weeds them. */
export const stencilTooFine: Rule<PanelResults> = ({ results, catalogue }) => {
  const { area, by } = finest(results);
  if (by <= mostWeeded) return null;
  const fields = areaFields(results, area);
  const photo = area.photo !== null;
  const count = Number.isFinite(by) ? by : mostWeeded * 100;
  return {
    id: 'stencil-too-fine',
    severity: 'fix',
    step: 'artwork',
    what: 'More openings than a stencil can have',
    why: `${area.tool.name} goes through a film; this fill has ${count.toLocaleString('en')} ${fillOf(area.artwork) === 'dots' ? 'dots' : 'lines'} to weed out of it, and ${mostWeeded.toLocaleString('en')} is an evening’s work (typical).`,
    numbers: [{ label: 'to weed', value: count, unit: '' }],
    where: onArea(results, area),
    target: {
      label: 'to weed',
      better: 'lower',
      unit: '',
      read: (tried) => Math.min(1e7, finest(tried).by),
      settled: (tried) => finest(tried).by <= mostWeeded,
    },
    remedies: [
      ...(photo ? [] : [oneChange('all-over', 'Work it all over', fields.fill, 'solid')]),
      {
        id: 'engraver',
        candidates: engraversFor(
          results,
          catalogue,
          fields.toolId,
          ({ method }) => method === 'beam' || method === 'bit',
          // As close and as deep as is usual for it: the dots of a stencil are coarse and shallow.
          (engraving) => [
            set(fields.spacingMm, densestMm(engraving, fillOf(area.artwork) === 'hatch' ? 'hatch' : 'dots')),
            set(fields.depthMm, usualDepth(engraving, results.materials.pane)),
          ],
        ),
      },
    ],
  };
};
