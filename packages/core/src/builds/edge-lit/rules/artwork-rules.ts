import { set } from '../../../document/design/index.js';
import { fieldsIn } from '../../../judging/results/index.js';
import { oneChange, type Candidate, type Rule } from '../../../judging/findings/index.js';
import { mostMarks } from '../fill/hatch.js';
import type { PanelResults } from '../results.js';
import { spacingOf, takenAt } from '../worked.js';
import { mm, one, onArtwork, perCent } from './common.js';

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

/** How far artwork reaches past what is seen of the sheet (mm). */
const outside = ({ lettering: { bounds }, geometry: { seen } }: PanelResults): number =>
  bounds === null
    ? 0
    : Math.max(
        0,
        seen.x - bounds.x,
        seen.y - bounds.y,
        bounds.x + bounds.width - seen.x - seen.width,
        bounds.y + bounds.height - seen.y - seen.height,
      );

const marginMm = 4;

/** Artwork that reaches past the sheet, or into what holds it. */
export const artworkOutside: Rule<PanelResults> = ({ results }) => {
  const over = outside(results);
  const { bounds } = results.lettering;
  if (over <= 0.01 || bounds === null) return null;
  const { seen, sheet } = results.geometry;
  const { artwork } = results.assembly;
  const fields = fieldsIn(results);
  const middleUp = seen.y + seen.height / 2 - (sheet.y + sheet.height / 2);
  const inMiddle: Candidate = {
    label: 'In the middle of what is seen of the sheet',
    change: [set(fields.artwork.offsetXMm, 0), set(fields.artwork.offsetYMm, one(middleUp))],
  };
  const share = Math.min((seen.width - 2 * marginMm) / bounds.width, (seen.height - 2 * marginMm) / bounds.height);
  const { drawing } = artwork;
  const resized =
    drawing === null || drawing === undefined
      ? set(fields.artwork.capHeightMm, Math.max(2, Math.floor(artwork.capHeightMm * share * 0.98)))
      : set(fields.artwork.drawing.scale, drawing.scale * share * 0.98);
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
        candidates:
          share < 1 && share > 0
            ? [
                {
                  label: `Artwork ${Math.floor(98 * share)} % as large, in the middle`,
                  change: [...inMiddle.change, resized],
                },
              ]
            : [],
      },
    ],
  };
};

/** A mirror is worked through its silver, from behind. */
export const mirrorFromBehind: Rule<PanelResults> = ({ results }) => {
  const wrong = ({ materials, assembly }: PanelResults): boolean =>
    materials.pane.silver !== undefined && assembly.artwork.mirrored !== true;
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
      oneChange('from-behind', 'Work it from behind, drawn mirrored', fieldsIn(results).artwork.mirrored, true),
    ],
  };
};

/** Deeper than this share of the sheet weakens it; shallower than what takes this share of what it can stays pale; typical. */
const deepestShare = 1 / 3;
const palestShare = 0.5;

/** Artwork worked too deep for its sheet, or too shallow to shine. */
export const depthOutOfRange: Rule<PanelResults> = ({ results }) => {
  const { artwork } = results.assembly;
  const { pane, engraving } = results.materials;
  const most = pane.thicknessMm * deepestShare;
  const least = engraving.fullMm * Math.LN2;
  const off = ({ assembly, materials }: PanelResults): number =>
    Math.max(
      0,
      assembly.artwork.depthMm - materials.pane.thicknessMm * deepestShare,
      materials.engraving.fullMm * Math.LN2 - assembly.artwork.depthMm,
    );
  if (off(results) <= 1e-6) return null;
  const deep = artwork.depthMm > most;
  const usual = Math.round(100 * Math.min(most, 2 * engraving.fullMm)) / 100;
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
    where: onArtwork(results),
    target: {
      label: 'out of range by',
      better: 'lower',
      unit: 'mm',
      read: (tried) => Math.round(1000 * off(tried)) / 1000,
      settled: (tried) => off(tried) <= 1e-6,
    },
    remedies: [oneChange('usual-depth', `${usual} mm deep`, fieldsIn(results).artwork.depthMm, Math.max(0.005, usual))],
  };
};

/** Lines nearer than this many of their widths run together. */
const runTogether = 1.15;

