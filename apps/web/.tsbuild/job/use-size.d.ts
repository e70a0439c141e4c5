import { type RefObject } from 'react';
export interface Size {
  readonly width: number;
  readonly height: number;
}
/** The size of an element in CSS pixels, kept up to date. */
export declare const useSize: (ref: RefObject<HTMLElement | null>) => Size;
