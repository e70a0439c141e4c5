import type { Lettering } from '../../artwork/lettering/index.js';
import { memoizeLast } from '../../base/maths/index.js';
import type { Catalogue } from '../../document/catalogue/index.js';
import type { Brief } from '../../document/design/index.js';
import type { GridLimits } from '../../light/glow/index.js';
import type { LightRuns, LightShare } from '../../light/runs/index.js';
import type { Finishing } from '../../making/finishing/index.js';
import type { Hang } from '../../making/hanging/index.js';
import type { Circuit } from '../../power/circuit/index.js';
import type { CutPart } from '../../making/parts/index.js';
import { commonStages } from '../common/common-stages.js';
import { boxRouter } from '../common/wire-routes.js';
import { allOf, workedAreas, type WorkedArea } from './areas.js';
import { panelBought } from './bought.js';
import { panelGeometry, type PanelGeometry } from './geometry.js';
import { panelGlowOf, type PanelGlow } from './glow.js';
import { panelBed, panelShedsM2 } from './heat-bed.js';
import { leadEntryOf } from './lead-entry.js';
import { findPanelMaterials, type PanelMaterials } from './materials.js';
import { panelParts } from './parts.js';
import { printedKgOf } from './printed-base.js';
import type { PanelFacts } from './results.js';
import { panelRuns } from './runs.js';
import type { EdgeLitAssembly } from './schema.js';
import { panelSection } from './section.js';
import { panelSteps } from './steps.js';

export type FactList = readonly [
  brief: Brief,
  assembly: EdgeLitAssembly,
  geometry: PanelGeometry,
  materials: PanelMaterials,
  runs: LightRuns,
  lettering: Lettering,
  areas: readonly WorkedArea[],
];

/** What parts and steps are made from, as a list that a memo can hold against the last. */
export const factListOf = ({ brief, assembly, geometry, materials, runs, lettering, areas }: PanelFacts): FactList => [
  brief,
  assembly,
  geometry,
  materials,
  runs,
  lettering,
  areas,
];

const fromList = (...[brief, assembly, geometry, materials, runs, lettering, areas]: FactList): PanelFacts => ({
  brief,
  assembly,
  geometry,
  materials,
  runs,
  lettering,
  areas,
});

/** The stages of an edge-lit sheet, each memoized by its last calls. */
export const panelMemos = (catalogue: Catalogue, limits: GridLimits) => {
  const parts = memoizeLast((...list: FactList) => {
    const facts = fromList(...list);
    return { cut: panelParts(facts), bought: panelBought(catalogue, facts, printedKgOf(facts)) };
  });
  const steps = memoizeLast(
    (circuit: Circuit, cut: readonly CutPart[], hang: Hang | null, finishing: Finishing, ...list: FactList) =>
      panelSteps({ own: fromList(...list), circuit, parts: cut, cutters: catalogue.cutters, hang, finishing }),
  );
  return {
    ...commonStages(),
    materials: memoizeLast(findPanelMaterials),
    geometry: memoizeLast(panelGeometry),
    artwork: memoizeLast(workedAreas),
    all: memoizeLast(allOf),
    runs: memoizeLast(panelRuns),
    entry: memoizeLast(leadEntryOf),
    router: memoizeLast((geometry: PanelGeometry, runs: LightRuns) =>
      boxRouter(
        {
          widthMm: geometry.sheet.width + 2 * geometry.bedMm + 12,
          heightMm: geometry.outside.heightMm + 2 * geometry.bedMm + 12,
        },
        runs,
      ),
    ),
    section: memoizeLast(panelSection),
    glow: memoizeLast(
      (
        brief: Brief,
        areas: readonly WorkedArea[],
        sheet: EdgeLitAssembly['sheet'],
        light: EdgeLitAssembly['light'],
        geometry: PanelGeometry,
        materials: PanelMaterials,
        runs: LightRuns,
        share: LightShare,
      ) => panelGlowOf({ brief, design: { sheet, light }, areas, geometry, materials, runs, share, limits }),
    ),
    shedding: memoizeLast((geometry: PanelGeometry, materials: PanelMaterials, glow: PanelGlow) => ({
      areaM2: panelShedsM2(geometry),
      // Strip lies in wood or print, not in a room of warm air: what it lies on carries the heat off.
      closed: false,
      outLm: glow.balance.outLm + glow.underLm,
      vents: null,
      bed: panelBed(geometry, materials),
    })),
    parts,
    steps,
  };
};

export type PanelMemos = ReturnType<typeof panelMemos>;
