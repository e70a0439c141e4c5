/** Numbers by chance, the same at every run (mulberry32). */
const chance = (seed: number): (() => number) => {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 2 ** 32;
  };
};

interface Pen {
  /** A number between two, to a hundredth. */
  readonly between: (low: number, high: number) => number;
  readonly one: <T>(of: readonly T[]) => T;
  /** A name that no other part of the file has. */
  readonly name: () => string;
}

const blackWords = ['black', '#000', '#000000', 'rgb(0,0,0)', 'rgba(0,0,0,1)', 'hsl(0 0% 0%)', '#000000ff'];

const plain = ({ between, one }: Pen, attributes = `fill="${one(blackWords)}"`): string =>
  one([
    () =>
      `<rect x="${between(0, 60)}" y="${between(0, 60)}" width="${between(8, 40)}" height="${between(8, 40)}" rx="${between(0, 6)}" ${attributes}/>`,
    () => `<circle cx="${between(20, 80)}" cy="${between(20, 80)}" r="${between(5, 20)}" ${attributes}/>`,
    () =>
      `<ellipse cx="${between(25, 75)}" cy="${between(25, 75)}" rx="${between(6, 24)}" ry="${between(6, 24)}" ${attributes}/>`,
    () =>
      `<polygon points="${Array.from({ length: 5 }, () => `${between(5, 95)},${between(5, 95)}`).join(' ')}" ${attributes}/>`,
    () =>
      `<path d="M${between(5, 40)} ${between(5, 40)}c${between(10, 40)} ${between(-5, 30)} ${between(10, 40)} ${between(5, 40)} ${between(0, 20)} ${between(20, 50)}s-20 10-30-5z" ${attributes}/>`,
    () =>
      `<path d="M${between(10, 40)} ${between(10, 60)}h${between(10, 40)}v${between(10, 30)}q-10 ${between(5, 20)}-20 0t-5 0z" ${attributes}/>`,
    () =>
      `<path d="M${between(20, 40)} ${between(40, 60)}a${between(8, 20)} ${between(6, 20)} ${between(0, 90)} ${one(['0 1', '1 0', '1 1', '0 0'])} ${between(10, 30)} ${between(-10, 10)}z" ${attributes}/>`,
  ])();

/** One kind of thing that programs write into drawings: what goes into the head, and into the body. */
type Feature = (pen: Pen) => readonly [head: string, body: string];

const moves = ({ between, one }: Pen): string =>
  one([
    `translate(${between(-10, 10)} ${between(-10, 10)})`,
    `rotate(${between(-90, 90)} 50 50)`,
    `translate(10,10) scale(${between(0.5, 0.9)} ${between(0.5, 0.9)})`,
    `skewX(${between(-15, 15)})`,
    `matrix(${between(0.6, 1)} ${between(-0.2, 0.2)} ${between(-0.2, 0.2)} ${between(0.6, 1)} ${between(0, 10)} ${between(0, 10)})`,
  ]);

