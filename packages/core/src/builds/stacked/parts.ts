import { outlineArea, outlineBounds, offset, subtract, type Point } from '../../base/outlines/index.js';
import type { Catalogue } from '../../document/catalogue/index.js';
import type { Brief } from '../../document/design/index.js';
import { layerOf, sundry, type BoughtPart, type CutPart, type PartShape } from '../../making/parts/index.js';
import { inlayPart, ladders } from '../common/inlays.js';
import { sheetPart, type SheetCut } from '../common/sheet-part.js';
import type { SheetStock } from '../common/sheet-stock.js';
import type { StackedGeometry } from './geometry.js';
import { heldAt, opaqueRuns, pinLengthsMm, pinMm, screwHoleMm } from './held-at.js';
import { leadEntryOf, leadHoleMm, leadSlot } from './lead-entry.js';
import type { StackedMaterials } from './materials.js';
import type { LetteredLid } from './results.js';

/** What plates are cut from and by. */
export interface PlateFacts {
  readonly brief: Brief;
  readonly geometry: StackedGeometry;
  readonly materials: StackedMaterials;
  readonly lid: LetteredLid;
}

const holes = (at: readonly Point[], diameterMm: number, place: (at: Point) => Point): readonly PartShape[] =>
  at.map((hole): PartShape => {
    const [x, y] = place(hole);
    return { kind: 'hole', x, y, diameterMm };
  });

interface Plate extends Omit<SheetCut, 'besides'> {
  readonly drilled?: readonly (readonly [at: readonly Point[], diameterMm: number])[];
}

const plateOf = ({ drilled = [], ...plate }: Plate, { tool }: StackedMaterials): readonly CutPart[] =>
  outlineBounds(plate.shape) === null
    ? []
    : [
        sheetPart(
          {
            ...plate,
            besides: (place) =>
              layerOf(
                'drill',
                drilled.flatMap(([at, diameterMm]) => holes(at, diameterMm, place)),
              ),
          },
          tool,
        ),
      ];

/** What ledge rings are cut from: the lowest opaque ring’s board, else that of the base. */
export const ledgeStock = ({ rings }: StackedGeometry, { base }: StackedMaterials): SheetStock =>
  rings.find((ring) => !ring.glows)?.stock ?? base;

/** How many rings of that board carry the strip. */
export const ledgeRings = (geometry: StackedGeometry, materials: StackedMaterials): number =>
  geometry.ledge === null
    ? 0
    : Math.max(1, Math.ceil(geometry.ledge.heightMm / ledgeStock(geometry, materials).thicknessMm));

