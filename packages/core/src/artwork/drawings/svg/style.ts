import type { BandStyle } from '../../../base/outlines/index.js';
import { isUnseen } from './colour.js';
import { readDeclarations, type Declared, type StyleSheet } from './style-sheet.js';
import type { Element } from './tree.js';

/** What decides whether and how a shape is seen. */
export interface Style {
  readonly fill: string;
  readonly fillRule: string;
  readonly fillOpacity: string;
  readonly stroke: string;
  readonly strokeOpacity: string;
  readonly strokeWidth: string;
  readonly strokeEnds: string;
  readonly strokeCorners: string;
  readonly visibility: string;
  /** How areas of a clip are told where their lines cross. */
  readonly clipRule: string;
  /** What `currentColor` stands for. */
  readonly color: string;
  readonly dashes: string;
  readonly dashesFrom: string;
}

export const initialStyle: Style = {
  fill: 'black',
  fillRule: 'nonzero',
  fillOpacity: '1',
  stroke: 'none',
  strokeOpacity: '1',
  strokeWidth: '1',
  strokeEnds: 'butt',
  strokeCorners: 'miter',
  visibility: 'visible',
  clipRule: 'nonzero',
  color: 'black',
  dashes: 'none',
  dashesFrom: '0',
};

/** All that is set on one element: its attributes, then style sheets, then its own style, then what sheets hold important. */
export const declaredOn = (element: Element, sheet: StyleSheet, spend: (steps: number) => void): Declared => {
  const { usual, important } = sheet.on(element, spend);
  const style = element.attributes['style'];
  return { ...element.attributes, ...usual, ...(style === undefined ? {} : readDeclarations(style)), ...important };
};

/** The style of an element from its parent’s and what is set on it. */
export const inherit = (parent: Style, declared: Declared): Style => {
  const own = (key: string, before: string): string => {
    const value = declared[key];
    return value === undefined || value === 'inherit' ? before : value;
  };
  const color = own('color', parent.color);
  const paint = (key: string, before: string): string => {
    const value = own(key, before);
    return value.toLowerCase() === 'currentcolor' ? color : value;
  };
  return {
    fill: paint('fill', parent.fill),
    fillRule: own('fill-rule', parent.fillRule),
    fillOpacity: own('fill-opacity', parent.fillOpacity),
    stroke: paint('stroke', parent.stroke),
    strokeOpacity: own('stroke-opacity', parent.strokeOpacity),
    strokeWidth: own('stroke-width', parent.strokeWidth),
    strokeEnds: own('stroke-linecap', parent.strokeEnds),
    strokeCorners: own('stroke-linejoin', parent.strokeCorners),
    visibility: own('visibility', parent.visibility),
    clipRule: own('clip-rule', parent.clipRule),
    color,
    dashes: own('stroke-dasharray', parent.dashes),
    dashesFrom: own('stroke-dashoffset', parent.dashesFrom),
  };
};

const nothing = (value: string | undefined): boolean => value !== undefined && Number.parseFloat(value) === 0;

/** Whether the element, and all within it, is not there at all. */
export const isAbsent = (declared: Declared): boolean => declared['display'] === 'none' || nothing(declared['opacity']);

export const isFilled = ({ fill, fillOpacity }: Style): boolean => !isUnseen(fill) && !nothing(fillOpacity);

export const isStroked = ({ stroke, strokeWidth, strokeOpacity }: Style): boolean =>
  !isUnseen(stroke) && !nothing(strokeWidth) && !nothing(strokeOpacity);

/** How a stroke ends and turns corners. */
export const bandStyleOf = ({ strokeEnds, strokeCorners }: Style): BandStyle => ({
  ends: strokeEnds === 'round' ? 'round' : strokeEnds === 'square' ? 'square' : 'flat',
  corners: strokeCorners === 'round' ? 'round' : strokeCorners === 'bevel' ? 'cut' : 'sharp',
});