export const features: Readonly<Record<string, Feature>> = {
  shapes: (pen) => ['', plain(pen) + plain(pen)],
  'even-odd': (pen) => ['', plain(pen, 'fill-rule="evenodd"')],
  'moved groups': (pen) => ['', `<g transform="${moves(pen)}"><g transform="${moves(pen)}">${plain(pen)}</g></g>`],
  'moved by style': (pen) => [
    '',
    `<g style="transform: translate(${pen.between(1, 9)}px, 3px) rotate(${pen.between(1, 40)}deg); transform-origin: 50px 50px">${plain(pen)}</g>`,
  ],
  'white over black': (pen) => [
    '',
    plain(pen) + plain(pen, `fill="${pen.one(['white', '#fff', '#ffffff', 'rgb(255 255 255)'])}"`),
  ],
  'nothing to see': (pen) => [
    '',
    plain(pen) +
      plain(
        pen,
        pen.one([
          'fill="none"',
          'fill="rgba(0,0,0,0)"',
          'fill="#00000000"',
          'fill-opacity="0"',
          'opacity="0"',
          'visibility="hidden"',
          'display="none"',
        ]),
      ),
  ],
  'used again': (pen) => {
    const id = pen.name();
    return [
      '',
      `<defs><g id="${id}">${plain(pen)}</g></defs><use href="#${id}"/><use xlink:href="#${id}" x="${pen.between(-20, 20)}" y="${pen.between(-20, 20)}"/>`,
    ];
  },
  symbols: (pen) => {
    const id = pen.name();
    return [
      '',
      `<symbol id="${id}" viewBox="0 0 100 100" preserveAspectRatio="${pen.one(['xMidYMid meet', 'none', 'xMinYMax slice'])}">${plain(pen)}</symbol><use href="#${id}" x="${pen.between(0, 30)}" y="${pen.between(0, 30)}" width="${pen.between(30, 60)}" height="${pen.between(30, 60)}"/>`,
    ];
  },
  'svg in svg': (pen) => [
    '',
    `<svg x="${pen.between(0, 20)}" y="${pen.between(0, 20)}" width="${pen.between(50, 70)}" height="${pen.between(50, 70)}" viewBox="0 0 100 100">${plain(pen)}</svg>`,
  ],
  clipped: (pen) => {
    const id = pen.name();
    return [
      '',
      `<clipPath id="${id}">${plain(pen)}</clipPath><g clip-path="url(#${id})">${plain(pen)}${plain(pen)}</g>`,
    ];
  },
  'clipped by its box': (pen) => {
    const id = pen.name();
    return [
      '',
      `<clipPath id="${id}" clipPathUnits="objectBoundingBox"><circle cx="0.5" cy="0.5" r="${pen.between(0.3, 0.5)}"/></clipPath><rect x="20" y="20" width="${pen.between(30, 60)}" height="${pen.between(30, 60)}" clip-path="url(#${id})"/>`,
    ];
  },
  'clipped by what is used, even-odd': (pen) => {
    const [id, of] = [pen.name(), pen.name()];
    return [
      '',
      `<defs><path id="${of}" d="M10 10h70v70h-70zM30 30h${pen.between(10, 40)}v${pen.between(10, 40)}h-20z" clip-rule="evenodd"/></defs><clipPath id="${id}"><use href="#${of}"/></clipPath><g clip-path="url(#${id})">${plain(pen)}${plain(pen)}</g>`,
    ];
  },
  'style sheet': (pen) => {
    const [one, two] = [pen.name(), pen.name()];
    return [
      `<style>.${one} .${two} { fill: none } g.${one} > rect { fill: #000 } .${one} circle:not(.${two}), .${one} path { fill: black; fill-rule: evenodd }</style>`,
      `<g class="${one}" fill="none">${plain(pen, '')}${plain(pen, `class="${two}"`)}</g>`,
    ];
  },
  strokes: (pen) => [
    '',
    `<path d="M${pen.between(10, 30)} ${pen.between(10, 30)}l${pen.between(20, 50)} ${pen.between(5, 40)} ${pen.between(-30, -5)} ${pen.between(5, 30)}" fill="none" stroke="black" stroke-width="${pen.between(2.5, 9)}" stroke-linecap="${pen.one(['butt', 'round', 'square'])}" stroke-linejoin="${pen.one(['miter', 'round', 'bevel'])}"/>`,
  ],
  dashes: (pen) => [
    '',
    `<path d="M10 ${pen.between(20, 80)}h80" fill="none" stroke="black" stroke-width="${pen.between(3, 8)}" stroke-dasharray="${pen.between(4, 12)} ${pen.between(3, 9)}" stroke-dashoffset="${pen.between(0, 6)}"/>`,
  ],
  switch: (pen) => ['', `<switch><g systemLanguage="xx">${plain(pen)}</g><g>${plain(pen)}</g></switch>`],
  'shares and units': (pen) => [
    '',
    `<rect x="${pen.between(5, 20)}%" y="1mm" width="${pen.between(20, 50)}%" height="${pen.between(0.2, 0.9)}cm"/><circle cx="50%" cy="50%" r="${pen.between(5, 15)}%"/>`,
  ],
};

const names = Object.keys(features);

/** A drawing of one kind of thing for the first few, of several together for the rest; 200 mm a side. */
export const randomDrawing = (seed: number): { readonly name: string; readonly text: string } => {
  const next = chance(seed + 1);
  let ids = 0;
  const pen: Pen = {
    between: (low, high) => Math.round(100 * (low + (high - low) * next())) / 100,
    one: (of) => of[Math.floor(next() * of.length)]!,
    name: () => `n${(ids += 1)}`,
  };
  const own =
    seed < 3 * names.length
      ? [names[seed % names.length]!]
      : Array.from({ length: 3 + Math.floor(4 * next()) }, () => pen.one(names));
  const parts = own.map((name) => features[name]!(pen));
  const text = `<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" width="200mm" height="200mm" viewBox="-50 -50 200 200">${parts.map(([head]) => head).join('')}${parts.map(([, body]) => body).join('')}</svg>`;
  return { name: `${seed}: ${own.join(', ')}`, text };
};
