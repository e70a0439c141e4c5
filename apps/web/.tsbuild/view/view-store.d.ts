import type { Ambient, LengthUnit, WorkStep } from '@vitrum/core';
/** What can be laid over the lit view. */
export type Overlay = 'strip' | 'sizes' | 'false-colour' | 'findings';
export declare const overlayNames: Readonly<Record<Overlay, string>>;
interface ViewState {
  readonly ambient: Ambient;
  readonly lit: boolean;
  readonly overlays: readonly Overlay[];
  readonly unit: LengthUnit;
  readonly theme: 'light' | 'dark';
  /** Where the slice is taken, mm from the middle. */
  readonly sliceXMm: number;
  readonly shownFinding: string | null;
  readonly shownFigure: string | null;
  readonly visited: Readonly<Record<string, readonly WorkStep[]>>;
  readonly welcomed: boolean;
}
/** How the page looks; kept in the browser, never in the design. */
export declare const useView: import('zustand').UseBoundStore<
  Omit<import('zustand').StoreApi<ViewState>, 'setState' | 'persist'> & {
    setState(
      partial: ViewState | Partial<ViewState> | ((state: ViewState) => ViewState | Partial<ViewState>),
      replace?: false | undefined,
    ): unknown;
    setState(state: ViewState | ((state: ViewState) => ViewState), replace: true): unknown;
    persist: {
      setOptions: (
        options: Partial<
          import('zustand/middleware').PersistOptions<
            ViewState,
            {
              ambient: 'noon' | 'overcast' | 'shop' | 'evening' | 'dark';
              overlays: readonly Overlay[];
              unit: LengthUnit;
              theme: 'light' | 'dark';
              visited: Readonly<Record<string, readonly WorkStep[]>>;
              welcomed: boolean;
            },
            unknown
          >
        >,
      ) => void;
      clearStorage: () => void;
      rehydrate: () => Promise<void>;
      hasHydrated: () => boolean;
      onHydrate: (fn: (state: ViewState) => void) => () => void;
      onFinishHydration: (fn: (state: ViewState) => void) => () => void;
      getOptions: () => Partial<
        import('zustand/middleware').PersistOptions<
          ViewState,
          {
            ambient: 'noon' | 'overcast' | 'shop' | 'evening' | 'dark';
            overlays: readonly Overlay[];
            unit: LengthUnit;
            theme: 'light' | 'dark';
            visited: Readonly<Record<string, readonly WorkStep[]>>;
            welcomed: boolean;
          },
          unknown
        >
      >;
    };
  }
>;
export declare const toggleOverlay: (overlay: Overlay) => void;
/** Remembers that a step of a job has been looked at. */
export declare const markVisited: (jobId: string, step: WorkStep) => void;
export {};
