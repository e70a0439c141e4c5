import { buildOf, type Tryout } from '../../builds/index.js';
import type { DesignChange } from '../../document/design/index.js';
import type { AssemblyResults } from '../../judging/results/index.js';
import { applyChange, type Design } from '../design/index.js';
import type { AssemblyEvaluation, Evaluation } from '../evaluate/types.js';
import { readsAsLit } from '../../judging/findings/index.js';
import { evenEnough } from '../../light/glow/index.js';
import { renderFace, shrink } from '../picture/index.js';
import type { Result } from '../../base/result.js';
import type { Demand, TryPoint } from './types.js';

const picturePx = 120;

/** Contrast over threshold of the worse of dots and bands. */
export const visibilityOf = ({ glow }: Pick<AssemblyResults, 'glow'>): number => {
  const { dots, bands } = glow.evenness;
  return Math.max(...[dots, bands].map((ripple) => (ripple === null ? 0 : ripple.contrast / ripple.threshold)));
};

/** Try-outs run on a coarser map than the page: what will do must do so with a little to spare, or the page may disagree. */
const spare = { visibility: 0.95, evenness: 0.012, brightness: 1.01 } as const;

/** How an assembly may be tried out; null where nothing of it is. */
export const tryoutOf = (design: Design, index: number): Tryout<AssemblyResults> | null => {
  const assembly = design.assemblies[index];
  return assembly === undefined ? null : buildOf(assembly).tryout;
};

/** What an assembly of an evaluation falls short of, by the measures of the findings. */
export const shortfalls = ({ design, findings }: Evaluation, own: AssemblyEvaluation): readonly Demand[] => {
  const { glow, runs } = own;
  const ratio = glow.daylight.find(({ ambient }) => ambient === design.brief.ambient)?.litOverUnlit ?? 0;
  const { evenness } = glow;
  const room = buildOf(own).tryout?.roomRules ?? [];
  const stuck =
    findings.some(({ rule, assembly }) => assembly === own.index && room.includes(rule)) || runs.segments.length === 0;
  return [
    ...(visibilityOf(own) > spare.visibility ? (['no dots or bands'] as const) : []),
    ...(ratio < readsAsLit * spare.brightness ? (['bright enough'] as const) : []),
    ...(evenness.minOverMean < evenEnough + spare.evenness ? (['even corners'] as const) : []),
    ...(stuck ? (['room inside'] as const) : []),
  ];
};

/** Evaluates designs for try-outs: every figure, on a coarser map. */
export type TryEvaluator = (design: Design) => Result<Evaluation>;

/** Where an assembly stands among what was tried. */
export type TryStanding = Pick<TryPoint, 'costPerSign' | 'minOverMean' | 'visibility' | 'depthMm'>;

/** Where an assembly of an evaluation stands, by the measures of try-outs; null where nothing of it is tried. */
export const standingOf = ({ design, assemblies, cost }: Evaluation, index: number): TryStanding | null => {
  const own = assemblies[index];
  const tryout = tryoutOf(design, index);
  if (own === undefined || tryout === null) return null;
  return {
    costPerSign: cost.perSign,
    minOverMean: own.glow.evenness.minOverMean,
    visibility: visibilityOf(own),
    depthMm: tryout.read(own).depthMm,
  };
};

/** One combination tried on an assembly of the design; null when it makes none at all. */
export const tryPoint = (
  design: Design,
  index: number,
  change: DesignChange,
  id: number,
  face: string,
  evaluate: TryEvaluator,
): TryPoint | null => {
  const changed = applyChange(design, change);
  const tried = changed.ok ? evaluate(changed.value) : changed;
  const own = tried.ok ? tried.value.assemblies[index] : undefined;
  const tryout = tryoutOf(design, index);
  const standing = tried.ok ? standingOf(tried.value, index) : null;
  if (!tried.ok || own === undefined || tryout === null || standing === null) return null;
  const { glow, runs } = own;
  const { ambient } = tried.value.design.brief;
  return {
    id,
    change,
    ...tryout.read(own),
    ...standing,
    face,
    ledCount: runs.leds.count,
    meanCdM2: glow.evenness.meanCdM2,
    litOverUnlit: glow.daylight.find((each) => each.ambient === ambient)?.litOverUnlit ?? 0,
    fails: shortfalls(tried.value, own),
    picture: shrink(renderFace(own, 'evening', true, true), picturePx),
  };
};
