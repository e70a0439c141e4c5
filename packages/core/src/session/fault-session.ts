import { shippedCatalogue, type Catalogue } from '../document/catalogue/index.js';
import type { FontBook } from '../artwork/lettering/index.js';
import type { Design } from '../sign/design/index.js';
import { createEvaluator } from '../sign/evaluate/index.js';
import type { Point3 } from '../light/runs/index.js';
import { testBoardOf, resistorsOf, wireWords, wiresOf, type TestBoard } from '../power/faults/test-board.js';
import { ohmsBetween, type Tip } from '../power/faults/continuity.js';
import {
  diagnosisOf,
  nextProbe,
  suspectsLeft,
  type Diagnosis,
  type Symptoms,
  type Suspect,
} from '../power/faults/diagnose.js';
import { faultWords } from '../power/faults/list-faults.js';
import { hiddenFault, parFor, showAlike, type Level } from '../power/faults/practice.js';
import {
  benchOf,
  fullOf,
  gradeOf,
  lightOf,
  lightsOf,
  probeWords,
  readingOf,
  type Bench,
} from '../power/faults/symptoms.js';
import type { ReadingGrade, Appearance, Probe } from '../power/faults/types.js';
import { withFault } from '../power/faults/with-fault.js';

/** A circuit to be drawn on the bench. */
export interface TestBoardDrawing {
  readonly segments: readonly { readonly label: string; readonly path: readonly Point3[] }[];
  readonly wires: readonly { readonly from: string; readonly to: string; readonly path: readonly Point3[] }[];
  readonly points: readonly { readonly id: string; readonly name: string; readonly at: Point3 | null }[];
  /** Colours that can be switched one by one; none when there is but one. */
  readonly colours: readonly string[];
  /** Everything that a clamp goes round, leads first. */
  readonly clamps: readonly { readonly wire: number; readonly name: string }[];
}

/** What is asked of the bench; `id` comes back with the answer. */
export type FaultRequest = { readonly id: number } & (
  | { readonly kind: 'open'; readonly design: Design; readonly catalogue?: Catalogue }
  | { readonly kind: 'hide'; readonly level: Level; readonly seed: number }
  | { readonly kind: 'measure'; readonly probe: number }
  | { readonly kind: 'name'; readonly fault: number }
  /** A reading of the sound circuit: every channel on, one alone, or switched off. */
  | { readonly kind: 'read'; readonly probe: number; readonly on: 'all' | 'none' | number }
  | { readonly kind: 'ohms'; readonly one: Tip; readonly other: Tip }
  | { readonly kind: 'explain'; readonly signs: Symptoms }
);

/** What the bench answers. Probes and faults are told by their places in the lists of `opened`. */
export type FaultReply = { readonly id: number } & (
  | {
      readonly kind: 'opened';
      readonly drawing: TestBoardDrawing;
      readonly probes: readonly {
        readonly probe: Probe;
        readonly words: string;
        readonly should: number;
        readonly full: number;
      }[];
      readonly faults: readonly string[];
    }
  | {
      readonly kind: 'hidden';
      readonly lights: readonly Float64Array[];
      /** By segment, the light of each colour of its groups, in the order of the drawing’s colours; empty when there is but one. */
      readonly tints: readonly (readonly Float64Array[])[];
      readonly looks: readonly Appearance[];
      readonly par: number;
    }
  | { readonly kind: 'measured'; readonly probe: number; readonly value: number; readonly judged: ReadingGrade }
  | { readonly kind: 'read'; readonly value: number }
  /** Null when nothing joins the tips. */
  | { readonly kind: 'ohms'; readonly ohm: number | null }
  | { readonly kind: 'named'; readonly right: boolean; readonly answer: string | null }
  | {
      readonly kind: 'explained';
      readonly left: readonly number[];
      readonly unexplained: number;
      readonly next: number | null;
    }
  | { readonly kind: 'refused'; readonly sentence: string }
);

interface Hidden {
  readonly suspect: Suspect;
  readonly bench: Bench;
}

const drawingOf = (board: TestBoard, paths: TestBoardDrawing['segments']): TestBoardDrawing => ({
  segments: paths,
  wires: board.circuit.wires.map(({ from, to, path }) => ({ from, to, path })),
  points: board.points.map(({ id, name, at }) => ({ id, name, at })),
  colours: board.colours,
  clamps: wiresOf(board)
    .filter((wire) => resistorsOf(board, wire).length > 0)
    .map((wire) => ({ wire, name: wireWords(board, wire) })),
});

