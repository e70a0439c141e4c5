import { roundOff } from '../../base/maths/index.js';
import { strToU8, zipSync } from 'fflate';
import { encode } from 'fast-png';
import type { AssemblyEvaluation, Evaluation } from '../../sign/evaluate/index.js';
import type { Glow } from '../../light/glow/index.js';
import { renderFace } from '../../sign/picture/index.js';
import { fileName, type PackFile } from './file-name.js';

const full16 = 65_535;

/** Rows from the top, as pictures have them; the map’s row 0 is at the bottom. */
const fromTop = <T>({ grid }: Glow, pick: (row: number) => T): readonly T[] =>
  Array.from({ length: grid.rows }, (_, row) => pick(grid.rows - 1 - row));

/** The luminance map as CSV: x in mm along the first row, y in mm down the first column, cd/m² between. */
export const luminanceCsv = (glow: Glow): string => {
  const { grid, luminance: ground } = glow;
  const xs = Array.from({ length: grid.columns }, (_, column) =>
    (grid.area.x + (column + 0.5) * grid.cellWidthMm).toFixed(2),
  );
  const lines = fromTop(glow, (row) => {
    const y = (grid.area.y + (row + 0.5) * grid.cellHeightMm).toFixed(2);
    const values = Array.from(ground.subarray(row * grid.columns, (row + 1) * grid.columns), (value) =>
      value.toFixed(1),
    );
    return [y, ...values].join(',');
  });
  return `${['y mm \\ x mm', ...xs].join(',')}\r\n${lines.join('\r\n')}\r\n`;
};

/** The brightest place of the whole map (cd/m²): evenness leaves a few places out, a picture may not. */
const brightestOf = ({ luminance: ground }: Glow): number =>
  ground.reduce((most, value) => Math.max(most, value), roundOff);

/** The luminance map as a 16-bit grey PNG, linear; the luminance of full white stands in its text chunk. */
export const luminancePng16 = (glow: Glow): Uint8Array => {
  const { grid, luminance: ground } = glow;
  const top = brightestOf(glow);
  const data = new Uint16Array(grid.columns * grid.rows);
  fromTop(glow, (row) => row).forEach((row, line) => {
    for (let column = 0; column < grid.columns; column += 1)
      data[line * grid.columns + column] = Math.min(
        full16,
        Math.round((ground[row * grid.columns + column]! / top) * full16),
      );
  });
  return encode({
    width: grid.columns,
    height: grid.rows,
    data,
    channels: 1,
    depth: 16,
    text: { Description: `Linear luminance; 65535 is ${top.toFixed(3)} cd/m2` },
  });
};

/** The luminance map in cd/m² as a Portable Float Map: grey, little-endian, rows from the bottom as the format has it. */
export const luminancePfm = ({ grid, luminance: ground }: Glow): Uint8Array => {
  const header = strToU8(`Pf\n${grid.columns} ${grid.rows}\n-1.0\n`);
  const bytes = new Uint8Array(header.length + 4 * ground.length);
  bytes.set(header);
  const view = new DataView(bytes.buffer, header.length);
  ground.forEach((value, cell) => view.setFloat32(4 * cell, value, true));
  return bytes;
};

/** The lit face, letters and all, a pixel a cell. */
const facePng = (evaluation: AssemblyEvaluation): Uint8Array => {
  const { width, height, data } = renderFace(evaluation, 'evening', true, true);
  return encode({ width, height, data, channels: 4, depth: 8 });
};

const readme = ({ design, glow }: AssemblyEvaluation): string =>
  [
    `Light maps of “${design.name}”`,
    '',
    `${glow.grid.columns} × ${glow.grid.rows} cells of ${glow.grid.cellWidthMm.toFixed(3)} × ${glow.grid.cellHeightMm.toFixed(3)} mm, the bare face without letters.`,
    'luminance.csv    cd/m², x and y in mm from the middle of the face',
    `luminance.pfm    cd/m², 32-bit floats`,
    `luminance-16.png linear, 65535 is ${brightestOf(glow).toFixed(3)} cd/m²`,
    'face-dusk.png    as the eye sees it at dusk, letters included',
    '',
    glow.verdict.sentence,
    '',
  ].join('\r\n');

/** The light maps of one assembly: as seen, and as numbers in three forms. */
const mapsOf = (own: AssemblyEvaluation, prefix: string): readonly PackFile[] => [
  { path: `${prefix}face-dusk.png`, bytes: facePng(own) },
  { path: `${prefix}luminance.csv`, bytes: strToU8(luminanceCsv(own.glow)) },
  { path: `${prefix}luminance-16.png`, bytes: luminancePng16(own.glow) },
  { path: `${prefix}luminance.pfm`, bytes: luminancePfm(own.glow) },
  { path: `${prefix}read-me.txt`, bytes: strToU8(readme(own)) },
];

/** The light maps of every assembly, those of several named by each. */
export const lightMaps = ({ assemblies }: Evaluation): readonly PackFile[] =>
  assemblies.flatMap((own) => mapsOf(own, own.label === '' ? '' : `${own.id}-`));

/** The light maps as one ZIP. */
export const lightZip = (evaluation: Evaluation): Uint8Array => {
  const folder = `${fileName(evaluation.design.name)}-light`;
  return zipSync(Object.fromEntries(lightMaps(evaluation).map(({ path, bytes }) => [`${folder}/${path}`, bytes])), {
    level: 6,
    mtime: '2020-01-01T00:00:00Z',
  });
};
