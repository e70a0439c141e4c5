import { failure, success, type Result } from '../../base/result.js';
import { numberReader, type NumberReader } from './lines.js';
import { aboutAxis, fluxOf, halfAngleDeg, scaled } from './shape.js';
import type { MeasuredTable, PhotometricFile } from './types.js';

/** The largest photometric file read (characters), and the most angles either way; far above any real one. */
export const maxIesCharacters = 1_000_000;
const mostAngles = 1000;
const brightestCandela = 1e9;
/** Angles in files are rounded; how far one may stand from where it should (°). */
const angleSlack = 0.01;

const editions: Readonly<Record<string, string>> = {
  IESNA91: 'LM-63-1991',
  'IESNA:LM-63-1995': 'LM-63-1995',
  'IESNA:LM-63-2002': 'LM-63-2002',
};

interface Header {
  readonly edition: string;
  readonly keywords: Readonly<Record<string, string>>;
  /** Index of the TILT line. */
  readonly tiltAt: number;
  readonly tilt: string;
}

const readHeader = (lines: readonly string[]): Result<Header> => {
  const first = (lines[0] ?? '').trim();
  const edition = editions[first.toUpperCase()];
  if (edition === undefined)
    return failure({
      path: 'line 1',
      message: `begins with “${first.slice(0, 30)}”; a photometric file begins with IESNA:LM-63-1995 or IESNA:LM-63-2002`,
    });
  const tiltAt = lines.findIndex((line) => /^\s*TILT\s*=/i.test(line));
  if (tiltAt < 0)
    return failure({ path: `line ${lines.length}`, message: 'there is no TILT= line, after which the numbers begin' });
  const keywords: Record<string, string> = {};
  for (const line of lines.slice(1, tiltAt)) {
    const [, key, value] = /^\s*\[([A-Z0-9_]+)\]\s*(.*)$/i.exec(line) ?? [];
    if (key !== undefined && !(key in keywords)) keywords[key.toUpperCase()] = (value ?? '').trim();
  }
  return success({ edition, keywords, tiltAt, tilt: /=\s*(.*)$/.exec(lines[tiltAt] ?? '')?.[1]?.trim() ?? '' });
};

/** Steps over a tilt table that is part of the file: it is about lamps that dim when they lean, which LEDs do not. */
const skipTilt = (reader: NumberReader): Result<number> => {
  const position = reader.next('the lamp’s position', 1, 3);
  if (!position.ok) return position;
  const count = reader.next('the number of tilt angles', 0, mostAngles);
  if (!count.ok) return count;
  const table = reader.list('tilt angle or factor', 2 * count.value, -1e6, 1e6);
  return table.ok ? success(count.value) : table;
};

interface Angles {
  readonly vertical: readonly number[];
  readonly horizontal: readonly number[];
  readonly candela: readonly (readonly number[])[];
  readonly photometry: 'B' | 'C';
}

const ascending = (angles: readonly number[]): boolean =>
  angles.every((angle, index) => index === 0 || angle > angles[index - 1]!);

const readAngles = (reader: NumberReader): Result<Angles> => {
  const figure = (what: string, low: number, high: number): number | Result<never> => {
    const found = reader.next(what, low, high);
    return found.ok ? found.value : found;
  };
  const figures: number[] = [];
  for (const [what, low, high] of [
    ['the number of lamps', 0, 1e6],
    ['the lumens of a lamp', -1, 1e9],
    ['the candela multiplier', 1e-9, 1e9],
    ['the number of vertical angles', 2, mostAngles],
    ['the number of horizontal angles', 1, mostAngles],
    ['the photometric type', 1, 3],
    ['the unit of lengths', 1, 2],
    ['the width of the opening', -1e6, 1e6],
    ['its length', -1e6, 1e6],
    ['its height', -1e6, 1e6],
    ['the ballast factor', 1e-9, 1e6],
    ['the file type or future use', -1e6, 1e6],
    ['the input watts', 0, 1e9],
  ] as const) {
    const found = figure(what, low, high);
    if (typeof found !== 'number') return found;
    figures.push(found);
  }
  const [, , multiplier = 1, verticals = 0, horizontals = 0, type = 1] = figures;
  if (type === 3)
    return failure({
      path: `line ${reader.line()}`,
      message: 'this is type A photometry, made for vehicle lamps; ask the maker for type C',
    });
  if (!Number.isInteger(verticals) || !Number.isInteger(horizontals))
    return failure({ path: `line ${reader.line()}`, message: 'the numbers of angles must be whole' });
  const vertical = reader.list('vertical angle', verticals, -90, 180);
  if (!vertical.ok) return vertical;
  if (!ascending(vertical.value))
    return failure({ path: `line ${reader.line()}`, message: 'the vertical angles do not ascend' });
  const horizontal = reader.list('horizontal angle', horizontals, -90, 360);
  if (!horizontal.ok) return horizontal;
  if (!ascending(horizontal.value))
    return failure({ path: `line ${reader.line()}`, message: 'the horizontal angles do not ascend' });
  const candela: (readonly number[])[] = [];
  for (const angle of horizontal.value) {
    const row = reader.list(`candela at ${angle}°, value`, verticals, 0, brightestCandela);
    if (!row.ok) return row;
    candela.push(row.value.map((value) => value * multiplier));
  }
  return success({
    vertical: vertical.value,
    horizontal: horizontal.value,
    candela,
    photometry: type === 2 ? 'B' : 'C',
  });
};

