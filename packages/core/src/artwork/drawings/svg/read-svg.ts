import { roundOff } from '../../../base/maths/index.js';
import { flatnessMm } from '../../../base/curves/index.js';
import {
  bandAlong,
  compose,
  growth,
  mapOutline,
  unite,
  type Affine,
  type Outline,
} from '../../../base/outlines/index.js';
import { failure, success, type Result } from '../../../base/result.js';
import { createCollector, type Collector } from '../collect.js';
import { limits } from '../limits.js';
import type { Drawing, DrawnPath } from '../types.js';
import { colourIn } from './colour.js';
import { shapePaths } from './shape-paths.js';
import {
  bandStyleOf,
  declaredOn,
  inherit,
  initialStyle,
  isAbsent,
  isFilled,
  isStroked,
  readSheet,
  type SheetRule,
  type Style,
} from './style.js';
import { readTransform } from './transform.js';
import { readTree, type Element } from './tree.js';
import { isPhysical, lengthIn } from './units.js';
import { viewBoxMap } from './view-box.js';

const mmPerPx = 25.4 / 96;
/** Strokes at least this wide are bands to be cut; thinner ones show where a line runs (mm). */
const leastBandMm = 2;
/** How deep copies of copies are followed. */
const copyDepth = 12;

/** Where in the drawing the walk is. */
interface Place {
  readonly map: Affine;
  readonly style: Style;
  /** The names of the groups it is in, the outermost first. */
  readonly groups: readonly string[];
  readonly clip: Outline | null;
  readonly copies: number;
}

const groups = new Set(['svg', 'g', 'a', 'switch', 'symbol']);
const drawn = new Set(['path', 'rect', 'circle', 'ellipse', 'line', 'polyline', 'polygon']);
const silent = new Set([
  'defs',
  'clipPath',
  'style',
  'title',
  'desc',
  'metadata',
  'linearGradient',
  'radialGradient',
  'namedview',
  'marker',
  'pattern',
  'filter',
  'animate',
]);

const leftOut: Readonly<Record<string, string>> = {
  text: 'text was left out: in the program that drew it, turn text into paths (outlines), or set it here in a font',
  image: 'a picture was left out: trace it as an outline of its own',
  foreignObject: 'foreign content was left out',
  mask: 'a mask was left out: cut the shapes with it in the program that drew them',
};

const mapped = (paths: readonly DrawnPath[], map: Affine): readonly DrawnPath[] =>
  paths.map(({ points, closed }) => ({ points: mapOutline([points], map)[0]!, closed }));

const nameOf = ({ name, attributes }: Element): string | undefined =>
  name === 'g' ? (attributes['inkscape:label'] ?? attributes['data-layer'] ?? attributes['id']) : undefined;

