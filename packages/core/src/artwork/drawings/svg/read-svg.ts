import { roundOff } from '../../../base/maths/index.js';
import { flatnessMm } from '../../../base/curves/index.js';
import {
  bandAlong,
  compose,
  growth,
  intersect,
  likelyCrossings,
  mapOutline,
  unite,
  type Affine,
  type Outline,
} from '../../../base/outlines/index.js';
import { failure, success, type Result } from '../../../base/result.js';
import { createCollector, type Collector } from '../collect.js';
import { leastBandMm, limits } from '../limits.js';
import type { Drawing, DrawnPath } from '../types.js';
import { createClips } from './clips.js';
import { colourIn } from './colour.js';
import { dashCount, dashesOf, dashPattern } from './dashes.js';
import { drawnNames, elementsById, mapped, targetOf } from './elements.js';
import { shapePaths, type Viewport } from './shape-paths.js';
import { readSheet, type Declared, type StyleSheet } from './style-sheet.js';
import { bandStyleOf, declaredOn, inherit, initialStyle, isAbsent, isFilled, isStroked, type Style } from './style.js';
import { readTransform } from './transform.js';
import { readTree, type Element } from './tree.js';
import { isPhysical, lengthIn } from './units.js';
import { frameRing, viewBoxMap, viewportOf } from './view-box.js';

const mmPerPx = 25.4 / 96;
/** Dashes and gaps are this long at least (mm): shorter ones are none. */
const leastDashMm = 0.2;
/** Of a stroke with more crossings no band is made in time. */
const mostBandCrossings = 100_000;
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
  /** What percentages are of, and whether the drawing says so. */
  readonly viewport: Viewport;
  readonly isSized: boolean;
}

const groups = new Set(['svg', 'g', 'a', 'symbol']);
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

const nameOf = ({ name, attributes }: Element): string | undefined =>
  name === 'g' ? (attributes['inkscape:label'] ?? attributes['data-layer'] ?? attributes['id']) : undefined;

/** Whether a child of a switch is one that this reader shows: what asks for nothing, or for English. */
const isChosen = ({ attributes }: Element): boolean =>
  (attributes['requiredExtensions'] ?? '').trim() === '' &&
  (attributes['systemLanguage'] === undefined ||
    attributes['systemLanguage'].split(',').some((each) => /^en(-|$)/i.test(each.trim())));

