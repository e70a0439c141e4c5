import type { Catalogue } from '../../document/catalogue/index.js';
import { fieldsIn } from '../../judging/results/index.js';
import { set, type DesignChange } from '../../document/design/index.js';
import { leastWallMm } from './geometry.js';
import { leastHeldMm } from './panel-rules.js';
import type { BoxResults } from './results.js';
import { passesOf, timesAlong } from './sides.js';
import { oneChange, partOverSheet, type Candidate, type Remedy, type Rule } from '../../judging/findings/index.js';
import { changeFace, holds, isClear } from '../faces/candidates.js';

const mm = (value: number): string => `${Math.round(value * 10) / 10} mm`;

/** A part larger than the sheet it is cut from; for a face there may be larger sheets. */
export const largerThanSheet: Rule<BoxResults> = ({ results, catalogue }) => {
  const found = partOverSheet({ results, catalogue });
  const { face } = results.materials;
  const isFace = results.packing.sheets.find(({ tooLarge }) => tooLarge.length > 0)?.materialId === face.id;
  if (found === null || !isFace) return found;
  const { widthMm, heightMm } = results.geometry.face;
  const larger = catalogue.faces
    .filter((sheet) => holds(sheet, { widthMm, heightMm }) && !isClear(sheet))
    .sort((a, b) => Math.abs(a.transmittance - face.transmittance) - Math.abs(b.transmittance - face.transmittance));
  return {
    ...found,
    what: 'The face is larger than its sheet',
    where: { view: 'front', rect: { x: -widthMm / 2, y: -heightMm / 2, width: widthMm, height: heightMm } },
    remedies: [changeFace(results, larger)],
  };
};

/** Room over the strip for a soldered joint and its sleeve, and for the lead (mm). */
const jointHeightMm = 5;
const leadClearanceMm = 3;

const depthNeeded = ({ materials, assembly, circuit }: BoxResults): number => {
  const { light } = assembly;
  const lead = circuit.lead.diameterMm + leadClearanceMm;
  const strip =
    light.layout === 'rows'
      ? (light.facing === 'side' ? materials.strip.widthMm : materials.strip.heightMm) + jointHeightMm
      : (materials.strip.widthMm + 1) *
        (light.layout === 'rim' ? Math.max(...Object.values(timesAlong(passesOf(light)))) : light.turnCount);
  return Math.max(lead, strip);
};

/** What must go inside is deeper than the case. */
export const tooShallow: Rule<BoxResults> = ({ results }) => {
  const needed = depthNeeded(results);
  const { depthMm } = results.geometry.inside;
  if (depthMm >= needed) return null;
  const depth = Math.ceil(needed);
  return {
    id: 'too-shallow',
    severity: 'stop',
    step: 'case',
    what: 'The case is too shallow for what goes inside',
    why: `Strip, joints and lead need ${mm(needed)}; there are ${mm(depthMm)}.`,
    numbers: [{ label: 'needed', value: needed, unit: 'mm' }],
    where: {
      view: 'slice',
      rect: {
        x: 0,
        y: -results.geometry.inside.heightMm / 2,
        width: depthMm,
        height: results.geometry.inside.heightMm,
      },
    },
    target: {
      label: 'depth inside',
      better: 'higher',
      unit: 'mm',
      read: (tried) => tried.geometry.inside.depthMm,
      settled: (tried) => tried.geometry.inside.depthMm >= depthNeeded(tried),
    },
    remedies: [oneChange('deep-enough', `Deepen to ${depth} mm inside`, fieldsIn(results).case.depthInsideMm, depth)],
  };
};

/** Swing of temperature a face sees between a cold night and a lit summer day (K); typical. */
const faceSwingK = { indoors: 25, damp: 30, outdoors: 55 } as const;

const growth = ({ materials, geometry, design }: BoxResults): number =>
  Math.max(geometry.face.widthMm, geometry.face.heightMm) *
  materials.face.expansionPerK *
  faceSwingK[design.brief.exposure];

/** Seats so deep that a face with more play stays in them, in returns thick enough for that. */
const deeperSeat = (results: BoxResults, catalogue: Catalogue, playMm: number): Remedy => {
  const fields = fieldsIn(results);
  const { returnBoard } = results.materials;
  const seatMm = Math.ceil(2 * (2 * playMm + leastHeldMm)) / 2;
  const thicker = catalogue.boards
    .filter(
      ({ uses, stuff, thicknessMm }) =>
        uses.includes('return') && stuff === 'wood' && thicknessMm > returnBoard.thicknessMm,
    )
    .sort((a, b) => a.thicknessMm - b.thicknessMm);
  return {
    id: 'deeper-seat',
    candidates: [returnBoard, ...thicker]
      .filter(({ thicknessMm }) => seatMm <= thicknessMm - leastWallMm)
      .slice(0, 3)
      .map((board): Candidate => ({
        label: `Seats ${mm(seatMm)} deep with ${mm(playMm)} play a side${board === returnBoard ? '' : `, returns of ${board.name}`}`,
        change: [
          set(fields.case.playMm, playMm),
          set(fields.case.seatMm, seatMm),
          ...(board === returnBoard ? [] : [set(fields.case.returnBoardId, board.id)]),
        ],
      })),
  };
};

