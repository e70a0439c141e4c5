import type { Lettering } from '../../artwork/lettering/index.js';
import { memoizeLast } from '../../base/maths/index.js';
import { outlineArea } from '../../base/outlines/index.js';
import type { Catalogue } from '../../document/catalogue/index.js';
import type { Brief } from '../../document/design/index.js';
import type { GridLimits } from '../../light/glow/index.js';
import type { LightShare } from '../../light/runs/index.js';
import type { Finishing } from '../../making/finishing/index.js';
import type { Hang } from '../../making/hanging/index.js';
import type { CutPart } from '../../making/parts/index.js';
import type { Circuit } from '../../power/circuit/index.js';
import { commonStages } from '../common/common-stages.js';
import { grooveGeometry, type GrooveGeometry } from './geometry.js';
import { grooveSize } from './groove-size.js';
import { grooveGlowOf, type GrooveGlow } from './glow.js';
import { asLit } from './lay.js';
import { litLinesByShape } from './lines.js';
import { findGrooveMaterials, type GrooveMaterials } from './materials.js';
import { grooveBought, grooveParts } from './parts.js';
import type { GrooveFacts } from './results.js';
import { grooveRouter, leadEntryOf } from './router.js';
import { grooveRuns, type GrooveRuns } from './runs.js';
import type { GrooveAssembly } from './schema.js';
import { grooveSection } from './section.js';
import { grooveSteps } from './steps.js';

export type FactList = readonly [
  brief: Brief,
  assembly: GrooveAssembly,
  geometry: GrooveGeometry,
  materials: GrooveMaterials,
  runs: GrooveRuns,
  lettering: Lettering,
];

/** What parts and steps are made from, as a list that a memo can hold against the last. */
export const factListOf = ({ brief, assembly, geometry, materials, runs, lettering }: GrooveFacts): FactList => [
  brief,
  assembly,
  geometry,
  materials,
  runs,
  lettering,
];

const fromList = (...[brief, assembly, geometry, materials, runs, lettering]: FactList): GrooveFacts => ({
  brief,
  assembly,
  geometry,
  materials,
  runs,
  lettering,
});

/** Strip in rows stands so far apart over a carrier, as heat goes by it. */
const pitchOf = (areaMm2: number, stripMm: number): number => (stripMm > 0 ? areaMm2 / stripMm : 1e6);

/** The stages of strip in a groove, each memoized by its last calls. */
export const grooveMemos = (catalogue: Catalogue, limits: GridLimits) => {
  const parts = memoizeLast((...list: FactList) => {
    const facts = fromList(...list);
    return { cut: grooveParts(facts), bought: grooveBought(catalogue, facts) };
  });
  const steps = memoizeLast(
    (circuit: Circuit, cut: readonly CutPart[], hang: Hang | null, finishing: Finishing, ...list: FactList) =>
      grooveSteps({ own: fromList(...list), circuit, parts: cut, hang, finishing }),
  );
  return {
    ...commonStages(),
    materials: memoizeLast(findGrooveMaterials),
    lines: memoizeLast(litLinesByShape()),
    size: memoizeLast(grooveSize),
    geometry: memoizeLast(grooveGeometry),
    lit: memoizeLast(asLit),
    runs: memoizeLast(grooveRuns),
    entry: memoizeLast(leadEntryOf),
    router: memoizeLast(grooveRouter),
    section: memoizeLast(grooveSection),
    glow: memoizeLast(
      (
        brief: Brief,
        carrier: GrooveAssembly['carrier'],
        design: GrooveAssembly['groove'],
        geometry: GrooveGeometry,
        materials: GrooveMaterials,
        runs: GrooveRuns,
        share: LightShare,
      ) => grooveGlowOf({ brief, carrier, design, geometry, materials, runs, share, limits }),
    ),
    shedding: memoizeLast(
      (geometry: GrooveGeometry, materials: GrooveMaterials, runs: GrooveRuns, spacerMm: number, glow: GrooveGlow) => {
        const areaMm2 = Math.abs(outlineArea(geometry.outline));
        const openSides = spacerMm > 0 ? (2 as const) : (1 as const);
        return {
          areaM2: (openSides * areaMm2) / 1e6,
          closed: false,
          outLm: glow.outLm,
          vents: null,
          bed: {
            conductsWmK: materials.sheet.conductsWmK,
            thicknessMm: Math.max(1, geometry.leftMm),
            openSides,
            pitchMm: pitchOf(areaMm2, runs.stripMm),
          },
        };
      },
    ),
    parts,
    steps,
  };
};

export type GrooveMemos = ReturnType<typeof grooveMemos>;
