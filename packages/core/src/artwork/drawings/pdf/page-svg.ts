import { compose, type Affine } from '../../../base/outlines/index.js';
import { limits } from '../limits.js';
import { pathData } from './path-data.js';

/** What a page is drawn with at a place in it. */
interface State {
  readonly map: Affine;
  readonly fill: string;
  readonly stroke: string;
  readonly fillOpacity: number;
  readonly strokeOpacity: number;
  readonly lineWidth: number;
  readonly cap: number;
  readonly join: number;
  readonly dash: readonly [readonly number[], number];
  /** The clips that it lies in, the outermost first. */
  readonly clips: readonly string[];
  /** The layer that it is on; null where that is hidden. */
  readonly layer: string | null;
}

/** A page as the engine tells it: its operators by number with what each is given. */
export interface PageOperators {
  readonly fnArray: readonly number[];
  readonly argsArray: readonly (readonly unknown[] | null)[];
}

/** The numbers of the operators that matter here. */
export type OperatorNumbers = Readonly<Record<string, number>>;

/** What a layer of the file is called, and whether it shows. */
export interface Layers {
  readonly of: (id: string) => { readonly name: string; readonly shown: boolean } | null;
}

/** A page as SVG, and what of it was left out. */
export interface PageSvg {
  readonly body: string;
  readonly notes: readonly string[];
}

const caps = ['butt', 'round', 'square'];
const joins = ['miter', 'round', 'bevel'];
/** Deeper than this nothing is clipped by a drawing. */
const mostClips = 40;
/** What stands for a gradient or a pattern: an area is an area, whatever fills it. */
const shaded = '#808080';

