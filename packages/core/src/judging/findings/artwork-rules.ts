import { cutsThrough, type Tool } from '../../document/catalogue/index.js';
import { set } from '../../document/design/index.js';
import { fieldsIn, type AssemblyResults } from '../results/index.js';
import type { Rect } from '../../base/outlines/index.js';
import { oneChange } from './candidates.js';
import type { Candidate, Rule } from './types.js';

const mm = (value: number): string => `${Math.round(value * 100) / 100} mm`;

const placesOf = ({ workability }: AssemblyResults, kind: 'thin' | 'gap' | 'corner') =>
  workability.lost.filter((place) => place.kind === kind);

/** The narrowest place of a kind, where a finding points. */
const worst = (results: AssemblyResults, kind: 'thin' | 'gap' | 'corner'): Rect =>
  placesOf(results, kind)[0]?.rect ?? { x: 0, y: 0, width: 0, height: 0 };

/** Larger artwork in steps up to twice its size. */
const larger = (results: AssemblyResults): readonly Candidate[] => {
  const { artwork } = results.assembly;
  const field = fieldsIn(results).artwork;
  const { drawing } = artwork;
  return [1.1, 1.25, 1.5, 2].map((factor) =>
    drawing === null || drawing === undefined
      ? {
          label: `Cap height ${Math.ceil(artwork.capHeightMm * factor)} mm`,
          change: [set(field.capHeightMm, Math.ceil(artwork.capHeightMm * factor))],
        }
      : {
          label: `Drawing ${Math.round(factor * 100)} % as large`,
          change: [set(field.drawing.scale, drawing.scale * factor)],
        },
  );
};

const toolLabel = ({ kind, name }: Tool): string => `${kind === 'nozzle' ? 'Print with' : 'Cut with'}: ${name}`;

const finerTools: (context: Parameters<Rule>[0]) => readonly Candidate[] = ({ results, catalogue }) =>
  catalogue.tools
    .filter((each) => {
      const { tool, workpiece } = results.materials;
      const finer = each.cutMm < tool.cutMm || (each.cutMm === tool.cutMm && each.leastStrokeMm < tool.leastStrokeMm);
      return finer && cutsThrough(each, workpiece);
    })
    .sort((a, b) => b.cutMm - a.cutMm)
    .map((each) => ({
      label: toolLabel(each),
      change: [set(fieldsIn(results).artwork.toolId, each.id)],
    }));

/** The tool does not get through what it is to cut. */
export const toolCannotCut: Rule = ({ results, catalogue }) => {
  const { tool, workpiece } = results.materials;
  if (cutsThrough(tool, workpiece)) return null;
  const mostMm = (of: AssemblyResults): number =>
    of.materials.tool.cuts.find(({ stuff }) => stuff === of.materials.workpiece.stuff)?.mostMm ?? 0;
  return {
    id: 'tool-cannot-cut',
    severity: 'stop',
    step: 'artwork',
    what: `${tool.name} does not cut ${workpiece.name.toLowerCase()}`,
    why:
      mostMm(results) === 0
        ? `It is not made for ${workpiece.name.toLowerCase()}.`
        : `It gets through ${mm(mostMm(results))} of it; this is ${mm(workpiece.thicknessMm)} thick.`,
    numbers: [{ label: 'thick', value: workpiece.thicknessMm, unit: 'mm' }],
    where: results.lettering.bounds === null ? null : { view: 'front', rect: results.lettering.bounds },
    target: {
      label: 'cuts at most',
      better: 'higher',
      unit: 'mm',
      read: mostMm,
      settled: (tried) => cutsThrough(tried.materials.tool, tried.materials.workpiece),
    },
    remedies: [
      {
        id: 'tool-that-cuts',
        candidates: catalogue.tools
          .filter((each) => cutsThrough(each, workpiece))
          .sort((a, b) => a.cutMm - b.cutMm)
          .map((each) => ({
            label: toolLabel(each),
            change: [set(fieldsIn(results).artwork.toolId, each.id)],
          })),
      },
    ],
  };
};

/** Strokes thinner than stand after the tool. */
export const strokesThin: Rule = (context) => {
  const { results } = context;
  const narrowest = results.workability.narrowestStrokeMm;
  if (narrowest === null) return null;
  const { tool } = results.materials;
  return {
    id: 'strokes-thin',
    severity: 'fix',
    step: 'artwork',
    what: 'Strokes are too thin to cut',
    why: `The narrowest is ${mm(narrowest)}; ${tool.name.toLowerCase()} wants ${mm(tool.leastStrokeMm)} or more.`,
    numbers: [
      { label: 'narrowest stroke', value: narrowest, unit: 'mm' },
      { label: 'too thin at', value: placesOf(results, 'thin').length, unit: 'places' },
    ],
    where: { view: 'front', rect: worst(results, 'thin') },
    target: {
      label: 'too thin',
      better: 'lower',
      unit: 'places',
      read: (tried) => placesOf(tried, 'thin').length,
      settled: (tried) => tried.workability.narrowestStrokeMm === null,
    },
    remedies: [
      { id: 'larger-artwork', candidates: larger(results) },
      { id: 'finer-tool', candidates: finerTools(context) },
    ],
  };
};