/** The face grows with warmth more than its seat lets it. */
export const faceBinds: Rule<BoxResults> = ({ results, catalogue }) => {
  const { design, assembly } = results;
  if (assembly.case.retention === 'laid-on') return null;
  const grows = growth(results);
  if (grows <= 2 * assembly.case.playMm + 0.05) return null;
  const play = Math.ceil(grows * 5) / 10;
  return {
    id: 'face-binds',
    severity: 'fix',
    step: 'case',
    what: 'The face has too little play and will bow',
    why: `It grows ${mm(grows)} over ${faceSwingK[design.brief.exposure]} °C; its seats leave ${mm(2 * assembly.case.playMm)} in all.`,
    numbers: [{ label: 'growth', value: grows, unit: 'mm' }],
    where: {
      view: 'slice',
      rect: {
        x: results.geometry.inside.depthMm,
        y: -results.geometry.face.heightMm / 2,
        width: results.geometry.face.thicknessMm,
        height: results.geometry.face.heightMm,
      },
    },
    target: {
      label: 'play in all',
      better: 'higher',
      unit: 'mm',
      read: (tried) => 2 * tried.assembly.case.playMm,
      settled: (tried) => growth(tried) <= 2 * tried.assembly.case.playMm + 0.05,
    },
    remedies: [
      ...(2 * play + leastHeldMm <= assembly.case.seatMm
        ? [oneChange('more-play', `Play ${mm(play)} a side`, fieldsIn(results).case.playMm, play)]
        : []),
      deeperSeat(results, catalogue, play),
    ],
    noRemedy: 'No board of the shop takes a seat that deep: divide the face into two panes, or lay it on the front.',
  };
};

const overhang = ({ lettering, geometry }: BoxResults): number => {
  const { bounds } = lettering;
  if (bounds === null) return 0;
  const { widthMm, heightMm } = geometry.inside;
  return Math.max(
    0,
    -widthMm / 2 - bounds.x,
    bounds.x + bounds.width - widthMm / 2,
    -heightMm / 2 - bounds.y,
    bounds.y + bounds.height - heightMm / 2,
  );
};

/** Letters reach past the lit opening. */
export const lettersOverhang: Rule<BoxResults> = ({ results }) => {
  const past = overhang(results);
  const { bounds } = results.lettering;
  if (past <= 0 || bounds === null) return null;
  const { artwork } = results.assembly;
  const { drawing } = artwork;
  const { inside } = results.geometry;
  const fit = Math.min((0.92 * inside.widthMm) / bounds.width, (0.86 * inside.heightMm) / bounds.height, 1);
  const cap = Math.max(2, Math.floor(artwork.capHeightMm * fit));
  /** Shifts that bring the middle of what is drawn, so many times as large, to the middle of the face. */
  const centred = (times: number): DesignChange => {
    const shift = (offset: number, middle: number): number => Math.round(10 * (offset - middle) * times) / 10;
    return [
      set(fieldsIn(results).artwork.offsetXMm, shift(artwork.offsetXMm, bounds.x + bounds.width / 2)),
      set(fieldsIn(results).artwork.offsetYMm, shift(artwork.offsetYMm, bounds.y + bounds.height / 2)),
    ];
  };
  return {
    id: 'letters-overhang',
    severity: 'fix',
    step: 'artwork',
    what: 'The artwork reaches past the lit face',
    why: `It is ${mm(bounds.width)} × ${mm(bounds.height)} and stands ${mm(past)} over the edge of the opening.`,
    numbers: [{ label: 'past the edge', value: past, unit: 'mm' }],
    where: { view: 'front', rect: bounds },
    target: {
      label: 'past the edge',
      better: 'lower',
      unit: 'mm',
      read: overhang,
      settled: (tried) => overhang(tried) <= 0,
    },
    remedies: [
      { id: 'centre-artwork', candidates: [{ label: 'Move it to the middle of the face', change: centred(1) }] },
      {
        id: 'smaller-letters',
        candidates: [
          {
            label:
              drawing === null || drawing === undefined
                ? `Cap height ${cap} mm, centred`
                : `Drawing ${mm(fit * bounds.width)} wide, centred`,
            change: [
              drawing === null || drawing === undefined
                ? set(fieldsIn(results).artwork.capHeightMm, cap)
                : set(fieldsIn(results).artwork.drawing.scale, drawing.scale * fit),
              ...centred(drawing === null || drawing === undefined ? cap / artwork.capHeightMm : fit),
            ],
          },
        ],
      },
    ],
  };
};
