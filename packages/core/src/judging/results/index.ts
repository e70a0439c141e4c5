import type { Lettering } from '../../artwork/lettering/index.js';
import type { Workability } from '../../artwork/workability/index.js';
import type { Rect } from '../../base/outlines/index.js';
import type { Placing } from '../../base/placing/index.js';
import type { CommonMaterials } from '../../document/catalogue/index.js';
import {
  fieldsOf,
  type AnyDesign,
  type Artwork,
  type AssemblyFrame,
  type Fields,
} from '../../document/design/index.js';
import type { SetUps } from '../../joinery/setups/index.js';
import type { SignGeometry } from '../../light/geometry/index.js';
import type { Glow } from '../../light/glow/index.js';
import type { LightRuns, LightShare } from '../../light/runs/index.js';
import type { Section } from '../../light/section/index.js';
import type { Distribution } from '../../light/photometry/index.js';
import type { Cost } from '../../making/cost/index.js';
import type { Packing } from '../../making/packing/index.js';
import type { Finishing } from '../../making/finishing/index.js';
import type { Hang } from '../../making/hanging/index.js';
import type { BoughtPart, CutPart, Parts } from '../../making/parts/index.js';
import type { BuildList } from '../../making/steps/index.js';
import type { Circuit, WireRun } from '../../power/circuit/index.js';
import type { Heat } from '../../power/heat/index.js';

/** What every assembly says, whatever its build. */
export interface AnyAssembly extends AssemblyFrame {
  readonly artwork: Artwork;
  readonly light: {
    readonly stripId: string;
    readonly hold?: 'tape' | 'clips' | undefined;
    readonly secondHand?: boolean | undefined;
    readonly cuts?: readonly { readonly segment: number; readonly atMm: number }[] | undefined;
    readonly photometry?: { readonly name: string; readonly ies: string } | null | undefined;
  };
}

/** What the stages found for one assembly of any build, all plain data. */
export interface AssemblyResults<Own extends AnyAssembly = AnyAssembly> {
  readonly build: Own['build'];
  readonly id: string;
  /** Its place in the list of the design, and what it is called: A, B; nothing where it is the only one. */
  readonly index: number;
  readonly label: string;
  /** Where it stands in the sign. */
  readonly placing: Placing;
  readonly design: AnyDesign;
  readonly assembly: Own;
  readonly materials: CommonMaterials;
  readonly lettering: Lettering;
  readonly workability: Workability;
  readonly geometry: SignGeometry;
  readonly runs: LightRuns;
  readonly section: Section;
  readonly distribution: Distribution;
  /** Of the whole sign, in its axes; what of it this assembly has; and its own wires, in its own axes. */
  readonly circuit: Circuit;
  readonly share: LightShare;
  readonly wires: readonly WireRun[];
  readonly glow: Glow;
  readonly heat: Heat;
  readonly cut: readonly CutPart[];
  readonly bought: readonly BoughtPart[];
  /** Its paint and glue. */
  readonly finishing: Finishing;
  /** How it hangs; null where it stands on another assembly. */
  readonly hang: Hang | null;
  /** Sheets and reels of the whole sign. */
  readonly packing: Packing;
}

/** What is known of an assembly when its own parts are listed: its light is worked out only once it is asked for. */
export type BeforeParts<Results> = Omit<Results, 'glow' | 'heat' | 'cut' | 'bought' | 'packing' | 'hang' | 'finishing'>;
/** What is known of it when the sign is hung. */
export type BeforeHanging<Results> = Omit<Results, 'glow' | 'heat' | 'packing' | 'hang' | 'finishing'>;
/** What is known of it when the steps of the work are told. */
export type BeforeSums<Results> = Omit<Results, 'glow' | 'heat' | 'packing'>;

/** What the stages found for a sign. */
export interface SignResults<Assembly extends AssemblyResults = AssemblyResults> {
  readonly design: AnyDesign;
  readonly assemblies: readonly Assembly[];
  /** The box round all assemblies from the front, in the axes of the sign. */
  readonly bounds: Rect;
  /** From the wall to the foremost front (mm). */
  readonly depthMm: number;
  readonly circuit: Circuit;
  readonly parts: Parts;
  readonly packing: Packing;
  /** Every setting at which its members are sawn and routed. */
  readonly setUps: SetUps;
  readonly buildList: BuildList;
  readonly cost: Cost;
}

/** The fields of an assembly as references into its design. */
export const fieldsIn = <Own extends AnyAssembly>({
  index,
}: {
  readonly index: number;
  readonly assembly: Own;
}): Fields<Own> => fieldsOf<Own>(`assemblies.${index}`);

/** The fields of a design. */
export const inDesign = fieldsOf<AnyDesign>();

/** The front of an assembly, in its own axes. */
export const frontOf = ({ geometry: { outside } }: Pick<AssemblyResults, 'geometry'>): Rect => ({
  x: -outside.widthMm / 2,
  y: -outside.heightMm / 2,
  width: outside.widthMm,
  height: outside.heightMm,
});