const near = (a: number | undefined, b: number): boolean => a !== undefined && Math.abs(a - b) <= angleSlack;

/** What the angles must span for the whole space to be known. */
const spanProblem = ({ photometry, vertical, horizontal }: Angles): string | null => {
  const [top, low] = [vertical.at(-1), vertical[0]];
  const [last, first] = [horizontal.at(-1), horizontal[0]];
  if (photometry === 'C') {
    if (!near(low, 0)) return `vertical angles begin at ${low}°; light ahead of the LED (0°) must be in the file`;
    if (!near(top, 90) && !near(top, 180)) return `vertical angles end at ${top}°; they must end at 90° or 180°`;
    const whole = near(first, 0) && (horizontal.length === 1 || [90, 180, 360].some((end) => near(last, end)));
    return whole || (near(first, 90) && near(last, 270))
      ? null
      : `horizontal angles run from ${first}° to ${last}°; they must be 0 alone, or reach 90, 180 or 360°`;
  }
  if (!near(top, 90) || !(near(low, 0) || near(low, -90)))
    return `vertical angles run from ${low}° to ${top}°; type B wants −90 or 0 to 90`;
  return near(last, 90) && (near(first, 0) || near(first, -90))
    ? null
    : `horizontal angles run from ${first}° to ${last}°; type B wants −90 or 0 to 90`;
};

/**
 * Reads a photometric file in the open text format of IESNA LM-63 (editions 1991, 1995 and 2002), photometry of type C or
 * B, into a distribution about the way the LED faces. Only the shape is kept: flux is the strip’s own. Every failure
 * names its line.
 */
export const readIes = (text: string): Result<PhotometricFile> => {
  if (text.length > maxIesCharacters)
    return failure({ path: 'line 1', message: 'the file is larger than a megabyte; that is no photometric file' });
  const lines = text.replace(/^\uFEFF/, '').split(/\r\n|\r|\n/);
  const header = readHeader(lines);
  if (!header.ok) return header;
  const { edition, keywords, tiltAt, tilt } = header.value;
  const reader = numberReader(lines, tiltAt + 1);
  if (/^include$/i.test(tilt)) {
    const skipped = skipTilt(reader);
    if (!skipped.ok) return skipped;
  } else if (!/^none$/i.test(tilt))
    return failure({
      path: `line ${tiltAt + 1}`,
      message: `TILT=${tilt.slice(0, 30)} points to another file; it must be NONE or INCLUDE`,
    });
  const angles = readAngles(reader);
  if (!angles.ok) return angles;
  const wrong = spanProblem(angles.value);
  if (wrong !== null) return failure({ path: `line ${reader.line()}`, message: wrong });
  const raw: MeasuredTable = aboutAxis(angles.value);
  const fluxLm = fluxOf(raw);
  const peakCandela = raw.candela.reduce((most, row) => row.reduce((a, b) => Math.max(a, b), most), 0);
  if (!(fluxLm > 0)) return failure({ path: `line ${reader.line()}`, message: 'no light at all: every candela is 0' });
  const table = scaled(raw, 1 / fluxLm);
  return success({
    edition,
    keywords,
    photometry: angles.value.photometry,
    fluxLm,
    peakCandela,
    beamAngleDeg: 2 * halfAngleDeg(table),
    table,
  });
};
