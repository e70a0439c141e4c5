import type { Lettering } from '../../artwork/lettering/index.js';
import type { Brief } from '../../document/design/index.js';
import type { LightRuns } from '../../light/runs/index.js';
import type { AssemblyResults } from '../../judging/results/index.js';
import type { Laid } from '../common/build.js';
import type { WorkedArea } from './areas.js';
import type { PanelGeometry } from './geometry.js';
import type { PanelGlow } from './glow.js';
import type { HeldSheet } from './holders.js';
import type { PanelMaterials } from './materials.js';
import type { EdgeLitAssembly } from './schema.js';

/** What the stages find for an edge-lit sheet. */
export interface PanelResults extends AssemblyResults<EdgeLitAssembly> {
  readonly materials: PanelMaterials;
  readonly geometry: PanelGeometry;
  readonly areas: readonly WorkedArea[];
  readonly glow: PanelGlow;
}

/** What parts are cut from. */
export interface PanelFacts {
  readonly brief: Brief;
  readonly assembly: EdgeLitAssembly;
  readonly geometry: PanelGeometry;
  readonly materials: PanelMaterials;
  readonly runs: LightRuns;
  readonly lettering: Lettering;
  readonly areas: readonly WorkedArea[];
}

/** The same of what was found. */
export const factsOf = ({
  design,
  assembly,
  geometry,
  materials,
  runs,
  lettering,
  areas,
}: Pick<PanelResults, 'design' | keyof Omit<PanelFacts, 'brief'>>): PanelFacts => ({
  brief: design.brief,
  assembly,
  geometry,
  materials,
  runs,
  lettering,
  areas,
});

/** What stands before the circuit. */
export interface PanelLaid extends Laid {
  readonly materials: PanelMaterials;
  readonly geometry: PanelGeometry;
  readonly areas: readonly WorkedArea[];
}

/** What a holder goes by. */
export const heldSheet = ({
  assembly,
  materials: { pane, strip },
}: Pick<PanelResults, 'assembly' | 'materials'>): HeldSheet => ({
  widthMm: assembly.sheet.widthMm,
  heightMm: assembly.sheet.heightMm,
  thicknessMm: pane.thicknessMm,
  stripWidthMm: strip.widthMm,
  stripHeightMm: strip.heightMm,
  gapMm: assembly.light.gapMm,
});