/** Hatch or dots closer than the tool’s line is wide merge, and are no fill any more. */
export const linesMerge: Rule<PanelResults> = ({ results }) => {
  const { artwork } = results.assembly;
  const merge = ({ assembly, materials }: PanelResults): boolean =>
    assembly.artwork.fill !== 'solid' &&
    (assembly.artwork.graded ?? null) === null &&
    spacingOf(assembly.artwork) < runTogether * materials.engraving.lineMm;
  if (!merge(results)) return null;
  const { lineMm } = results.materials.engraving;
  const fields = fieldsIn(results).artwork;
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
    where: onArtwork(results),
    target: {
      label: 'apart',
      better: 'higher',
      unit: 'mm',
      read: (tried) => (tried.assembly.artwork.fill === 'solid' ? 20 : spacingOf(tried.assembly.artwork)),
      settled: (tried) => !merge(tried),
    },
    remedies: [
      oneChange('all-over', 'Work it all over', fields.fill, 'solid'),
      oneChange('farther-apart', `${mm(2 * lineMm)} apart`, fields.spacingMm, Math.round(200 * lineMm) / 100),
    ],
  };
};

/** So many lines or dots would a fill have at least, by the area that it covers. */
const marksWanted = ({ assembly: { artwork }, lettering: { bounds } }: PanelResults): number => {
  if (artwork.fill === 'solid' || bounds === null) return 0;
  const across = spacingOf(artwork);
  return artwork.fill === 'hatch'
    ? Math.ceil(bounds.height / across)
    : Math.ceil(bounds.height / across) * Math.ceil(bounds.width / across);
};

/** More lines or dots than a file or a machine takes. */
export const tooManyMarks: Rule<PanelResults> = ({ results }) => {
  const wanted = marksWanted(results);
  const most = results.assembly.artwork.fill === 'dots' ? 8 * mostMarks : mostMarks;
  if (wanted <= most) return null;
  const fields = fieldsIn(results).artwork;
  const by = results.assembly.artwork.fill === 'dots' ? Math.sqrt(wanted / most) : wanted / most;
  const spacing = Math.min(20, Math.ceil(10 * spacingOf(results.assembly.artwork) * by * 1.05) / 10);
  return {
    id: 'too-many-marks',
    severity: 'stop',
    step: 'artwork',
    what: 'More lines or dots than any file takes',
    why: `This fill has about ${wanted.toLocaleString('en')} places; ${most.toLocaleString('en')} is the most that is drawn.`,
    numbers: [{ label: 'places', value: wanted, unit: '' }],
    where: onArtwork(results),
    target: {
      label: 'places',
      better: 'lower',
      unit: '',
      read: marksWanted,
      settled: (tried) => marksWanted(tried) <= most,
    },
    remedies: [
      oneChange('wider-spacing', `${mm(spacing)} apart`, fields.spacingMm, spacing),
      oneChange('all-over', 'Work it all over', fields.fill, 'solid'),
    ],
  };
};

const worksNoFaces = ({ materials: { tool } }: PanelResults): boolean => tool.engraves === undefined;

/** A tool that cuts through and works no faces: light comes out where a face is rough, and at no cut. */
export const toolWorksNoFaces: Rule<PanelResults> = ({ results, catalogue }) => {
  if (!worksNoFaces(results)) return null;
  const { tool, pane } = results.materials;
  const field = fieldsIn(results).artwork.toolId;
  return {
    id: 'tool-works-no-faces',
    severity: 'stop',
    step: 'artwork',
    what: `${tool.name} works no faces`,
    why: 'It cuts through. Light comes out where a face is engraved, blasted or sanded; what is shown is reckoned for the usual engraver.',
    numbers: [{ label: 'deep', value: results.assembly.artwork.depthMm, unit: 'mm' }],
    where: onArtwork(results),
    target: {
      label: 'tools that work no faces',
      better: 'lower',
      unit: '',
      read: (tried) => (worksNoFaces(tried) ? 1 : 0),
      settled: (tried) => !worksNoFaces(tried),
    },
    remedies: [
      {
        id: 'engraver',
        candidates: catalogue.tools
          .filter(({ engraves, cuts }) => engraves !== undefined && cuts.some(({ stuff }) => stuff === pane.stuff))
          .map(({ id, name }) => ({ label: name, change: [set(field, id)] })),
      },
    ],
  };
};
