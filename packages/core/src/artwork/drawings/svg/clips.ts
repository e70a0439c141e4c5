import { roundOff } from '../../../base/maths/index.js';
import { flatnessMm } from '../../../base/curves/index.js';
import {
  compose,
  growth,
  intersect,
  outlineBounds,
  unite,
  type Affine,
  type FillBy,
  type Outline,
} from '../../../base/outlines/index.js';
import type { Collector } from '../collect.js';
import { limits } from '../limits.js';
import { drawnNames, mapped, targetOf } from './elements.js';
import { shapePaths, type Viewport } from './shape-paths.js';
import { declaredOn, inherit, isAbsent, type Style } from './style.js';
import type { StyleSheet } from './style-sheet.js';
import { readTransform } from './transform.js';
import type { Element } from './tree.js';
import { lengthIn } from './units.js';

/** What surrounds the element that is clipped. */
interface Around {
  readonly style: Style;
  readonly clip: Outline | null;
  readonly viewport: Viewport;
}

/** Gives what is left to be seen of an element: its clip path, within what clips around it. */
export interface Clips {
  readonly of: (text: string | undefined, element: Element, map: Affine, around: Around) => Outline | null;
}

/** Clips of clips are followed so deep. */
const deepest = 8;

/** The outlines that clip paths let through, each worked out once for each place that it is used at. */
export const createClips = (byId: ReadonlyMap<string, Element>, sheet: StyleSheet, collector: Collector): Clips => {
  const known = new Map<string, Outline>();

  /** The areas of an element and all in it, on the drawing: each by the rule that its style asks for, or all of it whole. */
  const areasOf = (
    element: Element,
    around: Affine,
    style: Style,
    viewport: Viewport,
    depth: number,
    rule: 'clip' | null,
  ): readonly Outline[] => {
    collector.spend(limits.perElement + (element.attributes['d'] ?? '').length);
    if (depth > deepest || collector.broken() !== null) return [];
    const declared = declaredOn(element, sheet, collector.spend);
    if (isAbsent(declared)) return [];
    const map = compose(around, readTransform(declared['transform'], declared['transform-origin']).map);
    const own = inherit(style, declared);
    const inner = (child: Element, by = map): readonly Outline[] => areasOf(child, by, own, viewport, depth + 1, rule);
    const cut = (areas: readonly Outline[]): readonly Outline[] => {
      const clip = rule === null ? null : outlineOf(declared['clip-path'], element, map, own, viewport, depth + 1);
      return clip === null ? areas : areas.map((area) => intersect(area, clip));
    };
    if (drawnNames.has(element.name)) {
      const paths = shapePaths(element, declared, flatnessMm / Math.max(roundOff, growth(map)), viewport) ?? [];
      const rings = mapped(paths, map).map(({ points }) => points);
      if (rule === null) return [rings];
      const by: FillBy = own.clipRule === 'evenodd' ? 'evenodd' : 'nonzero';
      return cut([unite(rings, by)]);
    }
    if (element.name === 'use') {
      const target = targetOf(byId, element);
      const { x, y } = element.attributes;
      const moved = compose(map, [1, 0, 0, 1, lengthIn(x, viewport.width) ?? 0, lengthIn(y, viewport.height) ?? 0]);
      return target === undefined ? [] : cut(inner(target, moved));
    }
    // Only shapes and copies of them count in a clip path; the size of a group is that of all in it.
    if (rule === 'clip') {
      collector.note(`“${element.name.slice(0, 40)}” in a clip path was left out`);
      return [];
    }
    return element.children.flatMap((child) => inner(child));
  };

  const clipOutline = (clip: Element, map: Affine, style: Style, viewport: Viewport, depth: number): Outline => {
    const key = `${clip.attributes['id'] ?? ''} ${map.map((each) => each.toPrecision(12)).join(' ')}`;
    const before = known.get(key);
    if (before !== undefined) return before;
    const declared = declaredOn(clip, sheet, collector.spend);
    const inside = compose(map, readTransform(declared['transform']).map);
    const own = inherit(style, declared);
    const areas = clip.children.flatMap((child) => areasOf(child, inside, own, viewport, depth, 'clip'));
    const whole = unite(areas.flat());
    const within = outlineOf(declared['clip-path'], clip, map, own, viewport, depth + 1);
    const outline = within === null ? whole : intersect(whole, within);
    if (known.size < limits.copies) known.set(key, outline);
    return outline;
  };

  const outlineOf = (
    text: string | undefined,
    element: Element,
    map: Affine,
    style: Style,
    viewport: Viewport,
    depth: number,
  ): Outline | null => {
    const written = (text ?? 'none').trim().slice(0, 300);
    if (written === 'none') return null;
    const id = /url\(\s*["']?#([^"')]+)/.exec(written)?.[1];
    const clip = id === undefined ? undefined : byId.get(id);
    if (clip?.name !== 'clipPath' || depth > deepest) {
      collector.note(
        id === undefined
          ? 'a clip by a shape of the style sheet was left out: what it hides is read as seen'
          : `the clip “${id.slice(0, 60)}”, which is not there, was left out`,
      );
      return null;
    }
    if (clip.attributes['clipPathUnits'] !== 'objectBoundingBox') return clipOutline(clip, map, style, viewport, depth);
    // In shares of the box round what it clips, in that one’s own units.
    const box = outlineBounds(
      areasOf({ ...element, attributes: untransformed(element) }, unmovedMap, style, viewport, 0, null).flat(),
    );
    if (box === null || box.width === 0 || box.height === 0) return [];
    return clipOutline(clip, compose(map, [box.width, 0, 0, box.height, box.x, box.y]), style, viewport, depth);
  };

  return {
    of: (text, element, map, { style, clip: around, viewport }) => {
      const own = outlineOf(text, element, map, style, viewport, 0);
      return own === null ? around : around === null ? own : intersect(around, own);
    },
  };
};

const unmovedMap: Affine = [1, 0, 0, 1, 0, 0];

const untransformed = ({ attributes }: Element): Readonly<Record<string, string>> => ({
  ...attributes,
  transform: 'none',
  style: `${attributes['style'] ?? ''};transform:none`,
});
