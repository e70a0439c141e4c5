import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { demoDesigns } from '../../sign/demo/index.js';
import type { Design } from '../../sign/design/index.js';
import { applyChange } from '../../sign/design/index.js';
import {
  changed,
  dispensary,
  slipway,
  evaluatedCoarsely,
  inAssembly,
  evaluatedWithFixes,
  testFonts,
} from '../../testing/harness.js';
import type { Finding } from './types.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

type Change = Readonly<Record<string, unknown>>;
const rows = (count: number): Change => inAssembly({ 'light.rowCount': count });
const netLoft = demoDesigns['net-loft'];

/** What goes wrong, on which design, and whether a fix must settle it. */
const cases: readonly (readonly [
  id: string,
  design: Design,
  change: Change,
  severity: Finding['severity'],
  fixed: boolean,
])[] = [
  ['wrong-controller', slipway, { 'power.controllerId': 'none' }, 'stop', true],
  ['wrong-controller', slipway, { 'power.controllerId': 'pixel-radio' }, 'stop', true],
  ['wrong-controller', slipway, { 'power.controllerId': 'dimmer-knob-1' }, 'stop', true],
  ['wrong-controller', netLoft, { 'power.controllerId': 'rgbw-radio-4' }, 'stop', true],
  ['over-rating', slipway, { ...rows(8), 'power.controllerId': 'rgb-infrared-3' }, 'stop', true],
  [
    'sensor-hidden',
    slipway,
    { 'power.controllerPlace': 'inside', 'power.controllerId': 'rgb-infrared-3' },
    'fix',
    true,
  ],
  ['data-too-far', netLoft, { 'brief.leadLengthMm': 8000 }, 'fix', true],
  ['pixel-count', netLoft, { 'power.pixelCount': 60 }, 'fix', true],
  ['colour-drifts', slipway, { ...rows(5), 'power.chainsCarryOn': [2, 3, 4, 5] }, 'fix', true],
  ['series-impossible', dispensary, { ...rows(3), 'power.arrangement': 'series-pairs' }, 'stop', true],
  ['series-impossible', slipway, { 'power.arrangement': 'series-pairs' }, 'stop', true],
  [
    'unequal-series',
    dispensary,
    {
      ...inAssembly({
        'light.rowCount': 2,
        'case.block': { widthMm: 240, heightMm: 60, depthMm: 30, offsetXMm: 250, offsetYMm: 70 },
      }),
      'power.arrangement': 'series-pairs',
    },
    'fix',
    true,
  ],
  ['supply-in-the-wet', dispensary, { 'power.supplyId': 'plug-24v-60', 'brief.exposure': 'outdoors' }, 'stop', true],
  ['joints-in-the-wet', dispensary, { 'power.joint': 'clip' }, 'fix', true],
  ['not-limited-power', dispensary, { ...rows(8), 'brief.exposure': 'indoors' }, 'note', true],
  [
    'battery-empty',
    dispensary,
    {
      ...inAssembly({ 'light.stripId': 'zigzag-12v-120' }),
      'brief.exposure': 'indoors',
      'power.source': 'battery',
      'brief.hoursPerDay': 24,
    },
    'fix',
    true,
  ],
  ['wiring-contradicts', dispensary, { 'power.injections': [{ segment: 9, end: 'end' }] }, 'fix', true],
  ['wiring-contradicts', dispensary, { 'power.chainsBegin': [2], 'power.chainsCarryOn': [2] }, 'fix', true],
  [
    'wiring-contradicts',
    slipway,
    {
      'power.zones': [
        { segments: [1, 2], level: 1 },
        { segments: [2], level: 0.5 },
      ],
    },
    'fix',
    true,
  ],
  ['wiring-contradicts', dispensary, { 'power.fedBackward': [1], 'power.fedForward': [1] }, 'fix', true],
  ['fed-at-wrong-end', dispensary, { ...rows(1), 'power.fedBackward': [1], 'brief.leadExit': 'left' }, 'note', true],
  ['wire-pinched', demoDesigns.tern, { 'power.crossings': 'over' }, 'stop', true],
  ['jumpers-in-the-open', demoDesigns.curlew, {}, 'note', true],
  ['face-too-hot', slipway, { ...rows(24), 'brief.light': { kind: 'rgb', colour: '#ffffff' } }, 'fix', false],
  ['tape-lets-go', slipway, rows(8), 'note', false],
];

describe('findings about power', () => {
  it.each(cases)('%s', (id, design, change, severity, fixed) => {
    const made = changed(design, change);
    const { findings, results } = { findings: evaluatedWithFixes(made, fonts, id).findings, results: made };
    const finding = findings.find((each) => each.id === id);
    expect(findings.map((each) => each.id)).toContain(id);
    expect(finding!.severity).toBe(severity);
    expect(finding!.numbers.length).toBeGreaterThan(0);
    expect(`${finding!.what} ${finding!.why}`).not.toMatch(/NaN|undefined|Infinity/);
    if (!fixed) return;
    // At least one fix settles it, and applied it is gone.
    const fix = finding!.fixes.find(({ settles }) => settles)!;
    expect(fix).toBeDefined();
    const applied = applyChange(results, fix.change);
    if (!applied.ok) throw new Error(applied.problems[0]!.message);
    expect(evaluatedCoarsely(applied.value, fonts).findings.map((each) => each.id)).not.toContain(id);
  });

  it('are silent on designs that have none of it', () => {
    const quiet = new Set(cases.map(([id]) => id));
    const { findings } = evaluatedCoarsely(demoDesigns.dispensary, fonts);
    expect(findings.filter(({ id }) => quiet.has(id))).toEqual([]);
  });

  it('offer vents for a hot case, with the light they leak', () => {
    const { findings } = evaluatedWithFixes(
      changed(dispensary, { ...rows(14), ...inAssembly({ 'case.depthInsideMm': 40 }) }),
      fonts,
      'too-hot',
    );
    const hot = findings.find(({ id }) => id === 'too-hot')!;
    const vents = hot.fixes.find(({ id }) => id === 'vent')!;
    expect(vents.label).toMatch(/vents of \d+ mm.*leak \d/);
    expect(vents.after).toBeLessThan(vents.before);
  });
});
