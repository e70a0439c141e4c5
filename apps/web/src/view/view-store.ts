import type { Ambient, LengthUnit, WorkStep } from '@vitrum/core';
import { create } from 'zustand';
import { persist } from 'zustand/middleware';

/** What can be laid over the lit view. */
export type Overlay = 'strip' | 'wires' | 'posts' | 'sizes' | 'false-colour' | 'findings';
export const overlayNames: Readonly<Record<Overlay, string>> = {
  strip: 'strip',
  wires: 'wires',
  posts: 'posts',
  sizes: 'sizes',
  'false-colour': 'false colour',
  findings: 'findings',
};

/** Overlays that are there where a build draws them. */
export const buildOverlays: readonly Overlay[] = ['posts'];

interface ViewState {
  readonly ambient: Ambient;
  readonly lit: boolean;
  readonly overlays: readonly Overlay[];
  readonly unit: LengthUnit;
  readonly theme: 'light' | 'dark';
  /** Where the slice is taken, mm from the middle; null: where the sign has most to show. */
  readonly sliceXMm: number | null;
  readonly shownFinding: string | null;
  readonly shownFigure: string | null;
  readonly visited: Readonly<Record<string, readonly WorkStep[]>>;
  readonly welcomed: boolean;
}

/** How the page looks; kept in the browser, never in the design. */
export const useView = create<ViewState>()(
  persist(
    (): ViewState => ({
      ambient: 'evening',
      lit: true,
      overlays: ['posts', 'sizes', 'findings'],
      unit: 'mm',
      theme: 'light',
      sliceXMm: null,
      shownFinding: null,
      shownFigure: null,
      visited: {},
      welcomed: false,
    }),
    {
      name: 'vitrum.view',
      partialize: ({ ambient, overlays: shown, unit, theme, visited, welcomed }) => ({
        ambient,
        overlays: shown,
        unit,
        theme,
        visited,
        welcomed,
      }),
    },
  ),
);

export const toggleOverlay = (overlay: Overlay): void =>
  void useView.setState(({ overlays: shown }) => ({
    overlays: shown.includes(overlay) ? shown.filter((other) => other !== overlay) : [...shown, overlay],
  }));

/** Remembers that a step of a job has been looked at. */
export const markVisited = (jobId: string, step: WorkStep): void =>
  void useView.setState(({ visited }) => {
    const known = visited[jobId] ?? [];
    return known.includes(step) ? {} : { visited: { ...visited, [jobId]: [...known, step] } };
  });
