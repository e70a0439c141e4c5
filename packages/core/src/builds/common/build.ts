import type * as z from 'zod';
import type { FontBook, Lettering } from '../../artwork/lettering/index.js';
import type { Workability } from '../../artwork/workability/index.js';
import type { Ring } from '../../base/outlines/index.js';
import type { Result } from '../../base/result.js';
import type { Catalogue, CommonMaterials } from '../../document/catalogue/index.js';
import type {
  AssemblyMigration,
  Brief,
  DesignChange,
  DesignOf,
  FieldRef,
  PowerDesign,
} from '../../document/design/index.js';
import type { Figure } from '../../judging/figures/index.js';
import type { Remedy, Rule } from '../../judging/findings/index.js';
import type {
  AnyAssembly,
  AssemblyResults,
  BeforeHanging,
  BeforeParts,
  BeforeSums,
} from '../../judging/results/index.js';
import type { SignGeometry } from '../../light/geometry/index.js';
import type { Glow, GridLimits } from '../../light/glow/index.js';
import type { Distribution } from '../../light/photometry/index.js';
import type { LightRuns, LightShare, Point3 } from '../../light/runs/index.js';
import type { Section } from '../../light/section/index.js';
import type { ToFinish } from '../../making/finishing/index.js';
import type { HangingWay, HungBody, OwnWay } from '../../making/hanging/index.js';
import type { BoughtPart, CutPart } from '../../making/parts/index.js';
import type { Solid } from '../../making/solids/index.js';
import type { ToldStep } from '../../making/steps/index.js';
import type { Template } from '../../making/templates/index.js';
import type { Circuit, Router, WireRun } from '../../power/circuit/index.js';
import type { Heat, OwnPower } from '../../power/heat/index.js';
import type { Front } from './front.js';
import type { TraceReport } from './trace-report.js';
import type { StageName } from './stage-names.js';
import type { Tryout } from './tryout.js';
import type { WorkedFace } from './worked-face.js';

/** What the first part of the pipeline finds for an assembly: all that stands before the circuit. */
export interface Laid {
  readonly materials: CommonMaterials;
  readonly lettering: Lettering;
  readonly workability: Workability;
  readonly geometry: SignGeometry;
  readonly runs: LightRuns;
  readonly section: Section;
  readonly distribution: Distribution;
  /** Where wires come in, and how they find their way inside: for the circuit alone. */
  readonly entry: Point3;
  readonly router: Router;
}

/** What the circuit of the sign gives an assembly. */
export interface Wired {
  readonly circuit: Circuit;
  readonly share: LightShare;
  /** The wires that end in this assembly, in its own axes. */
  readonly wires: readonly WireRun[];
  readonly ownPower: OwnPower;
}

/** What the third part finds once the LEDs have their current. */
export interface Lit {
  readonly glow: Glow;
  readonly heat: Heat;
}

/** What an assembly finds of its own once it is wired, with its light for when that is asked for. */
export interface Lighting {
  readonly lit: () => Lit;
}

/** What an assembly is made of, without what the sign shares. */
export interface OwnParts {
  readonly cut: readonly CutPart[];
  readonly bought: readonly BoughtPart[];
}

/**
 * The stages of one build for assemblies one after the other, each stage memoized by its last calls by the identity of its
 * inputs. Problems name fields from the assembly on: `case.depthInsideMm`.
 */
export interface Stages<Own extends AnyAssembly, OwnLaid extends Laid, Results extends AssemblyResults> {
  readonly lay: (brief: Brief, power: PowerDesign, assembly: Own) => Result<OwnLaid>;
  readonly light: (brief: Brief, power: PowerDesign, assembly: Own, laid: OwnLaid, wired: Wired) => Lighting;
  readonly parts: (results: BeforeParts<Results>) => OwnParts;
  readonly steps: (results: BeforeSums<Results>) => readonly ToldStep[];
  /** The stages that did not answer from memory since they were last run. */
  readonly recomputed: () => readonly StageName[];
}

/** What a new job tells: what every build asks, and what this one asks besides, in millimetres by the name of the question. */
export interface NewJobAnswers {
  readonly name: string;
  readonly text: string;
  readonly readingDistanceMm: number;
  readonly sizesMm: Readonly<Record<string, number>>;
}

/** One size that a new job of a build asks for (mm). */
export interface SizeQuestion {
  readonly id: string;
  readonly label: string;
  readonly hint?: string;
  readonly usualMm: number;
  readonly leastMm: number;
  readonly mostMm: number;
}

/** The luminance that a solver aims at (cd/m²): to read as lit, to suit the place, and the most it takes. */
export interface LightAim {
  readonly leastCdM2: number;
  readonly wantedCdM2: number;
  readonly mostCdM2: number;
  /** It stands against daylight as well: too bright it is after dark alone, and is turned down then. */
  readonly dayAndNight: boolean;
}

/** One way to make an assembly: what it sets, what it comes to in rough figures. */
export interface Seed {
  readonly change: DesignChange;
  readonly cdM2: number;
  readonly price: number;
}

/** How a build is spoken of. */
export interface BuildWords {
  /** “Light box”, and what it is in a line. */
  readonly name: string;
  readonly detail: string;
  /** What the sizes of a new job are asked by: “How large is it outside?” */
  readonly sizesAsk: string;
}

/** The depth that the slice’s handle drags, and its bounds (mm). */
export interface SliceDepth {
  readonly field: FieldRef<number>;
  readonly label: string;
  readonly mm: number;
  readonly leastMm: number;
  readonly mostMm: number;
  /** What it moves by; 1 when left out. */
  readonly stepMm?: number;
  /** Where the slice tells it: from this place toward the front, at this height, with the handle there. Else from the back, in the middle. */
  readonly at?: { readonly fromZMm: number; readonly yMm: number };
}

