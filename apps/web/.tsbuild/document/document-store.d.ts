import type { RevisionWithDesign } from '@vitrum/contract';
import { type Design, type DesignChange, type Problem } from '@vitrum/core';
/** How the page’s design stands to the server’s. */
export type SaveState =
  | {
      readonly kind: 'saved';
    }
  | {
      readonly kind: 'unsaved';
    }
  | {
      readonly kind: 'saving';
    }
  | {
      readonly kind: 'away';
    }
  | {
      readonly kind: 'refused';
      readonly message: string;
    }
  | {
      readonly kind: 'conflict';
      readonly head: RevisionWithDesign;
      readonly yours: RevisionWithDesign;
    };
interface DocumentState {
  readonly jobId: string | null;
  readonly design: Design | null;
  readonly basedOn: string;
  readonly revision: number;
  readonly save: SaveState;
}
/** The open document. Undo and redo cover `design` alone. */
export declare const useDocument: import('zustand').UseBoundStore<
  Omit<import('zustand').StoreApi<DocumentState>, 'temporal'> & {
    temporal: import('zustand').StoreApi<
      import('zundo').TemporalState<{
        design: {
          readonly [x: string]: unknown;
          readonly format: 'vitrum-design';
          readonly version: 1;
          readonly name: string;
          readonly brief: {
            readonly [x: string]: unknown;
            readonly text: string;
            readonly place: 'wall' | 'window' | 'counter' | 'ceiling';
            readonly exposure: 'indoors' | 'damp' | 'outdoors';
            readonly ambient: 'noon' | 'overcast' | 'shop' | 'evening' | 'dark';
            readonly readingDistanceMm: number;
            readonly hoursPerDay: number;
            readonly light:
              | {
                  readonly [x: string]: unknown;
                  readonly kind: 'white';
                  readonly cctK: number;
                }
              | {
                  readonly [x: string]: unknown;
                  readonly kind: 'rgb';
                  readonly colour: string;
                };
            readonly leadExit: 'left' | 'right' | 'top' | 'bottom' | 'back';
            readonly leadLengthMm: number;
            readonly quantity: number;
            readonly budget: number | null;
            readonly outsideQuote: number | null;
          };
          readonly assemblies: readonly {
            readonly [x: string]: unknown;
            readonly id: string;
            readonly build: 'lightbox';
            readonly artwork: {
              readonly [x: string]: unknown;
              readonly fontId: string;
              readonly mode: 'opaque-letters' | 'lit-letters' | 'coloured-letters';
              readonly filmId: string;
              readonly capHeightMm: number;
              readonly lineSpacing: number;
              readonly align: 'left' | 'right' | 'centre';
              readonly offsetXMm: number;
              readonly offsetYMm: number;
            };
            readonly case: {
              readonly [x: string]: unknown;
              readonly sizeBy: 'face' | 'outside';
              readonly widthMm: number;
              readonly heightMm: number;
              readonly depthInsideMm: number;
              readonly returnBoardId: string;
              readonly backBoardId: string;
              readonly cornerJoint: 'butt' | 'mitre';
              readonly retention: 'rabbet' | 'groove' | 'laid-on';
              readonly seatMm: number;
              readonly lipMm: number;
              readonly playMm: number;
              readonly liningId: string;
            };
            readonly light: {
              readonly [x: string]: unknown;
              readonly stripId: string;
              readonly layout: 'rows' | 'rim';
              readonly rowCount: number;
              readonly turnCount: number;
              readonly endMarginMm: number;
            };
            readonly face: {
              readonly [x: string]: unknown;
              readonly sheetId: string;
            };
          }[];
          readonly power: {
            readonly [x: string]: unknown;
            readonly supplyId: string;
            readonly supplyCount: number;
            readonly wireId: string;
            readonly headroomShare: number;
            readonly feed: 'one-end' | 'both-ends';
          };
        } | null;
      }>
    >;
  }
>;
/** Opens a job’s design; its history starts here. */
export declare const openDocument: (
  jobId: string,
  head: RevisionWithDesign,
  draft: Design | null,
  draftBasedOn: string,
) => void;
/** Replaces the design; one step of undo. */
export declare const setDesign: (design: Design) => void;
/** Makes a change to the open design. Returns what is wrong with it, if anything. */
export declare const changeDesign: (change: DesignChange) => readonly Problem[];
/** A drag is one step of undo: its first change is remembered, those that follow are not. */
export declare const beginGesture: () => {
  readonly change: (change: DesignChange) => void;
  readonly end: () => void;
  readonly cancel: () => void;
};
export declare const undo: () => void;
export declare const redo: () => void;
export {};
