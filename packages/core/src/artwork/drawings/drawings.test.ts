import { describe, expect, it } from '@jest/globals';
import { seededRandom } from '../../base/maths/index.js';
import { outlineArea, outlineBounds, ringArea } from '../../base/outlines/index.js';
import { dxfCorpus, dxfText, svgCorpus, type CorpusFile } from '../../testing/drawing-corpus/index.js';
import { read, refusal, repaired, svg } from '../../testing/drawing-corpus/read-drawing.js';
import { readDxf, readSvg, type Drawing } from './index.js';

const options = { gapMm: 0.1, layers: null };
const areaIsRight = (drawing: Drawing, { areaMm2, tolerance }: CorpusFile): void => {
  const { outline } = repaired(drawing, options);
  expect(Math.abs(outlineArea(outline) / areaMm2 - 1)).toBeLessThan(tolerance);
};

describe('SVG drawings', () => {
  it.each(svgCorpus.map((file) => [file.name, file] as const))('%s comes to its area', (_, file) =>
    areaIsRight(read(readSvg(file.text)), file),
  );

  it('stand upright: what is drawn at the top is at the top', () => {
    const { outline } = repaired(read(readSvg(svg('<rect x="10" y="5" width="20" height="10"/>'))), options);
    expect(outlineBounds(outline)).toEqual({ x: 10, y: -15, width: 20, height: 10 });
  });

  it('say whether their size is stated', () => {
    const sized = (attributes: string) =>
      read(readSvg(`<svg ${attributes}><rect width="10" height="10"/></svg>`)).sizeStated;
    expect(sized('width="10mm" height="10mm" viewBox="0 0 10 10"')).toBe(true);
    expect(sized('width="100" height="100"')).toBe(false);
    expect(sized('viewBox="0 0 10 10"')).toBe(false);
  });

  it.each([
    ['text', '<text x="5" y="5">hi</text>', 'turn text into paths'],
    ['pictures', '<image href="https://example.test/a.png"/>', 'a picture was left out'],
    ['links out', '<use href="https://example.test/a.svg#x"/>', 'a link out of the file'],
    ['missing copies', '<use href="#nowhere"/>', 'which is not there'],
    ['broken path data', '<path d="M0 0L10 10 bananas"/>', 'could not be read to its end'],
    ['numbers that are none', '<path d="M0 0L1e999 0L0 10Z"/>', 'left out'],
    ['what it does not know', '<wobble/>', '“wobble” is not understood'],
  ])('leave out %s, and say so', (_, body, sentence) => {
    const drawing = read(readSvg(svg(`${body}<rect width="10" height="10"/>`)));
    expect(drawing.notes.join('; ')).toContain(sentence);
    expect(outlineArea(repaired(drawing, options).outline)).toBeCloseTo(100, 6);
  });

  it.each([
    ['only text', svg('<text>hi</text>'), 'turn text into paths'],
    ['a script', svg('<script>alert(1)</script>'), 'carries a script'],
    [
      'entities that would blow up, were they more than nothing',
      '<!DOCTYPE svg [<!ENTITY a "aaaaaaaaaa"><!ENTITY b "&a;&a;&a;&a;">]><svg><path d="&b;M0 0"/></svg>',
      'nothing in this drawing to cut',
    ],
    ['XML that breaks off', '<svg><rect width="10"', 'not sound SVG'],
    ['tags that do not match', '<svg><g></svg>', 'not sound SVG'],
    ['another kind of file', '<html></html>', 'no SVG drawing'],
    ['nothing at all', '', 'not sound SVG'],
    ['groups without end', `<svg>${'<g>'.repeat(200)}`, 'nested more than'],
    ['a million nodes', `<svg>${'<g/>'.repeat(1_000_000)}</svg>`, 'elements'],
  ])('with %s are refused with a sentence', (_, text, sentence) => expect(refusal(readSvg(text))).toContain(sentence));

  it('that copy copies of copies end soon, and say so', () => {
    const levels = Array.from(
      { length: 12 },
      (_, level) => `<g id="l${level + 1}">${`<use href="#l${level}"/>`.repeat(10)}</g>`,
    ).join('');
    const drawing = read(
      readSvg(
        svg(`<defs><rect id="l0" width="1" height="1"/>${levels}</defs><use href="#l12"/><rect width="5" height="5"/>`),
      ),
    );
    expect(drawing.notes.join()).toContain('too many');
    const own = read(readSvg(svg('<g id="a"><use href="#a"/><rect width="5" height="5"/></g>')));
    expect(own.notes.join()).toContain('too many');
  });

  it('tell their layers by the names of their groups', () => {
    const drawing = read(
      readSvg(
        svg('<g id="cut"><rect width="10" height="10"/></g><g id="mark"><rect x="20" width="10" height="10"/></g>'),
      ),
    );
    expect(drawing.shapes.map(({ layer }) => layer)).toEqual(['cut', 'mark']);
    expect(outlineArea(repaired(drawing, { gapMm: 0.1, layers: ['cut'] }).outline)).toBeCloseTo(100, 6);
  });
});

