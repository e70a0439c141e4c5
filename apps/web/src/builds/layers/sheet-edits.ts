import type { SheetDesign, TakenLayers } from '@vitrum/core';

export type Sheets = readonly SheetDesign[];

/** Between sheets that are taken in, from rear to rear (mm): a sheet of 3 mm and a spacer of 9. */
export const usualApartMm = 12;
/** Colours for layers whose file tells none, from the back to the front. */
const usualColours = ['#cdbf9a', '#a9b78e', '#7c9468', '#5d7a58', '#46603f', '#39502f'] as const;

const tenths = (mm: number): number => Math.round(10 * mm) / 10;

/** An id that no sheet has yet. */
export const freeId = (sheets: Sheets): string => {
  const taken = new Set(sheets.map(({ id }) => id));
  let number = sheets.length + 1;
  while (taken.has(`sheet-${number}`)) number += 1;
  return `sheet-${number}`;
};

/** Places of the sheets in the design’s list, from the front to the back. */
export const fromFront = (sheets: Sheets): readonly number[] =>
  sheets.map((_, at) => at).sort((a, b) => sheets[b]!.heightMm - sheets[a]!.heightMm || b - a);

/** A sheet changes places with its neighbour toward the front or the back; the same where there is none. */
export const swapped = (sheets: Sheets, index: number, way: 'front' | 'back'): Sheets => {
  const order = fromFront(sheets);
  const other = order[order.indexOf(index) + (way === 'front' ? -1 : 1)];
  if (other === undefined) return sheets;
  const heights = [sheets[index]!.heightMm, sheets[other]!.heightMm] as const;
  return sheets.map((sheet, at) =>
    at === index ? { ...sheet, heightMm: heights[1] } : at === other ? { ...sheet, heightMm: heights[0] } : sheet,
  );
};

/** A sheet once more, half a step before it, a little aside. */
export const copied = (sheets: Sheets, index: number): Sheets => {
  const sheet = sheets[index]!;
  return [
    ...sheets,
    {
      ...sheet,
      id: freeId(sheets),
      name: `${sheet.name.slice(0, 110)} 2`,
      heightMm: tenths(sheet.heightMm + usualApartMm / 2),
      xMm: (sheet.xMm ?? 0) + 15,
    },
  ];
};

/** One sheet more, before all others: a window. */
export const added = (sheets: Sheets, depthMm: number): Sheets => {
  const front = Math.max(0, ...sheets.map(({ heightMm }) => heightMm));
  return [
    ...sheets,
    {
      id: freeId(sheets),
      name: 'Window',
      shape: 'window',
      borderMm: 30,
      materialId: sheets[0]?.materialId ?? 'ply-3',
      colour: '#2b2620',
      heightMm: tenths(Math.max(0, Math.min(front + usualApartMm, depthMm - 6))),
    },
  ];
};

export const without = (sheets: Sheets, index: number): Sheets => sheets.filter((_, at) => at !== index);

const micrometres = (value: number): number => Math.round(value * 1000) / 1000 + 0;

/** Layers of a file as sheets, rear to rear as far apart as the box is deep, after those that stay. */
export const fromLayers = (stay: Sheets, { layers }: TakenLayers, name: string, depthMm: number): Sheets => {
  const room = Math.max(2, (depthMm - 12) / Math.max(1, layers.length));
  const apart = Math.min(usualApartMm, room);
  return layers.reduce<Sheets>(
    (sheets, layer, at) => [
      ...sheets,
      {
        id: freeId(sheets),
        name: layer.name,
        shape: 'drawing',
        drawing: {
          name: name.slice(0, 160),
          scale: 1,
          rings: layer.outline.map((ring) => ring.flatMap(([x, y]) => [micrometres(x), micrometres(y)])),
        },
        materialId: 'ply-3',
        colour:
          layer.colour ??
          usualColours[Math.min(usualColours.length - 1, Math.floor((at / layers.length) * usualColours.length))]!,
        heightMm: tenths(6 + at * apart),
      },
    ],
    stay,
  );
};

/** Drawings of the sheets, all as many times as large. */
export const scaled = (sheets: Sheets, factor: number): Sheets =>
  sheets.map((sheet) =>
    sheet.drawing === null || sheet.drawing === undefined
      ? sheet
      : { ...sheet, drawing: { ...sheet.drawing, scale: Math.min(1e4, Math.max(1e-4, sheet.drawing.scale * factor)) } },
  );