/** What a probe reads on a sound bench with every channel on, with one alone, or switched off. */
const readingWith = (sound: Bench, probe: Probe, on: 'all' | 'none' | number): number => {
  if (on === 'none') return probe.kind === 'colour' ? -1 : 0;
  if (on === 'all' || sound.board.colours.length === 0 || probe.kind === 'colour') return readingOf(sound, probe);
  return readingOf({ ...sound, solution: sound.inColour(on) }, probe);
};

/** A bench in a thread of its own: one circuit at a time, perhaps with a hidden fault. Mutable; one for each page. */
export const createFaultSession = (fonts: FontBook): ((request: FaultRequest) => FaultReply) => {
  let diagnosis: Diagnosis | null = null;
  let hidden: Hidden | null = null;

  const open = (id: number, design: Design, catalogue: Catalogue): FaultReply => {
    const run = createEvaluator(catalogue, fonts).quick(design);
    if (!run.ok)
      return { id, kind: 'refused', sentence: run.problems[0]?.message ?? 'this design cannot be worked out' };
    const { circuit } = run.value;
    if (circuit.segments.length === 0) return { id, kind: 'refused', sentence: 'there is no strip in this design yet' };
    const board = testBoardOf(circuit);
    const found = diagnosisOf(board);
    [diagnosis, hidden] = [found, null];
    return {
      id,
      kind: 'opened',
      drawing: drawingOf(
        board,
        circuit.segments.map(({ label, path }) => ({ label, path })),
      ),
      probes: found.probes.map((probe) => ({
        probe,
        words: probeWords(board, probe),
        should: readingOf(found.sound, probe),
        full: fullOf(board, probe),
      })),
      faults: found.suspects.map(({ fault }) => faultWords(board, fault)),
    };
  };

  return (request) => {
    const { id } = request;
    if (request.kind === 'open') return open(id, request.design, request.catalogue ?? shippedCatalogue);
    if (diagnosis === null) return { id, kind: 'refused', sentence: 'no circuit is on the bench' };
    const { board, sound, suspects, probes } = diagnosis;
    if (request.kind === 'hide') {
      const suspect = hiddenFault(diagnosis, request.level, request.seed);
      const bench = benchOf(board, withFault(board, suspect.fault), suspect.fault);
      hidden = { suspect, bench };
      return {
        id,
        kind: 'hidden',
        lights: board.segments.map((_, segment) => lightOf(bench, sound, segment)),
        tints: board.colours.length === 0 ? [] : board.segments.map((_, segment) => lightsOf(bench, sound, segment)),
        looks: suspect.looks,
        par: parFor(diagnosis, suspect),
      };
    }
    if (request.kind === 'explain') {
      const { left, unexplained } = suspectsLeft(diagnosis, request.signs);
      const next = left.length > 1 ? nextProbe(diagnosis, left) : null;
      return {
        id,
        kind: 'explained',
        left: left.map((suspect) => suspects.indexOf(suspect)),
        unexplained,
        next: next === null ? null : probes.indexOf(next.probe),
      };
    }
    if (request.kind === 'read') {
      const probe = probes[request.probe];
      if (probe === undefined) return { id, kind: 'refused', sentence: 'there is no such place to measure' };
      return { id, kind: 'read', value: readingWith(sound, probe, request.on) };
    }
    if (request.kind === 'ohms') {
      const ohm = ohmsBetween(board, sound.network, request.one, request.other);
      return { id, kind: 'ohms', ohm: Number.isFinite(ohm) ? ohm : null };
    }
    if (hidden === null) return { id, kind: 'refused', sentence: 'no fault is hidden yet' };
    if (request.kind === 'measure') {
      const probe = probes[request.probe];
      if (probe === undefined) return { id, kind: 'refused', sentence: 'there is no such place to measure' };
      return {
        id,
        kind: 'measured',
        probe: request.probe,
        value: readingOf(hidden.bench, probe),
        judged: gradeOf(hidden.bench, sound, probe),
      };
    }
    const named = suspects[request.fault];
    const right = named !== undefined && showAlike(named, hidden.suspect);
    return { id, kind: 'named', right, answer: right ? faultWords(board, hidden.suspect.fault) : null };
  };
};
