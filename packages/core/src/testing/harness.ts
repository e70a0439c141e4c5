import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { loadFontBook, type FontBook } from '../artwork/lettering/index.js';
import { shippedCatalogue } from '../document/catalogue/index.js';
import type {
  BoxResultsOf,
  FaceLitResults,
  FrameResults,
  LayersAssembly,
  LayersResults,
  HaloResults,
  GrooveResults,
  PanelResults,
} from '../builds/index.js';
import type {
  EdgeLitAssembly,
  FaceLitAssembly,
  FrameAssembly,
  GrooveAssembly,
  HaloAssembly,
  LightboxAssembly,
  StackedAssembly,
  StackedResults,
} from '../builds/index.js';
import { success, type Result } from '../base/result.js';
import type { AnyDesign, DesignChange, DesignOf } from '../document/design/index.js';
import type { AssemblyResults } from '../judging/results/index.js';
import { demoDesigns } from '../sign/demo/index.js';
import { applyChange, type Design } from '../sign/design/index.js';
import { only } from './only.js';
import {
  createEvaluator,
  evaluatorFor,
  finish,
  type AssemblyEvaluation,
  type Evaluation,
  type Evaluator,
  type EvaluatorOptions,
} from '../sign/evaluate/index.js';

type LightboxDesign = DesignOf<LightboxAssembly>;
type HaloDesign = DesignOf<HaloAssembly>;
type FaceLitDesign = DesignOf<FaceLitAssembly>;
type EdgeLitDesign = DesignOf<EdgeLitAssembly>;
type GrooveDesign = DesignOf<GrooveAssembly>;
type FrameDesign = DesignOf<FrameAssembly>;
type LayersDesign = DesignOf<LayersAssembly>;
type StackedDesign = DesignOf<StackedAssembly>;

const packages = createRequire(import.meta.url);

/** Maps that are coarse enough for a great many designs. */
export const coarse = { grid: { longSide: 60, maxCells: 4000, maxPairs: 1e6, patches: 60, rays: 1000 } } as const;

let fontBook: Promise<FontBook> | null = null;

/** The shipped fonts, read from their packages once for all tests. */
export const testFonts = (): Promise<FontBook> =>
  (fontBook ??= loadFontBook(async (file) => {
    const bytes = await readFile(packages.resolve(file));
    return bytes.buffer.slice(bytes.byteOffset, bytes.byteOffset + bytes.byteLength);
  }));

/** Where segments are named in the wiring: by a number alone, or by a number in something more. */
const namesSegments = /^power\.(chainsBegin|chainsCarryOn|fedBackward|fedForward|injections|zones|seriesPairs)$/;

/** The numbers of segments in a change as references to those of one assembly. */
const inWiring = (value: unknown, assembly: string): unknown => {
  if (typeof value === 'number') return { assembly, segment: value };
  if (Array.isArray(value)) return value.map((each) => inWiring(each, assembly));
  const { segment, segments, first, second, ...rest } = value as Readonly<Record<string, unknown>>;
  return {
    ...rest,
    ...(segment === undefined ? {} : { assembly, segment }),
    ...(segments === undefined ? {} : { segments: inWiring(segments, assembly) }),
    ...(first === undefined ? {} : { first: inWiring(first, assembly), second: inWiring(second, assembly) }),
  };
};

/**
 * `design` changed; fails the test when the change is no valid design. In the wiring a number stands for that segment of
 * the first assembly.
 */
export const changed = <Given extends AnyDesign>(design: Given, change: Readonly<Record<string, unknown>>): Given => {
  const fields: DesignChange = Object.entries(change).map(([path, value]) => ({
    path,
    value: namesSegments.test(path) ? inWiring(value, only(design.assemblies).id) : value,
  }));
  const result = applyChange(design as unknown as Design, fields);
  if (!result.ok) throw new Error(result.problems.map(({ path, message }) => `${path} ${message}`).join('; '));
  // A change of fields leaves the build as it was.
  return result.value as unknown as Given;
};

/** The place of the one assembly of a sign in its list. */
const onlyPlace = 0;

/** Paths inside the one assembly, for short tests. */
export const inAssembly = (change: Readonly<Record<string, unknown>>): Readonly<Record<string, unknown>> =>
  Object.fromEntries(Object.entries(change).map(([path, value]) => [`assemblies.${onlyPlace}.${path}`, value]));

/** A sign of one assembly and that assembly in one: what most tests look at. */
export type Single<Results extends AssemblyResults> = Results & Pick<AssemblyEvaluation, 'front'> & Evaluation;

/** What a design of a known build evaluates to. */
type SingleOf<Given> = Given extends LightboxDesign
  ? Single<BoxResultsOf<LightboxDesign['assemblies'][number]>>
  : Given extends HaloDesign
    ? Single<HaloResults>
    : Given extends FaceLitDesign
      ? Single<FaceLitResults>
      : Given extends EdgeLitDesign
        ? Single<PanelResults>
        : Given extends GrooveDesign
          ? Single<GrooveResults>
          : Given extends FrameDesign
            ? Single<FrameResults>
            : Given extends LayersDesign
              ? Single<LayersResults>
              : Given extends StackedDesign
                ? Single<StackedResults>
                : Single<AssemblyResults>;

