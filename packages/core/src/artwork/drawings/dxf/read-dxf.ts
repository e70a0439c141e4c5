import { roundOff } from '../../../base/maths/index.js';
import { colors, config, parseString, type DxfBlock, type DxfEntity, type DxfFile } from 'dxf';
import { flatnessMm } from '../../../base/curves/index.js';
import { compose, growth, mapOutline, type Affine } from '../../../base/outlines/index.js';
import { failure, success, type Result } from '../../../base/result.js';
import { createCollector, type Collector } from '../collect.js';
import { leastBandMm, limits } from '../limits.js';
import type { Drawing } from '../types.js';
import { markDropped, type MarkedDxf } from './dropped-groups.js';
import { entityPath } from './entity-paths.js';
import { bandOf } from './wide-polyline.js';
import { hatchRings } from './hatch-rings.js';

/** Millimetres in the units that a DXF header may name ($INSUNITS). */
const mmIn: Readonly<Record<number, number>> = {
  1: 25.4,
  2: 304.8,
  4: 1,
  5: 10,
  6: 1000,
  8: 2.54e-5,
  9: 0.0254,
  10: 914.4,
  13: 0.001,
  14: 100,
  // Feet, inches and yards as land is surveyed in the United States.
  21: 1_200_000 / 3937,
  22: 100_000 / 3937,
  23: 3_600_000 / 3937,
};
/** How deep blocks within blocks are followed. */
const blockDepth = 12;
/** Bits of a layer’s flags: frozen. */
const frozen = 1;

const number = (value: unknown, otherwise: number): number =>
  typeof value === 'number' && Number.isFinite(value) ? value : otherwise;

const silent = new Set(['POINT', 'VIEWPORT', 'ATTDEF', 'VERTEX', 'SEQEND']);
const advice: Readonly<Record<string, string>> = {
  TEXT: 'text was left out: turn it into outlines in the program that drew it, or set it here in a font',
  MTEXT: 'text was left out: turn it into outlines in the program that drew it, or set it here in a font',
  ATTRIB: 'text was left out: turn it into outlines in the program that drew it, or set it here in a font',
  DIMENSION: 'dimensions were left out',
  HATCH: 'a hatch bounded by more than lines and arcs was left out; its outline counts if it is drawn',
  LEADER: 'dimensions were left out',
};

/** Where a block is set, one map a place in its rows and columns. */
const placesOf = (insert: DxfEntity, { x, y }: DxfBlock): readonly Affine[] => {
  const angle = (number(insert['rotation'], 0) * Math.PI) / 180;
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  const [sx, sy] = [number(insert['scaleX'], 1), number(insert['scaleY'], 1)];
  const [columns, rows] = [number(insert['columnCount'], 1), number(insert['rowCount'], 1)].map((count) =>
    Math.min(limits.copies, Math.max(1, Math.floor(count))),
  ) as [number, number];
  const count = Math.min(limits.copies + 1, columns * rows);
  return Array.from({ length: count }, (_, at): Affine => {
    const [right, up] = [
      (at % columns) * number(insert['columnSpacing'], 0),
      Math.floor(at / columns) * number(insert['rowSpacing'], 0),
    ];
    const to: Affine = [
      cos * sx,
      sin * sx,
      -sin * sy,
      cos * sy,
      number(insert['x'], 0) + cos * right - sin * up,
      number(insert['y'], 0) + sin * right + cos * up,
    ];
    return compose(to, [1, 0, 0, 1, -number(x, 0), -number(y, 0)]);
  });
};

/** Entities drawn on the back of the plane come mirrored. */
const mirrored: Affine = [-1, 0, 0, 1, 0, 0];
const seenFromBehind = ({ type, extrusionZ }: DxfEntity): boolean =>
  number(extrusionZ, 1) < 0 && type !== 'LINE' && type !== 'ELLIPSE' && type !== 'SPLINE';

const layerName = ({ layer }: DxfEntity): string => (typeof layer === 'string' ? layer : '0');

/** Colour 7 is black on white and white on black: no colour of its own. */
const plainColour = 7;

/** A colour by its number in a DXF file, as six hexadecimal digits; nothing where it tells none. */
const colourOfNumber = (index: number): { readonly colour?: string } => {
  const own = index > 0 && index !== plainColour ? colors[index] : undefined;
  return own === undefined ? {} : { colour: `#${own.map((part) => part.toString(16).padStart(2, '0')).join('')}` };
};

