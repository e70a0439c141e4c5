import { distanceToOutline, inRing } from '../../../base/outlines/index.js';
import { set, type FieldChange } from '../../../document/design/index.js';
import { oneChange, type Candidate, type Rule } from '../../../judging/findings/index.js';
import { fillOf, workedOf, type WorkedArea } from '../areas.js';
import { mostDots, mostMarks } from '../fill/hatch.js';
import type { PanelResults } from '../results.js';
import { deepestShare, spacingOf, takenAt, usualDepth } from '../worked.js';
import { areaFields, engraversFor, mm, onArea, one, onArtwork, perCent, worstOf, type Off } from './common.js';

const isWorked = ({ lettering }: PanelResults): boolean => lettering.outline.length > 0;

/** Nothing is worked: all light stays in the sheet and leaves at its edges. */
export const nothingWorked: Rule<PanelResults> = ({ results }) => {
  if (isWorked(results)) return null;
  return {
    id: 'nothing-worked',
    severity: 'stop',
    step: 'artwork',
    what: 'Nothing is worked into the sheet',
    why: 'Light that is kept between the faces comes out where they are worked, and nowhere else but at the edges.',
    numbers: [{ label: 'worked', value: 0, unit: 'mm²' }],
    where: onArtwork(results),
    target: {
      label: 'worked',
      better: 'higher',
      unit: 'mm²',
      read: ({ lettering }) => Math.round(Math.abs(lettering.areaMm2)),
      settled: isWorked,
    },
    remedies: [],
    noRemedy: 'Say what it shows: text, or a drawing.',
  };
};

/** How far an area reaches past what is seen of the sheet, or past its drawn outline (mm). */
const areaOutside = (
  { geometry: { seen, ring } }: PanelResults,
  { lettering: { bounds, outline } }: WorkedArea,
): number => {
  if (bounds === null) return 0;
  const past = Math.max(
    0,
    seen.x - bounds.x,
    seen.y - bounds.y,
    bounds.x + bounds.width - seen.x - seen.width,
    bounds.y + bounds.height - seen.y - seen.height,
  );
  // Rectangles are their bounds; of others the corners are asked.
  return ring.length === 4
    ? past
    : outline
        .flat()
        .reduce((most, point) => (inRing(point, ring) ? most : Math.max(most, distanceToOutline(point, [ring]))), past);
};

const farthestOut = (results: PanelResults): Off => worstOf(results, (area) => areaOutside(results, area));
const outside = (results: PanelResults): number => farthestOut(results).by;

const marginMm = 4;

/** Of an area, the field that says how large it is, and that set to a share of what it is. */
const resized = (results: PanelResults, area: WorkedArea, share: number): FieldChange => {
  const { drawing, photo, capHeightMm } = area.artwork;
  const fields = areaFields(results, area);
  if (photo !== null && photo !== undefined)
    return set(fields.photo.widthMm, Math.max(5, Math.floor(photo.widthMm * share)));
  return drawing === null || drawing === undefined
    ? set(fields.capHeightMm, Math.max(2, Math.floor(capHeightMm * share)))
    : set(fields.drawing.scale, drawing.scale * share);
};

/** Artwork that reaches past the sheet, or into what holds it. */
export const artworkOutside: Rule<PanelResults> = ({ results }) => {
  const { area, by: over } = farthestOut(results);
  const { bounds } = area.lettering;
  if (over <= 0.01 || bounds === null) return null;
  const { seen, sheet } = results.geometry;
  const fields = areaFields(results, area);
  const middleUp = seen.y + seen.height / 2 - (sheet.y + sheet.height / 2);
  const inMiddle: Candidate = {
    label: 'In the middle of what is seen of the sheet',
    change: [set(fields.offsetXMm, 0), set(fields.offsetYMm, one(middleUp))],
  };
  const room = Math.min((seen.width - 2 * marginMm) / bounds.width, (seen.height - 2 * marginMm) / bounds.height);
  // A drawn outline leaves less room than its bounds: smaller is tried until it fits.
  const shares =
    results.geometry.ring.length === 4
      ? [0.98 * room]
      : [0.98, 0.85, 0.7, 0.55, 0.4].map((part) => part * Math.min(1, room));
  return {
    id: 'artwork-outside',
    severity: 'stop',
    step: 'artwork',
    what: 'The artwork reaches past the sheet',
    why: `It is ${mm(bounds.width)} × ${mm(bounds.height)} and reaches ${mm(over)} past the ${mm(seen.width)} × ${mm(seen.height)} that are seen of the sheet.`,
    numbers: [{ label: 'past the sheet', value: one(over), unit: 'mm' }],
    where: { view: 'front', rect: bounds },
    target: {
      label: 'past the sheet',
      better: 'lower',
      unit: 'mm',
      read: (tried) => one(outside(tried)),
      settled: (tried) => outside(tried) <= 0.01,
    },
    remedies: [
      { id: 'centre-artwork', candidates: [inMiddle] },
      {
        id: 'smaller-artwork',
        candidates: shares
          .filter((share) => share < 1 && share > 0)
          .map((share) => ({
            label: `Artwork ${Math.floor(100 * share)} % as large, in the middle`,
            change: [...inMiddle.change, resized(results, area, share)],
          })),
      },
    ],
  };
};

