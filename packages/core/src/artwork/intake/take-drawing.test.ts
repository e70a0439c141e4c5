import { describe, expect, it } from '@jest/globals';
import { findArcs } from '../../base/curves/index.js';
import type { GreyPicture } from '../drawings/index.js';
import { outlineArea, outlineBounds, ringArea } from '../../base/outlines/index.js';
import { dxfCorpus, svgCorpus } from '../../testing/drawing-corpus/index.js';
import { asArtwork, takeDrawing, usualIntake, type DrawingFile, type TakenDrawing } from './index.js';

const taken = (file: DrawingFile, change: object = {}): TakenDrawing => {
  const result = takeDrawing(file, { ...usualIntake, ...change });
  if (!result.ok) throw new Error(result.problems[0]!.message);
  return result.value;
};
const refusal = (file: DrawingFile, change: object = {}): string => {
  const result = takeDrawing(file, { ...usualIntake, ...change });
  return result.ok ? '' : result.problems[0]!.message;
};

/** Dark where `ink` says so, its edges grey by the share that is covered, as a scanner sees them. */
const picture = (width: number, height: number, ink: (x: number, y: number) => boolean): GreyPicture => {
  const grey = new Uint8Array(width * height);
  const fine = 4;
  for (let row = 0; row < height; row += 1)
    for (let column = 0; column < width; column += 1) {
      let covered = 0;
      for (let each = 0; each < fine * fine; each += 1)
        if (ink(column + ((each % fine) + 0.5) / fine, row + (Math.floor(each / fine) + 0.5) / fine)) covered += 1;
      grey[row * width + column] = Math.round(255 * (1 - covered / fine ** 2));
    }
  return { width, height, grey };
};
const scan = (ink: (x: number, y: number) => boolean): DrawingFile => ({
  kind: 'picture',
  name: 'scan.png',
  picture: picture(200, 120, ink),
});
const mmPerPx = 25.4 / 96;

describe('a drawing taken in', () => {
  it('keeps its size, its layers and what was told of it', () => {
    const file = dxfCorpus.find(({ name }) => name === 'outer and holes on two layers')!;
    const found = taken({ kind: 'dxf', name: 'plate.dxf', text: file.text });
    expect(found).toMatchObject({ widthMm: 40, heightMm: 40, sizeStated: true, layers: ['OUTER', 'HOLES'] });
    const outer = taken({ kind: 'dxf', name: 'plate.dxf', text: file.text }, { layers: ['OUTER'] });
    expect(outlineArea(outer.outline)).toBeCloseTo(1600, 3);
  });

  it('goes into a design to the micrometre', () => {
    const file = svgCorpus.find(({ name }) => name === 'circle')!;
    const found = taken({ kind: 'svg', name: 'disc.svg', text: file.text });
    const drawing = asArtwork(found, 'disc.svg');
    expect(drawing).toMatchObject({ name: 'disc.svg', scale: 1 });
    const xs = drawing.rings[0]!.filter((_, at) => at % 2 === 0);
    expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(40, 2);
  });

  it.each(['svg', 'dxf'] as const)('a hundred times as large follows its curves as finely (%s)', (kind) => {
    const { text } = (kind === 'svg' ? svgCorpus : dxfCorpus).find(({ name }) => name === 'circle')!;
    const found = taken({ kind, name: 'disc', text }, { scale: 100 });
    const radius = found.widthMm / 2;
    expect(radius).toBeCloseTo(kind === 'svg' ? 2000 : 2500, 1);
    expect(findArcs(found.outline[0]!).kind).toBe('circle');
  });

  it('that bounds nothing is refused with what to do', () => {
    const open = '<svg width="9mm" viewBox="0 0 9 9"><path fill="none" stroke="#000" d="M0 0L5 5"/></svg>';
    expect(refusal({ kind: 'svg', name: 'x.svg', text: open })).toMatch(
      /no line of this drawing closes.*1 line left open/,
    );
  });

  it('with far too many points is thinned, and says so', () => {
    const points = Array.from({ length: 200_000 }, (_, at) => {
      const angle = (at / 200_000) * 2 * Math.PI;
      const radius = 4000 + 0.02 * Math.sin(angle * 40_000);
      return `${(4100 + radius * Math.cos(angle)).toFixed(4)},${(4100 + radius * Math.sin(angle)).toFixed(4)}`;
    });
    const text = `<svg width="8200mm" height="8200mm" viewBox="0 0 8200 8200"><polygon points="${points.join(' ')}"/></svg>`;
    const found = taken({ kind: 'svg', name: 'fine.svg', text });
    expect(found.changes.join()).toContain('points thinned');
    expect(outlineArea(found.outline) / (Math.PI * 4000 ** 2)).toBeCloseTo(1, 4);
  });
});

describe('a picture traced', () => {
  it('gives a disc its area and its place', () => {
    const found = taken(scan((x, y) => Math.hypot(x - 90, y - 50) < 40));
    expect(outlineArea(found.outline) / (Math.PI * (40 * mmPerPx) ** 2)).toBeCloseTo(1, 1);
    const bounds = outlineBounds(found.outline)!;
    expect((bounds.x + bounds.width / 2) / mmPerPx).toBeCloseTo(90, 0);
    // Up is up: the disc is nearer to the top.
    expect((bounds.y + bounds.height / 2) / mmPerPx).toBeCloseTo(70, 0);
    expect(found.sizeStated).toBe(false);
  });

  it('keeps holes, and light on dark when told so', () => {
    const ring = scan((x, y) => Math.hypot(x - 90, y - 50) < 40 && Math.hypot(x - 90, y - 50) > 20);
    expect(
      taken(ring)
        .outline.map((each) => Math.sign(ringArea(each)))
        .sort(),
    ).toEqual([-1, 1]);
    const light = scan((x, y) => !(x > 50 && x < 150 && y > 30 && y < 90));
    expect(outlineArea(taken(light, { inverted: true, smoothPx: 0 }).outline) / mmPerPx ** 2 / 6000).toBeCloseTo(1, 1);
  });

  it('closes what runs off the edge', () => {
    const found = taken(
      scan((x) => x < 60),
      { smoothPx: 0 },
    );
    expect(outlineArea(found.outline) / mmPerPx ** 2 / (60 * 120)).toBeCloseTo(1, 1);
  });

  it('leaves dust out, and says how much', () => {
    const dusty = scan(
      (x, y) => Math.hypot(x - 90, y - 50) < 40 || (Math.abs(x - 180.5) < 1 && Math.abs(y - 20.5) < 1),
    );
    const found = taken(dusty, { smoothPx: 0 });
    expect(found.outline).toHaveLength(1);
    expect(found.notes.join()).toContain('1 speck');
  });

  it('smoother has fewer points', () => {
    const disc = scan((x, y) => Math.hypot(x - 90, y - 50) < 40);
    expect(taken(disc, { smoothPx: 4 }).outline[0]!.length).toBeLessThan(
      taken(disc, { smoothPx: 0 }).outline[0]!.length,
    );
  });

  it('of nothing, or of too much, is refused', () => {
    expect(refusal(scan(() => false))).toContain('no ink');
    const huge = {
      kind: 'picture' as const,
      name: 'x',
      picture: { width: 9000, height: 9000, grey: new Uint8Array(1) },
    };
    expect(refusal(huge)).toContain('cannot be traced');
  });
});
