import type { AssemblyEvaluation, Segment, Tool, WorkStep } from '@vitrum/core';
import type { ComponentType, ReactNode } from 'react';
import type { FrontView } from '../../lamp-room/front-view';
import type { Guide } from '../../guide/types';
import type { SliceDrawing } from '../../slice/slice-drawing';
import type { HelpTexts } from '../../help/types';
import type { Overlay } from '../../view/view-store';

/** What an overlay of a build is drawn from. */
export interface OverlayProps {
  readonly own: AssemblyEvaluation;
  readonly view: FrontView;
}

/** What stands at the start of a segment in the strip overlay. */
export interface SegmentStartProps {
  readonly segment: Segment;
  readonly view: FrontView;
}

/** What handles in the slice are drawn over. */
export interface SliceHandlesProps {
  readonly own: AssemblyEvaluation;
  readonly drawing: SliceDrawing;
  /** Keeps the scale of the slice while something is dragged; null lets go. */
  readonly hold: (scale: number | null) => void;
}

/** A row of what the meter and the eye should find: what, how much, and how it is measured. */
export type ProveRow = readonly [what: string, value: string, how: string];

/** The steps that belong to an assembly; the others are the sign’s. */
export type AssemblyStep = Extract<WorkStep, 'artwork' | 'case' | 'light' | 'face' | 'hang'>;

/** All that the page says and draws of one build. One folder each; nothing else on the page asks for the name of a build. */
export interface BuildPage {
  readonly name: string;
  /** What its own fields mean; fetched when the page has nothing else to do. */
  readonly loadHelp: () => Promise<{ readonly help: HelpTexts }>;
  /** Its page of the guide, fetched when it is opened. */
  readonly loadGuide: () => Promise<{ readonly guide: Guide }>;
  /** What is dragged in the slice beside its depth; left out where nothing is. */
  readonly SliceHandles?: ComponentType<SliceHandlesProps>;
  /** What its steps are called where it has words of its own. */
  readonly stepNames: Partial<Readonly<Record<AssemblyStep, string>>>;
  readonly panels: Readonly<Record<Exclude<AssemblyStep, 'artwork' | 'hang'>, ComponentType>>;
  /** The step Artwork in a few words of figures, where those of letters do not tell it; null where they do. */
  readonly artworkDetail?: (own: AssemblyEvaluation) => string | null;
  /** The step Face in a few words of figures. */
  readonly faceDetail: (own: AssemblyEvaluation) => string;
  /** How it speaks of its tool and of work from behind. */
  readonly cutting: {
    readonly tool: string;
    readonly front: string;
    /** Null where the build knows by itself which side is worked. */
    readonly behind: string | null;
    /** “Cut with” when left out. */
    readonly label?: string;
    /** Tools to choose from; those that cut through when left out. */
    readonly takes?: (tool: Tool) => boolean;
  };
  /** Fields of the step Artwork that are its own. */
  readonly ArtworkFields: ComponentType;
  /** Puts the step Artwork to one of several pieces of artwork; left out where there is one. */
  readonly ArtworkAreas?: ComponentType<{ readonly children: ReactNode }>;
  /** Fields of the step Power that are its own. */
  readonly FeedFields: ComponentType | null;
  /** Overlays that it alone has, and what it draws in those that all have. */
  readonly overlays: readonly Overlay[];
  readonly drawn: Partial<Readonly<Record<Overlay | 'always', ComponentType<OverlayProps>>>>;
  readonly SegmentStart: ComponentType<SegmentStartProps> | null;
  /** What ripples are called: that they show, and that they do not. */
  readonly ripples: { readonly fine: string; readonly amiss: string };
  readonly proveRows: (own: AssemblyEvaluation) => readonly ProveRow[];
  readonly ProveFields: ComponentType | null;
}
