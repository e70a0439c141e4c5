import type {
  DrawingFile,
  IntakeOptions,
  LayerOptions,
  TakenDrawing,
  TakenLayers,
  TakenLines,
} from '../artwork/intake/index.js';
import type { Catalogue } from '../document/catalogue/index.js';
import type { Design } from '../sign/design/index.js';
import type { Evaluation } from '../sign/evaluate/index.js';
import type { TraceReport } from '../builds/index.js';
import type { Finding } from '../judging/findings/index.js';
import type { ComparedWay, WayToCompare } from '../sign/compare/index.js';
import type { SolvedSign } from '../sign/solving/index.js';
import type { Problem } from '../base/result.js';
import type { SolveRoom, Solution, SweepAxes, TryPoint, Goal } from '../sign/tryouts/index.js';

/**
 * What a page asks of its evaluation thread. Every request has an id; a newer `evaluate` ends the one before, and the trying
 * of fixes of an older design.
 */
export type SessionRequest =
  | { readonly kind: 'open'; readonly id: number; readonly catalogue: Catalogue }
  | { readonly kind: 'evaluate'; readonly id: number; readonly design: Design }
  /** What would help against findings of a design, by their ids, tried in this order. */
  | { readonly kind: 'fixes'; readonly id: number; readonly design: Design; readonly findings: readonly string[] }
  | { readonly kind: 'pack'; readonly id: number; readonly design: Design }
  /** The light maps of a design in full resolution, as a ZIP. */
  | { readonly kind: 'maps'; readonly id: number; readonly design: Design }
  /** The same light of one assembly by tracing photons, until its error is small. */
  | { readonly kind: 'trace'; readonly id: number; readonly design: Design; readonly assembly: number }
  /** Every combination of a plan, tried on a design. */
  | { readonly kind: 'sweep'; readonly id: number; readonly design: Design; readonly plan: SweepAxes }
  /** The best within bounds. */
  | {
      readonly kind: 'solve';
      readonly id: number;
      readonly design: Design;
      readonly goal: Goal;
      readonly room: SolveRoom;
    }
  /** An assembly solved: strip, layout, depth, faces and supplies chosen anew; what was set by hand is kept. */
  | { readonly kind: 'choose'; readonly id: number; readonly design: Design; readonly assembly: number }
  /** Ways to make an assembly, looked at beside one another. */
  | {
      readonly kind: 'compare';
      readonly id: number;
      readonly design: Design;
      readonly assembly: number;
      readonly ways: readonly WayToCompare[];
    }
  /** A drawing file made into an outline. */
  | { readonly kind: 'take'; readonly id: number; readonly file: DrawingFile; readonly options: IntakeOptions }
  /** The strokes of a drawing file as lines. */
  | { readonly kind: 'take-lines'; readonly id: number; readonly file: DrawingFile; readonly options: IntakeOptions }
  /** Its layers, each as an outline. */
  | { readonly kind: 'take-layers'; readonly id: number; readonly file: DrawingFile; readonly options: LayerOptions }
  | { readonly kind: 'cancel'; readonly id: number };

/** What comes back, under the request’s id. */
export type SessionReply =
  | { readonly kind: 'opened'; readonly id: number }
  | { readonly kind: 'evaluated'; readonly id: number; readonly evaluation: Evaluation }
  /** A finding with its fixes, as soon as they are tried. */
  | { readonly kind: 'fixes'; readonly id: number; readonly finding: Finding }
  /** All that were asked for are tried. */
  | { readonly kind: 'all-fixes'; readonly id: number }
  | { readonly kind: 'progress'; readonly id: number; readonly done: number; readonly what: string }
  /** A note tells what the files cannot say. */
  | { readonly kind: 'packed'; readonly id: number; readonly zip: Uint8Array; readonly note: string | null }
  | { readonly kind: 'tracing'; readonly id: number; readonly report: TraceReport; readonly done: boolean }
  | { readonly kind: 'tried'; readonly id: number; readonly points: readonly TryPoint[]; readonly done: number }
  | { readonly kind: 'swept'; readonly id: number }
  | { readonly kind: 'solved'; readonly id: number; readonly solution: Solution }
  | { readonly kind: 'chosen'; readonly id: number; readonly solved: SolvedSign }
  | { readonly kind: 'compared'; readonly id: number; readonly ways: readonly ComparedWay[]; readonly done: boolean }
  | { readonly kind: 'taken'; readonly id: number; readonly drawing: TakenDrawing }
  | { readonly kind: 'lines-taken'; readonly id: number; readonly taken: TakenLines }
  | { readonly kind: 'layers-taken'; readonly id: number; readonly taken: TakenLayers }
  | { readonly kind: 'cancelled'; readonly id: number }
  /** The input was wrong. */
  | { readonly kind: 'refused'; readonly id: number; readonly problems: readonly Problem[] }
  /** The program was wrong. */
  | { readonly kind: 'crashed'; readonly id: number; readonly message: string };
