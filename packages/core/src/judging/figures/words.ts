import type { Brief } from '../../document/design/index.js';
import type { FigureInput } from './types.js';

/** Something typical that a figure was computed from. */
export const typical = (label: string, value: string): FigureInput => ({ label, value, kind: 'typical' });
/** Something computed that it was computed from. */
export const computed = (label: string, value: string): FigureInput => ({ label, value, kind: 'computed' });
/** To one place, and to two. */
export const one = (value: number): string => (Math.round(value * 10) / 10).toString();
export const two = (value: number): string => value.toFixed(2);

/** What the light of a brief is set to. */
export const lightWords = ({ light }: Pick<Brief, 'light'>): string =>
  light.kind === 'white' ? `${light.cctK} K` : light.colour;
