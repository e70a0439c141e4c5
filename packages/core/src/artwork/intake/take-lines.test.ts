import { describe, expect, it } from '@jest/globals';
import { measureLine } from '../../base/outlines/index.js';
import { asDrawnLines, takeLines, usualIntake, type TakenLines } from './index.js';

const svg = (body: string): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="200mm" height="100mm" viewBox="0 0 200 100">${body}</svg>`;
const asked = (text: string, kind: 'svg' | 'dxf' = 'svg', change: object = {}) =>
  takeLines({ kind, name: `lines.${kind}`, text }, { ...usualIntake, ...change });
const taken = (...ask: Parameters<typeof asked>): TakenLines => {
  const result = asked(...ask);
  if (!result.ok) throw new Error(result.problems[0]!.message);
  return result.value;
};
const refusal = (...ask: Parameters<typeof asked>): string => {
  const result = asked(...ask);
  return result.ok ? '' : result.problems[0]!.message;
};
const stroke = (d: string): string => `<path d="${d}" fill="none" stroke="#000"/>`;

describe('lines taken in', () => {
  it('are the strokes of a drawing, open and closed, about their middle, at their size', () => {
    const { lines, widthMm, heightMm } = taken(svg(stroke('M20 20H120') + stroke('M20 40H60V80H20Z')));
    expect([widthMm, heightMm]).toEqual([100, 60]);
    const [closed, open] = [lines.find((line) => line.closed)!, lines.find((line) => !line.closed)!];
    expect(measureLine(closed.points, true).lengthMm).toBeCloseTo(160, 6);
    expect([...open.points].sort(([a], [b]) => a - b)).toEqual([
      [-50, 30],
      [50, 30],
    ]);
  });

  it('keep their layers, and leave out those that are not wanted', () => {
    const text = svg(`<g id="red">${stroke('M0 0H50')}</g><g id="blue">${stroke('M0 20H80')}</g>`);
    expect(
      taken(text)
        .lines.map(({ layer }) => layer)
        .sort(),
    ).toEqual(['blue', 'red']);
    expect(taken(text, 'svg', { layers: ['blue'] }).lines.map(({ layer }) => layer)).toEqual(['blue']);
    expect(asDrawnLines(taken(text), 'two.svg')).toMatchObject({ name: 'two.svg', scale: 1 });
  });

  it('are told apart by their colour where a layer has several', () => {
    const line = (d: string, colour: string): string => `<path d="${d}" fill="none" stroke="${colour}"/>`;
    const text = svg(`<g id="word">${line('M0 0H50', 'red')}${line('M0 20H80', '#00f')}</g>${line('M0 40H60', 'red')}`);
    const { lines, layers } = taken(text);
    expect(lines.map(({ layer }) => layer).sort()).toEqual(['', 'word #00f', 'word red']);
    expect([...layers].sort()).toEqual(['', 'word #00f', 'word red']);
  });

  it('are joined where their ends meet, curves followed', () => {
    const { lines, changes } = taken(svg(stroke('M0 50 Q50 0 100 50') + stroke('M100.05 50 H150')));
    expect(lines).toHaveLength(1);
    expect(changes).toContain('1 gap closed');
    // A parabola of these handles is 114.8 mm long.
    expect(measureLine(lines[0]!.points, false).lengthMm).toBeCloseTo(114.78 + 50, 1);
  });

  it('come out of DXF as well', () => {
    const dxf =
      '0\nSECTION\n2\nHEADER\n9\n$INSUNITS\n70\n4\n0\nENDSEC\n0\nSECTION\n2\nENTITIES\n0\nLINE\n8\nWARM\n10\n0\n20\n0\n11\n90\n21\n0\n0\nENDSEC\n0\nEOF\n';
    const { lines, sizeStated } = taken(dxf, 'dxf');
    expect(lines).toHaveLength(1);
    expect(lines[0]).toMatchObject({ closed: false, layer: 'WARM' });
    expect(measureLine(lines[0]!.points, false).lengthMm).toBeCloseTo(90, 9);
    expect(sizeStated).toBe(true);
  });

  it('say what to do with areas, with a scan, and with dust', () => {
    expect(refusal(svg('<rect x="0" y="0" width="50" height="20"/>'))).toMatch(
      /1 area and no lines.*middle of its strokes/,
    );
    expect(refusal(svg(''))).not.toBe('');
    const grey = { width: 10, height: 10, grey: new Uint8Array(100) };
    const scan = takeLines({ kind: 'picture', name: 'scan.png', picture: grey }, usualIntake);
    expect(scan.ok ? '' : scan.problems[0]!.message).toContain('its middle or its outline');
    const mixed = taken(svg(`${stroke('M0 0H50')}<rect x="0" y="20" width="9" height="9"/>${stroke('M80 80H80.3')}`));
    expect(mixed.areas).toBe(1);
    expect(mixed.changes).toEqual([
      '1 speck of less than 1 mm left out',
      '1 filled area left out: only strokes are lines',
    ]);
  });

  it('are bounded: ten thousand of them are refused in a sentence, long curves are thinned', () => {
    const many = Array.from({ length: 10_000 }, (_, at) => stroke(`M${at % 100} ${at / 100}h1.5`)).join('');
    expect(refusal(svg(many), 'svg', { gapMm: 0 })).toMatch(/10,000 lines; a design takes 400/);
    const wave = Array.from({ length: 60_000 }, (_, at) => `L${at / 300} ${50 + 20 * Math.sin(at / 900)}`).join('');
    const { lines } = taken(svg(stroke(`M0 50${wave}`)));
    expect(lines[0]!.points.length).toBeLessThan(20_000);
  });
});
