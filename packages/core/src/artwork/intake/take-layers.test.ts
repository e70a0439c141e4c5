import { describe, expect, it } from '@jest/globals';
import { outlineArea, outlineBounds } from '../../base/outlines/index.js';
import { mostLayers, takeLayers, usualIntake, type LayerOptions, type TakenLayers } from './index.js';

const svg = (body: string): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="200mm" height="100mm" viewBox="0 0 200 100">${body}</svg>`;
const options: LayerOptions = { ...usualIntake, tones: 4 };
const asked = (text: string, change: Partial<LayerOptions> = {}) =>
  takeLayers({ kind: 'svg', name: 'scene.svg', text }, { ...options, ...change });
const taken = (...ask: Parameters<typeof asked>): TakenLayers => {
  const result = asked(...ask);
  if (!result.ok) throw new Error(result.problems[0]!.message);
  return result.value;
};
const refusal = (...ask: Parameters<typeof asked>): string => {
  const result = asked(...ask);
  return result.ok ? '' : result.problems[0]!.message;
};

const three = svg(
  '<g id="Hills" fill="rgb(169,183,142)"><rect x="0" y="40" width="200" height="60"/></g>' +
    '<g id="Reeds" style="fill:green"><rect x="20" y="20" width="10" height="80"/><rect x="0" y="90" width="60" height="10"/></g>' +
    '<g id="Bird"><path fill="#abc" d="M80 60h40v20h-40z"/></g>',
);

describe('layers taken in', () => {
  it('keep order, names and colours, each an area about the middle of all', () => {
    const { layers, widthMm, heightMm, sizeStated } = taken(three);
    expect(layers.map(({ name, colour }) => [name, colour])).toEqual([
      ['Hills', '#a9b78e'],
      ['Reeds', '#008000'],
      ['Bird', '#aabbcc'],
    ]);
    expect([widthMm, heightMm, sizeStated]).toEqual([200, 80, true]);
    // What overlaps within a layer is one.
    expect(outlineArea(layers[1]!.outline)).toBeCloseTo(10 * 80 + 60 * 10 - 100, 3);
    expect(outlineBounds(layers[2]!.outline)).toEqual({ x: -20, y: -20, width: 40, height: 20 });
  });

  it('leave out layers that are not wanted, and such as bound no area, with a word', () => {
    expect(taken(three, { layers: ['Hills', 'Bird'] }).layers.map(({ name }) => name)).toEqual(['Hills', 'Bird']);
    const lined = taken(
      svg(`<g id="A"><rect width="9" height="9"/></g><g id="B"><path d="M0 50H90" fill="none" stroke="red"/></g>`),
    );
    expect(lined.layers.map(({ name }) => name)).toEqual(['A']);
    expect(lined.notes).toContain('B bounds no area and was left out');
    expect(lined.known).toEqual(['A', 'B']);
  });

  it('are refused in a sentence where there are too many, or none', () => {
    const many = Array.from(
      { length: 40 },
      (_, at) => `<g id="L${at}"><rect x="${at}" width="9" height="9"/></g>`,
    ).join('');
    expect(refusal(svg(many))).toContain(`has 40 layers; a scene takes ${mostLayers}`);
    expect(taken(svg(many), { layers: ['L3', 'L4'] }).layers).toHaveLength(2);
    expect(refusal(svg('<path d="M0 0H9" fill="none" stroke="#000"/>'))).toContain('no layer of this drawing closes');
  });

  it('are the brightnesses of a picture, each within the one behind it, the lightest at the back', () => {
    const [width, height] = [120, 60];
    // Grey from black at the left to white at the right.
    const grey = Uint8Array.from({ length: width * height }, (_, at) => Math.round((255 * (at % width)) / (width - 1)));
    const file = { kind: 'picture', name: 'ramp.png', picture: { width, height, grey } } as const;
    const result = takeLayers(file, { ...options, tones: 3, smoothPx: 0 });
    if (!result.ok) throw new Error(result.problems[0]!.message);
    const widths = result.value.layers.map(({ outline }) => outlineBounds(outline)!.width);
    const whole = (width * 25.4) / 96;
    // Three quarters, a half, a quarter of white.
    widths.forEach((wide, at) => expect(wide / whole).toBeCloseTo((3 - at) / 4, 1));
    expect(result.value.layers.map(({ colour }) => parseInt(colour!.slice(1, 3), 16))).toEqual([159, 96, 32]);
    const white = { ...file, picture: { width, height, grey: new Uint8Array(width * height).fill(255) } };
    const none = takeLayers(white, options);
    expect(none.ok ? '' : none.problems[0]!.message).toContain('nothing darker than white');
  });
});

describe('groups within groups', () => {
  const names = (body: string): readonly string[] => taken(svg(body)).layers.map(({ name }) => name);
  const square = (x: number, fill = '#333'): string => `<rect x="${x}" width="20" height="20" fill="${fill}"/>`;

  it('belong to the outermost that tell sheets apart', () => {
    const drawn =
      `<g id="Hills"><g id="path-1">${square(0)}</g><g id="path-2">${square(40)}</g></g>` +
      `<g id="Bird"><g id="wing">${square(80)}</g>${square(120)}</g>`;
    expect(names(drawn)).toEqual(['Hills', 'Bird']);
  });

  it('are looked into where one holds everything, as pages and artboards do', () => {
    const drawn = `<g id="Page"><g id="Board"><g id="Hills">${square(0)}</g><g id="Bird">${square(80)}</g></g></g>`;
    expect(names(drawn)).toEqual(['Hills', 'Bird']);
  });

  it('are one sheet where nothing tells them apart', () => {
    expect(names(`<g id="All">${square(0)}${square(40)}</g>`)).toEqual(['All']);
    expect(names(square(0))).toHaveLength(1);
  });

  it('have the colour of which most is drawn', () => {
    const [sheet] = taken(
      svg(`<g id="A"><rect width="10" height="10" fill="red"/><rect x="30" width="90" height="90" fill="#00f"/></g>`),
    ).layers;
    expect(sheet!.colour).toBe('#0000ff');
  });
});

describe('layers of a DXF file', () => {
  const dxf = (...layers: readonly (readonly [name: string, colour: number, x: number])[]): string =>
    [
      ...['0', 'SECTION', '2', 'TABLES', '0', 'TABLE', '2', 'LAYER'],
      ...layers.flatMap(([name, colour]) => ['0', 'LAYER', '2', name, '70', '0', '62', `${colour}`, '6', 'CONTINUOUS']),
      ...['0', 'ENDTAB', '0', 'ENDSEC', '0', 'SECTION', '2', 'ENTITIES'],
      ...layers.flatMap(([name, , x]) => [
        ...['0', 'LWPOLYLINE', '8', name, '90', '4', '70', '1'],
        ...[
          [x, 0],
          [x + 30, 0],
          [x + 30, 20],
          [x, 20],
        ].flatMap(([px, py]) => ['10', `${px}`, '20', `${py}`]),
      ]),
      ...['0', 'ENDSEC', '0', 'EOF'],
    ].join('\n');
  const takenFrom = (text: string): TakenLayers => {
    const result = takeLayers({ kind: 'dxf', name: 'scene.dxf', text }, options);
    if (!result.ok) throw new Error(result.problems[0]!.message);
    return result.value;
  };

  it('keep their names, and their colours by number; black on white has none', () => {
    const { layers } = takenFrom(dxf(['Hills', 3, 0], ['Bird', 1, 50], ['Plain', 7, 100]));
    expect(layers.map(({ name, colour }) => [name, colour])).toEqual([
      ['Hills', '#00ff00'],
      ['Bird', '#ff0000'],
      ['Plain', null],
    ]);
    expect(outlineArea(layers[0]!.outline)).toBeCloseTo(600, 3);
  });
});

describe('colours as files write them', () => {
  it.each([
    ['navy', '#000080'],
    ['#AbC', '#aabbcc'],
    ['rgb(10, 20, 30)', '#0a141e'],
    ['hsl(120, 100%, 50%)', '#00ff00'],
    ['rgba(255, 0, 0, 0.5)', '#ff0000'],
    ['rgb(300, -5, 0)', '#ff0000'],
  ])('%s is %s', (written, colour) => {
    const [layer] = taken(svg(`<g id="A"><rect width="20" height="20" fill="${written}"/></g>`)).layers;
    expect(layer!.colour).toBe(colour);
  });

  it.each(['url(#dots)', 'nonsense', `#${'f'.repeat(90)}`])('%s tells none', (written) => {
    const [layer] = taken(svg(`<g id="A"><rect width="20" height="20" fill="${written}"/></g>`)).layers;
    expect(layer!.colour).toBeNull();
  });
});
