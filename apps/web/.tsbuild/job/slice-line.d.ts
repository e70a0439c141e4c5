import type { Evaluation } from '@vitrum/core';
import { type FrontView } from './front-view';
interface SliceLineProps {
  readonly evaluation: Evaluation;
  readonly view: FrontView;
  readonly ink: string;
}
/** Where the slice below is taken; dragged, or moved by arrow keys. */
export declare const SliceLine: ({ evaluation, view }: SliceLineProps) => import('react').JSX.Element;
export {};
