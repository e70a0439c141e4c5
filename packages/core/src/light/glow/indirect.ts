import type { FacedMaterials } from '../../document/catalogue/index.js';
import type { FaceStack } from '../optics/index.js';
import {
  exchangeAreas,
  foldExchange,
  layPatches,
  solveExchange,
  solveMirrored,
  type Block,
  type Box,
  type Enclosure,
  type Side,
  type SolvedLight,
} from '../radiosity/index.js';
import { boundedCache } from '../../base/maths/index.js';
import { betweenMeans, type Grid } from '../../base/raster/index.js';
import type { PointSources } from '../photometry/index.js';
import { firstLight, hasClosedForm } from './first-light.js';
import type { FluxBalance } from './types.js';

const mm2PerM2 = 1e6;

/** How finely reflected light is worked out. */
export interface IndirectLimits {
  readonly patches: number;
  readonly rays: number;
}

/** Light on the face that has been reflected at least once, and where all the light went. */
export interface IndirectLight {
  readonly lux: Float64Array;
  readonly reflectedLm: number;
  readonly onFaceLm: number;
  readonly balance: FluxBalance;
  /** What each side gets, first and reflected (lm). */
  readonly incidentLm: Readonly<Record<Side, number>>;
}

/** Of thrown rays a patch must get enough: so many fewer patches than where light on them has a closed form. */
const thrownShare = 0.55;

/** A case in patches, and how light settles in it. */
interface Case {
  readonly enclosure: Enclosure;
  readonly settle: (firstLm: Float64Array, reflectance: Float64Array) => SolvedLight;
}

const emptyCase = (enclosure: Enclosure): Case => {
  const mirrored = foldExchange(enclosure, exchangeAreas(enclosure));
  return { enclosure, settle: (firstLm, reflectance) => solveMirrored(mirrored, firstLm, reflectance) };
};

const blockedCase = (enclosure: Enclosure): Case => {
  const exchange = exchangeAreas(enclosure);
  return { enclosure, settle: (firstLm, reflectance) => solveExchange(enclosure, exchange, firstLm, reflectance) };
};

const knownCases = boundedCache<Case>(4);
/** A case of more patches is not kept: what they see of each other takes tens of megabytes. */
const mostKept = 1500;

/** What a case’s patches see of each other is the same whatever lights it: most changes leave the case as it is. */
const caseOf = (box: Box, block: Block | null, patches: number, graded: boolean): Case => {
  const enclosure = layPatches(box, block, patches, graded);
  const compute = (): Case => (block === null ? emptyCase(enclosure) : blockedCase(enclosure));
  if (enclosure.count > mostKept) return compute();
  return knownCases(JSON.stringify([box, block, patches, graded]), compute);
};

/** Patch means on the face as a smooth map that carries exactly `fluxLm`. */
const spread = (lux: Float64Array, enclosure: Enclosure, grid: Grid, fluxLm: number): Float64Array => {
  const { aEdges, bEdges } = enclosure.panels[1]!;
  const { area, columns, rows, cellWidthMm, cellHeightMm } = grid;
  const map = betweenMeans(
    lux,
    aEdges,
    bEdges,
    Array.from({ length: columns }, (_, column) => area.x + (column + 0.5) * cellWidthMm),
    Array.from({ length: rows }, (_, row) => area.y + (row + 0.5) * cellHeightMm),
  );
  let sum = 0;
  for (let cell = 0; cell < map.length; cell += 1) sum += map[cell] = Math.max(0, map[cell]!);
  const carried = (sum * grid.cellWidthMm * grid.cellHeightMm) / mm2PerM2;
  const scale = carried > 0 ? fluxLm / carried : 0;
  for (let cell = 0; cell < map.length; cell += 1) map[cell]! *= scale;
  return map;
};

/**
 * Reflected light by patch radiosity: first light on every patch, settled with the linings’ and the face’s
 * reflectances, read off the face. A lining that is partly a mirror counts as diffuse here; tracing knows better.
 */
export const indirectLight = (
  emitters: PointSources,
  box: Box,
  block: Block | null,
  { lining }: { readonly lining: Pick<FacedMaterials['lining'], 'reflectance'> },
  stack: Pick<FaceStack, 'innerReflectance' | 'transmittance' | 'openShare'>,
  grid: Grid,
  limits: IndirectLimits,
): IndirectLight => {
  const graded = block === null && hasClosedForm(emitters.distribution);
  const patches = graded ? limits.patches : limits.patches * thrownShare;
  const { enclosure, settle } = caseOf(box, block, patches, graded);
  const first = firstLight(emitters, enclosure, limits.rays);
  const reflectance = new Float64Array(enclosure.count).fill(lining.reflectance);
  const face = enclosure.panels[1]!;
  const [from, to] = [face.start, face.start + face.aCount * face.bCount];
  reflectance.fill(stack.innerReflectance, from, to);
  const { incidentLm } = settle(first, reflectance);
  const bySide: Record<Side, number> = { back: 0, face: 0, left: 0, right: 0, bottom: 0, top: 0, block: 0 };
  let absorbedCaseLm = 0;
  for (const { side, start, aCount, bCount } of enclosure.panels)
    for (let patch = start; patch < start + aCount * bCount; patch += 1) {
      bySide[side] += incidentLm[patch]!;
      if (side !== 'face') absorbedCaseLm += incidentLm[patch]! * (1 - lining.reflectance);
    }
  const onFaceLm = bySide.face;
  const passes = stack.transmittance * stack.openShare;
  const lux = new Float64Array(to - from);
  let reflectedLm = 0;
  for (let patch = from; patch < to; patch += 1) {
    const own = Math.max(0, incidentLm[patch]! - first[patch]!);
    reflectedLm += own;
    lux[patch - from] = (own * mm2PerM2) / enclosure.areaMm2[patch]!;
  }
  return {
    lux: spread(lux, enclosure, grid, reflectedLm),
    reflectedLm,
    onFaceLm,
    balance: {
      emittedLm: emitters.fluxLm.reduce((sum, flux) => sum + flux, 0),
      outLm: onFaceLm * passes,
      absorbedFaceLm: onFaceLm * (1 - passes - stack.innerReflectance),
      absorbedCaseLm,
    },
    incidentLm: bySide,
  };
};
