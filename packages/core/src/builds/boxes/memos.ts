import type { BeforeParts } from '../../judging/results/index.js';
import type { Brief } from '../../document/design/index.js';
import { glowOf, type GridLimits } from '../../light/glow/index.js';
import type { LightShare } from '../../light/runs/index.js';
import { memoizeLast } from '../../base/maths/index.js';
import { coverage, type Outline } from '../../base/outlines/index.js';
import { faceStack } from '../../light/optics/index.js';
import type { Finishing } from '../../making/finishing/index.js';
import type { Hang } from '../../making/hanging/index.js';
import type { CutPart } from '../../making/parts/index.js';
import type { Circuit } from '../../power/circuit/index.js';
import type { StripBed } from '../../power/heat/index.js';
import type { PartFacts } from './types.js';
import { commonStages } from '../common/common-stages.js';
import { boxRouter } from '../common/wire-routes.js';
import { boxBought } from './bought.js';
import { boxGeometry } from './geometry.js';
import { boxBed } from './heat-bed.js';
import { leadEntry } from './lead-entry.js';
import { findBoxMaterials } from './materials.js';
import { withEyeHole } from './eye-hole.js';
import { boxParts } from './parts.js';
import type { BoxLaid, BoxResults } from './results.js';
import { boxRuns } from './runs.js';
import type { BoxArtwork, CaseDesign } from './schema.js';
import { boxSection } from './section.js';
import { sheddingArea } from './shedding-area.js';
import { boxSteps } from './steps.js';
import { ventsOf } from './vents.js';
import type { Catalogue } from '../../document/catalogue/index.js';

export type FactList = readonly [
  brief: Brief,
  mode: BoxArtwork['mode'],
  mirrored: boolean,
  design: CaseDesign,
  geometry: BoxLaid['geometry'],
  materials: BoxLaid['materials'],
  runs: BoxLaid['runs'],
  lettering: BoxLaid['lettering'],
];

/** What parts and steps are made from, as a list that a memo can hold against the last. */
export const factListOf = ({
  design,
  assembly,
  geometry,
  materials,
  runs,
  lettering,
}: BeforeParts<BoxResults>): FactList => [
  design.brief,
  assembly.artwork.mode,
  assembly.artwork.mirrored === true,
  assembly.case,
  geometry,
  materials,
  runs,
  lettering,
];

const factsOf = (...[brief, mode, mirrored, design, geometry, materials, runs, lettering]: FactList): PartFacts => ({
  brief,
  mode,
  mirrored,
  design,
  geometry,
  materials,
  runs,
  lettering,
});

/** The stages of a case with a lit face, each memoized by its last calls. */
export const boxMemos = (catalogue: Catalogue, limits: GridLimits) => {
  // Rasters of the same size are new objects each time; their numbers tell them apart.
  const letters = memoizeLast((outline: Outline, width: number, height: number, columns: number, rows: number) =>
    coverage(outline, { x: -width / 2, y: -height / 2, width, height }, columns, rows),
  );
  return {
    ...commonStages(),
    materials: memoizeLast(findBoxMaterials),
    geometry: memoizeLast(boxGeometry),
    entry: memoizeLast(leadEntry),
    runs: memoizeLast(boxRuns),
    router: memoizeLast(boxRouter),
    section: memoizeLast(boxSection),
    optics: memoizeLast(faceStack),
    glow: memoizeLast(
      (
        brief: Brief,
        mode: BoxArtwork['mode'],
        geometry: BoxLaid['geometry'],
        materials: BoxLaid['materials'],
        stack: BoxLaid['stack'],
        distribution: BoxLaid['distribution'],
        runs: BoxLaid['runs'],
        share: LightShare,
        lettering: BoxLaid['lettering'],
      ) =>
        glowOf({
          brief,
          litLetters: mode === 'lit-letters',
          geometry,
          materials,
          stack,
          distribution,
          runs,
          share,
          lettersOn: ({ area, columns, rows }) =>
            letters.run(lettering.outline, area.width, area.height, columns, rows),
          limits,
        }),
    ),
    bed: memoizeLast(boxBed),
    shedding: memoizeLast(
      (geometry: BoxLaid['geometry'], vents: CaseDesign['vents'], glow: BoxResults['glow'], bed: StripBed) => ({
        areaM2: sheddingArea(geometry),
        closed: true,
        outLm: glow.balance.outLm,
        vents: ventsOf(geometry, vents ?? null, glow.incidentLm),
        bed,
      }),
    ),
    parts: memoizeLast((...facts: FactList) => {
      const known = factsOf(...facts);
      const cut = boxParts(known);
      return { cut, bought: boxBought(catalogue, known) };
    }),
    eyed: memoizeLast(withEyeHole),
    steps: memoizeLast(
      (circuit: Circuit, cut: readonly CutPart[], hang: Hang | null, finishing: Finishing, ...facts: FactList) =>
        boxSteps({ ...factsOf(...facts), parts: cut, circuit, cutters: catalogue.cutters, hang, finishing }),
    ),
  };
};

export type BoxMemos = ReturnType<typeof boxMemos>;