describe('DXF drawings', () => {
  it.each(dxfCorpus.map((file) => [file.name, file] as const))('%s comes to its area', (_, file) =>
    areaIsRight(read(readDxf(file.text)), file),
  );

  it('say what kinds of things in them are not read, and how they read a width', () => {
    const about = (...entities: Parameters<typeof dxfText>[0]): string => read(readDxf(dxfText(entities))).notes.join();
    const square: Parameters<typeof dxfText>[0][number] = [
      [0, 'LWPOLYLINE'],
      [8, '0'],
      [70, 1],
      ...[0, 30, 30, 0].flatMap((x, at): [number, number][] => [
        [10, x],
        [20, at < 2 ? 0 : 30],
        [40, at === 0 ? 2 : 6],
        [41, 6],
      ]),
    ];
    expect(
      about(square, [
        [0, 'REGION'],
        [8, '0'],
      ]),
    ).toContain('“REGION” is not understood and was left out');
    expect(about(square)).toContain('polylines 2 mm wide and more were read as bands of their width');
    expect(about(square)).toContain('of changing width was read piece by piece');
    const nothing: Parameters<typeof dxfText>[0][number] = [
      [0, 'SPLINE'],
      [8, '0'],
      [71, 3],
      [11, 0],
      [21, 0],
    ];
    expect(about(square, nothing)).toContain('a broken spline was left out');
  });

  it('say when no unit is stated', () => {
    const drawing = read(
      readDxf(
        dxfText(
          [
            [
              [0, 'CIRCLE'],
              [8, '0'],
              [10, 0],
              [20, 0],
              [40, 5],
            ],
          ],
          { units: null },
        ),
      ),
    );
    expect(drawing.sizeStated).toBe(false);
    expect(drawing.notes.join()).toContain('millimetres were taken');
  });

  it.each([
    ['no DXF', 'hello', 'no DXF drawing'],
    ['a binary one', 'Some Binary DXF\r\n\u001a\0', 'binary DXF'],
    ['nothing in it', dxfText([]), 'nothing in this drawing'],
    [
      'only text',
      dxfText([
        [
          [0, 'TEXT'],
          [8, '0'],
          [10, 0],
          [20, 0],
          [1, 'hi'],
        ],
      ]),
      'turn it into outlines',
    ],
    [
      'a broken circle',
      dxfText([
        [
          [0, 'CIRCLE'],
          [8, '0'],
          [10, 0],
          [20, 0],
          [40, -3],
        ],
      ]),
      'a broken circle',
    ],
  ])('that are %s are refused with a sentence', (_, text, sentence) =>
    expect(refusal(readDxf(text))).toContain(sentence),
  );

  it('read hatches that have no outline of their own, by lines, arcs and bulges', () => {
    const head = [
      [0, 'HATCH'],
      [8, '0'],
      [100, 'AcDbHatch'],
      [10, 0],
      [20, 0],
      [30, 0],
      [2, 'SOLID'],
      [70, 1],
      [71, 0],
    ] as const;
    const square = [
      [92, 2],
      [72, 0],
      [73, 1],
      [93, 4],
      ...[0, 0, 40, 0, 40, 40, 0, 40].map((value, at) => [at % 2 === 0 ? 10 : 20, value] as const),
      [97, 0],
    ] as const;
    const half = [
      [92, 1],
      [93, 2],
      [72, 2],
      [10, 20],
      [20, 20],
      [40, 10],
      [50, 0],
      [51, 180],
      [73, 1],
      [72, 1],
      [10, 10],
      [20, 20],
      [11, 30],
      [21, 20],
      [97, 0],
    ] as const;
    const area = (loops: readonly (readonly (readonly [number, string | number])[])[]): number =>
      outlineArea(
        repaired(read(readDxf(dxfText([[...head, [91, loops.length], ...loops.flat(), [75, 0], [76, 1]]]))), options)
          .outline,
      );
    expect(area([square])).toBeCloseTo(1600, 3);
    // A hole is left out of it.
    expect(area([square, half]) / (1600 - 50 * Math.PI)).toBeCloseTo(1, 3);
  });

  it('know feet as they are surveyed', () => {
    const circle = [
      [0, 'CIRCLE'],
      [8, '0'],
      [10, 0],
      [20, 0],
      [40, 1],
    ] as const;
    const { shapes } = read(readDxf(dxfText([circle], { units: 21 })));
    expect(outlineBounds([shapes[0]!.paths[0]!.points])!.width / 609.6012).toBeCloseTo(1, 4);
  });

  it('of nothing but blanks end soon', () => {
    expect(refusal(readDxf('\n'.repeat(1_000_000)))).toContain('no DXF drawing');
  });

  it('leave out hidden layers, and say so', () => {
    const tables =
      '0\nSECTION\n2\nTABLES\n0\nTABLE\n2\nLAYER\n0\nLAYER\n2\nGONE\n70\n1\n62\n7\n6\nCONTINUOUS\n0\nENDTAB\n0\nENDSEC\n';
    const square = (layer: string, x: number): readonly (readonly [number, string | number])[] => [
      [0, 'CIRCLE'],
      [8, layer],
      [10, x],
      [20, 0],
      [40, 5],
    ];
    const drawing = read(readDxf(dxfText([square('GONE', 0), square('0', 50)], { tables })));
    expect(drawing.shapes).toHaveLength(1);
    expect(drawing.notes.join()).toContain('hidden or frozen');
  });
});

