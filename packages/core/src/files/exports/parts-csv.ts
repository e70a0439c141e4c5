import type { Evaluation } from '../../sign/evaluate/index.js';
import { wiringRows } from './wiring-rows.js';

/** A cell of RFC 4180 CSV; a leading =, +, - or @ is defused, since spreadsheets run it. */
const cell = (value: string | number): string => {
  const text =
    typeof value === 'number' ? String(Math.round(value * 1000) / 1000) : value.replace(/^[=+\-@\t\r]/, "'$&");
  return /[",\r\n]/.test(text) ? `"${text.replace(/"/g, '""')}"` : text;
};

/** Rows as CSV. */
export const csvOf = (rows: readonly (readonly (string | number)[])[]): string =>
  rows.map((row) => `${row.map(cell).join(',')}\r\n`).join('');

/**
 * The parts list as CSV: what is cut, then what is bought; sizes in mm, weights in kg, for one sign. The weights add up to
 * what hangs; what hangs apart says so.
 */
export const partsCsv = ({ parts, packing, cost }: Pick<Evaluation, 'parts' | 'packing' | 'cost'>): string => {
  const head = [
    'id',
    'part',
    'material',
    'quantity',
    'unit',
    'length mm',
    'width mm',
    'thickness mm',
    'hanging kg',
    'price',
    'note',
  ];
  const cut = parts.cut.map((part) => [
    part.id,
    part.name,
    part.materialName,
    part.count,
    'piece',
    part.widthMm,
    part.heightMm,
    part.thicknessMm,
    part.hangs === false ? '' : part.kg * part.count,
    '',
    part.note,
  ]);
  const bought = parts.bought.map((part) => [
    part.id,
    part.name,
    '',
    part.quantity,
    part.unit,
    '',
    '',
    '',
    part.hangs ? part.kg : '',
    Math.round(part.quantity * part.unitPrice * 100) / 100,
    part.hangs || part.kg === 0 ? '' : `hangs apart, ${(Math.round(part.kg * 1000) / 1000).toString()} kg`,
  ]);
  const sheets = packing.sheets.map((sheet) => [
    `sheet-${sheet.materialId}`,
    `whole ${sheet.form}s for the order`,
    sheet.materialName,
    sheet.sheets,
    sheet.form,
    sheet.sheetWidthMm,
    sheet.sheetHeightMm,
    '',
    '',
    '',
    '',
  ]);
  const rolls = packing.rolls.map((roll, index) => [
    `roll-${index + 1}-${roll.materialId}`,
    roll.stock === 'film' ? 'film for the order' : 'return strip for the order',
    roll.materialName,
    roll.lengthMm / 1000,
    'm',
    roll.lengthMm,
    roll.widthMm,
    '',
    '',
    '',
    '',
  ]);
  const total = [
    'total',
    'one sign, materials and hours',
    '',
    1,
    'piece',
    '',
    '',
    '',
    parts.kg,
    Math.round(cost.perSign * 100) / 100,
    `${cost.currency}; ${cost.hours.toFixed(1)} h`,
  ];
  return csvOf([head, ...cut, ...bought, ...sheets, ...rolls, total]);
};

/** The strip plan as CSV: every segment with its place, ends, direction and the reel it comes from. */
export const stripCsv = ({ circuit, packing, assemblies }: Evaluation): string => {
  const reelOf = (label: string, stripId: string): number =>
    (packing.reels.find((each) => each.stripId === stripId)?.reels ?? []).findIndex(({ pieces }) =>
      pieces.some((piece) => piece.label === label || piece.label.startsWith(`${label}, part `)),
    ) + 1;
  const head = [
    'segment',
    'chain',
    'on',
    'length mm',
    'cuts',
    'LEDs',
    'from x mm',
    'from y mm',
    'to x mm',
    'to y mm',
    'height above back mm',
    'reel',
  ];
  // Places as the assembly itself has them: that is what is drawn on its template.
  const rows = circuit.segments.map(({ label, strip, assembly, index: own, ...segment }, index) => [
    assemblies.length > 1 ? label : segment.number,
    circuit.chains.find(({ segments }) => segments.includes(index))?.number ?? 0,
    segment.on,
    segment.lengthMm,
    Math.round(segment.lengthMm / strip.cutPitchMm),
    segment.ledCount,
    assemblies[assembly]!.runs.segments[own]!.from[0],
    assemblies[assembly]!.runs.segments[own]!.from[1],
    assemblies[assembly]!.runs.segments[own]!.to[0],
    assemblies[assembly]!.runs.segments[own]!.to[1],
    assemblies[assembly]!.runs.segments[own]!.from[2],
    Math.max(1, reelOf(`segment ${label}`, strip.id), reelOf(`sign 1, segment ${label}`, strip.id)),
  ]);
  return csvOf([head, ...rows]);
};

/** The wiring table as CSV. */
export const wiringCsv = (evaluation: Evaluation): string => {
  const head = [
    'from',
    'to',
    'chain',
    'cores',
    'mm²',
    'AWG',
    'length mm',
    'bare mm',
    'joint',
    'A',
    'rated A',
    'fuse A',
  ];
  const rows = wiringRows(evaluation).map((row) => [
    row.from,
    row.to,
    row.chain ?? '',
    row.cores,
    row.areaMm2,
    row.awg,
    row.lengthMm,
    row.bareMm,
    row.controller === null ? row.joint : `${row.joint}, ${row.controller}`,
    row.amps ?? 0,
    row.ratedA,
    row.fuseA ?? '',
  ]);
  return csvOf([head, ...rows]);
};