const createWalk = ({ blocks, tables }: DxfFile, dropped: MarkedDxf['dropped'], collector: Collector) => {
  const byName = new Map(blocks.map((block) => [String(block.name), block]));
  let copies = 0;
  const hidden = (entity: DxfEntity): boolean => {
    const layer = tables.layers[layerName(entity)];
    return (
      entity['visible'] === false ||
      number(entity['paperSpace'], 0) === 1 ||
      (number(layer?.flags, 0) & frozen) === frozen ||
      number(layer?.colorNumber, 7) < 0
    );
  };

  const walk = (entities: readonly DxfEntity[], around: Affine, layerAround: string, depth: number): void => {
    for (const entity of entities) {
      if (collector.broken() !== null) return;
      collector.spend(limits.perElement);
      if (hidden(entity)) {
        collector.note('what is on a hidden or frozen layer was left out');
        continue;
      }
      const own = layerName(entity);
      const layer = depth > 0 && own === '0' ? layerAround : own;
      const map = seenFromBehind(entity) ? compose(around, mirrored) : around;
      if (entity.type === 'INSERT') {
        const block = byName.get(String(entity['block']));
        if (block === undefined) collector.note('a block that is not in the file was left out');
        else
          for (const place of placesOf(entity, block)) {
            copies += 1;
            if (depth >= blockDepth || copies > limits.copies) {
              collector.note('blocks within blocks were left out: there are too many of them');
              break;
            }
            walk(block.entities ?? [], compose(map, place), layer, depth + 1);
          }
        continue;
      }
      const flatness = flatnessMm / Math.max(roundOff, growth(map));
      const rings = entity.type === 'HATCH' ? hatchRings(entity, flatness) : null;
      if (rings !== null) {
        collector.add({
          layer,
          fill: 'evenodd',
          clip: null,
          paths: mapOutline(rings, map).map((points) => ({ points, closed: true })),
          ...colourOfNumber(number(tables.layers[layer]?.colorNumber, plainColour)),
        });
        continue;
      }
      const more = dropped.get(String(entity['handle']));
      const path = entityPath(entity, flatness, more);
      if (path === undefined) {
        const type = String(entity.type);
        if (!silent.has(type))
          collector.note(advice[type] ?? `“${type.slice(0, 40)}” is not understood and was left out`);
        continue;
      }
      if (path === null) {
        collector.note(`a broken ${String(entity.type).toLowerCase()} was left out`);
        continue;
      }
      const band = more === undefined ? null : bandOf(entity, more, path, map, growth(map), flatness);
      if (band !== null) {
        collector.note(`polylines ${leastBandMm} mm wide and more were read as bands of their width`);
        if (band.tapers) collector.note('a polyline of changing width was read piece by piece: look at its corners');
      }
      const isArea = band !== null || entity.type === 'SOLID';
      collector.add({
        layer,
        fill: isArea ? 'nonzero' : null,
        clip: null,
        paths: band?.paths ?? [{ points: mapOutline([path.points], map)[0]!, closed: path.closed }],
        ...colourOfNumber(number(tables.layers[layer]?.colorNumber, plainColour)),
      });
    }
  };
  return walk;
};

/**
 * Reads a DXF drawing (text form): lines, arcs, circles, ellipses, polylines with bulges, splines (by their poles or through
 * points), blocks and layers, in mm, hatches by what bounds them, solids, and polylines with a width as bands. Text and dimensions are left out with advice. Without a stated unit, millimetres are taken; all `scale` times as large.
 */
export const readDxf = (text: string, scale = 1): Result<Drawing> => {
  if (/^[\w ]{0,20}Binary DXF/.test(text))
    return failure({ path: '', message: 'this is a binary DXF; save it as text (ASCII) DXF' });
  if (text.length > limits.characters)
    return failure({
      path: '',
      message: `the file is larger than ${limits.characters / 1e6} MB; simplify the drawing`,
    });
  if (!/^[ \t]{0,20}0[ \t]{0,20}\r?\n[ \t]{0,20}SECTION/m.test(text))
    return failure({ path: '', message: 'this is no DXF drawing: it has no sections' });
  let file: DxfFile;
  let marked: MarkedDxf;
  try {
    config.verbose = false;
    marked = markDropped(text);
    file = parseString(marked.text);
  } catch (error) {
    const detail = error instanceof Error ? error.message : String(error);
    return failure({ path: '', message: `this DXF could not be read (${detail}); save it anew as text DXF` });
  }
  if (file.entities.length > limits.elements)
    return failure({
      path: '',
      message: `more than ${limits.elements.toLocaleString('en')} entities; simplify the drawing`,
    });
  const collector = createCollector();
  const unit = mmIn[file.header.insUnits ?? 0];
  const mm = (unit ?? 1) * scale;
  createWalk(file, marked.dropped, collector)(file.entities, [mm, 0, 0, mm, 0, 0], '0', 0);
  for (const type of marked.unread.keys())
    collector.note(advice[type] ?? `“${type.slice(0, 40)}” is not understood and was left out`);
  const broken = collector.broken();
  if (broken !== null) return failure(broken);
  const [shapes, notes] = [collector.shapes(), collector.notes()];
  if (shapes.length === 0)
    return failure({ path: '', message: ['there is nothing in this drawing to cut', ...notes].join('; ') });
  const guess = unit === undefined ? ['the file states no unit; millimetres were taken'] : [];
  return success({ kind: 'dxf', shapes, sizeStated: unit !== undefined, notes: [...guess, ...notes] });
};
