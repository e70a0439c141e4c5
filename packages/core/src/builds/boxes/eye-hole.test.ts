import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { demoDesigns } from '../../sign/demo/index.js';
import { changed, evaluatedCoarsely, inAssembly, testFonts } from '../../testing/harness.js';
import { eyeMm } from './eye-hole.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const remote = {
  'power.controllerId': 'rgb-infrared-3',
  'power.controllerPlace': 'inside',
  'power.sensorWindow': true,
} as const;
const bottomOf = (name: 'reed-bed' | 'dispensary', change: Readonly<Record<string, unknown>>) => {
  const own = evaluatedCoarsely(changed(demoDesigns[name], change), fonts);
  const part = own.parts.cut.find(({ id }) => id === 'bottom')!;
  const holes = part.layers.flatMap(({ shapes }) => shapes.flatMap((shape) => (shape.kind === 'hole' ? [shape] : [])));
  return { own, part, holes, eyes: holes.filter(({ diameterMm }) => diameterMm === eyeMm) };
};

describe('the eye of a remote in a case', () => {
  it('looks out of the lower return beside the lead, once it is asked to', () => {
    expect(bottomOf('reed-bed', { ...remote, 'power.sensorWindow': false }).eyes).toEqual([]);
    const { eyes, part } = bottomOf('reed-bed', remote);
    expect(eyes).toHaveLength(1);
    expect(part.note).toContain('hole Ø 6 mm for the eye of the remote');
  });

  it('keeps clear of other holes and of strip along the return', () => {
    const { own, eyes, holes } = bottomOf('reed-bed', {
      ...remote,
      ...inAssembly({ 'case.vents': { count: 12, diameterMm: 10 } }),
    });
    const [eye] = eyes;
    for (const hole of holes)
      if (hole !== eye)
        expect(Math.hypot(hole.x - eye!.x, hole.y - eye!.y)).toBeGreaterThanOrEqual((hole.diameterMm + eyeMm) / 2 + 3);
    const above = eye!.y - own.geometry.back.thicknessMm - own.geometry.recessMm;
    for (const { on, path } of own.runs.segments)
      if (on === 'bottom')
        expect(Math.abs(path[0]![2] - above)).toBeGreaterThanOrEqual(own.materials.strip.widthMm / 2 + eyeMm / 2 + 3);
  });

  it('is no hole where the controller stands beside the supply', () =>
    expect(bottomOf('dispensary', { ...remote, 'power.controllerPlace': 'supply' }).eyes).toEqual([]));
});
