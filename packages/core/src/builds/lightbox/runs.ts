import type { LightboxAssembly } from './schema.js';
import { fieldsOf, pathOf } from '../../document/design/index.js';
import type { Strip } from '../../document/catalogue/index.js';
import type { BoxMaterials } from './materials.js';
import type { LightDesign } from './schema.js';
import { passesOf, timesAlong } from './sides.js';
import type { CaseGeometry } from '../../light/geometry/index.js';
import { maxLeds, placeLeds, snapToCut, withCuts } from '../../light/laying/index.js';
import type { LightRuns, Point3, Segment } from '../../light/runs/index.js';
import { failure, success, type Result } from '../../base/result.js';

const own = fieldsOf<LightboxAssembly>();

type Blueprint = Omit<Segment, 'number'>;

/** A straight segment centred on `middle`, running along `direction`. */
const segmentAlong = (
  strip: Strip,
  roomMm: number,
  middle: Point3,
  direction: Point3,
  rest: Pick<Segment, 'normal' | 'on'>,
): Blueprint => {
  const { lengthMm, leftoverMm } = snapToCut(roomMm, strip.cutPitchMm);
  const offset = (sign: number): Point3 => [
    middle[0] + (sign * direction[0] * lengthMm) / 2,
    middle[1] + (sign * direction[1] * lengthMm) / 2,
    middle[2],
  ];
  const [from, to] = [offset(-1), offset(1)];
  return {
    ...rest,
    from,
    to,
    path: [from, to],
    lengthMm,
    leftoverMm,
    ledCount: Math.round((lengthMm * strip.ledsPerM) / 1000),
  };
};

/** The stretches of a row that a block on the back leaves free, from left to right. */
const freeStretches = (
  { inside, block }: CaseGeometry,
  y: number,
  { endMarginMm }: LightDesign,
  strip: Strip,
): readonly (readonly [number, number])[] => {
  const [low, high] = [-inside.widthMm / 2 + endMarginMm, inside.widthMm / 2 - endMarginMm];
  const half = strip.widthMm / 2;
  if (block === null || y + half <= block.y0 || y - half >= block.y1) return [[low, high]];
  return [
    [low, block.x0 - endMarginMm],
    [block.x1 + endMarginMm, high],
  ];
};

/**
 * Rows evenly over the back; every second one runs the other way, so that jumpers stay short. Strip that stands on its
 * edge looks up and down in turn, so that light comes from both sides.
 */
const rows = (geometry: CaseGeometry, light: LightDesign, strip: Strip): readonly Blueprint[] => {
  const { heightMm } = geometry.inside;
  const pitch = heightMm / light.rowCount;
  const onEdge = light.facing === 'side';
  return Array.from({ length: light.rowCount }, (_, row) => {
    const y = heightMm / 2 - (row + 0.5) * pitch;
    const forward = row % 2 === 0;
    const segments = freeStretches(geometry, y, light, strip).map(([from, to]) =>
      segmentAlong(
        strip,
        to - from,
        [(from + to) / 2, y, onEdge ? strip.widthMm / 2 : strip.heightMm],
        [forward ? 1 : -1, 0, 0],
        { normal: onEdge ? [0, forward ? -1 : 1, 0] : [0, 0, 1], on: 'back' },
      ),
    );
    return forward ? segments : segments.reverse();
  }).flat();
};

/** Round a block on the back, clockwise from its top side, one turn above the other. */
const roundBlock = (geometry: CaseGeometry, light: LightDesign, strip: Strip): readonly Blueprint[] => {
  const { block } = geometry;
  if (block === null) return [];
  const front = light.facing === 'front';
  const off = strip.heightMm;
  const [midX, midY] = [(block.x0 + block.x1) / 2, (block.y0 + block.y1) / 2];
  const [across, up] = [block.x1 - block.x0 - 2 * light.endMarginMm, block.y1 - block.y0 - 2 * light.endMarginMm];
  return Array.from({ length: light.turnCount }, (_, turn) => {
    const z = ((turn + 0.5) * block.heightMm) / light.turnCount;
    const rest = (normal: Point3) => ({ normal: front ? ([0, 0, 1] as const) : normal, on: 'block' as const });
    return [
      segmentAlong(strip, across, [midX, block.y1 + off, z], [1, 0, 0], rest([0, 1, 0])),
      segmentAlong(strip, up, [block.x1 + off, midY, z], [0, -1, 0], rest([1, 0, 0])),
      segmentAlong(strip, across, [midX, block.y0 - off, z], [-1, 0, 0], rest([0, -1, 0])),
      segmentAlong(strip, up, [block.x0 - off, midY, z], [0, 1, 0], rest([-1, 0, 0])),
    ];
  }).flat();
};

