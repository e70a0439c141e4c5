import type { Ambient, LengthUnit, Viewer, WorkStep } from '@vitrum/core';
import { create } from 'zustand';
import { persist } from 'zustand/middleware';

/** What can be laid over the lit view. */
export type Overlay = 'strip' | 'wires' | 'posts' | 'fixings' | 'sizes' | 'slice' | 'false-colour' | 'findings';
export const overlayNames: Readonly<Record<Overlay, string>> = {
  strip: 'strip',
  wires: 'wires',
  posts: 'posts',
  fixings: 'fixings',
  sizes: 'sizes',
  slice: 'slice',
  'false-colour': 'false colour',
  findings: 'findings',
};

/** Overlays that are there where a build draws them. */
export const buildOverlays: readonly Overlay[] = ['posts'];

/** What lies over the sign when a step is first opened: what that step is about. The picture is clean where it is the point. */
const usualOverlays: Readonly<Record<WorkStep, readonly Overlay[]>> = {
  brief: [],
  artwork: ['sizes', 'findings'],
  case: ['sizes', 'slice', 'posts', 'findings'],
  light: ['strip', 'slice', 'findings'],
  power: ['strip', 'wires', 'findings'],
  face: [],
  hang: ['fixings', 'posts', 'findings'],
  cut: ['sizes', 'posts'],
  build: ['strip', 'posts', 'sizes'],
  prove: [],
};

interface ViewState {
  readonly ambient: Ambient;
  readonly lit: boolean;
  /** Shown as the eye sees it there, or as a camera exposed for the glow. */
  readonly viewer: Viewer;
  /** What lies over the sign now, and what was chosen for each step. */
  readonly overlays: readonly Overlay[];
  readonly chosenOverlays: Partial<Readonly<Record<WorkStep, readonly Overlay[]>>>;
  readonly step: WorkStep | null;
  readonly unit: LengthUnit;
  readonly theme: 'light' | 'dark';
  /** Where the slice is taken, mm from the middle; null: where the sign has most to show. */
  readonly sliceXMm: number | null;
  readonly shownFinding: string | null;
  /** Whether all findings are shown, or the worst alone. */
  readonly findingsOpen: boolean;
  readonly shownFigure: string | null;
  /** The step of the build list that is looked at; the first that is not done when null. */
  readonly shownStep: string | null;
  readonly visited: Readonly<Record<string, readonly WorkStep[]>>;
  readonly welcomed: boolean;
  /** What a field means is told when it is gone to. */
  readonly help: boolean;
}

/** How the page looks; kept in the browser, never in the design. */
export const useView = create<ViewState>()(
  persist(
    (): ViewState => ({
      ambient: 'evening',
      lit: true,
      viewer: 'eye',
      overlays: [],
      chosenOverlays: {},
      step: null,
      unit: 'mm',
      theme: 'light',
      sliceXMm: null,
      shownFinding: null,
      findingsOpen: false,
      shownFigure: null,
      shownStep: null,
      visited: {},
      welcomed: false,
      help: true,
    }),
    {
      name: 'vitrum.view',
      partialize: ({ ambient, chosenOverlays, unit, theme, visited, welcomed, findingsOpen, help }) => ({
        ambient,
        chosenOverlays,
        unit,
        theme,
        visited,
        welcomed,
        findingsOpen,
        help,
      }),
    },
  ),
);

/**
 * Tabs of one browser look alike: what is chosen in another one holds here as well, instead of being written over by the next
 * choice; where all that was kept is forgotten, so it is here. Returns what ends it.
 */
export const shareView = (): (() => void) => {
  const hear = ({ key }: StorageEvent): void => {
    if (key === useView.persist.getOptions().name) void useView.persist.rehydrate();
    else if (key === null) useView.setState(useView.getInitialState(), true);
  };
  window.addEventListener('storage', hear);
  return () => window.removeEventListener('storage', hear);
};

/** A step was opened: over the sign lies what was chosen for it, or what it usually wants. */
export const enterStep = (step: WorkStep): void =>
  void useView.setState(({ chosenOverlays }) => ({ step, overlays: chosenOverlays[step] ?? usualOverlays[step] }));

/** Lays something over the sign, or takes it off; remembered for the step that is open. */
export const toggleOverlay = (overlay: Overlay): void =>
  void useView.setState(({ overlays: shown, step, chosenOverlays }) => {
    const overlays = shown.includes(overlay) ? shown.filter((other) => other !== overlay) : [...shown, overlay];
    return step === null ? { overlays } : { overlays, chosenOverlays: { ...chosenOverlays, [step]: overlays } };
  });

/** As the eye sees it, or as a camera exposed for the glow. */
export const toggleViewer = (): void =>
  void useView.setState(({ viewer }) => ({ viewer: viewer === 'eye' ? 'camera' : 'eye' }));

/** Remembers that a step of a job has been looked at. */
export const markVisited = (jobId: string, step: WorkStep): void =>
  void useView.setState(({ visited }) => {
    const known = visited[jobId] ?? [];
    return known.includes(step) ? {} : { visited: { ...visited, [jobId]: [...known, step] } };
  });
