import type { Materials, Strip } from '../../catalogue/index.js';
import type { LightDesign } from '../../design/index.js';
import type { CaseGeometry } from '../../geometry/index.js';
import { maxLeds, placeLeds, snapToCut } from '../../laying/index.js';
import type { LightRuns, Point3, Segment } from '../../light-runs/index.js';
import { failure, success, type Result } from '../../result.js';

type Blueprint = Omit<Segment, 'number'>;

/** A straight piece centred on `middle`, running along `direction`. */
const pieceAlong = (
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
  return {
    ...rest,
    from: offset(-1),
    to: offset(1),
    lengthMm,
    leftoverMm,
    ledCount: Math.round((lengthMm * strip.ledsPerM) / 1000),
  };
};

/** Rows evenly over the back; every second one runs the other way, so that jumpers stay short. */
const rows = (geometry: CaseGeometry, light: LightDesign, strip: Strip): readonly Blueprint[] => {
  const { widthMm, heightMm } = geometry.inside;
  const pitch = heightMm / light.rowCount;
  return Array.from({ length: light.rowCount }, (_, row) => {
    const y = heightMm / 2 - (row + 0.5) * pitch;
    return pieceAlong(strip, widthMm - 2 * light.endMarginMm, [0, y, strip.heightMm], [row % 2 === 0 ? 1 : -1, 0, 0], {
      normal: [0, 0, 1],
      on: 'back',
    });
  });
};

/** Round the inside of the returns, clockwise from the top, one turn above the other. */
const rim = (geometry: CaseGeometry, light: LightDesign, strip: Strip): readonly Blueprint[] => {
  const { widthMm, heightMm, depthMm } = geometry.inside;
  const [reachX, reachY] = [widthMm / 2 - strip.heightMm, heightMm / 2 - strip.heightMm];
  return Array.from({ length: light.turnCount }, (_, turn) => {
    const z = ((turn + 0.5) * depthMm) / light.turnCount;
    const across = widthMm - 2 * light.endMarginMm;
    const up = heightMm - 2 * light.endMarginMm;
    return [
      pieceAlong(strip, across, [0, reachY, z], [1, 0, 0], { normal: [0, -1, 0], on: 'top' }),
      pieceAlong(strip, up, [reachX, 0, z], [0, -1, 0], { normal: [-1, 0, 0], on: 'right' }),
      pieceAlong(strip, across, [0, -reachY, z], [-1, 0, 0], { normal: [0, 1, 0], on: 'bottom' }),
      pieceAlong(strip, up, [-reachX, 0, z], [0, 1, 0], { normal: [1, 0, 0], on: 'left' }),
    ];
  }).flat();
};

/** Strip in a light box: in rows on the back, or round the rim facing in. */
export const lightboxRuns = (geometry: CaseGeometry, light: LightDesign, { strip }: Materials): Result<LightRuns> => {
  const onBack = light.layout === 'rows';
  const blueprints = onBack ? rows(geometry, light, strip) : rim(geometry, light, strip);
  const segments = blueprints
    .filter(({ lengthMm }) => lengthMm > 0)
    .map((blueprint, index): Segment => ({ ...blueprint, number: index + 1 }));
  const ledCount = segments.reduce((sum, segment) => sum + segment.ledCount, 0);
  if (ledCount > maxLeds)
    return failure({
      path: `assemblies.0.light.${onBack ? 'rowCount' : 'turnCount'}`,
      message: `gives ${ledCount.toLocaleString('en')} LEDs; Vitrum lights up to ${maxLeds.toLocaleString('en')} in one design`,
    });
  const ledPitchMm = 1000 / strip.ledsPerM;
  return success({
    segments,
    leds: placeLeds(segments, ledPitchMm),
    stripMm: segments.reduce((sum, { lengthMm }) => sum + lengthMm, 0),
    ledPitchMm,
    rowPitchMm: onBack && light.rowCount > 1 ? geometry.inside.heightMm / light.rowCount : null,
    throwMm:
      geometry.inside.depthMm -
      (onBack ? strip.heightMm : ((light.turnCount - 0.5) * geometry.inside.depthMm) / light.turnCount),
  });
};