/** Every plate, from the base up; then the letters of the lid. */
export const stackedParts = (facts: PlateFacts): readonly CutPart[] => {
  const { brief, geometry, materials, lid } = facts;
  const { outline, inside, rings, ledge, wallMm } = geometry;
  const { screws, pins } = heldAt(geometry);
  const entry = leadEntryOf(brief.leadExit, geometry);
  const through = brief.leadExit === 'back';
  const slot = leadSlot(brief.leadExit, entry, wallMm);
  const pinned = new Set(
    opaqueRuns(geometry)
      .filter((run) => run.length > 1)
      .flatMap((run) => run.map(({ index }) => index)),
  );
  const firstOpaque = rings.find((ring) => !ring.glows)?.index ?? -1;
  return [
    ...plateOf(
      {
        id: 'base',
        name: 'Base',
        shape: outline,
        stock: materials.base,
        note: [
          screws.length > 0
            ? `${screws.length} screws from behind into the rings`
            : 'glued on: its wall is too narrow for screws',
          ...(through ? [`hole Ø ${leadHoleMm} mm for the lead`] : []),
        ].join('; '),
        drilled: [
          [screws, screwHoleMm],
          ...(through ? ([[[[entry[0], entry[1]] as Point], leadHoleMm]] as const) : []),
        ],
      },
      materials,
    ),
    ...rings.flatMap((ring) => {
      const open = subtract(outline, inside);
      const slotted = ring.index === firstOpaque && slot !== null ? subtract(open, [slot]) : open;
      return plateOf(
        {
          id: `ring-${ring.index + 1}`,
          name: `Ring ${ring.index + 1}`,
          shape: slotted,
          stock: ring.stock,
          note: [
            ring.glows ? 'its edge glows: outer and inner edge polished or as cut, never painted' : 'inner edge white',
            ...(pinned.has(ring.index) && pins.length > 0 ? [`${pins.length} pins Ø ${pinMm} mm`] : []),
            ...(ring.index === firstOpaque && slot !== null ? [`slot ${leadHoleMm} mm for the lead`] : []),
          ].join('; '),
          drilled: pinned.has(ring.index) ? [[pins, pinMm]] : [],
        },
        materials,
      );
    }),
    ...(ledge === null
      ? []
      : plateOf(
          {
            id: 'ledge',
            name: 'Ledge ring',
            shape: subtract([ledge.line], offset([ledge.line], -ledge.widthMm)),
            stock: ledgeStock(geometry, materials),
            count: ledgeRings(geometry, materials),
            note: 'stacked on the base, white all over; carries the strip',
          },
          materials,
        )),
    ...plateOf(
      {
        id: 'lid',
        name: 'Lid',
        shape: lid.solid,
        stock: materials.lid,
        note:
          lid.pockets.length === 0
            ? 'no letters'
            : 'pockets of the letters cut through; films and tape on until the end',
      },
      materials,
    ),
    ...(lid.inlay === null ? [] : inlayPart(lid.inlay, materials.tool, { id: 'inlays', name: 'Letters of the lid' })),
  ];
};

/** The ladder to try the fit of the letters on. */
export const stackedLadder = (lid: LetteredLid, { lid: stock, tool }: StackedMaterials): readonly CutPart[] =>
  lid.inlay === null ? [] : ladders([{ stock, inlay: lid.inlay }], tool);

/** A dowel rod of so many millimetres costs so much by the metre, typical. */
const rodPricePerM = 1.4;
const rodKgPerM = 0.02;

/** Screws, pins, finish inside, and film under the letters. */
export const stackedBought = (
  catalogue: Catalogue,
  { geometry, materials, lid }: PlateFacts,
): readonly BoughtPart[] => {
  const { screws, pins } = heldAt(geometry);
  const pinsM = (pins.length * pinLengthsMm(geometry).reduce((sum, each) => sum + each, 0)) / 1000;
  const roomM2 = Math.abs(outlineArea(geometry.inside)) / 1e6;
  const { lining, faceCoats } = materials;
  const lettersM2 = Math.abs(outlineArea(lid.pockets)) / 1e6;
  return [
    ...sundry(catalogue, 'screw', screws.length),
    ...(pinsM > 0
      ? [
          {
            id: 'pin-rod',
            name: `Dowel rod Ø ${pinMm} mm for pins`,
            quantity: pinsM,
            unit: 'm' as const,
            unitPrice: rodPricePerM,
            kg: rodKgPerM * pinsM,
            hangs: true,
          },
        ]
      : []),
    ...(lining.price === 0
      ? []
      : [
          {
            id: lining.id,
            name: lining.name,
            quantity: 2 * roomM2,
            unit: 'm²' as const,
            unitPrice: lining.price,
            kg: 2 * roomM2 * lining.kgPerM2,
            hangs: true,
          },
        ]),
    ...faceCoats.map(({ coating, coats }, index) => ({
      id: `coat-${index + 1}-${coating.id}`,
      name: coats === 1 ? coating.name : `${coating.name}, ${coats} coats`,
      quantity: lettersM2 * coats,
      unit: 'm²' as const,
      unitPrice: coating.price,
      kg: 0,
      hangs: true,
    })),
  ];
};
