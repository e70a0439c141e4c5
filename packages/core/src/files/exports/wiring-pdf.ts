import { rgb, type PDFPage, type RGB } from 'pdf-lib';
import { coreWords, wireKind } from '../../power/circuit/index.js';
import { wiringDiagram, type DiagramLink } from '../../power/diagram/index.js';
import type { Evaluation } from '../../sign/evaluate/index.js';
import type { Point3 } from '../../light/runs/index.js';
import { measureLine, type Point } from '../../base/outlines/index.js';
import { placedOutline } from '../../base/placing/index.js';
import { newPdf, type PaperFonts, type PaperType } from '../../making/paper/index.js';
import { faint, ink, papers, pointsPerMm, signal, type Paper } from '../../making/templates/index.js';
import { wiringRows } from './wiring-rows.js';

const marginMm = 12;
const dataInk = rgb(0.1, 0.45, 0.2);
const fedInk = rgb(0.1, 0.35, 0.7);
const linkInk: Readonly<Record<DiagramLink['kind'], RGB>> = {
  mains: ink,
  power: signal,
  injected: fedInk,
  data: dataInk,
};

interface Sheet {
  readonly page: PDFPage;
  readonly type: PaperType;
  readonly widthMm: number;
  readonly heightMm: number;
}

/** Text with its left end at x, its foot y down from the top (mm). */
const write = ({ page, type, heightMm }: Sheet, value: string, x: number, y: number, size = 9, heavy = false) =>
  type.draw(page, value, { x: x * pointsPerMm, y: (heightMm - y) * pointsPerMm, size, color: ink, heavy });

const stroke = (
  { page, heightMm }: Sheet,
  from: readonly number[],
  to: readonly number[],
  color: RGB,
  thickness = 0.8,
) =>
  page.drawLine({
    start: { x: from[0]! * pointsPerMm, y: (heightMm - from[1]!) * pointsPerMm },
    end: { x: to[0]! * pointsPerMm, y: (heightMm - to[1]!) * pointsPerMm },
    thickness,
    color,
  });

const frame = (sheet: Sheet, x: number, y: number, width: number, height: number): void => {
  stroke(sheet, [x, y], [x + width, y], ink);
  stroke(sheet, [x + width, y], [x + width, y + height], ink);
  stroke(sheet, [x + width, y + height], [x, y + height], ink);
  stroke(sheet, [x, y + height], [x, y], ink);
};

/** The diagram from the socket on, as large as the page takes it. */
const drawDiagram = (sheet: Sheet, evaluation: Evaluation): void => {
  const diagram = wiringDiagram(evaluation);
  const [roomX, roomY] = [sheet.widthMm - 2 * marginMm, sheet.heightMm - 2 * marginMm - 22];
  const scale = Math.min(0.8, roomX / diagram.width, roomY / diagram.height);
  const at = ([x, y]: readonly number[]): readonly number[] => [marginMm + x! * scale, marginMm + 14 + y! * scale];
  for (const { path, label, below, labelAt, kind } of diagram.links) {
    path
      .slice(1)
      .forEach((to, index) => stroke(sheet, at(path[index]!), at(to), linkInk[kind], kind === 'mains' ? 1.6 : 1));
    const size = Math.max(4, 6.5 * scale * 2);
    [label, below].forEach((text, line) => {
      const [x, y] = at([labelAt[0], labelAt[1] + 8.5 * line]);
      const width = sheet.type.widthOf(text, size) / pointsPerMm;
      write(sheet, text, x! - width, y!, size);
    });
  }
  for (const { x, y, width, height, title, lines } of diagram.boxes) {
    const [left, top] = at([x, y]);
    sheet.page.drawRectangle({
      x: left! * pointsPerMm,
      y: (sheet.heightMm - top! - height * scale) * pointsPerMm,
      width: width * scale * pointsPerMm,
      height: height * scale * pointsPerMm,
      color: rgb(1, 1, 1),
    });
    frame(sheet, left!, top!, width * scale, height * scale);
    write(sheet, title, left! + 3 * scale, top! + 9 * scale, Math.max(4.5, 18 * scale), true);
    lines.forEach((text, index) =>
      write(sheet, text, left! + 3 * scale, top! + (15.5 + 6.5 * index) * scale, Math.max(4, 13 * scale)),
    );
  }
};

/** From arrow to arrow along strip, and their size (mm of the sign). */
const arrowEveryMm = 150;
const arrowMm = 12;