const createWalk = (root: Element, sheet: readonly SheetRule[], collector: Collector) => {
  const byId = new Map<string, Element>();
  const index = (element: Element): void => {
    const { id } = element.attributes;
    if (id !== undefined && !byId.has(id)) byId.set(id, element);
    element.children.forEach(index);
  };
  index(root);
  let copies = 0;

  /** All that a clip path lets through, on the drawing. */
  const clipOutline = (element: Element, map: Affine): Outline => {
    const inside = compose(map, readTransform(element.attributes['transform']));
    const rings = element.children.flatMap((child) => {
      const own = compose(inside, readTransform(child.attributes['transform']));
      const paths = drawn.has(child.name) ? shapePaths(child, flatnessMm / Math.max(roundOff, growth(own))) : [];
      return mapped(paths ?? [], own).map(({ points }) => points);
    });
    return unite(rings);
  };

  const clipOf = (text: string | undefined, map: Affine, around: Outline | null): Outline | null => {
    const id = /url\(\s*["']?#([^"')]+)/.exec(text ?? '')?.[1];
    const element = id === undefined ? undefined : byId.get(id);
    if (element?.name !== 'clipPath') return around;
    if (around !== null) collector.note('a clip within a clip was read as the inner one alone');
    return clipOutline(element, map);
  };

  const draw = (
    element: Element,
    { map, style, groups, clip }: Place,
    declared: Readonly<Record<string, string>>,
  ): void => {
    if (style.visibility !== 'visible') return;
    const [filled, stroked] = [isFilled(style, declared), isStroked(style, declared)];
    if (!filled && !stroked) return;
    const paths = shapePaths(element, flatnessMm / Math.max(roundOff, growth(map)));
    if (paths === null) return collector.note(`path data on line ${element.line} could not be read to its end`);
    const fillRule = style.fillRule === 'evenodd' ? 'evenodd' : 'nonzero';
    // The innermost is what it is called by; whoever wants sheets of it looks at all.
    const named = { layer: groups.at(-1) ?? '', ...(groups.length > 1 ? { groups } : {}) };
    const isLine = element.name === 'line';
    const onDrawing = mapped(paths, map);
    const strokeMm = stroked ? (lengthIn(style.strokeWidth) ?? 0) * growth(map) : 0;
    const banded = strokeMm >= leastBandMm;
    if (!banded || (filled && !isLine))
      collector.add({
        ...named,
        clip,
        fill: filled && !isLine ? fillRule : null,
        paths: onDrawing,
        ...(stroked ? { stroke: style.stroke } : {}),
        ...colourIn(filled && !isLine ? style.fill : style.stroke),
      });
    if (!banded) return;
    collector.note(`strokes ${leastBandMm} mm wide and more were read as bands of their width`);
    const bands = [true, false].flatMap((closed) =>
      bandAlong(
        onDrawing.filter((path) => path.closed === closed).map(({ points }) => points),
        strokeMm,
        closed,
        bandStyleOf(style),
      ),
    );
    collector.add({
      ...named,
      clip,
      fill: 'nonzero',
      paths: bands.map((points) => ({ points, closed: true })),
      ...colourIn(style.stroke),
    });
  };

  const copy = (element: Element, place: Place): void => {
    const { href = '' } = element.attributes;
    const target = href.startsWith('#') ? byId.get(href.slice(1)) : undefined;
    if (target === undefined)
      return collector.note(
        href.startsWith('#')
          ? `a copy of “${href}”, which is not there, was left out`
          : 'a link out of the file was left out',
      );
    copies += 1;
    if (place.copies >= copyDepth || copies > limits.copies)
      return collector.note('copies of copies were left out: there are too many of them');
    const { x = '0', y = '0' } = element.attributes;
    walk(
      target,
      {
        ...place,
        copies: place.copies + 1,
        map: compose(place.map, [1, 0, 0, 1, Number.parseFloat(x) || 0, Number.parseFloat(y) || 0]),
      },
      true,
    );
  };

  const walk = (element: Element, around: Place, asCopy = false): void => {
    if (collector.broken() !== null) return;
    const { name, attributes } = element;
    const sentence = leftOut[name];
    if (sentence !== undefined) return collector.note(sentence);
    if (silent.has(name) || (name === 'symbol' && !asCopy)) return;
    const declared = declaredOn(element, sheet);
    if (isAbsent(declared)) return;
    if (declared['mask'] !== undefined && declared['mask'] !== 'none') collector.note(leftOut['mask']!);
    let map = compose(around.map, readTransform(attributes['transform']));
    if (name === 'svg' && element !== root) map = compose(map, viewBoxMap(attributes));
    const own = nameOf(element);
    const place: Place = {
      ...around,
      map,
      style: inherit(around.style, declared),
      groups: own === undefined ? around.groups : [...around.groups, own],
      clip: clipOf(declared['clip-path'], map, around.clip),
    };
    if (groups.has(name)) for (const child of element.children) walk(child, place);
    else if (name === 'use') copy(element, place);
    else if (drawn.has(name)) draw(element, place, declared);
    else collector.note(`“${name.slice(0, 40)}” is not understood and was left out`);
  };
  return walk;
};

const sheetsOf = (element: Element): string =>
  (element.name === 'style' ? element.text : '') + element.children.map(sheetsOf).join('\n');

/**
 * Reads an SVG drawing (W3C, SVG 1.1): paths, shapes, groups, transforms, view boxes, styles, copies and clips, in mm with
 * y up, `scale` times as large as it states. Text, pictures and masks are left out with advice. Fails on broken XML, scripts, own entities and files beyond
 * `limits`, with the line where it is known.
 */
export const readSvg = (text: string, scale = 1): Result<Drawing> => {
  if (text.length > limits.characters)
    return failure({
      path: '',
      message: `the file is larger than ${limits.characters / 1e6} MB; simplify the drawing`,
    });
  const tree = readTree(text);
  if (!tree.ok) return tree;
  const root = tree.value;
  const collector = createCollector();
  const { width, height } = root.attributes;
  const toMm: Affine = [mmPerPx * scale, 0, 0, -mmPerPx * scale, 0, 0];
  createWalk(
    root,
    readSheet(sheetsOf(root)),
    collector,
  )(root, {
    map: compose(toMm, viewBoxMap({ ...root.attributes, x: '0', y: '0' })),
    style: initialStyle,
    groups: [],
    clip: null,
    copies: 0,
  });
  const broken = collector.broken();
  if (broken !== null) return failure(broken);
  const [shapes, notes] = [collector.shapes(), collector.notes()];
  if (shapes.length === 0)
    return failure({ path: '', message: ['there is nothing in this drawing to cut', ...notes].join('; ') });
  return success({ kind: 'svg', shapes, sizeStated: isPhysical(width) || isPhysical(height), notes });
};