/** Round the inside of the returns, facing in or to the front, clockwise from the top: what a side carries is spread over its depth. */
const rim = (geometry: CaseGeometry, light: LightDesign, strip: Strip): readonly Blueprint[] => {
  const { widthMm, heightMm } = geometry.inside;
  const front = light.facing === 'front';
  const facing = (normal: Point3): Point3 => (front ? [0, 0, 1] : normal);
  const [reachX, reachY] = [widthMm / 2 - strip.heightMm, heightMm / 2 - strip.heightMm];
  const across = widthMm - 2 * light.endMarginMm;
  const up = heightMm - 2 * light.endMarginMm;
  const along = {
    top: (z: number) =>
      segmentAlong(strip, across, [0, reachY, z], [1, 0, 0], { normal: facing([0, -1, 0]), on: 'top' }),
    right: (z: number) =>
      segmentAlong(strip, up, [reachX, 0, z], [0, -1, 0], { normal: facing([-1, 0, 0]), on: 'right' }),
    bottom: (z: number) =>
      segmentAlong(strip, across, [0, -reachY, z], [-1, 0, 0], { normal: facing([0, 1, 0]), on: 'bottom' }),
    left: (z: number) => segmentAlong(strip, up, [-reachX, 0, z], [0, 1, 0], { normal: facing([1, 0, 0]), on: 'left' }),
  } as const;
  const passes = passesOf(light);
  const times = timesAlong(passes);
  return passes.map((side, pass) => {
    const before = passes.slice(0, pass).filter((each) => each === side).length;
    return along[side](((before + 0.5) * geometry.lightDepthMm) / times[side]);
  });
};

/** Which ways the LEDs may look in each layout; the first when none is chosen. */
const facings = { rows: ['front', 'side'], rim: ['in', 'front'], block: ['out', 'front'] } as const;

/** Strip in a light box: in rows on the back, round the rim, or round a block. */
export const lightboxRuns = (
  geometry: CaseGeometry,
  light: LightDesign,
  { strip }: BoxMaterials,
): Result<LightRuns> => {
  const allowed: readonly string[] = facings[light.layout];
  if (light.facing !== undefined && !allowed.includes(light.facing))
    return failure({
      path: pathOf(own.light.facing),
      message: `cannot be “${light.facing}” for this layout; it can be ${allowed.join(' or ')}`,
    });
  if (light.layout === 'block' && geometry.block === null)
    return failure({
      path: pathOf(own.light.layout),
      message: 'puts strip round a block, and there is none in the case; add one, or lay rows',
    });
  const onBack = light.layout === 'rows';
  const lay = { rows, rim, block: roundBlock }[light.layout];
  const blueprints = lay(geometry, light, strip);
  const segments = blueprints
    .filter(({ lengthMm }) => lengthMm > 0)
    .map((blueprint, index): Segment => ({ ...blueprint, number: index + 1 }));
  const ledCount = segments.reduce((sum, segment) => sum + segment.ledCount, 0);
  if (ledCount > maxLeds)
    return failure({
      path: pathOf(own.light[onBack ? 'rowCount' : 'turnCount']),
      message: `gives ${ledCount.toLocaleString('en')} LEDs; Vitrum lights up to ${maxLeds.toLocaleString('en')} in one design`,
    });
  const ledPitchMm = 1000 / strip.ledsPerM;
  const runs: LightRuns = {
    segments,
    leds: placeLeds(segments, ledPitchMm),
    stripMm: segments.reduce((sum, { lengthMm }) => sum + lengthMm, 0),
    ledPitchMm,
    rowPitchMm: onBack && light.rowCount > 1 ? geometry.inside.heightMm / light.rowCount : null,
    throwMm: segments.reduce(
      (least, { from }) => Math.min(least, geometry.lightDepthMm - from[2]),
      geometry.lightDepthMm,
    ),
  };
  return success(withCuts(runs, light.cuts ?? [], strip.cutPitchMm));
};
