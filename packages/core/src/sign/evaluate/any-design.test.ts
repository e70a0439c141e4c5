import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { fontListings } from '../../artwork/lettering/index.js';
import { shippedCatalogue } from '../../document/catalogue/index.js';
import { demoDesigns } from '../demo/index.js';
import { type DesignChange } from '../../document/design/index.js';
import { applyChange, readDesign, type Design } from '../design/index.js';
import { seededRandom, type Random } from '../../base/maths/index.js';
import { coarse, testFonts } from '../../testing/harness.js';
import { flaws } from '../../testing/soundness.js';
import { createEvaluator } from './index.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const at = 'assemblies.0';
const inBox = (segment: number) => ({ assembly: 'box', segment });
const boxes = Object.values(demoDesigns).filter(({ assemblies: [assembly] }) => assembly?.build === 'lightbox');

/** A valid design by chance: any demo with a handful of its fields changed, often to something unwise. */
const anyDesign = (random: Random): Design => {
  const pick = <T>(items: readonly T[]): T => items[Math.floor(random() * items.length)]!;
  const between = (low: number, high: number): number => Math.round((low + random() * (high - low)) * 10) / 10;
  const { strips, faces, boards, linings, films, supplies, controllers, wires, coatings, tools } = shippedCatalogue;
  const coats = () => (random() < 0.5 ? [] : [{ coatingId: pick(coatings).id, coats: 1 + Math.floor(random() * 3) }]);
  const changes: readonly (() => DesignChange)[] = [
    () => [{ path: 'brief.text', value: pick(['', 'A', 'OPEN\nLATE', '漢字', ' \n ', 'Wwwwwwwwwwwwwwww', '&']) }],
    () => [{ path: 'brief.exposure', value: pick(['indoors', 'damp', 'outdoors']) }],
    () => [{ path: 'brief.ambient', value: pick(['noon', 'overcast', 'shop', 'evening', 'dark']) }],
    () => [{ path: 'brief.readingDistanceMm', value: between(200, 60_000) }],
    () => [
      {
        path: 'brief.light',
        value: pick([
          { kind: 'white', cctK: 1800 },
          { kind: 'white', cctK: 6500 },
          { kind: 'rgb', colour: '#00ff40' },
          { kind: 'rgb', colour: '#000000' },
        ]),
      },
    ],
    () => [{ path: 'brief.leadExit', value: pick(['left', 'right', 'top', 'bottom', 'back']) }],
    () => [{ path: 'brief.leadLengthMm', value: between(0, 50_000) }],
    () => [{ path: 'brief.quantity', value: pick([1, 7, 1000]) }],
    () => [{ path: 'brief.budget', value: pick([null, 0, 5000]) }],
    () => [{ path: `${at}.artwork.fontId`, value: pick(fontListings).id }],
    () => [{ path: `${at}.artwork.mode`, value: pick(['opaque-letters', 'lit-letters', 'coloured-letters']) }],
    () => [{ path: `${at}.artwork.filmId`, value: pick(films).id }],
    () => [{ path: `${at}.artwork.toolId`, value: pick(tools).id }],
    () => [{ path: `${at}.artwork.capHeightMm`, value: between(2, 600) }],
    () => [{ path: `${at}.artwork.tracking`, value: between(-0.5, 3) }],
    () => [{ path: `${at}.artwork.drawing`, value: null }],
    () => [{ path: `${at}.artwork.offsetXMm`, value: between(-900, 900) }],
    () => [{ path: `${at}.case.sizeBy`, value: pick(['outside', 'face']) }],
    () => [{ path: `${at}.case.widthMm`, value: between(40, 4000) }],
    () => [{ path: `${at}.case.heightMm`, value: between(40, 2000) }],
    () => [{ path: `${at}.case.depthInsideMm`, value: between(8, 400) }],
    () => [{ path: `${at}.case.returnBoardId`, value: pick(boards.filter(({ uses }) => uses.includes('return'))).id }],
    () => [{ path: `${at}.case.cornerJoint`, value: pick(['butt', 'mitre']) }],
    () => [{ path: `${at}.case.retention`, value: pick(['rabbet', 'groove', 'laid-on']) }],
    () => [{ path: `${at}.case.liningId`, value: pick(linings).id }],
    () => [
      {
        path: `${at}.case.block`,
        value: {
          widthMm: between(10, 300),
          heightMm: between(10, 200),
          depthMm: between(5, 60),
          offsetXMm: between(-200, 200),
          offsetYMm: between(-80, 80),
        },
      },
    ],
    () => [{ path: `${at}.light.stripId`, value: pick(strips).id }],
    () => [
      { path: `${at}.light.layout`, value: pick(['rows', 'rim', 'block']) },
      { path: `${at}.light.facing`, value: pick(['front', 'in', 'out', 'side']) },
    ],
    () => [{ path: `${at}.light.rowCount`, value: Math.floor(random() * 12) }],
    () => [{ path: `${at}.light.turnCount`, value: 1 + Math.floor(random() * 3) }],
    () => [{ path: `${at}.light.endMarginMm`, value: between(0, 300) }],
    () => [{ path: `${at}.face.sheetId`, value: pick(faces).id }],
    () => [{ path: `${at}.face.coats`, value: coats() }],
    () => [{ path: `${at}.face.second`, value: { sheetId: pick(faces).id, gapMm: between(0, 80), coats: coats() } }],
    () => [{ path: 'power.supplyId', value: pick(['auto', pick(supplies).id]) }],
    () => [{ path: 'power.supplyCount', value: pick([1, 2, 20]) }],
    () => [{ path: 'power.wireId', value: pick(['auto', pick(wires).id]) }],
    () => [{ path: 'power.feed', value: pick(['one-end', 'both-ends']) }],
    () => [{ path: 'power.source', value: pick(['mains', 'usb', 'battery']) }],
    () => [{ path: 'power.arrangement', value: pick(['parallel', 'series-pairs']) }],
    () => [{ path: 'power.seriesPairs', value: [{ first: inBox(1), second: inBox(pick([1, 2, 3, 40])) }] }],
    () => [
      { path: 'power.zones', value: [{ segments: pick([[1], [2, 9], [1, 2]]).map(inBox), level: between(0, 1) }] },
    ],
    () => [{ path: 'power.level', value: between(0, 1) }],
    () => [{ path: 'power.controllerId', value: pick(['auto', 'none', 'moon', pick(controllers).id]) }],
    () => [{ path: 'power.controllerPlace', value: pick(['supply', 'inside']) }],
    () => [{ path: 'power.supplyPlace', value: pick(['outside', 'inside']) }],
    () => [{ path: 'power.pixelCount', value: pick([0, 10, 10_000]) }],
    () => [{ path: 'power.fedBackward', value: pick([[], [1], [7]]).map(inBox) }],
    () => [{ path: 'brief.control', value: pick(['switch', 'knob', 'remote']) }],
    () => [{ path: `${at}.case.vents`, value: pick([null, { count: 8, diameterMm: between(2, 20) }]) }],
  ];
  let design: Design = pick(boxes);
  for (let change = 0; change < 6; change += 1) {
    const changed = applyChange(design, pick(changes)());
    if (!changed.ok) throw new Error(changed.problems[0]!.message);
    design = changed.value;
  }
  return design;
};

describe('any valid design', () => {
  const random = seededRandom(404);
  let built = 0;
  const designs = Array.from({ length: 40 }, (_, index) => [index, anyDesign(random)] as const);

  it.each(designs)('no. %d is either evaluated, every number of it sound, or refused with the field', (_, design) => {
    const result = createEvaluator(shippedCatalogue, fonts, coarse).quick(design);
    if (!result.ok) {
      for (const { path, message } of result.problems) {
        expect(path).toMatch(/^(assemblies\.0|power|brief)\./);
        expect(message.length).toBeGreaterThan(10);
      }
      return;
    }
    const evaluation = result.value;
    built += 1;
    expect(flaws(evaluation)).toEqual([]);
    expect(readDesign(JSON.parse(JSON.stringify(evaluation.design))).ok).toBe(true);
  });

  it('is evaluated more often than not: the rest is refused for what cannot be built', () =>
    expect(built).toBeGreaterThan(12));
});