describe('a drawing put right', () => {
  it('lists gaps closed, doubles taken out and lines left open', () => {
    const lines = (gap: number) =>
      `<path fill="none" stroke="#000" d="M0 0H50M50 ${gap}V20M50 20H0M0 20V0"/><rect fill="none" stroke="#000" x="60" width="10" height="10"/><rect fill="none" stroke="#000" x="60" width="10" height="10"/><path fill="none" stroke="#000" d="M0 90H50"/>`;
    const found = repaired(read(readSvg(svg(lines(0.08)))), options);
    expect(found.changes.join('; ')).toMatch(
      /1 gap closed, the widest 0\.08 mm; 1 outline drawn twice taken out; 1 line left open/,
    );
    expect(found.open).toHaveLength(1);
    expect(outlineArea(found.outline)).toBeCloseTo(1100, 0);
    // Too wide a gap stays one.
    expect(repaired(read(readSvg(svg(lines(2)))), options).open).toHaveLength(2);
  });

  it('clips a line by its own clip alone', () => {
    const clip = '<clipPath id="c"><rect width="20" height="20"/></clipPath>';
    const lines = (attributes: string, x: number) =>
      `<rect fill="none" stroke="#000" ${attributes} x="${x}" y="10" width="20" height="20"/>`;
    const { outline } = repaired(
      read(readSvg(svg(`${clip}${lines('clip-path="url(#c)"', 10)}${lines('', 60)}`))),
      options,
    );
    expect(outlineArea(outline)).toBeCloseTo(100 + 400, 6);
  });

  it('unites chains of shapes that touch, leaves the rest apart, and tells how much lay over each other', () => {
    const row = Array.from({ length: 5 }, (_, at) => `<rect x="${at * 8}" width="10" height="10"/>`).join('');
    const found = repaired(
      read(readSvg(svg(`${row}<rect x="60" width="10" height="10"/><rect y="50" width="9" height="9"/>`))),
      options,
    );
    expect(found.outline).toHaveLength(3);
    expect(outlineArea(found.outline)).toBeCloseTo(420 + 100 + 81, 6);
    expect(found.changes).toEqual(['80 mm² of overlaps united']);
  });

  it('takes wide strokes as bands, with their ends and corners, and thin ones as lines', () => {
    const area = (attributes: string, d = 'M0 10H100'): number =>
      outlineArea(
        repaired(read(readSvg(svg(`<path fill="none" stroke="#000" ${attributes} d="${d}"/>`))), options).outline,
      );
    expect(area('stroke-width="8"')).toBeCloseTo(800, 1);
    expect(area('stroke-width="8" stroke-linecap="square"')).toBeCloseTo(864, 1);
    expect(Math.abs(area('stroke-width="8" stroke-linecap="round"') - (800 + 16 * Math.PI))).toBeLessThan(0.5);
    // A ring: what the stroke covers, not what it goes round.
    expect(area('stroke-width="4"', 'M10 10h60v40h-60z')).toBeCloseTo(64 * 44 - 56 * 36, 1);
    expect(area('stroke-width="1"', 'M10 10h60v40h-60z')).toBeCloseTo(2400, 1);
    const drawing = read(
      readSvg(svg('<g stroke-width="6" fill="none" stroke="red"><path d="M0 10H100"/><path d="M0 30H100"/></g>')),
    );
    expect(drawing.notes).toEqual(['strokes 2 mm wide and more were read as bands of their width (2 times)']);
    // Filled and stroked: both.
    expect(
      outlineArea(
        repaired(
          read(readSvg(svg('<rect x="10" y="10" width="40" height="40" stroke="#000" stroke-width="4"/>'))),
          options,
        ).outline,
      ),
    ).toBeCloseTo(44 * 44, 1);
  });

  it('winds outer rings anticlockwise and holes clockwise', () => {
    const { outline } = repaired(
      read(readSvg(svg('<path fill-rule="evenodd" d="M0 0v60h60v-60zM10 10h40v40h-40z"/>'))),
      options,
    );
    expect(outline.map((ring) => Math.sign(ringArea(ring))).sort()).toEqual([-1, 1]);
  });
});

