import { applyChange, type Design, type DesignChange } from '../../document/design/index.js';
import type { Evaluation } from '../evaluate/types.js';
import { readsAsLit } from '../../judging/findings/index.js';
import { evenEnough } from '../../light/glow/index.js';
import { renderFace, shrink } from '../../files/picture/index.js';
import type { Result } from '../../base/result.js';
import type { Demand, TryPoint } from './types.js';

const picturePx = 120;

/** How many times the strip is laid: rows, or turns. */
export const rowsPath = (design: Design): string => {
  const { layout } = design.assemblies[0]!.light;
  return `assemblies.0.light.${layout === 'rows' ? 'rowCount' : 'turnCount'}`;
};

/** Contrast over threshold of the worse of dots and bands. */
export const visibilityOf = ({ glow }: Evaluation): number => {
  const { dots, bands } = glow.evenness;
  return Math.max(...[dots, bands].map((ripple) => (ripple === null ? 0 : ripple.contrast / ripple.threshold)));
};

/** Try-outs run on a coarser map than the page: what will do must do so with a little to spare, or the page may disagree. */
const spare = { visibility: 0.95, evenness: 0.012, brightness: 1.01 } as const;

/** What an evaluation falls short of, by the measures of the findings. */
export const shortfalls = (evaluation: Evaluation): readonly Demand[] => {
  const { glow, design, findings, runs } = evaluation;
  const ratio = glow.daylight.find(({ ambient }) => ambient === design.brief.ambient)?.litOverUnlit ?? 0;
  const { evenness } = glow;
  const stuck = findings.some(({ id }) => id === 'too-shallow' || id === 'no-strip') || runs.segments.length === 0;
  return [
    ...(visibilityOf(evaluation) > spare.visibility ? (['no dots or bands'] as const) : []),
    ...(ratio < readsAsLit * spare.brightness ? (['bright enough'] as const) : []),
    ...(evenness.minOverMean < evenEnough + spare.evenness ? (['even corners'] as const) : []),
    ...(stuck ? (['room inside'] as const) : []),
  ];
};

/** Evaluates designs for try-outs: every figure, on a coarser map. */
export type TryEvaluator = (design: Design) => Result<Evaluation>;

/** One combination tried on the design; null when it makes no case at all. */
export const tryPoint = (
  design: Design,
  change: DesignChange,
  id: number,
  face: string,
  evaluate: TryEvaluator,
): TryPoint | null => {
  const changed = applyChange(design, change);
  const tried = changed.ok ? evaluate(changed.value) : changed;
  if (!tried.ok || tried.value.build !== 'lightbox') return null;
  const { geometry, cost, glow, runs, materials } = tried.value;
  const { light } = tried.value.assembly;
  const { ambient } = tried.value.design.brief;
  return {
    id,
    change,
    depthMm: geometry.inside.depthMm,
    rows: light.layout === 'rows' ? light.rowCount : light.turnCount,
    face,
    lining: materials.lining.name,
    ledCount: runs.leds.count,
    costPerPiece: cost.perPiece,
    minOverMean: glow.evenness.minOverMean,
    meanCdM2: glow.evenness.meanCdM2,
    visibility: visibilityOf(tried.value),
    litOverUnlit: glow.daylight.find((each) => each.ambient === ambient)?.litOverUnlit ?? 0,
    fails: shortfalls(tried.value),
    picture: shrink(renderFace(tried.value, 'evening', true, true), picturePx),
  };
};