const escaped = (text: string): string =>
  text.replace(/[&<>"]/g, (each) => `&#${each.charCodeAt(0)};`).replace(/[\u0000-\u001f]/g, ' ');

const numbers = (value: unknown): readonly number[] =>
  Array.isArray(value) || ArrayBuffer.isView(value)
    ? Array.from(value as ArrayLike<number>, (each) => (Number.isFinite(each) ? each : 0))
    : [];

const affineOf = (value: unknown): Affine | null => {
  const [a, b, c, d, e, f] = numbers(value);
  return f === undefined ? null : [a!, b!, c!, d!, e!, f];
};

const textOf = (value: unknown): string => (typeof value === 'string' ? value : '');

/** What fills, strokes or bounds, of the operators that end a path. */
const endings = {
  fill: [true, false, 'nonzero'],
  eoFill: [true, false, 'evenodd'],
  stroke: [false, true, 'nonzero'],
  closeStroke: [false, true, 'nonzero'],
  fillStroke: [true, true, 'nonzero'],
  eoFillStroke: [true, true, 'evenodd'],
  closeFillStroke: [true, true, 'nonzero'],
  closeEOFillStroke: [true, true, 'evenodd'],
  endPath: [false, false, 'nonzero'],
} as const;

const textLeft =
  'text was left out: in the program that drew it, turn text into paths (outlines), or set it here in a font';
const said: Readonly<Record<string, string>> = {
  showText: textLeft,
  paintImageXObject: 'a picture was left out',
  paintInlineImageXObject: 'a picture was left out',
  paintImageMaskXObject: 'a picture was left out',
  paintImageXObjectRepeat: 'a picture was left out',
  paintImageMaskXObjectGroup: 'a picture was left out',
};

/**
 * A page of a PDF as the body of an SVG drawing, in the page’s own order: paths with what fills and strokes them, clips, and
 * layers as groups. `base` takes its units to those of the drawing. Text, pictures and soft masks are left out and told.
 */
export const pageSvg = (
  { fnArray, argsArray }: PageOperators,
  ops: OperatorNumbers,
  base: Affine,
  layers: Layers,
): PageSvg | 'too-large' => {
  const names = new Map(Object.entries(ops).map(([name, number]) => [number, name]));
  const parts: string[] = [];
  const notes = new Set<string>();
  const clipped = new Map<string, string>();
  let size = 0;
  let state: State = {
    map: base,
    fill: '#000000',
    stroke: '#000000',
    fillOpacity: 1,
    strokeOpacity: 1,
    lineWidth: 1,
    cap: 0,
    join: 0,
    dash: [[], 0],
    clips: [],
    layer: '',
  };
  const kept: State[] = [];
  const layersAround: (string | null)[] = [];
  let pendingClip: 'nonzero' | 'evenodd' | null = null;

  const write = (text: string): void => {
    size += text.length;
    parts.push(text);
  };
  const clipTo = (d: string, rule: string): void => {
    if (state.clips.length >= mostClips) return void notes.add('clips within clips were left out: there are too many');
    const shape = `<path d="${d}" clip-rule="${rule}" transform="matrix(${state.map.join(' ')})"/>`;
    let id = clipped.get(shape);
    if (id === undefined) {
      id = `clip-${clipped.size + 1}`;
      clipped.set(shape, id);
      write(`<clipPath id="${id}">${shape}</clipPath>`);
    }
    if (!state.clips.includes(id)) state = { ...state, clips: [...state.clips, id] };
  };
  const draw = (d: string, fills: boolean, strokes: boolean, rule: string): void => {
    if (state.layer === null) return void notes.add('what is on a hidden layer was left out');
    const { map, dash, clips } = state;
    const stroke = strokes
      ? ` stroke="${state.stroke}" stroke-opacity="${state.strokeOpacity}" stroke-width="${state.lineWidth}" stroke-linecap="${caps[state.cap] ?? 'butt'}" stroke-linejoin="${joins[state.join] ?? 'miter'}"${dash[0].length === 0 ? '' : ` stroke-dasharray="${dash[0].join(' ')}" stroke-dashoffset="${dash[1]}"`}`
      : '';
    const path = `<path d="${d}" fill="${fills ? state.fill : 'none'}" fill-opacity="${state.fillOpacity}" fill-rule="${rule}"${stroke} transform="matrix(${map.join(' ')})"/>`;
    const layer = state.layer === '' ? path : `<g id="${escaped(state.layer)}">${path}</g>`;
    write(clips.map((id) => `<g clip-path="url(#${id})">`).join('') + layer + '</g>'.repeat(clips.length));
  };
  const setState = (pairs: unknown): void => {
    for (const [key, value] of (Array.isArray(pairs) ? pairs : []) as readonly (readonly [string, unknown])[]) {
      if (key === 'LW') state = { ...state, lineWidth: Number(value) };
      else if (key === 'LC') state = { ...state, cap: Number(value) };
      else if (key === 'LJ') state = { ...state, join: Number(value) };
      else if (key === 'CA') state = { ...state, strokeOpacity: Number(value) };
      else if (key === 'ca') state = { ...state, fillOpacity: Number(value) };
      else if (key === 'SMask' && value !== false && value !== null)
        notes.add('a soft mask was left out: all under it counts');
    }
  };
  const colour = (value: unknown): string => (/^#[0-9a-f]{6}$/i.test(textOf(value)) ? textOf(value) : shaded);

  for (let at = 0; at < fnArray.length; at += 1) {
    if (size > limits.characters) return 'too-large';
    const name = names.get(fnArray[at]!) ?? '';
    const given = argsArray[at] ?? [];
    switch (name) {
      case 'save':
        kept.push(state);
        break;
      case 'restore':
        state = kept.pop() ?? state;
        break;
      case 'transform':
        state = { ...state, map: compose(state.map, affineOf(given) ?? [1, 0, 0, 1, 0, 0]) };
        break;
      case 'paintFormXObjectBegin': {
        kept.push(state);
        state = { ...state, map: compose(state.map, affineOf(given[0]) ?? [1, 0, 0, 1, 0, 0]) };
        const [x0, y0, x1, y1] = numbers(given[1]);
        if (y1 !== undefined) clipTo(`M${x0} ${y0}H${x1}V${y1}H${x0}Z`, 'nonzero');
        break;
      }
      case 'paintFormXObjectEnd':
        state = kept.pop() ?? state;
        break;
      case 'setLineWidth':
        state = { ...state, lineWidth: Number(given[0]) };
        break;
      case 'setLineCap':
        state = { ...state, cap: Number(given[0]) };
        break;
      case 'setLineJoin':
        state = { ...state, join: Number(given[0]) };
        break;
      case 'setDash':
        state = { ...state, dash: [numbers(given[0]), Number(given[1] ?? 0)] };
        break;
      case 'setGState':
        setState(given[0]);
        break;
      case 'setFillRGBColor':
        state = { ...state, fill: colour(given[0]) };
        break;
      case 'setStrokeRGBColor':
        state = { ...state, stroke: colour(given[0]) };
        break;
      case 'setFillColorN':
        state = { ...state, fill: shaded };
        break;
      case 'setStrokeColorN':
        state = { ...state, stroke: shaded };
        break;
      case 'setFillTransparent':
        state = { ...state, fill: 'none' };
        break;
      case 'setStrokeTransparent':
        state = { ...state, stroke: 'none' };
        break;
      case 'clip':
        pendingClip = 'nonzero';
        break;
      case 'eoClip':
        pendingClip = 'evenodd';
        break;
      case 'constructPath': {
        const [ending, paths] = given as readonly [number, unknown];
        const [first] = (Array.isArray(paths) ? paths : []) as readonly (ArrayLike<number> | null)[];
        const [fills, strokes, rule] =
          endings[(names.get(ending) ?? 'endPath') as keyof typeof endings] ?? endings.endPath;
        const d = first === null || first === undefined ? '' : pathData(first);
        if (d !== '' && (fills || strokes)) draw(d, fills, strokes, rule);
        if (d !== '' && pendingClip !== null) clipTo(d, pendingClip);
        pendingClip = null;
        break;
      }
      case 'shadingFill': {
        // It fills all that it is clipped to.
        const far = limits.farMm / 4;
        const whole = { ...state, fill: shaded, fillOpacity: 1, map: [1, 0, 0, 1, 0, 0] as const };
        const before = state;
        state = whole;
        if (state.clips.length > 0) draw(`M${-far} ${-far}H${far}V${far}H${-far}Z`, true, false, 'nonzero');
        state = before;
        break;
      }
      case 'beginMarkedContentProps': {
        layersAround.push(state.layer);
        const id = (given[1] as { readonly id?: unknown } | null | undefined)?.id;
        const layer = given[0] === 'OC' && typeof id === 'string' ? layers.of(id) : null;
        if (layer !== null && state.layer !== null) state = { ...state, layer: layer.shown ? layer.name : null };
        break;
      }
      case 'beginMarkedContent':
        layersAround.push(state.layer);
        break;
      case 'endMarkedContent': {
        const layer = layersAround.pop();
        if (layer !== undefined) state = { ...state, layer };
        break;
      }
      default: {
        const note = said[name];
        if (note !== undefined && state.layer !== null) notes.add(note);
      }
    }
  }
  return { body: parts.join(''), notes: [...notes] };
};
