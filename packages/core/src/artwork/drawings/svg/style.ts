import type { BandStyle } from '../../../base/outlines/index.js';
import type { Element } from './tree.js';

/** What decides whether and how a shape is seen. */
export interface Style {
  readonly fill: string;
  readonly fillRule: string;
  readonly stroke: string;
  readonly strokeWidth: string;
  readonly strokeEnds: string;
  readonly strokeCorners: string;
  readonly visibility: string;
}

export const initialStyle: Style = {
  fill: 'black',
  fillRule: 'nonzero',
  stroke: 'none',
  strokeWidth: '1',
  strokeEnds: 'butt',
  strokeCorners: 'miter',
  visibility: 'visible',
};

type Declared = Readonly<Record<string, string>>;

/** A rule of a style sheet: one simple selector and what it sets. */
export interface SheetRule {
  readonly selector: string;
  readonly declared: Declared;
}

const declarations = (text: string): Declared =>
  Object.fromEntries(
    text
      .split(';')
      .map((each) => each.split(':'))
      .filter((each) => each.length === 2)
      .map(([key, value]) => [key!.trim().toLowerCase(), value!.replace('!important', '').trim()]),
  );

/** The rules of a style sheet whose selectors are an element’s name, a class or an id; others are passed over. */
export const readSheet = (text: string): readonly SheetRule[] =>
  [...text.replace(/\/\*[\s\S]*?\*\//g, '').matchAll(/([^{}]+)\{([^{}]*)\}/g)].flatMap(([, selectors, body]) =>
    selectors!
      .split(',')
      .map((selector) => selector.trim())
      .filter((selector) => /^[.#]?[\w-]+$/.test(selector))
      .map((selector) => ({ selector, declared: declarations(body!) })),
  );

const matches = (selector: string, { name, attributes }: Element): boolean => {
  if (selector.startsWith('.')) return (attributes['class'] ?? '').split(/\s+/).includes(selector.slice(1));
  if (selector.startsWith('#')) return attributes['id'] === selector.slice(1);
  return selector === name;
};

/** All that is set on one element: its attributes, then style sheets, then its own style. */
export const declaredOn = (element: Element, sheet: readonly SheetRule[]): Declared => ({
  ...element.attributes,
  ...sheet
    .filter(({ selector }) => matches(selector, element))
    .reduce<Declared>((all, { declared }) => ({ ...all, ...declared }), {}),
  ...declarations(element.attributes['style'] ?? ''),
});

/** The style of an element from its parent’s and what is set on it. */
export const inherit = (parent: Style, declared: Declared): Style => ({
  fill: declared['fill'] ?? parent.fill,
  fillRule: declared['fill-rule'] ?? parent.fillRule,
  stroke: declared['stroke'] ?? parent.stroke,
  strokeWidth: declared['stroke-width'] ?? parent.strokeWidth,
  strokeEnds: declared['stroke-linecap'] ?? parent.strokeEnds,
  strokeCorners: declared['stroke-linejoin'] ?? parent.strokeCorners,
  visibility: declared['visibility'] ?? parent.visibility,
});

const nothing = (value: string | undefined): boolean => value !== undefined && Number.parseFloat(value) === 0;

/** Whether the element, and all within it, is not there at all. */
export const isAbsent = (declared: Declared): boolean => declared['display'] === 'none' || nothing(declared['opacity']);

export const isFilled = ({ fill }: Style, declared: Declared): boolean =>
  fill !== 'none' && fill !== 'transparent' && !nothing(declared['fill-opacity']);

export const isStroked = ({ stroke, strokeWidth }: Style, declared: Declared): boolean =>
  stroke !== 'none' && stroke !== 'transparent' && !nothing(strokeWidth) && !nothing(declared['stroke-opacity']);

/** How a stroke ends and turns corners. */
export const bandStyleOf = ({ strokeEnds, strokeCorners }: Style): BandStyle => ({
  ends: strokeEnds === 'round' ? 'round' : strokeEnds === 'square' ? 'square' : 'flat',
  corners: strokeCorners === 'round' ? 'round' : strokeCorners === 'bevel' ? 'cut' : 'sharp',
});
