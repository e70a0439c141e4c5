import type { BoxAssembly } from './schema.js';
import { fieldsOf, pathOf } from '../../document/design/index.js';
import type { Strip } from '../../document/catalogue/index.js';
import type { BoxMaterials } from './materials.js';
import type { LightDesign } from './schema.js';
import { bentRoundBlock, bentSides, rimPieces, type RimPiece } from './rim.js';
import { segmentAlong, type Blueprint } from '../../light/laying/index.js';
import type { CaseGeometry } from '../../light/geometry/index.js';
import { maxLeds, placeLeds, withCuts } from '../../light/laying/index.js';
import type { LightRuns, Point3, Segment } from '../../light/runs/index.js';
import { failure, success, type Result } from '../../base/result.js';

const own = fieldsOf<BoxAssembly>();

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

/** LEDs at their places, and the way each looks where a piece is bent. */
const ledsOn = (
  segments: readonly Segment[],
  pieces: readonly RimPiece[],
  ledPitchMm: number,
): Pick<LightRuns, 'leds' | 'ways'> => {
  const leds = placeLeds(segments, ledPitchMm);
  if (pieces.every(({ at }) => at === null)) return { leds };
  const [looks, along] = [new Float64Array(3 * leds.count), new Float64Array(3 * leds.count)];
  for (let led = 0; led < leds.count; led += 1) {
    const there = pieces[leds.segment[led]!]!.at!(leds.along[led]!);
    [leds.x[led], leds.y[led]] = there.at;
    looks.set(there.looks, 3 * led);
    along.set([...there.along, 0], 3 * led);
  }
  return { leds, ways: { looks, along } };
};

/** Which ways the LEDs may look in each layout; the first when none is chosen. */
const facings = { rows: ['front', 'side'], rim: ['in', 'front', 'out'], block: ['out', 'front'] } as const;

/** Strip in a case: in rows on the back, round the rim, or round a block. */
export const boxRuns = (geometry: CaseGeometry, light: LightDesign, { strip }: BoxMaterials): Result<LightRuns> => {
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
  if (light.layout === 'rim' && light.corners === 'bent' && bentSides(light) === null)
    return failure({
      path: pathOf(own.light.corners),
      message:
        'one piece runs along neighbouring sides, clockwise, each once; choose such sides, or cut it at the corners',
    });
  const onBack = light.layout === 'rows';
  const straight = (blueprint: Blueprint): RimPiece => ({ blueprint, at: null });
  const pieces = {
    rows: () => rows(geometry, light, strip).map(straight),
    rim: () => rimPieces(geometry, light, strip),
    block: () =>
      light.corners === 'bent' && geometry.block !== null
        ? bentRoundBlock(geometry.block, light, strip)
        : roundBlock(geometry, light, strip).map(straight),
  }
    [light.layout]()
    .filter(({ blueprint }) => blueprint.lengthMm > 0);
  const segments = pieces.map(({ blueprint }, index): Segment => ({ ...blueprint, number: index + 1 }));
  const ledCount = segments.reduce((sum, segment) => sum + segment.ledCount, 0);
  if (ledCount > maxLeds)
    return failure({
      path: pathOf(own.light[onBack ? 'rowCount' : 'turnCount']),
      message: `gives ${ledCount.toLocaleString('en')} LEDs; Vitrum lights up to ${maxLeds.toLocaleString('en')} in one design`,
    });
  const ledPitchMm = 1000 / strip.ledsPerM;
  const runs: LightRuns = {
    segments,
    ...ledsOn(segments, pieces, ledPitchMm),
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
