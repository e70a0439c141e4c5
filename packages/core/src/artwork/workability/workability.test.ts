import { describe, expect, it } from '@jest/globals';
import { shippedCatalogue, type Tool } from '../../document/catalogue/index.js';
import { offset, rectRing, subtract, unite, type Outline } from '../../base/outlines/index.js';
import { workabilityOf } from './index.js';

const rect = (x: number, y: number, width: number, height: number): Outline => [rectRing({ x, y, width, height })];
const tool = (change: Partial<Tool> = {}): Tool => ({
  ...shippedCatalogue.tools.find(({ id }) => id === 'bit-3')!,
  ...change,
});

describe('an outline under its tool', () => {
  it('loses nothing where every stroke and gap is wide enough, but its inside corners come out round', () => {
    const ell = unite([...rect(0, 0, 60, 10), ...rect(0, 0, 10, 60)]);
    const found = workabilityOf(ell, tool());
    expect(found.narrowestStrokeMm).toBeNull();
    expect(found.narrowestGapMm).toBeNull();
    expect(found.lost.map(({ kind }) => kind)).toEqual(['corner']);
    expect(found.lost[0]!.widthMm).toBe(1.5);
    const { x, y, width } = found.lost[0]!.rect;
    expect([x + width / 2, y + width / 2]).toEqual([10, 10]);
  });

  it.each([0.8, 1.4, 2.2])('finds a stroke of %d mm, and where it is', (width) => {
    const found = workabilityOf(unite([...rect(0, 0, 30, 30), ...rect(30, 10, 40, width)]), tool());
    expect(found.narrowestStrokeMm).toBeCloseTo(width, 4);
    const [thin] = found.lost.filter(({ kind }) => kind === 'thin');
    expect(thin!.rect.x).toBeGreaterThan(28);
    expect(thin!.rect.x + thin!.rect.width).toBeGreaterThan(68);
  });

  it.each([0.6, 1.5, 2.6])('finds a gap of %d mm', (width) => {
    const found = workabilityOf(subtract(rect(0, 0, 60, 30), rect(30, 5, width, 30)), tool());
    expect(found.narrowestGapMm).toBeCloseTo(width, 4);
    expect(found.lost.some(({ kind }) => kind === 'gap')).toBe(true);
  });

  it('takes a slanted stroke straight across, and no point for a stroke', () => {
    const slanted: Outline = [
      [
        [0, 0],
        [50, 30],
        [49, 31.7],
        [-1, 1.7],
      ],
    ];
    const across = Math.abs(50 * 1.7 + 30 * 1) / Math.hypot(50, 30);
    expect(workabilityOf(slanted, tool()).narrowestStrokeMm! / across).toBeCloseTo(1, 2);
    const blunt: Outline = [
      [
        [0, 0],
        [40, 0],
        [20, 25],
      ],
    ];
    expect(workabilityOf(blunt, tool()).lost).toEqual([]);
  });

  it('follows a fillet as large as the bit, and leaves a smaller one as a corner', () => {
    const notch = (radius: number): Outline =>
      subtract(rect(0, 0, 60, 60), offset(rect(20 + radius, 20 + radius, 30 - 2 * radius, 60), radius));
    const corners = (radius: number) =>
      workabilityOf(notch(radius), tool()).lost.filter(({ kind }) => kind === 'corner').length;
    expect(corners(2)).toBe(0);
    expect(corners(0.5)).toBe(2);
  });

  it('has no gaps and no round corners under a knife', () => {
    const slit = subtract(rect(0, 0, 60, 30), rect(30, 5, 0.2, 30));
    expect(workabilityOf(slit, tool({ cutMm: 0 })).lost.filter(({ kind }) => kind !== 'thin')).toEqual([]);
  });

  it('counts counters and parts; an island in a counter is no part of its own', () => {
    const ring = subtract(rect(0, 0, 60, 60), rect(15, 15, 30, 30));
    const all = unite([...ring, ...rect(25, 25, 10, 10), ...rect(100, 0, 20, 20)]);
    expect(workabilityOf(all, tool())).toMatchObject({ counters: 1, parts: 2 });
  });

  it('fits a bed either way round, and says by how much it does not', () => {
    const bed = { bedWidthMm: 900, bedHeightMm: 600 };
    expect(workabilityOf(rect(0, 0, 550, 880), tool(bed)).overBedMm).toBe(0);
    expect(workabilityOf(rect(0, 0, 950, 500), tool(bed)).overBedMm).toBe(50);
    expect(workabilityOf(rect(0, 0, 950, 700), tool(bed)).overBedMm).toBe(100);
  });

  it('of nothing is nothing', () =>
    expect(workabilityOf([], tool())).toEqual({
      lost: [],
      narrowestStrokeMm: null,
      narrowestGapMm: null,
      counters: 0,
      parts: 0,
      overBedMm: 0,
    }));
});