/** A mirror is worked through its silver, from behind. */
export const mirrorFromBehind: Rule<PanelResults> = ({ results }) => {
  const front = ({ areas }: PanelResults): readonly WorkedArea[] => workedOf(areas).filter(({ onBack }) => !onBack);
  const wrong = (tried: PanelResults): boolean => tried.materials.pane.silver !== undefined && front(tried).length > 0;
  if (!wrong(results)) return null;
  return {
    id: 'mirror-from-behind',
    severity: 'fix',
    step: 'artwork',
    what: 'A mirror wants its artwork through the silver',
    why: `Worked on the front it shows twice, once in the silver ${mm(results.materials.pane.thicknessMm)} behind it; through the silver, from behind and drawn mirrored, it shows once.`,
    numbers: [{ label: 'second image behind', value: results.materials.pane.thicknessMm, unit: 'mm' }],
    where: onArtwork(results),
    target: {
      label: 'images',
      better: 'lower',
      unit: '',
      read: (tried) => (wrong(tried) ? 2 : 1),
      settled: (tried) => !wrong(tried),
    },
    remedies: [
      {
        id: 'from-behind',
        candidates: [
          {
            label: 'Work it from behind, drawn mirrored',
            change: front(results).map((area) => set(areaFields(results, area).mirrored, true)),
          },
        ],
      },
    ],
  };
};

/** Shallower than what takes this share of what it can stays pale; typical. */
const palestShare = 0.5;

const depthOff = ({ artwork, engraving }: WorkedArea, thicknessMm: number): number =>
  Math.max(0, artwork.depthMm - thicknessMm * deepestShare, engraving.fullMm * Math.LN2 - artwork.depthMm);

const farthestDeep = (results: PanelResults): Off =>
  worstOf(results, (area) => depthOff(area, results.materials.pane.thicknessMm));

/** Artwork worked too deep for its sheet, or too shallow to shine. */
export const depthOutOfRange: Rule<PanelResults> = ({ results }) => {
  const { area, by } = farthestDeep(results);
  if (by <= 1e-6) return null;
  const { artwork, engraving } = area;
  const { pane } = results.materials;
  const most = pane.thicknessMm * deepestShare;
  const least = engraving.fullMm * Math.LN2;
  const deep = artwork.depthMm > most;
  const usual = usualDepth(engraving, pane);
  return {
    id: 'depth-out-of-range',
    severity: deep ? 'fix' : 'note',
    step: 'artwork',
    what: deep ? 'Worked too deep for the sheet' : 'Worked too shallow to shine',
    why: deep
      ? `${mm(artwork.depthMm)} of ${mm(pane.thicknessMm)}: beyond a third the sheet weakens, bows and cracks from there (typical).`
      : `${artwork.depthMm} mm deep it takes ${perCent(takenAt(engraving, artwork.depthMm) / engraving.takes)} % of what it can, under ${perCent(palestShare)} %.`,
    numbers: [
      { label: 'deep', value: artwork.depthMm, unit: 'mm' },
      { label: deep ? 'at most' : 'at least', value: Math.round(100 * (deep ? most : least)) / 100, unit: 'mm' },
    ],
    where: onArea(results, area),
    target: {
      label: 'out of range by',
      better: 'lower',
      unit: 'mm',
      read: (tried) => Math.round(1000 * farthestDeep(tried).by) / 1000,
      settled: (tried) => farthestDeep(tried).by <= 1e-6,
    },
    remedies: [oneChange('usual-depth', `${usual} mm deep`, areaFields(results, area).depthMm, usual)],
  };
};

/** Lines nearer than this many of their widths run together. */
const runTogether = 1.15;

const merges = ({ artwork, engraving }: WorkedArea): boolean =>
  fillOf(artwork) !== 'solid' &&
  (artwork.graded ?? null) === null &&
  (artwork.photo ?? null) === null &&
  spacingOf(artwork) < runTogether * engraving.lineMm;

