import { set } from '../../document/design/index.js';
import { oneChange, type Rule } from '../../judging/findings/index.js';
import { fieldsIn } from '../../judging/results/index.js';
import { backPlayOf } from './back-hold.js';
import { boardFor } from './board-for.js';
import { gluedBackOf } from './glued-back.js';
import type { BoxResults } from './results.js';

const mm = (value: number): string => `${Math.round(value * 10) / 10} mm`;

/** Across its boards solid wood moves by so much of its width for each per cent of moisture; softwood and oak alike (typical). */
const movesPerPercent = 0.0021;
/** How far its moisture swings over a year (%); typical. */
const swingPercent = { indoors: 4, damp: 6, outdoors: 8 } as const;

/** How much a back of boards grows across them over a year (mm); none where it is cut from a sheet. */
const growsMm = (results: BoxResults): number => {
  if (gluedBackOf(results) === null) return 0;
  const { back } = results.geometry;
  return Math.min(back.widthMm, back.heightMm) * movesPerPercent * swingPercent[results.design.brief.exposure];
};

const playInAll = ({ assembly }: BoxResults): number => 2 * backPlayOf(assembly.case);

const lacksMm = (results: BoxResults): number => Math.max(0, growsMm(results) - playInAll(results));

/** A back of solid boards that has no room to move with the seasons: it bursts its seat or pulls apart. */
export const backSwells: Rule<BoxResults> = ({ results, catalogue }) => {
  const grows = growsMm(results);
  if (lacksMm(results) <= 0.05) return null;
  const { geometry, assembly, materials, design } = results;
  const { back, inside } = geometry;
  const fields = fieldsIn(results);
  const play = Math.ceil(grows * 5) / 10;
  const sheet = boardFor(catalogue, materials.backBoard, 'back', back);
  return {
    id: 'back-swells',
    severity: 'fix',
    step: 'case',
    what: 'The back of boards has too little play',
    why: `Across its boards it moves ${mm(grows)} over a year (typical for ${swingPercent[design.brief.exposure]} % of moisture); its seats leave ${mm(playInAll(results))} in all. Held fast it cracks along a joint, or bursts the corners.`,
    numbers: [{ label: 'moves', value: Math.round(10 * grows) / 10, unit: 'mm' }],
    where: {
      view: 'slice',
      rect: { x: -back.thicknessMm, y: -inside.heightMm / 2, width: back.thicknessMm, height: inside.heightMm },
    },
    target: {
      label: 'play that lacks',
      better: 'lower',
      unit: 'mm',
      read: lacksMm,
      settled: (tried) => lacksMm(tried) <= 0.05,
    },
    remedies: [
      ...(play < assembly.case.seatMm
        ? [oneChange('more-back-play', `Back with ${mm(play)} play a side`, fields.case.backPlayMm, play)]
        : []),
      {
        id: 'sheet-back',
        candidates:
          sheet.form === 'sheet' && sheet.id !== materials.backBoard.id
            ? [{ label: `Back from ${sheet.name}`, change: [set(fields.case.backBoardId, sheet.id)] }]
            : [],
      },
    ],
  };
};
