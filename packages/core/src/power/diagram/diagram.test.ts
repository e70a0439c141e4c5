import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { demoDesigns } from '../../sign/demo/index.js';
import type { Design } from '../../sign/design/index.js';
import {
  changed,
  dispensary,
  evaluatedCoarsely,
  inAssembly,
  signEvaluatedCoarsely,
  testFonts,
} from '../../testing/harness.js';
import { wiringDiagram, type Diagram } from './index.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const diagramOf = (design: Design): Diagram => wiringDiagram(signEvaluatedCoarsely(design, fonts));
const box = ({ boxes }: Diagram, id: string) => boxes.find((each) => each.id === id)!;

const designs: readonly (readonly [string, () => Design])[] = [
  ...Object.entries(demoDesigns).map(([name, design]) => [name, (): Design => design] as const),
  [
    'three supplies with amplifiers',
    () => changed(demoDesigns.slipway, { 'power.supplyCount': 3, 'power.chainsBegin': [2, 3] }),
  ],
  [
    'pairs in series',
    () => changed(dispensary, { ...inAssembly({ 'light.rowCount': 4 }), 'power.arrangement': 'series-pairs' }),
  ],
  ['a battery', () => changed(demoDesigns.tern, { 'power.source': 'battery' })],
];

describe('a wiring diagram', () => {
  it.each(designs)('of %s has every segment and every wire once, no box on another, all of it inside', (_, design) => {
    const evaluation = signEvaluatedCoarsely(design(), fonts);
    const { boxes, links, width, height } = wiringDiagram(evaluation);
    expect(boxes.filter(({ kind }) => kind === 'segment')).toHaveLength(evaluation.circuit.segments.length);
    expect(links.filter(({ id }) => id.startsWith('wire-'))).toHaveLength(evaluation.circuit.wires.length);
    boxes.forEach((one, index) => {
      expect(one.x + one.width).toBeLessThanOrEqual(width);
      expect(one.y + one.height).toBeLessThanOrEqual(height);
      for (const other of boxes.slice(index + 1)) {
        const apart =
          one.x + one.width <= other.x ||
          other.x + other.width <= one.x ||
          one.y + one.height <= other.y ||
          other.y + other.height <= one.y;
        expect([one.id, other.id, apart]).toEqual([one.id, other.id, true]);
      }
    });
  });

  it('begins and ends each wire at the boxes it joins', () => {
    const evaluation = evaluatedCoarsely(demoDesigns['net-loft'], fonts);
    const { boxes, links } = wiringDiagram(evaluation);
    const touches = (id: string, [x, y]: readonly [number, number]): boolean => {
      const { x: left, y: top, width, height } = boxes.find((each) => each.id === id)!;
      return x >= left - 1e-9 && x <= left + width + 1e-9 && y >= top - 1e-9 && y <= top + height + 1e-9;
    };
    evaluation.circuit.wires.forEach(({ ends, chain }, index) => {
      const { path } = links.find(({ id }) => id === `wire-${index}`)!;
      const idOf = (end: (typeof ends)[number]): string =>
        end === 'lead' ? `lead-${evaluation.circuit.chains[chain - 1]!.supply}` : `segment-${end.segment}`;
      expect(touches(idOf(ends[0]), path[0]!)).toBe(true);
      expect(touches(idOf(ends[1]), path[path.length - 1]!)).toBe(true);
    });
  });

  it('goes from the socket by supply and controller to the lead; a controller inside comes after it', () => {
    const before = diagramOf(demoDesigns.slipway);
    expect(['socket-1', 'supply-1', 'controller-1', 'lead-1'].map((id) => box(before, id).x)).toEqual(
      before.boxes
        .filter(({ kind }) => kind !== 'segment')
        .map(({ x }) => x)
        .sort((a, b) => a - b),
    );
    const inside = diagramOf(changed(demoDesigns.slipway, { 'power.controllerPlace': 'inside' }));
    expect(box(inside, 'controller-1').x).toBeGreaterThan(box(inside, 'lead-1').x);
    const battery = diagramOf(changed(demoDesigns.tern, { 'power.source': 'battery' }));
    expect(battery.boxes.some(({ kind }) => kind === 'socket')).toBe(false);
    expect(box(battery, 'supply-1').title).toBe('battery');
  });
});
