import { newFaceLit } from '../face-lit/demos.js';
import { beforeAll, describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import type { FontBook } from '../../artwork/lettering/index.js';
import { demoDesigns } from '../../sign/demo/index.js';
import type { Point3, Segment } from '../../light/runs/index.js';
import {
  distanceToOutline,
  inOutline,
  lengthInside,
  solidParts,
  type Outline,
  type Point,
} from '../../base/outlines/index.js';
import { changed, dispensary, evaluatedCoarsely, inAssembly, testFonts } from '../../testing/harness.js';
import { wayFinder } from '../letters/way-inside.js';
import { boxRouter, letterRouters, wireHoleMm } from './wire-routes.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const row = (number: number, y: number): Segment =>
  ({
    number,
    path: [
      [-180, y, 0],
      [180, y, 0],
    ],
  }) as unknown as Segment;
const inside = { widthMm: 400, heightMm: 200 };

describe('wires in a case', () => {
  const router = boxRouter(inside, { segments: [row(1, -60), row(2, 0), row(3, 60)] });

  it('lie straight where no strip is in the way', () =>
    expect(router([180, -60, 0], [180, 0, 0]).path).toEqual([
      [180, -60, 0],
      [180, 0, 0],
    ]));

  it('go round along the returns where one is, by the shorter way', () => {
    const { path } = router([0, -100, 0], [-180, 60, 0]);
    expect(path).toEqual([
      [0, -100, 0],
      [0, -94, 0],
      [-194, -94, 0],
      [-194, 60, 0],
      [-180, 60, 0],
    ]);
  });

  it('never leave the case nor cross a row, whatever they join', () => {
    const at = fc.constantFrom<Point3>(...[-60, 0, 60].flatMap((y) => [-180, 180].map((x): Point3 => [x, y, 0])));
    const entry = fc.constantFrom<Point3>([0, -100, 0], [0, 100, 0], [-200, 0, 0], [200, 0, 0]);
    fc.assert(
      fc.property(entry, at, (from, to) => {
        const { path } = router(from, to);
        for (const [x, y] of path) {
          expect(Math.abs(x)).toBeLessThanOrEqual(200);
          expect(Math.abs(y)).toBeLessThanOrEqual(100);
        }
        // Upright stretches keep outside of the rows’ ends.
        path.slice(1).forEach(([x, y], index) => {
          const [px, py] = path[index]!;
          for (const rowY of [-60, 0, 60])
            if (Math.min(y, py) < rowY - 1 && Math.max(y, py) > rowY + 1)
              expect(Math.min(Math.abs(x), Math.abs(px))).toBeGreaterThanOrEqual(180);
        });
      }),
    );
  });
});

const square = (x: number, y: number, size: number): Outline => [
  [
    [x, y],
    [x + size, y],
    [x + size, y + size],
    [x, y + size],
  ],
];
/** A U of 100 mm with arms 30 mm wide. */
const u: Outline = [
  [
    [0, 0],
    [100, 0],
    [100, 100],
    [70, 100],
    [70, 30],
    [30, 30],
    [30, 100],
    [0, 100],
  ],
];

describe('wires in letters', () => {
  it('stay inside a letter, round its corners, never over its edge', () => {
    const router = letterRouters()([u], { segments: [] }, 8, 'holes');
    const { path, holes } = router([15, 90, 5], [85, 90, 5]);
    expect(holes).toEqual([]);
    expect(path.length).toBeGreaterThan(2);
    path.slice(1).forEach(([x, y], index) => {
      const from: Point = [path[index]![0], path[index]![1]];
      expect(lengthInside(from, [x, y], u)).toBeCloseTo(Math.hypot(x - from[0], y - from[1]), 1);
    });
    expect(wayFinder(square(0, 0, 3))([1, 1], [2, 2])).toBeNull();
  });

  it('go from one to the next by a hole near each end, with solid material round it and off the strip', () => {
    const parts = [square(0, 0, 60), square(90, 0, 60)];
    const strip = [
      {
        number: 1,
        path: [
          [10, 30, 5],
          [50, 30, 5],
        ],
      },
      {
        number: 2,
        path: [
          [100, 30, 5],
          [140, 30, 5],
        ],
      },
    ] as unknown as readonly Segment[];
    const { path, holes } = letterRouters()(parts, { segments: strip }, 8, 'holes')([50, 30, 5], [100, 30, 5]);
    expect(holes).toHaveLength(2);
    holes.forEach(([x, y], index) => {
      expect(inOutline([x, y], parts[index]!)).toBe(true);
      expect(distanceToOutline([x, y], parts[index]!)).toBeGreaterThanOrEqual(wireHoleMm / 2 + 2);
      expect(Math.abs(y - 30)).toBeGreaterThanOrEqual(wireHoleMm / 2 + 4 - 1e-9);
    });
    // Behind the wall from hole to hole.
    expect(path.filter(([, , z]) => z < 0)).toHaveLength(2);
    // Across, when so asked.
    expect(letterRouters()(parts, { segments: strip }, 8, 'over')([50, 30, 5], [100, 30, 5]).path).toHaveLength(2);
  });
});

describe('the wires of the demo', () => {
  it('of face-lit letters leave each can by a hole of its back, drilled where they go', () => {
    const { circuit, parts, lettering, findings } = evaluatedCoarsely(demoDesigns.tern, fonts);
    const letters = solidParts(lettering.outline);
    for (const { from, to, holes } of circuit.wires) {
      if (from === 'lead') expect(holes.length).toBe(1);
      for (const [x, y] of holes)
        expect([from, to, letters.some((part) => inOutline([x, y], part))]).toEqual([from, to, true]);
    }
    const drilled = parts.cut
      .filter(({ id }) => id.endsWith('back'))
      .flatMap(({ layers }) => layers.filter(({ operation }) => operation === 'drill').flatMap(({ shapes }) => shapes))
      .filter((shape) => shape.kind === 'hole' && shape.diameterMm === wireHoleMm);
    const holes = new Set(circuit.wires.flatMap((wire) => wire.holes.map((hole) => hole.join())));
    expect(drilled).toHaveLength(holes.size);
    expect(findings.map(({ id }) => id)).not.toContain('wire-pinched');
  });

  it('of face-lit letters without holes are pinched, and that stops the job', () => {
    const { findings } = evaluatedCoarsely(changed(demoDesigns.tern, { 'power.crossings': 'over' }), fonts);
    expect(findings.find(({ id }) => id === 'wire-pinched')).toMatchObject({ severity: 'stop' });
  });

  it('of halo letters are seen across open wall, until they go behind it', () => {
    const [over, behind] = (['over', 'holes'] as const).map((crossings) =>
      evaluatedCoarsely(changed(demoDesigns.curlew, { 'power.crossings': crossings }), fonts),
    );
    const ids = (at: typeof over) => at!.findings.map(({ id }) => id);
    expect(ids(over)).toContain('jumpers-in-the-open');
    expect(ids(behind)).not.toContain('jumpers-in-the-open');
    expect(behind!.circuit.wires.some(({ holes }) => holes.length === 2)).toBe(true);
  });

  it('of a box are as long as their way, joints and all', () => {
    const { circuit } = evaluatedCoarsely(changed(dispensary, inAssembly({ 'light.rowCount': 5 })), fonts);
    for (const { path, lengthMm } of circuit.wires) {
      const way = path
        .slice(1)
        .reduce(
          (sum, [x, y, z], index) => sum + Math.hypot(x - path[index]![0], y - path[index]![1], z - path[index]![2]),
          0,
        );
      expect(lengthMm).toBeCloseTo(way + 40, 6);
    }
  });

  it('go through where the strip ends when nothing else has room, and say so', () => {
    const narrow = newFaceLit({
      name: 'narrow',
      text: 'PORT SALLOW FERRY HALL',
      sizesMm: { capHeightMm: 100 },
      readingDistanceMm: 3000,
    });
    const { findings, circuit, runs } = evaluatedCoarsely(narrow, fonts);
    const ends = runs.segments.flatMap(({ from, to }) => [from, to]);
    const tight = circuit.wires
      .flatMap(({ holes }) => holes)
      .filter(([x, y]) => ends.some(([ex, ey]) => Math.hypot(ex - x, ey - y) < 1));
    expect(tight.length).toBeGreaterThan(0);
    expect(findings.find(({ id }) => id === 'holes-tight')!.numbers[0]!.value).toBe(tight.length);
    expect(evaluatedCoarsely(demoDesigns.tern, fonts).findings.map(({ id }) => id)).not.toContain('holes-tight');
  });
});
