import { set, type DesignChange } from '../../../document/design/index.js';
import type { Candidate, Place, Remedy } from '../../../judging/findings/index.js';
import { fieldsIn } from '../../../judging/results/index.js';
import type { Catalogue } from '../../../document/catalogue/index.js';
import { around } from '../../common/rule-words.js';
import type { Point } from '../../../base/outlines/index.js';
import type { GrooveResults } from '../results.js';

export const one = (value: number): number => Math.round(value * 10) / 10;
export const mm = (value: number): string => `${one(value)} mm`;

/** A square on the front as large as two grooves and what is beside them. */
export const placeAt = ({ geometry }: GrooveResults, at: Point): Place => around(at, 4 * geometry.groove.widthMm);

/** The slice across the groove, where a finding about its size points. */
export const inTheSlice = ({ section, geometry }: GrooveResults): Place => {
  const near = section.near ?? { lowMm: -20, highMm: 20, rearZMm: geometry.rearZMm, frontZMm: geometry.frontZMm };
  return {
    view: 'slice',
    rect: {
      x: near.rearZMm,
      y: near.lowMm,
      width: near.frontZMm - near.rearZMm,
      height: near.highMm - near.lowMm,
    },
  };
};

/** Groove as wide and as deep as what lies in it asks for. */
export const asAsked = (results: GrooveResults): DesignChange => [
  set(fieldsIn(results).groove.widthMm, null),
  set(fieldsIn(results).groove.depthMm, null),
];

/** Other covers, or none, that strip of this width goes under; each with the groove that it wants. */
export const otherCovers = (
  results: GrooveResults,
  { covers }: Catalogue,
  suits: (cover: Catalogue['covers'][number] | null) => boolean,
): Remedy => ({
  id: 'other-cover',
  candidates: results.materials.sheet.clear
    ? []
    : [...covers, null]
        .filter((cover) => cover?.id !== results.materials.cover?.id && suits(cover))
        .map((cover): Candidate => ({
          label: cover === null ? 'No cover: strip lies bare' : cover.name,
          change: [set(fieldsIn(results).groove.coverId, cover?.id ?? null), ...asAsked(results)],
        })),
});

/** A carrier of given size grows with its lines; it stays where they shrink. */
const carrierScaled = ({ assembly, index }: GrooveResults, by: number): DesignChange => {
  const { carrier } = assembly;
  const fields = fieldsIn({ assembly, index });
  return by <= 1 || (carrier.shape !== 'rectangle' && carrier.shape !== 'drawing')
    ? []
    : [
        set(fields.carrier.widthMm, Math.min(6000, Math.ceil((carrier.widthMm ?? 600) * by))),
        set(fields.carrier.heightMm, Math.min(6000, Math.ceil((carrier.heightMm ?? 400) * by))),
      ];
};

/** All lines larger, or smaller, in steps. */
export const scaled = (results: GrooveResults, factors: readonly number[]): Remedy => {
  const { scale = 1 } = results.assembly.lines;
  return {
    id: factors[0]! > 1 ? 'larger-lines' : 'smaller-lines',
    candidates: factors
      .map((factor) => Math.round(1000 * scale * factor) / 1000)
      .filter((next) => next >= 0.2 && next <= 5)
      .map((next) => ({
        label: `Lines ${Math.round(100 * next)} % as large as they are drawn`,
        change: [set(fieldsIn(results).lines.scale, next), ...carrierScaled(results, next / scale)],
      })),
  };
};

/** Thicker sheets of the same kind for the groove to be cut into. */
export const thickerSheet = (results: GrooveResults, catalogue: Catalogue): Remedy => {
  const { sheet } = results.materials;
  const all = sheet.clear
    ? catalogue.panes.filter(({ silver }) => silver === undefined)
    : catalogue.boards.filter(({ form }) => form === 'sheet');
  return {
    id: 'thicker-sheet',
    candidates: all
      .filter(({ stuff, thicknessMm }) => stuff === sheet.stuff && thicknessMm > sheet.thicknessMm)
      .sort((a, b) => a.thicknessMm - b.thicknessMm)
      .map(({ id, name }) => ({ label: name, change: [set(fieldsIn(results).carrier.boardId, id)] })),
  };
};

/** Less line to light: all of it smaller. */
export const lessLine = (results: GrooveResults): Remedy => scaled(results, [0.9, 0.75, 0.6]);
