import type { Catalogue } from '../../document/catalogue/index.js';
import { sundry, type BoughtPart } from '../../making/parts/index.js';
import { cornerFixings } from '../common/corner-fixings.js';
import { membersIn } from './geometry.js';
import { stencilOf } from './stencil.js';
import type { PanelFacts } from './results.js';

/** Stencil film by the square metre; polish for edges by the metre; a board behind by the square metre; typical prices. */
const stencilPrice = 9;
const polishPrice = 0.6;
const behindPrice = { open: 0, black: 14, white: 14, painted: 7 } as const;
/** Printed stuff by the kilogram, and how much of a printed base is solid. */
const printedPrice = 24;

const area = (id: string, name: string, m2: number, unitPrice: number, kg = 0): readonly BoughtPart[] =>
  m2 <= 0 || unitPrice <= 0 ? [] : [{ id, name, quantity: m2, unit: 'm²', unitPrice, kg, hangs: kg > 0 }];

/** What is bought for an edge-lit sheet beside strip and wiring. */
export const panelBought = (catalogue: Catalogue, results: PanelFacts, printedKg: number): readonly BoughtPart[] => {
  const { geometry, assembly, materials } = results;
  const { sheet, holder } = geometry;
  const m2 = (sheet.width * sheet.height) / 1e6;
  const behind = assembly.sheet.behind ?? 'open';
  const litMm = assembly.light.edges.reduce(
    (total, side) => total + (side === 'left' || side === 'right' ? sheet.height : sheet.width),
    0,
  );
  const wood = holder.kind === 'base' && printedKg === 0;
  return [
    ...(materials.pane.silver === undefined
      ? area(
          `behind-${behind}`,
          behind === 'painted' ? 'Paint for the back' : `Thin ${behind} board behind it`,
          m2,
          behindPrice[behind],
          behind === 'black' || behind === 'white' ? 1.2 * m2 : 0,
        )
      : []),
    ...area(
      'blast-resist',
      'Stencil film',
      m2 * results.areas.filter((each) => stencilOf(each) !== null).length,
      stencilPrice,
    ),
    {
      id: 'edge-polish',
      name: 'Wet paper and polish for lit edges',
      quantity: litMm / 1000,
      unit: 'm',
      unitPrice: polishPrice,
      kg: 0,
      hangs: false,
    },
    ...(printedKg > 0
      ? [
          {
            id: 'printing-stock',
            name: 'Printing filament',
            quantity: printedKg,
            unit: 'kg' as const,
            unitPrice: printedPrice,
            kg: printedKg,
            hangs: true,
          },
        ]
      : []),
    ...sundry(catalogue, 'screw', holder.kind === 'frame' ? 0 : holder.kind === 'base' ? 4 : 8),
    ...(assembly.holder.kind === 'base' && assembly.holder.exit === 'jack'
      ? sundry(catalogue, 'jack-and-plug', 1)
      : []),
    ...sundry(catalogue, 'rubber-foot', holder.kind === 'base' ? 4 : 0),
    ...(wood ? [] : cornerFixings(catalogue, membersIn(geometry))),
  ];
};