/** Gaps that the tool does not get into. */
export const gapsLost: Rule = (context) => {
  const { results } = context;
  const narrowest = results.workability.narrowestGapMm;
  if (narrowest === null) return null;
  const { tool } = results.materials;
  return {
    id: 'gaps-lost',
    severity: 'fix',
    step: 'artwork',
    what: 'Gaps are too narrow for the tool',
    why: `The narrowest is ${mm(narrowest)}; ${tool.name.toLowerCase()} cuts ${mm(tool.cutMm)} wide, so that this detail is lost.`,
    numbers: [
      { label: 'narrowest gap', value: narrowest, unit: 'mm' },
      { label: 'too narrow at', value: placesOf(results, 'gap').length, unit: 'places' },
    ],
    where: { view: 'front', rect: worst(results, 'gap') },
    target: {
      label: 'too narrow',
      better: 'lower',
      unit: 'places',
      read: (tried) => placesOf(tried, 'gap').length,
      settled: (tried) => tried.workability.narrowestGapMm === null,
    },
    remedies: [
      { id: 'finer-tool', candidates: finerTools(context) },
      { id: 'larger-artwork', candidates: larger(results) },
    ],
  };
};

/** Inside corners that come out round. */
export const cornersRound: Rule = (context) => {
  const { results } = context;
  const corners = placesOf(results, 'corner');
  const { tool } = results.materials;
  if (corners.length === 0 || tool.kind !== 'bit') return null;
  return {
    id: 'corners-round',
    severity: 'note',
    step: 'artwork',
    what: `${corners.length} inside corner${corners.length === 1 ? ' comes' : 's come'} out round`,
    why: `${tool.name} leaves a radius of ${mm(tool.cutMm / 2)} there; finish with a chisel or live with it.`,
    numbers: [
      { label: 'radius', value: tool.cutMm / 2, unit: 'mm' },
      { label: 'left round', value: corners.length, unit: 'corners' },
    ],
    where: { view: 'front', rect: worst(results, 'corner') },
    target: {
      label: 'left round',
      better: 'lower',
      unit: 'corners',
      read: (tried) => placesOf(tried, 'corner').length,
      settled: (tried) => placesOf(tried, 'corner').length === 0,
    },
    remedies: [{ id: 'finer-tool', candidates: finerTools(context) }],
  };
};

/** Counters of a mask that fall out unless they are kept. */
export const countersLoose: Rule = ({ results }) => {
  const { artwork } = results.assembly;
  const { counters } = results.workability;
  // Only a mask has loose counters; what else is lettered says nothing of a mode.
  if (!('mode' in artwork) || artwork.mode !== 'lit-letters' || counters === 0) return null;
  return {
    id: 'counters-loose',
    severity: 'note',
    step: 'artwork',
    what: `${counters} counter${counters === 1 ? ' is' : 's are'} loose in the mask`,
    why: 'The middles of letters such as O and A hang on nothing: keep them on the transfer film, or choose a stencil face.',
    numbers: [{ label: 'loose', value: counters, unit: 'counters' }],
    where: results.lettering.bounds === null ? null : { view: 'front', rect: results.lettering.bounds },
    target: {
      label: 'loose',
      better: 'lower',
      unit: 'counters',
      read: (tried) => tried.workability.counters,
      settled: (tried) => tried.workability.counters === 0,
    },
    remedies:
      artwork.drawing === null || artwork.drawing === undefined
        ? [
            oneChange(
              'stencil-face',
              'Letters in Stardos Stencil Bold',
              fieldsIn(results).artwork.fontId,
              'stardos-bold',
            ),
          ]
        : [],
  };
};

/** By how much something is too long for its machine, in words. */
export const overBedWords = ({ workability, materials: { tool } }: AssemblyResults): string =>
  `It is ${mm(workability.overBedMm)} too long for ${tool.name.toLowerCase()} (${tool.bedWidthMm} × ${tool.bedHeightMm} mm)`;

/** Artwork larger than the machine reaches. */
export const overBed: Rule = ({ results, catalogue }) => {
  const { overBedMm } = results.workability;
  const { tool } = results.materials;
  if (overBedMm <= 0) return null;
  const reaching = catalogue.tools
    .filter(
      (each) =>
        each.bedWidthMm * each.bedHeightMm > tool.bedWidthMm * tool.bedHeightMm &&
        cutsThrough(each, results.materials.workpiece),
    )
    .map((each) => ({
      label: toolLabel(each),
      change: [set(fieldsIn(results).artwork.toolId, each.id)],
    }));
  return {
    id: 'over-bed',
    severity: 'fix',
    step: 'artwork',
    what: 'The artwork is larger than the machine reaches',
    why: `${overBedWords(results)}; cut it in parts, letter by letter.`,
    numbers: [{ label: 'too long by', value: overBedMm, unit: 'mm' }],
    where: results.lettering.bounds === null ? null : { view: 'front', rect: results.lettering.bounds },
    target: {
      label: 'too long by',
      better: 'lower',
      unit: 'mm',
      read: (tried) => tried.workability.overBedMm,
      settled: (tried) => tried.workability.overBedMm <= 0,
    },
    remedies: [{ id: 'larger-bed', candidates: reaching }],
  };
};