/** The one assembly of an evaluation with what the sign shares; fails the test when the design was refused. */
export const single = <Given>(result: Result<Evaluation>): SingleOf<Given> => {
  if (!result.ok) throw new Error(result.problems.map(({ path, message }) => `${path} ${message}`).join('; '));
  return { ...result.value, ...only(result.value.assemblies) } as unknown as SingleOf<Given>;
};

/** What was evaluated, as a sign; fails the test when the design was refused. */
export const sound = (result: Result<Evaluation>): Evaluation => {
  if (!result.ok) throw new Error(result.problems.map(({ path, message }) => `${path} ${message}`).join('; '));
  return result.value;
};

const asDesign = (design: AnyDesign): Design => design as unknown as Design;

/** Evaluators are kept of so many designs, by their names: tests of other demos come in between. */
const mostKept = 24;

/**
 * An evaluator of each demo for all tests of a run: most are of a demo with a field changed, of which it keeps what did not
 * change. That it comes to the same as from scratch is for the contract of builds to test.
 */
const oneForAll = (options: EvaluatorOptions = {}): ((fonts: FontBook) => Evaluator) => {
  const byFonts = new WeakMap<FontBook, Evaluator>();
  return (fonts) => {
    const evaluator = byFonts.get(fonts) ?? oneOfEach(() => createEvaluator(shippedCatalogue, fonts, options));
    byFonts.set(fonts, evaluator);
    return evaluator;
  };
};

/** Gives each design to the evaluator that has seen others of its name. */
function oneOfEach(make: () => Evaluator): Evaluator {
  const known = new Map<string, Evaluator>();
  return evaluatorFor(({ name }) => {
    const evaluator = known.get(name) ?? make();
    known.delete(name);
    known.set(name, evaluator);
    for (const oldest of [...known.keys()].slice(0, -mostKept)) known.delete(oldest);
    return evaluator;
  });
}

/** On the page’s maps, with the shipped catalogue. */
export const pageEvaluator = oneForAll();
/** The same on maps that are coarse enough for a great many designs. */
export const coarseEvaluator = oneForAll(coarse);

/** Evaluates without fixes; fails the test when the design is refused. */
export const evaluated = <Given extends AnyDesign>(design: Given, fonts: FontBook): SingleOf<Given> =>
  single<Given>(pageEvaluator(fonts).evaluate(asDesign(design)));

/** Evaluates on the coarser map that fixes are tried on; fails the test when the design is refused. */
export const evaluatedCoarsely = <Given extends AnyDesign>(design: Given, fonts: FontBook): SingleOf<Given> =>
  single<Given>(pageEvaluator(fonts).quick(asDesign(design)));

/** A sign of any number of assemblies, evaluated on the coarser map; fails the test when the design is refused. */
export const signEvaluatedCoarsely = (design: AnyDesign, fonts: FontBook): Evaluation =>
  sound(pageEvaluator(fonts).quick(asDesign(design)));

/** Evaluates with fixes tried; where a rule is named, those of its findings alone. */
export const evaluatedWithFixes = <Given extends AnyDesign>(
  design: Given,
  fonts: FontBook,
  rule?: string,
): SingleOf<Given> => {
  const evaluator = pageEvaluator(fonts);
  const found = evaluator.evaluate(asDesign(design));
  return single<Given>(found.ok ? success({ ...found.value, findings: finish(evaluator.fixes(rule)) }) : found);
};

/** A demo as a careless maker would have it: plywood behind the strip, and as bright after dark as by day. */
function plainly(design: LightboxDesign): LightboxDesign {
  const { nightLevel: _, ...power } = design.power;
  return changed({ ...design, power }, inAssembly({ 'case.backBoardId': 'ply-6' }));
}

/** The pharmacy's box, the ferry hall's letters and the café's letters of the demo shop. */
export const dispensary: LightboxDesign = plainly(demoDesigns.dispensary);
/** The bar’s box in the same way. */
export const slipway: LightboxDesign = plainly(demoDesigns.slipway);
export const curlew: HaloDesign = demoDesigns.curlew;
export const tern: FaceLitDesign = demoDesigns.tern;
/** The reading room’s panel. */
export const quietRoom: EdgeLitDesign = demoDesigns['quiet-room'];

/** The counter’s lines in a board. */
/** The clinic’s layered scene. */
export const reedBed: LayersDesign = demoDesigns['reed-bed'];
/** The smoke house’s stacked plates. */
export const smokeHouse: StackedDesign = demoDesigns['smoke-house'];
export const tideTable: FrameDesign = demoDesigns['tide-table'];
export const fittingMirror: FrameDesign = demoDesigns['fitting-mirror'];
export const brimTile: FrameDesign = demoDesigns['brim-tile'];
export const lateSoup: GrooveDesign = demoDesigns['late-soup'];

/** A segment of the first assembly of a demo design, as a reference. */
export const segmentOf = (design: AnyDesign, segment: number) => ({ assembly: only(design.assemblies).id, segment });