const createWalk = (root: Element, sheet: StyleSheet, collector: Collector) => {
  const byId = elementsById(root);
  const clips = createClips(byId, sheet, collector);
  const transformOf = (element: Element, declared: Declared): Affine => {
    const { map, whole } = readTransform(declared['transform'], declared['transform-origin']);
    if (!whole) collector.note(`a transform on line ${element.line} could not be read to its end`);
    return map;
  };
  let copies = 0;
  let dashes = 0;
  /** A pattern of dashes that are not too many to be told apart, over the whole drawing. */
  const finite = (
    pattern: readonly number[] | undefined,
    lines: readonly DrawnPath[],
  ): readonly number[] | undefined => {
    if (pattern === undefined) return undefined;
    dashes += dashCount(lines, pattern);
    if (dashes <= limits.dashes) return pattern;
    collector.note('dashes were read as whole lines: there are too many of them');
    return undefined;
  };

  const draw = (element: Element, { map, style, groups, clip, viewport }: Place, declared: Declared): void => {
    if (style.visibility !== 'visible') return;
    const [filled, stroked] = [isFilled(style), isStroked(style)];
    if (!filled && !stroked) return;
    collector.spend((element.attributes['d'] ?? element.attributes['points'] ?? '').length);
    const paths = shapePaths(element, declared, flatnessMm / Math.max(roundOff, growth(map)), viewport);
    if (paths === null) return collector.note(`path data on line ${element.line} could not be read to its end`);
    const fillRule = style.fillRule === 'evenodd' ? 'evenodd' : 'nonzero';
    // The innermost is what it is called by; whoever wants sheets of it looks at all.
    const named = { layer: groups.at(-1) ?? '', ...(groups.length > 1 ? { groups } : {}) };
    const isLine = element.name === 'line';
    const onDrawing = mapped(paths, map);
    const across = Math.hypot(viewport.width, viewport.height) / Math.SQRT2;
    const strokeMm = stroked ? (lengthIn(style.strokeWidth, across) ?? 0) * growth(map) : 0;
    const banded = strokeMm >= leastBandMm;
    const pattern = stroked
      ? dashPattern(
          style.dashes === 'none'
            ? []
            : style.dashes
                .trim()
                .slice(0, 400)
                .split(/[\s,]+/)
                .map((each) => lengthIn(each, across)),
        )
      : null;
    if (pattern !== null && !banded) collector.note('dashes of thin lines were read as whole lines');
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
    const dashesMm = finite(
      pattern?.map((each) => Math.max(leastDashMm, each * growth(map))),
      onDrawing,
    );
    const fromMm = (lengthIn(style.dashesFrom, across) ?? 0) * growth(map);
    const lines =
      dashesMm === undefined
        ? onDrawing
        : onDrawing.flatMap((path) => dashesOf(path, dashesMm, fromMm).map((points) => ({ points, closed: false })));
    collector.spend(lines.length * limits.perElement);
    if (
      likelyCrossings(
        lines.map(({ points }) => points),
        mostBandCrossings,
      ) >= mostBandCrossings
    )
      return collector.note('a wide stroke that crosses itself all over was left out; turn it into an outline');
    const bands = [true, false].flatMap((closed) =>
      bandAlong(
        lines.filter((path) => path.closed === closed).map(({ points }) => points),
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
    const target = targetOf(byId, element);
    if (target === undefined)
      return collector.note(
        href.startsWith('#')
          ? `a copy of “${href.slice(0, 60)}”, which is not there, was left out`
          : 'a link out of the file was left out',
      );
    copies += 1;
    if (place.copies >= copyDepth || copies > limits.copies)
      return collector.note('copies of copies were left out: there are too many of them');
    const { x, y } = element.attributes;
    const [right, down] = [lengthIn(x, place.viewport.width) ?? 0, lengthIn(y, place.viewport.height) ?? 0];
    const moved = { ...place, copies: place.copies + 1, map: compose(place.map, [1, 0, 0, 1, right, down]) };
    walk(target, moved, element);
  };

  /** Inside an svg element or a symbol: its view box fitted into its size, and nothing beyond that. */
  const within = (element: Element, place: Place, asCopyOf: Element | null, declared: Declared): Place => {
    // A copy may say how large the symbol is to be; a symbol alone fills what it lies in.
    const size = (key: 'width' | 'height'): string | undefined =>
      asCopyOf?.attributes[key] ?? element.attributes[key] ?? (element.name === 'symbol' ? '100%' : undefined);
    const sized = {
      ...element.attributes,
      ...(element.name === 'symbol' ? { x: '0', y: '0' } : {}),
      ...Object.fromEntries(
        (['width', 'height'] as const).flatMap((key) => {
          const value = size(key);
          return value === undefined ? [] : [[key, value]];
        }),
      ),
    };
    // Of a drawing that says no size of its own nobody knows what lies beyond it; symbols without a view box stand round
    // their origin.
    const isHeld = place.isSized || (size('width') !== undefined && size('height') !== undefined);
    const isOpen = declared['overflow'] === 'visible' || !isHeld;
    const cut =
      isOpen || (element.name === 'symbol' && element.attributes['viewBox'] === undefined)
        ? null
        : unite(mapOutline([frameRing(sized, place.viewport)], place.map));
    return {
      ...place,
      map: compose(place.map, viewBoxMap(sized, place.viewport)),
      viewport: viewportOf(sized, place.viewport),
      isSized: isHeld,
      clip: cut === null ? place.clip : place.clip === null ? cut : intersect(place.clip, cut),
    };
  };

  const walk = (element: Element, around: Place, asCopyOf: Element | null = null): void => {
    if (collector.broken() !== null) return;
    collector.spend(limits.perElement);
    const { name } = element;
    const sentence = leftOut[name];
    if (sentence !== undefined) return collector.note(sentence);
    if (silent.has(name) || (name === 'symbol' && asCopyOf === null)) return;
    const declared = declaredOn(element, sheet, collector.spend);
    if (isAbsent(declared)) return;
    if (declared['mask'] !== undefined && declared['mask'] !== 'none') collector.note(leftOut['mask']!);
    const own = nameOf(element);
    const map = compose(around.map, transformOf(element, declared));
    const outer: Place = {
      ...around,
      map,
      style: inherit(around.style, declared),
      groups: own === undefined ? around.groups : [...around.groups, own],
      clip: clips.of(declared['clip-path'], element, map, around),
    };
    const isFramed = (name === 'svg' && element !== root) || name === 'symbol';
    const place = isFramed ? within(element, outer, asCopyOf, declared) : outer;
    if (groups.has(name)) for (const child of element.children) walk(child, place);
    else if (name === 'switch') {
      const chosen = element.children.find(isChosen);
      if (chosen !== undefined) walk(chosen, place);
    } else if (name === 'use') copy(element, place);
    else if (drawnNames.has(name)) draw(element, place, declared);
    else collector.note(`“${name.slice(0, 40)}” is not understood and was left out`);
  };
  return walk;
};

const sheetsOf = (element: Element): string =>
  (element.name === 'style' ? element.text : '') + element.children.map(sheetsOf).join('\n');

/** What lies in an svg element without any size: as large as browsers make it (px). */
const unsized: Viewport = { width: 300, height: 150 };

/**
 * Reads an SVG drawing (W3C, SVG 1.1): paths, shapes, groups, transforms, view boxes, styles, copies and clips, in mm with
 * y up, `scale` times as large as it states. Text, pictures and masks are left out with advice. Fails on broken XML, scripts and files beyond
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
  const styles = sheetsOf(root);
  if (styles.length > limits.sheet)
    return failure({
      path: '',
      message: 'its style sheets are longer than those of any drawing; save it as plain SVG',
    });
  const sheet = readSheet(styles);
  if (sheet.passedOver > 0)
    collector.note(
      'some rules of its style sheets are not understood and were passed over: check that all of it is there',
    );
  createWalk(
    root,
    sheet,
    collector,
  )(root, {
    map: compose(toMm, viewBoxMap({ ...root.attributes, x: '0', y: '0' })),
    style: initialStyle,
    groups: [],
    clip: null,
    copies: 0,
    viewport: viewportOf(root.attributes, unsized),
    isSized: root.attributes['viewBox'] !== undefined || (width !== undefined && height !== undefined),
  });
  const broken = collector.broken();
  if (broken !== null) return failure(broken);
  const [shapes, notes] = [collector.shapes(), collector.notes()];
  if (shapes.length === 0)
    return failure({ path: '', message: ['there is nothing in this drawing to cut', ...notes].join('; ') });
  return success({ kind: 'svg', shapes, sizeStated: isPhysical(width) || isPhysical(height), notes });
};
