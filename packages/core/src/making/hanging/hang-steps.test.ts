import { describe, expect, it } from '@jest/globals';
import { shippedCatalogue } from '../../document/catalogue/index.js';
import type { HangingDesign } from '../../document/design/index.js';
import { hangOf } from './hang.js';
import { hangingCaution, hangSteps } from './hang-steps.js';
import type { Hang, HungBody } from './types.js';

const body: HungBody = {
  id: 'box',
  name: 'Box',
  bounds: { x: -300, y: -100, width: 600, height: 200 },
  depthMm: 90,
  kg: 4,
  centre: [0, 0, 45],
  hold: { x: -270, y: -70, width: 540, height: 140 },
  recessMm: 0,
  own: null,
  carrier: { partId: 'back', name: 'back', stuff: 'wood', thicknessMm: 12, seen: false, corner: [-295, -95] },
  backer: null,
  rails: null,
};
const hang = (design: HangingDesign): Hang =>
  hangOf(
    {
      assembly: 'box',
      way: design.way,
      ways: ['keyholes', 'cleat', 'holes', 'spacers'],
      design,
      wall: { kind: 'masonry', studPitchMm: 600, studAtMm: null },
      bodies: [body],
      standsOffMm: 0,
    },
    shippedCatalogue,
  );
const ids = (steps: ReturnType<typeof hangSteps>) => ({
  sawn: steps.sawn.map(({ id }) => id),
  glued: steps.glued.map(({ id }) => id),
  fixed: steps.fixed.map(({ id }) => id),
  put: steps.put.map(({ id }) => id),
});

describe('steps of hanging', () => {
  it('drill the wall by its template, and glue blocks where they are asked for', () => {
    const plain = hangSteps(hang({ way: 'keyholes' }), 'wall');
    expect(ids(plain)).toEqual({ sawn: [], glued: [], fixed: ['hang-plates'], put: ['drill-wall', 'hang'] });
    expect(plain.fixed[0]!.detail).toContain('2 each (screw 3 × 10 mm), pilots 8 mm deep');
    expect(plain.put[0]!.title).toMatch(/^Drill the wall by its template: \d holes?$/);
    expect(plain.put[0]!.caution).toContain('Find cables and pipes');
    const blocks = hangSteps({ ...hang({ way: 'keyholes' }), blocks: true }, 'wall');
    expect(ids(blocks).glued).toEqual(['glue-blocks']);
    // What has no returns has no corner to glue one into.
    expect(ids(hangSteps(hang({ way: 'keyholes', blocks: true }), 'wall')).glued).toEqual([]);
  });

  it('say that no fixing finds room, and drill nothing, where there is none', () => {
    const tight = hang({ way: 'holes', blocks: true });
    const none = hangSteps({ ...tight, fixings: [] }, 'wall');
    expect(ids(none)).toEqual({ sawn: [], glued: [], fixed: [], put: ['hang'] });
    expect(none.put[0]!.detail).toContain('no fixing finds room in it');
  });

  it('saw a cleat before, and hook it on after', () => {
    const steps = hangSteps(hang({ way: 'cleat' }), 'wall');
    expect(ids(steps).sawn.length).toBeGreaterThan(0);
    expect(steps.put.at(-1)!.title).toBe('Hook it on its cleat');
  });

  it('leave open what is not decided, and have nothing for what stands on another', () => {
    expect(hangSteps({ ...hang({ way: 'holes' }), way: null }, 'wall').put[0]!.detail).toContain('not decided yet');
    expect(hangSteps(null, 'wall')).toEqual({ sawn: [], glued: [], fixed: [], put: [] });
  });

  it('ask for two people by weight and width, for a professional where it is heavy or overhead', () => {
    expect(hangingCaution(2, 300, 'wall')).toContain('A stable platform.');
    expect(hangingCaution(6, 300, 'wall')).toContain('Two people');
    expect(hangingCaution(2, 900, 'wall')).toContain('Two people');
    expect(hangingCaution(2, 300, 'ceiling')).toContain('structural professional');
    expect(hangingCaution(40, 300, 'wall')).toContain('structural professional');
  });
});
