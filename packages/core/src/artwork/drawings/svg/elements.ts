import { mapOutline, type Affine } from '../../../base/outlines/index.js';
import type { DrawnPath } from '../types.js';
import type { Element } from './tree.js';

/** Elements that draw something themselves. */
export const drawnNames: ReadonlySet<string> = new Set([
  'path',
  'rect',
  'circle',
  'ellipse',
  'line',
  'polyline',
  'polygon',
]);

/** Elements by their ids; the first of an id that is given twice. */
export const elementsById = (root: Element): ReadonlyMap<string, Element> => {
  const byId = new Map<string, Element>();
  const index = (element: Element): void => {
    const { id } = element.attributes;
    if (id !== undefined && !byId.has(id)) byId.set(id, element);
    element.children.forEach(index);
  };
  index(root);
  return byId;
};

/** What a copy is a copy of, in the same file. */
export const targetOf = (byId: ReadonlyMap<string, Element>, { attributes }: Element): Element | undefined => {
  const { href = '' } = attributes;
  return href.startsWith('#') ? byId.get(href.slice(1)) : undefined;
};

/** Lines moved onto the drawing. */
export const mapped = (paths: readonly DrawnPath[], map: Affine): readonly DrawnPath[] =>
  paths.map(({ points, closed }) => ({ points: mapOutline([points], map)[0]!, closed }));
