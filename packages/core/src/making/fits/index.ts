import { offset, rectRing, subtract, type Outline } from '../../base/outlines/index.js';
import type { Stuff } from '../../document/catalogue/index.js';
import type { CutPart, PartShape } from '../parts/index.js';

/** How a piece sits in its pocket, by how much wider it is than that across (mm, both sides together). */
export interface Fit {
  readonly overMm: number;
  /** What is usual between these two, and within which bounds it holds and does not break; typical. */
  readonly leastMm: number;
  readonly mostMm: number;
}

/** Stuff that gives way round a piece pressed into it; the rest cracks, or does not give at all. */
const gives: ReadonlySet<Stuff> = new Set(['wood', 'foam']);
const brittle: ReadonlySet<Stuff> = new Set(['acrylic', 'glass', 'printed']);

/**
 * The usual fit of a piece of one stuff in a pocket of another: wood gives and is pressed into, brittle sheet gets the loose
 * end and is glued, metal slides; typical, to be tried on a ladder of the same two sheets.
 */
export const usualFit = (piece: Stuff, pocket: Stuff): Fit => {
  if (gives.has(pocket))
    return gives.has(piece) ? { overMm: 0.15, leastMm: 0.05, mostMm: 0.25 } : { overMm: 0.1, leastMm: 0, mostMm: 0.2 };
  if (brittle.has(pocket)) return { overMm: -0.05, leastMm: -0.2, mostMm: 0 };
  return { overMm: -0.05, leastMm: -0.15, mostMm: 0.02 };
};

/** Whether a pocket of this stuff cracks where what is pressed into it is too wide. */
export const cracks = (pocket: Stuff): boolean => brittle.has(pocket);

/** A piece for a pocket: its outline moved out by half of what it is to be over, all round; inward where it is under. */
export const pieceFor = (pocket: Outline, overMm: number): Outline => offset(pocket, overMm / 2, 0.002);

const plugMm = 20;
const apartMm = 10;
const steps = [-3, -2, -1, 0, 1, 2, 3] as const;
/** From step to step of the ladder (mm). */
export const ladderStepMm = 0.05;

const hundredths = (mm: number): string => (Math.round(100 * mm) / 100).toFixed(2);

/** Ticks beside a step of the ladder, one more from step to step. */
const ticks = (count: number, x: number, y: number): readonly PartShape[] =>
  Array.from({ length: count }, (_, tick) => ({
    kind: 'line' as const,
    from: [x + 2 * tick, y] as const,
    to: [x + 2 * tick, y + 4] as const,
  }));

/** A test strip ends so far from its last slot, and its slots are so deep (mm). */
const stripRimMm = 12;
const slotDeepMm = 10;
const stripHighMm = 25;

/**
 * A test strip for slots: one a step narrower than the one before, with as many ticks as its step, round the wanted fit of
 * what is `thicknessMm` thick. The slot that it goes into by hand and holds in names the fit.
 */
export const slotLadder = (
  wantedMm: number,
  thicknessMm: number,
  { name, kerfMm }: { readonly name: string; readonly kerfMm: number },
): CutPart => {
  const pitch = thicknessMm + apartMm;
  const widthMm = 2 * stripRimMm + steps.length * pitch - apartMm;
  const middle = (at: number): number => stripRimMm + at * pitch + thicknessMm / 2;
  const slots = steps.map((step, at) => {
    const wide = thicknessMm - wantedMm - step * ladderStepMm;
    return rectRing({
      x: middle(at) - wide / 2,
      y: stripHighMm - slotDeepMm,
      width: wide,
      height: slotDeepMm + 1,
    });
  });
  return {
    id: 'slot-ladder',
    name: `Test strip of slots, from ${name.toLowerCase()}`,
    materialId: '',
    materialName: `an offcut of ${name.toLowerCase()}`,
    stock: 'board',
    widthMm,
    heightMm: stripHighMm,
    thicknessMm: 0,
    count: 1,
    kg: 0,
    kerfMm,
    note: `slots for ${thicknessMm} mm, narrower by ${hundredths(wantedMm + steps[0] * ladderStepMm)} mm to ${hundredths(wantedMm + steps.at(-1)! * ladderStepMm)} mm, ${ladderStepMm} mm from tick to tick`,
    layers: [
      {
        operation: 'cut',
        shapes: [
          {
            kind: 'outline',
            outline: subtract([rectRing({ x: 0, y: 0, width: widthMm, height: stripHighMm })], slots),
          },
        ],
      },
      { operation: 'mark', shapes: steps.flatMap((_, at) => ticks(at + 1, middle(at) - at, 4)) },
    ],
  };
};

/**
 * A ladder to try a fit on: pockets of one size in an offcut of one sheet, plugs from an offcut of the other, each a step wider
 * than the one before, with as many ticks as its step. The plug that goes in by hand and stays names the fit.
 */
export const fitLadder = (
  wantedMm: number,
  piece: { readonly name: string; readonly kerfMm: number },
  pocket: { readonly name: string; readonly kerfMm: number },
): readonly CutPart[] => {
  const widthMm = steps.length * (plugMm + apartMm) + apartMm;
  const heightMm = plugMm + 2 * apartMm;
  const common = { materialId: '', stock: 'board', thicknessMm: 0, count: 1, kg: 0, widthMm, heightMm } as const;
  const x = (at: number): number => apartMm + at * (plugMm + apartMm);
  const squares = (sizeOf: (step: number) => number): readonly PartShape[] =>
    steps.map((step, at) => {
      const size = sizeOf(step);
      const off = (plugMm - size) / 2;
      return { kind: 'outline', outline: [rectRing({ x: x(at) + off, y: apartMm + off, width: size, height: size })] };
    });
  const marks = steps.flatMap((_, at) => ticks(at + 1, x(at) + 2, 2));
  const over = (step: number): number => wantedMm + step * ladderStepMm;
  return [
    {
      ...common,
      id: 'fit-ladder-pockets',
      name: `Fit ladder, pockets in ${pocket.name.toLowerCase()}`,
      materialName: `an offcut of ${pocket.name.toLowerCase()}`,
      note: `${steps.length} pockets of ${plugMm} mm; the plugs stay out`,
      kerfMm: pocket.kerfMm,
      layers: [
        // A plate with its pockets: the cut lies within them, and outside the plate.
        {
          operation: 'cut',
          shapes: [
            {
              kind: 'outline',
              outline: [
                rectRing({ x: 0, y: 0, width: widthMm, height: heightMm }),
                ...squares(() => plugMm).flatMap((shape) =>
                  shape.kind === 'outline' ? shape.outline.map((ring) => [...ring].reverse()) : [],
                ),
              ],
            },
          ],
        },
        { operation: 'mark', shapes: marks },
      ],
    },
    {
      ...common,
      id: 'fit-ladder-plugs',
      name: `Fit ladder, plugs from ${piece.name.toLowerCase()}`,
      materialName: `an offcut of ${piece.name.toLowerCase()}`,
      note: `plugs over their pocket by ${hundredths(over(steps[0]))} mm to ${hundredths(over(steps.at(-1)!))} mm, ${ladderStepMm} mm from tick to tick`,
      kerfMm: piece.kerfMm,
      layers: [
        { operation: 'cut', shapes: squares((step) => plugMm + over(step)) },
        { operation: 'mark', shapes: marks },
      ],
    },
  ];
};
