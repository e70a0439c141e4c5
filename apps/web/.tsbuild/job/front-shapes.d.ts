import { type Ambient, type Evaluation, type Rect } from '@vitrum/core';
import { type FrontView } from './front-view';
interface FrontProps {
  readonly evaluation: Evaluation;
  readonly view: FrontView;
  readonly ambient: Ambient;
  readonly lit: boolean;
}
/** The returns’ edges, the seated rim of the face, and the letters, under the ambient light. */
export declare const FrontShapes: ({ evaluation, view, ambient, lit }: FrontProps) => import('react').JSX.Element;
interface OverlayProps {
  readonly evaluation: Evaluation;
  readonly view: FrontView;
}
/** Pieces of strip with their numbers and the way current runs. */
export declare const StripOverlay: ({ evaluation, view }: OverlayProps) => import('react').JSX.Element;
interface SizesProps extends OverlayProps {
  readonly ink: string;
  readonly show: (mm: number) => string;
}
/** Outside width and height, as on a drawing. */
export declare const SizesOverlay: ({ evaluation, view, ink, show }: SizesProps) => import('react').JSX.Element;
interface FindingMarkProps {
  readonly view: FrontView;
  readonly rect: Rect;
  readonly strong: boolean;
}
/** Where a finding lies. */
export declare const FindingMark: ({ view, rect, strong }: FindingMarkProps) => import('react').JSX.Element;
export {};