/** Arrow heads along a segment, the way it runs from its start: the way its data goes, too. */
const arrowHeads = (path: readonly Point3[]): readonly (readonly Point[])[] => {
  const run = measureLine(
    path.map(([x, y]): Point => [x, y]),
    false,
  );
  const count = Math.max(1, Math.floor(run.lengthMm / arrowEveryMm));
  return Array.from({ length: count }, (_, index) => {
    const { at, along } = run.station(((index + 0.7) / count) * run.lengthMm);
    const back = (side: number): Point => [
      at[0] - along[0] * arrowMm - along[1] * side * (arrowMm / 2),
      at[1] - along[1] * arrowMm + along[0] * side * (arrowMm / 2),
    ];
    return [back(1), at, back(-1)];
  });
};

/** The sign from behind, so mirrored: strip with numbers and the way current goes, wires on their ways, holes. */
const drawBack = (sheet: Sheet, { circuit, assemblies, bounds }: Evaluation): void => {
  const [roomX, roomY] = [sheet.widthMm - 2 * marginMm, sheet.heightMm - 2 * marginMm - 22];
  const scale = Math.min(roomX / bounds.width, roomY / bounds.height);
  const [midX, midY] = [sheet.widthMm / 2, marginMm + 16 + roomY / 2];
  const [middleX, middleY] = [bounds.x + bounds.width / 2, bounds.y + bounds.height / 2];
  const at = ([x, y]: readonly number[]): readonly number[] => [
    midX - (x! - middleX) * scale,
    midY - (y! - middleY) * scale,
  ];
  const way = (points: readonly (readonly number[])[], color: RGB, thickness: number): void =>
    points.slice(1).forEach((to, index) => stroke(sheet, at(points[index]!), at(to), color, thickness));
  for (const { front, placing } of assemblies)
    for (const ring of placedOutline(placing, front.body))
      way([...ring, ring[0]!], front.rim === null ? faint : ink, front.rim === null ? 0.4 : 0.8);
  for (const run of circuit.wires) {
    const { path, holes } = run;
    way(path, linkInk[wireKind(run)], 1);
    for (const hole of holes) {
      const [x, y] = at(hole);
      sheet.page.drawCircle({
        x: x! * pointsPerMm,
        y: (sheet.heightMm - y!) * pointsPerMm,
        size: 3,
        borderWidth: 0.8,
        borderColor: ink,
        color: rgb(1, 1, 1),
      });
    }
  }
  for (const { path, label, from } of circuit.segments) {
    way(path, ink, 2.2);
    arrowHeads(path).forEach((head) => way(head, signal, 1.2));
    const [x, y] = at(from);
    sheet.page.drawCircle({ x: x! * pointsPerMm, y: (sheet.heightMm - y!) * pointsPerMm, size: 2.2, color: signal });
    write(sheet, label, x! + 1.2, y! - 1.2, 8, true);
  }
};

const tableRows = (evaluation: Evaluation): readonly (readonly string[])[] =>
  wiringRows(evaluation).map((row) => [
    row.from,
    row.to,
    row.cores,
    `${row.areaMm2}`,
    `${row.lengthMm}`,
    `${row.bareMm}`,
    row.joint,
    row.fuseA === null ? '' : `${row.fuseA}`,
    row.amps === null ? '-' : `${row.amps.toFixed(2)} of ${row.ratedA}`,
  ]);

const heads = ['from', 'to', 'cores', 'mm²', 'length mm', 'bare mm', 'joint', 'fuse A', 'A of rated A'] as const;
const columnShares = [0, 0.11, 0.23, 0.53, 0.58, 0.66, 0.73, 0.84, 0.9] as const;
const rowMm = 6;

/** The wiring table, over as many pages as it takes. */
const drawTable = (next: (title: string) => Sheet, evaluation: Evaluation): void => {
  const rows = tableRows(evaluation);
  const controller = wiringRows(evaluation)[0]?.controller ?? null;
  let [sheet, y]: [Sheet | null, number] = [null, 0];
  for (const row of rows) {
    if (sheet === null || y > sheet.heightMm - marginMm - rowMm) {
      const fresh = next(controller === null ? 'wiring table' : `wiring table; ${controller}`);
      y = marginMm + 18;
      heads.forEach((head, column) =>
        write(fresh, head, marginMm + columnShares[column]! * (fresh.widthMm - 2 * marginMm), y, 8, true),
      );
      stroke(fresh, [marginMm, y + 1.5], [fresh.widthMm - marginMm, y + 1.5], ink);
      y += rowMm;
      sheet = fresh;
    }
    const width = sheet.widthMm - 2 * marginMm;
    for (const [column, value] of row.entries()) write(sheet, value, marginMm + columnShares[column]! * width, y, 7.5);
    stroke(sheet, [marginMm, y + 1.5], [sheet.widthMm - marginMm, y + 1.5], faint, 0.3);
    y += rowMm;
  }
};

