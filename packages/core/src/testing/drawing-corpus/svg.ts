import { curved, of, type CorpusFile } from './corpus-file.js';

const svg = (body: string, attributes = 'width="200mm" height="100mm" viewBox="0 0 200 100"', head = ''): string =>
  `<?xml version="1.0" encoding="UTF-8"?>\n<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" ${attributes}>${head}${body}</svg>`;

/** Every kind of thing an SVG drawing may hold that bounds an area. */
export const svgCorpus: readonly CorpusFile[] = [
  of('rectangle', svg('<rect x="10" y="10" width="60" height="30"/>'), 1800),
  of('rounded rectangle', svg('<rect width="60" height="30" rx="5"/>'), 1800 - (4 - Math.PI) * 25, curved),
  of(
    'rounded by half a side at the most',
    svg('<rect width="60" height="30" rx="500" ry="500"/>'),
    Math.PI * 30 * 15,
    curved,
  ),
  of('circle', svg('<circle cx="50" cy="50" r="20"/>'), Math.PI * 400, curved),
  of(
    'ellipse, turned',
    svg('<ellipse cx="50" cy="50" rx="30" ry="12" transform="rotate(30 50 50)"/>'),
    Math.PI * 360,
    curved,
  ),
  of('polygon', svg('<polygon points="0,0 40,0 40,30"/>'), 600),
  of('polyline, filled as if closed', svg('<polyline points="0 0 40 0 40 30"/>'), 600),
  of('path with relative steps', svg('<path d="m10 10h50v20h-50z"/>'), 1000),
  of('path of two arcs', svg('<path d="M20 50a30 30 0 0 1 60 0a30 30 0 0 1-60 0z"/>'), Math.PI * 900, curved),
  of('arc too small for its ends grows', svg('<path d="M20 50A1 1 0 0 1 80 50Z"/>'), (Math.PI * 900) / 2, curved),
  of('quadratic bow', svg('<path d="M0 0Q30 60 60 0Z"/>'), (2 / 3) * 60 * 30, curved),
  of('cubic bow', svg('<path d="M0 0C20 40 40 40 60 0Z"/>'), 1200, curved),
  of('ring by even-odd', svg('<path fill-rule="evenodd" d="M0 0h60v60h-60zM10 10h40v40h-40z"/>'), 2000),
  of('the same by winding: no hole', svg('<path d="M0 0h60v60h-60zM10 10h40v40h-40z"/>'), 3600),
  of('hole wound the other way', svg('<path d="M0 0h60v60h-60zM10 10v40h40v-40z"/>'), 2000),
  of('two that overlap', svg('<rect width="40" height="40"/><rect x="20" y="20" width="40" height="40"/>'), 2800),
  of(
    'nested groups, moved and scaled',
    svg('<g transform="translate(10 5)"><g transform="scale(2)"><rect width="10" height="10"/></g></g>'),
    400,
  ),
  of('skewed', svg('<rect width="20" height="30" transform="skewX(20)"/>'), 600),
  of('matrix that mirrors', svg('<rect width="20" height="30" transform="matrix(-1 0 0 2 50 0)"/>'), 1200),
  of(
    'view box that scales',
    svg('<rect width="10" height="10"/>', 'width="100mm" height="50mm" viewBox="0 0 200 100"'),
    25,
  ),
  of('inches', svg('<rect width="1" height="1"/>', 'width="4in" height="2in" viewBox="0 0 4 2"'), 25.4 ** 2),
  of('no size: 96 to the inch', svg('<rect width="96" height="96"/>', ''), 25.4 ** 2),
  of(
    'svg in svg',
    svg('<svg x="10" y="10" width="50" height="50" viewBox="0 0 10 10"><rect width="10" height="10"/></svg>'),
    2500,
  ),
  of(
    'a copy of a shape',
    svg('<defs><rect id="a" width="10" height="10"/></defs><use href="#a"/><use xlink:href="#a" x="20"/>'),
    200,
  ),
  of(
    'a symbol, used',
    svg('<symbol id="s"><circle r="10"/></symbol><use href="#s" x="30" y="30"/>'),
    Math.PI * 100,
    curved,
  ),
  of(
    'styled by class',
    svg(
      '<rect class="gone" width="10" height="10"/><rect class="here" x="20" width="10" height="10"/>',
      undefined,
      '<style>.gone{display:none} .here{fill:#000}</style>',
    ),
    100,
  ),
  of(
    'unfilled outlines: ring in ring',
    svg('<g fill="none" stroke="black"><rect width="40" height="40"/><circle cx="20" cy="20" r="10"/></g>'),
    1600 - Math.PI * 100,
    curved,
  ),
  of(
    'invisible things',
    svg(
      '<rect width="10" height="10" visibility="hidden"/><rect width="10" height="10" opacity="0"/><rect width="10" height="10" fill="none"/><rect x="20" width="10" height="10"/>',
    ),
    100,
  ),
  of(
    'clipped',
    svg(
      '<clipPath id="c"><rect width="20" height="20"/></clipPath><rect clip-path="url(#c)" x="10" y="10" width="40" height="40"/>',
    ),
    100,
  ),
  of('four lines that meet', svg('<path fill="none" stroke="#000" d="M0 0H50M50 0V20M50 20H0M0 20V0"/>'), 1000),
];