describe('mutated drawings', () => {
  const mutated = (text: string, random: () => number, round: number): string => {
    let now = text;
    const pick = (count: number): number => Math.floor(random() * count);
    for (let change = 0; change < 1 + (round % 3); change += 1) {
      const at = pick(now.length);
      const kinds = [
        () => now.slice(0, at) + now.slice(at + 1 + pick(12)),
        () => now.slice(0, at) + String.fromCharCode(32 + pick(95)) + now.slice(at),
        () => now.slice(0, at) + now.slice(at, at + 40).repeat(1 + pick(5)) + now.slice(at),
        () => (pick(4) === 0 ? now.slice(0, at) : now),
        () => now.slice(0, at) + now.slice(at).replace(/\d/, String(pick(10))),
        () => now.slice(0, at) + now.slice(at).replace(/[\d.]+/, (digits) => `${Number(digits) * 10 ** (pick(5) - 2)}`),
        () => now.replace(/\d+/, ['NaN', '1e999', '-0', '99999999999', ''][pick(5)]!),
        () => now.slice(0, at) + '\u0000\uffff<&>"' + now.slice(at),
      ];
      now = kinds[pick(kinds.length)]!();
    }
    return now;
  };

  it('crash nothing: a thousand are read or refused, and what is read can be put right', () => {
    const random = seededRandom(2026);
    let [fine, refused] = [0, 0];
    for (let round = 0; round < 1000; round += 1) {
      const corpus = round % 2 === 0 ? svgCorpus : dxfCorpus;
      const text = mutated(corpus[Math.floor(random() * corpus.length)]!.text, random, round);
      const result = round % 2 === 0 ? readSvg(text) : readDxf(text);
      if (result.ok) {
        fine += 1;
        const { outline } = repaired(result.value, options);
        expect(outline.flat(2).every(Number.isFinite)).toBe(true);
      } else {
        refused += 1;
        expect(result.problems[0]!.message.length).toBeGreaterThan(10);
      }
    }
    expect(fine).toBeGreaterThan(200);
    expect(refused).toBeGreaterThan(100);
  });
});