/** The wiring plan as PDF: the diagram from the socket on, the sign from behind with its wires, and the wiring table. */
export const wiringPdf = async (evaluation: Evaluation, paper: Paper, fonts: PaperFonts): Promise<Uint8Array> => {
  const { name } = evaluation.design;
  const { pdf, type, save } = await newPdf(`${name}: wiring`, fonts);
  const { widthMm, heightMm } = papers[paper];
  const next = (title: string): Sheet => {
    const page = pdf.addPage([widthMm * pointsPerMm, heightMm * pointsPerMm]);
    const sheet = { page, type, widthMm, heightMm };
    write(sheet, `${name} - ${title}`, marginMm, marginMm + 4, 12, true);
    write(
      sheet,
      'Mains side, hard-wired supplies and outdoor signs: local electrical and sign codes, a listed supply, a licensed electrician.',
      marginMm,
      heightMm - 5,
      7,
    );
    return sheet;
  };
  drawDiagram(next('wiring, in order from the socket'), evaluation);
  drawBack(next('wires, seen from behind'), evaluation);
  drawTable(next, evaluation);
  return save();
};

/** A label to stick on an end of a segment or of a wire. */
export interface EndLabel {
  readonly title: string;
  readonly lines: readonly string[];
}

/** At the supply: what it is, what the sign takes of it, and which sign it feeds; one label for each. */
const supplyLabels = ({ supply, supplyCount, amps }: Evaluation['circuit'], sign: string): readonly EndLabel[] =>
  supply === null
    ? []
    : Array.from({ length: supplyCount }, (_, at) => ({
        title: supplyCount > 1 ? `supply ${at + 1} of ${supplyCount}` : 'supply',
        lines: [
          supply.name,
          `${supply.voltageV} V; the sign takes ${amps.toFixed(2)} A${supplyCount > 1 ? ' in all' : ''}`,
          `feeds ${sign}`,
        ],
      }));

/** Two labels for each segment, one at either end, and two flags for each wire. */
export const endLabels = ({ circuit, design }: Pick<Evaluation, 'circuit' | 'design'>): readonly EndLabel[] => [
  ...supplyLabels(circuit, design.name),
  ...circuit.segments.flatMap(({ label, lengthMm }, segment): readonly EndLabel[] => {
    const chain = circuit.chains.find(({ segments }) => segments.includes(segment))?.number ?? 0;
    const about = `chain ${chain}, ${Math.round(lengthMm)} mm`;
    return [
      { title: `${label} > start`, lines: [about] },
      { title: `> ${label} end`, lines: [about] },
    ];
  }),
  ...circuit.wires.flatMap(({ from, to, cores, wire, lengthMm }): readonly EndLabel[] => {
    const about = [`${wire.areaMm2} mm², ${Math.ceil(lengthMm)} mm`, coreWords(cores)];
    return [
      { title: from, lines: [`to ${to}`, ...about] },
      { title: to, lines: [`from ${from}`, ...about] },
    ];
  }),
];

const labelMm = { width: 60, height: 20 } as const;

/** Labels for the ends of segments and wires, to print, cut and stick; as many to a page as fit. */
export const labelsPdf = async (evaluation: Evaluation, paper: Paper, fonts: PaperFonts): Promise<Uint8Array> => {
  const { pdf, type, save } = await newPdf(`${evaluation.design.name}: labels`, fonts);
  const { widthMm, heightMm } = papers[paper];
  const columns = Math.floor((widthMm - 2 * marginMm) / labelMm.width);
  const rows = Math.floor((heightMm - 2 * marginMm) / labelMm.height);
  let sheet: Sheet | null = null;
  endLabels(evaluation).forEach(({ title, lines }, index) => {
    const place = index % (columns * rows);
    if (place === 0) {
      const page = pdf.addPage([widthMm * pointsPerMm, heightMm * pointsPerMm]);
      sheet = { page, type, widthMm, heightMm };
    }
    const x = marginMm + (place % columns) * labelMm.width;
    const y = marginMm + Math.floor(place / columns) * labelMm.height;
    frame(sheet!, x, y, labelMm.width, labelMm.height);
    write(sheet!, title, x + 2, y + 6, 11, true);
    lines.forEach((text, row) => write(sheet!, text, x + 2, y + 10.5 + 3.8 * row, 6.5));
  });
  if (sheet === null) pdf.addPage([widthMm * pointsPerMm, heightMm * pointsPerMm]);
  return save();
};