/** Hatch or dots closer than the tool’s line is wide merge, and are no fill any more. */
export const linesMerge: Rule<PanelResults> = ({ results }) => {
  const area = workedOf(results.areas).find(merges);
  if (area === undefined) return null;
  const { artwork } = area;
  const { lineMm } = area.engraving;
  const fields = areaFields(results, area);
  const same = ({ areas }: PanelResults): WorkedArea | undefined => areas[area.place];
  return {
    id: 'lines-merge',
    severity: 'note',
    step: 'artwork',
    what: `${artwork.fill === 'hatch' ? 'Lines' : 'Dots'} closer than the tool makes them`,
    why: `They are ${mm(spacingOf(artwork))} from middle to middle, and ${mm(lineMm)} wide: they run together and take as long as if it were worked all over.`,
    numbers: [
      { label: 'apart', value: spacingOf(artwork), unit: 'mm' },
      { label: 'wide', value: lineMm, unit: 'mm' },
    ],
    where: onArea(results, area),
    target: {
      label: 'apart',
      better: 'higher',
      unit: 'mm',
      read: (tried) => {
        const now = same(tried)?.artwork;
        return now === undefined || fillOf(now) === 'solid' ? 20 : spacingOf(now);
      },
      settled: (tried) => !tried.areas.some(merges),
    },
    remedies: [
      oneChange('all-over', 'Work it all over', fields.fill, 'solid'),
      oneChange('farther-apart', `${mm(2 * lineMm)} apart`, fields.spacingMm, Math.round(200 * lineMm) / 100),
    ],
  };
};

/** So many places has the fill of an area, and so many of them are the most. */
const marksOfArea = ({ artwork, lettering: { bounds } }: WorkedArea): number => {
  const fill = fillOf(artwork);
  if (fill === 'solid' || bounds === null) return 0;
  const across = spacingOf(artwork);
  const up = Math.ceil(bounds.height / across);
  return fill === 'hatch' ? up : up * Math.ceil(bounds.width / across);
};

/** Tools that go over a face take a picture of any number of dots; others a drawing. */
const mostOf = ({ artwork, engraving }: WorkedArea): number =>
  fillOf(artwork) === 'dots' && engraving.dotsPerInch !== undefined ? mostDots : mostMarks;

const fullest = (results: PanelResults): Off => worstOf(results, (area) => marksOfArea(area) / mostOf(area));

/** More lines or dots than a file or a machine takes. */
export const tooManyMarks: Rule<PanelResults> = ({ results }) => {
  const { area, by } = fullest(results);
  if (by <= 1) return null;
  const [wanted, most] = [marksOfArea(area), mostOf(area)];
  const fields = areaFields(results, area);
  const dots = fillOf(area.artwork) === 'dots';
  const spacing = Math.min(20, Math.ceil(10 * spacingOf(area.artwork) * (dots ? Math.sqrt(by) : by) * 1.05) / 10);
  const photo = (area.artwork.photo ?? null) !== null;
  return {
    id: 'too-many-marks',
    severity: 'stop',
    step: 'artwork',
    what: 'More lines or dots than any file takes',
    why: `This fill has about ${wanted.toLocaleString('en')} places; ${most.toLocaleString('en')} is the most that ${area.tool.name} is given.`,
    numbers: [{ label: 'places', value: wanted, unit: '' }],
    where: onArea(results, area),
    target: {
      label: 'places',
      better: 'lower',
      unit: '',
      read: (tried) => marksOfArea(tried.areas[area.place] ?? area),
      settled: (tried) => fullest(tried).by <= 1,
    },
    remedies: [
      oneChange('wider-spacing', `${mm(spacing)} apart`, fields.spacingMm, spacing),
      ...(photo ? [] : [oneChange('all-over', 'Work it all over', fields.fill, 'solid')]),
    ],
  };
};

/** An area whose tool cuts through and works no faces. */
const worksNoFaces = ({ areas }: PanelResults): WorkedArea | undefined =>
  areas.find(({ tool }) => tool.engraves === undefined);

/** A tool that cuts through and works no faces: light comes out where a face is rough, and at no cut. */
export const toolWorksNoFaces: Rule<PanelResults> = ({ results, catalogue }) => {
  const area = worksNoFaces(results);
  if (area === undefined) return null;
  const field = areaFields(results, area).toolId;
  return {
    id: 'tool-works-no-faces',
    severity: 'stop',
    step: 'artwork',
    what: `${area.tool.name} works no faces`,
    why: 'It cuts through. Light comes out where a face is engraved, blasted or sanded; what is shown is reckoned for the usual engraver.',
    numbers: [{ label: 'deep', value: area.artwork.depthMm, unit: 'mm' }],
    where: onArea(results, area),
    target: {
      label: 'tools that work no faces',
      better: 'lower',
      unit: '',
      read: ({ areas }) => areas.filter(({ tool }) => tool.engraves === undefined).length,
      settled: (tried) => worksNoFaces(tried) === undefined,
    },
    remedies: [{ id: 'engraver', candidates: engraversFor(results, catalogue, field, () => true) }],
  };
};
