import type { FontBook } from '../../artwork/lettering/index.js';
import { failure, success, type Result } from '../../base/result.js';
import { buildOf, stageNames, type StageName } from '../../builds/index.js';
import type { Catalogue } from '../../document/catalogue/index.js';
import type { GridLimits } from '../../light/glow/index.js';
import type { Design } from '../design/index.js';
import { unknownItems } from './hang-sign.js';
import { laySign, type AnyStages, type Standing, type StagesOf } from './lay-sign.js';
import { signLighting } from './light-sign.js';
import { signSums } from './sum-sign.js';
import { tooMuchWork } from './too-much-work.js';
import type { StageRun } from './types.js';
import { signWiring } from './wire-sign.js';

/** Each place of the list has stages of its own for each build, so that two boxes do not forget each other. */
const stagesByPlace = (catalogue: Catalogue, fonts: FontBook, limits: GridLimits): StagesOf => {
  const own = new Map<string, AnyStages>();
  return (assembly, index) => {
    const key = `${index} ${assembly.build}`;
    const known = own.get(key) ?? buildOf(assembly).work.stages(catalogue, fonts, limits);
    own.set(key, known);
    return known;
  };
};

/**
 * The pipelines of all builds, and between them what a sign shares: `lay` of each assembly, `wire` of the sign, `light` of
 * each, `sum` of the sign. Every stage is memoized by its last calls by the identity of its inputs: an edit recomputes only what
 * lies downstream of it, and light only where it is asked for. One runner serves one page or one search.
 */
export const createStages = (catalogue: Catalogue, fonts: FontBook, limits: GridLimits) => {
  const stagesOf = stagesByPlace(catalogue, fonts, limits);
  const { circuit, wire } = signWiring(catalogue);
  const light = signLighting(stagesOf);
  const { sumUp, stages } = signSums(catalogue, stagesOf);
  return (design: Design): Result<StageRun> => {
    const tooMuch = tooMuchWork(design);
    if (tooMuch !== null) return failure(tooMuch);
    const unknown = unknownItems(design, catalogue);
    if (unknown.length > 0) return failure(...unknown);
    const laid = laySign(design, stagesOf);
    if (!laid.ok) return laid;
    const solved = wire(design, laid.value);
    const results = sumUp(design, light(design, laid.value, solved), solved);
    return success({ results, recomputed: () => recomputedOf({ circuit, ...stages }, laid.value, stagesOf) });
  };
};

/** The stages of the sign and of its assemblies that did not answer from memory, in the order of the work. */
const recomputedOf = (
  shared: Partial<Readonly<Record<StageName, { readonly reused: () => boolean }>>>,
  standing: readonly Standing[],
  stagesOf: StagesOf,
): readonly StageName[] => {
  const anew = new Set(standing.flatMap(({ assembly, index }) => stagesOf(assembly, index).recomputed()));
  return stageNames.filter((name) => anew.has(name) || shared[name]?.reused() === false);
};