/** What the bench can measure of the temperature of an assembly after an hour. */
export interface SoakPoint {
  readonly id: 'soak-strip' | 'soak-air' | 'soak-face';
  readonly place: 'strip' | 'air' | 'face';
  readonly title: string;
  readonly how: string;
}

/** Where the luminance of an assembly is measured: what its mean is that of. */
export interface MeterSpot {
  readonly title: string;
  readonly how: string;
}

/** What a drawing tool of the shop cuts of an assembly: a part, and whether the tool of the artwork cuts it. */
export type CutByTool = (part: CutPart) => boolean;

/**
 * What only evaluating, solving and writing files need of a build: a file `work.ts` of its own in the folder, which the
 * page’s bundle leaves out, for that runs in workers and on the server.
 */
export interface BuildWork<Own extends AnyAssembly, OwnLaid extends Laid, Results extends AssemblyResults<Own>> {
  readonly stages: (catalogue: Catalogue, fonts: FontBook, limits: GridLimits) => Stages<Own, OwnLaid, Results>;
  /** Its own checks, beside those that every build shares. */
  readonly rules: readonly Rule<Results>[];
  /**
   * Ways to make an assembly from scratch, by rough sums from what its present form comes to, the cheapest first: a solver
   * judges them.
   */
  readonly seeds: (results: Results, catalogue: Catalogue, aim: LightAim) => readonly Seed[];
  /** How it does with less strip, when no supply carries what there is. */
  readonly lessStrip: (results: Results) => Remedy;
  /** Its figures of the tape, in order; those of the sign follow. */
  readonly figures: (results: Results) => readonly Figure[];
  /** What is seen of it from the front. */
  readonly front: (results: Results) => Front;
  /** Templates to print at 1:1, by the name of their file. */
  readonly templates: (results: Results) => Readonly<Record<string, Template>>;
  /** Drawings to send to others, each on one page, by the name of their file; left out where there are none. */
  readonly drawings?: (results: Results) => Readonly<Record<string, Template>>;
  /** What can be printed in three dimensions. */
  readonly solids: (results: Results) => readonly Solid[];
  readonly cutByTool: CutByTool;
  /** What is worked into faces, area by area, line by line and as a picture, for the pack alone; left out where faces are not worked. */
  readonly workedFaces?: (results: Results) => readonly WorkedFace[];
  /** Test pieces to cut before its parts, for the pack; left out where there are none. */
  readonly coupons?: (results: Results) => readonly CutPart[];
  /** Lists of its own for the pack, by the name of their file; left out where there are none. */
  readonly tables?: (results: Results) => Readonly<Record<string, TableRows>>;
  /** Surfaces to be painted and joints to be glued. */
  readonly toFinish: (results: BeforeHanging<Results>) => ToFinish;
  /** What hangs by itself, each with its weight and where that lies, in the axes of the assembly. */
  readonly hung: (results: BeforeHanging<Results>) => readonly HungBody[];
  /** The same light traced photon by photon, report by report; null where it is not done. */
  readonly trace: ((results: Results) => Generator<TraceReport, void>) | null;
}

/** A table, its head first. */
export type TableRows = readonly (readonly (string | number)[])[];

/** How assemblies of a build may hang. */
export interface Hanging {
  /** Ways to choose from, and the one taken where nothing is chosen: null where it is to be decided. */
  readonly ways: readonly Exclude<HangingWay, OwnWay>[];
  readonly usual: HangingWay | null;
  /** From the rear of the assembly to the wall, held off by its own posts (mm). */
  readonly standsOffMm: number;
}

/** What an assembly is cut or worked from beside its own artwork, by the way to its field: text that it says itself, or a drawing. */
export interface OtherArtwork {
  readonly path: string;
  readonly text?: string | undefined;
  readonly drawing?: AnyAssembly['artwork']['drawing'];
}

/** All that differs between builds. One folder each; no other file asks for the name of a build. */
export interface Build<
  Own extends AnyAssembly = AnyAssembly,
  OwnLaid extends Laid = Laid,
  Results extends AssemblyResults<Own> = AssemblyResults<Own>,
  Demos extends Readonly<Record<string, DesignOf<Own>>> = Readonly<Record<string, DesignOf<Own>>>,
> {
  readonly name: Own['build'];
  readonly words: BuildWords;
  /** Its part of the design document; `id`, `build` and `place` are among its fields. */
  readonly schema: z.ZodObject;
  /** By the version they start from: how an assembly of that version becomes one of the next. */
  readonly migrations: Readonly<Record<number, AssemblyMigration>>;
  readonly sizes: readonly SizeQuestion[];
  /** Text and drawings beside the artwork, for what a design may cost; left out where there are none. */
  readonly otherArtwork?: (assembly: Own) => readonly OtherArtwork[];
  /** A solved start from the answers of a new job. */
  readonly start: (answers: NewJobAnswers) => DesignOf<Own>;
  readonly work: BuildWork<Own, OwnLaid, Results>;
  /** The slice at x (mm right of the middle). */
  readonly sectionAt: (results: Results, xMm: number) => Section;
  /** Half-beam cones of the LEDs that a slice meets, as rings in its axes (z, y). */
  readonly cones: (results: Results, section: Section, spread: number) => readonly Ring[];
  readonly hanging: (assembly: Own) => Hanging;
  /** What the slice’s handle drags. */
  readonly depth: (results: Results) => SliceDepth;
  readonly soakPoints: readonly SoakPoint[];
  readonly meterSpot: MeterSpot;
  /** What may be tried out in many combinations; null where nothing is. */
  readonly tryout: Tryout<Results> | null;
  /** Demo designs by the name that the command line takes. */
  readonly demos: Demos;
}
