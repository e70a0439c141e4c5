import { waitWords, type Catalogue, type CatalogueKind, type Cutter, type ShelfItem, type Tool } from '@vitrum/core';

/** A list as it is shown: a row an item, in the order of the items. */
export interface Section {
  readonly title: string;
  readonly kind: CatalogueKind;
  readonly items: readonly ShelfItem[];
  readonly columns: readonly string[];
  readonly rows: readonly (readonly string[])[];
  /** Whether a shop can measure an item with a sheet of its own: what of it, or null. Left out: no item of the list. */
  readonly measurable?: (item: ShelfItem) => ShelfItem | null;
}

const scatterOf = ({ scatter }: Catalogue['faces'][number] | Catalogue['coatings'][number]): string =>
  scatter.kind === 'lambertian'
    ? 'full'
    : `${percent(scatter.hazeShare)} in ±${Math.round(scatter.sigmaDeg * 10) / 10}°`;

const percent = (share: number): string => `${Math.round(share * 100)} %`;

/** How wide a tool cuts: as usual, and in the materials in which that was measured. */
const cutsOf = ({ cutMm, kerfs }: Tool): string =>
  [`${cutMm} mm`, ...Object.entries(kerfs ?? {}).map(([stuff, mm]) => `${stuff} ${mm} mm`)].join('; ');

/** The lists of the shelf, with the figures that tell items from each other. */
export const sectionsOf = ({
  strips,
  faces,
  panes,
  covers,
  spacers,
  coatings,
  boards,
  linings,
  films,
  supplies,
  controllers,
  cutters,
  wires,
  joints,
  sundries,
  fixings,
  paints,
  glues,
  tools,
  rates,
}: Catalogue): readonly Section[] => {
  const cutting = tools.filter(({ engraves }) => engraves === undefined);
  const engraving = tools.filter(({ engraves }) => engraves !== undefined);
  const price = (value: number, per: string): string => `${rates.currency}${value.toFixed(2)} / ${per}`;
  return [
    {
      title: 'Strip',
      kind: 'strips',
      items: strips,
      columns: ['name', 'light', 'beam', 'cut every', 'width', 'longest run', 'price'],
      rows: strips.map((strip) => [
        strip.name,
        `${strip.lumensPerM} lm/m${strip.whiteLumensPerM === undefined ? '' : ` + ${strip.whiteLumensPerM} white`}${strip.provenance === 'measured' ? ' •' : ''}`,
        `${strip.beamAngleDeg}°`,
        `${Math.round(strip.cutPitchMm * 10) / 10} mm`,
        `${strip.widthMm} mm`,
        `${strip.maxRunMm / 1000} m`,
        price(strip.price, `${strip.reelMm / 1000} m`),
      ]),
    },
    {
      title: 'Faces',
      kind: 'faces',
      items: faces,
      columns: ['name', 'passes', 'reflects', 'scatter', 'sheet', 'price'],
      rows: faces.map((face) => [
        face.name,
        percent(face.transmittance),
        percent(face.reflectance),
        scatterOf(face),
        `${face.sheetWidthMm} × ${face.sheetHeightMm} mm`,
        price(face.price, 'sheet'),
      ]),
      measurable: (item) => item,
    },
    {
      title: 'Clear sheets',
      kind: 'panes',
      items: panes,
      columns: ['name', 'thickness', 'index', 'a metre takes', 'silver gives back', 'sheet', 'price'],
      rows: panes.map(({ name, thicknessMm, index, lossPerM, silver, sheetWidthMm, sheetHeightMm, price: each }) => [
        name,
        `${thicknessMm} mm`,
        index.toFixed(2),
        percent(1 - Math.exp(-lossPerM)),
        silver === undefined ? '–' : percent(silver),
        `${sheetWidthMm} × ${sheetHeightMm} mm`,
        price(each, 'sheet'),
      ]),
    },
    {
      title: 'Spacers',
      kind: 'spacers',
      items: spacers,
      columns: ['name', 'adds', 'across', 'price'],
      rows: spacers.map(({ name, heightMm, widthMm, price: each }) => [
        name,
        `${heightMm} mm`,
        `${widthMm} mm`,
        price(each, 'piece'),
      ]),
    },
    {
      title: 'Covers and tubes',
      kind: 'covers',
      items: covers,
      columns: ['name', 'across', 'end cap', 'over the strip', 'passes', 'bends to', 'price'],
      rows: covers.map((cover) => [
        cover.name,
        `${cover.widthMm} mm`,
        cover.capWidthMm === 0 ? '–' : `${cover.capWidthMm} mm`,
        `${cover.overStripMm} mm`,
        percent(cover.transmittance),
        `${cover.bendRadiusMm} mm`,
        price(cover.price, `${cover.pieceMm / 1000} m`),
      ]),
    },
    {
      title: 'Engraving',
      kind: 'tools',
      items: engraving,
      columns: ['name', 'line', 'takes at most', 'most of it at', 'a pass', 'into'],
      rows: engraving.flatMap(({ name, engraves, cuts }) =>
        engraves === undefined
          ? []
          : [
              [
                name,
                `${engraves.lineMm} mm`,
                percent(engraves.takes),
                `${engraves.fullMm} mm`,
                `${engraves.passMm} mm`,
                cuts.map(({ stuff, mostMm }) => `${stuff} ${mostMm} mm`).join(', '),
              ],
            ],
      ),
    },
    {
      title: 'On the inner side',
      kind: 'coatings',
      items: coatings,
      columns: ['name', 'passes', 'reflects', 'scatter', 'price'],
      rows: coatings.map((coating) => [
        coating.name,
        percent(coating.transmittance),
        percent(coating.reflectance),
        scatterOf(coating),
        price(coating.price, 'm² and coat'),
      ]),
      measurable: (item) => item,
    },
    {
      title: 'Boards',
      kind: 'boards',
      items: boards,
      columns: ['name', 'thickness', 'for', 'sheet or bar', 'density', 'price'],
      rows: boards.map((board) => [
        board.name,
        `${board.thicknessMm} mm`,
        board.uses.join(', '),
        `${board.sheetWidthMm} × ${board.sheetHeightMm} mm`,
        `${board.densityKgM3} kg/m³`,
        price(board.price, board.form),
      ]),
    },
    {
      title: 'Linings',
      kind: 'linings',
      items: linings,
      columns: ['name', 'reflects', 'price'],
      rows: linings.map((lining) => [lining.name, percent(lining.reflectance), price(lining.price, 'm²')]),
    },
    {
      title: 'Film',
      kind: 'films',
      items: films,
      columns: ['name', 'passes (red, green, blue)', 'price'],
      rows: films.map((film) => [film.name, film.transmittanceRgb.map(percent).join(', '), price(film.price, 'm²')]),
    },
    {
      title: 'Supplies',
      kind: 'supplies',
      items: supplies,
      columns: ['name', 'voltage', 'power', 'weatherproof', 'price'],
      rows: supplies.map((supply) => [
        supply.name,
        `${supply.voltageV} V`,
        `${supply.watts} W`,
        supply.weatherproof ? 'yes' : 'no',
        price(supply.price, 'piece'),
      ]),
    },
    {
      title: 'Controllers',
      kind: 'controllers',
      items: controllers,
      columns: ['name', 'for', 'outputs', 'one output', 'all of them', 'remote', 'price'],
      rows: controllers.map((item) => [
        item.name,
        `${item.voltagesV.join(', ')} V`,
        item.signal === 'data' ? `data, ${item.maxPixels ?? 0} pixels` : `${item.channels}`,
        item.signal === 'data' ? '–' : `${item.channelA} A`,
        item.signal === 'data' ? '–' : `${item.totalA} A`,
        item.remote,
        price(item.price, 'piece'),
      ]),
    },
    {
      title: 'Saw blades and bits for grooves',
      kind: 'cutters',
      items: cutters,
      columns: ['name', 'cuts', 'reaches', 'price'],
      rows: cutters.map((item) => [
        item.name,
        `${item.cutMm} mm`,
        `${item.mostDeepMm} mm deep`,
        price(item.price, 'piece'),
      ]),
      // A point has no kerf.
      measurable: (cutter) => ((cutter as Cutter).kind === 'v-bit' ? null : cutter),
    },
    {
      title: 'Wire',
      kind: 'wires',
      items: wires,
      columns: ['name', 'cores', 'carries', 'outside', 'price'],
      rows: wires.map((wire) => [
        wire.name,
        `${wire.cores ?? 2}`,
        `${wire.ampacityA} A`,
        `${wire.diameterMm} mm`,
        price(wire.price, 'm'),
      ]),
    },
    {
      title: 'Joints',
      kind: 'joints',
      items: joints,
      columns: ['name', 'carries', 'each contact', 'wire bared', 'price'],
      rows: joints.map((joint) => [
        joint.name,
        `${joint.ratedA} A`,
        `${Math.round(joint.ohm * 1e4) / 10} mΩ`,
        `${joint.stripMm} mm`,
        price(joint.price, joint.perCore ? 'core' : 'wire end'),
      ]),
    },
    {
      title: 'Small parts',
      kind: 'sundries',
      items: sundries,
      columns: ['name', 'weight', 'price'],
      rows: sundries.map((item) => [item.name, `${Math.round(item.kg * 1000)} g`, price(item.price, 'piece')]),
    },
    {
      title: 'Wall fixings',
      kind: 'fixings',
      items: fixings,
      columns: ['name', 'holds in', 'along the wall, typical', 'off it, typical', 'hole', 'price'],
      rows: fixings.map((item) => [
        item.name,
        item.holdsIn.join(', '),
        `${item.shearKg} kg`,
        `${item.pullKg} kg`,
        `${item.holeMm} × ${item.depthMm} mm`,
        price(item.price, 'piece'),
      ]),
    },
    {
      title: 'Paint',
      kind: 'paints',
      items: paints,
      columns: ['name', 'holds on', 'a litre covers', 'next coat', 'hard', 'price'],
      rows: paints.map((item) => [
        item.name,
        item.onto.join(', '),
        `${item.m2PerL} m²`,
        waitWords(item.recoatMin),
        waitWords(item.cureMin),
        price(item.price, 'can'),
      ]),
    },
    {
      title: 'Glue',
      kind: 'glues',
      items: glues,
      columns: ['name', 'holds', 'open', 'held', 'loaded', 'price'],
      rows: glues.map((item) => [
        item.name,
        item.holds.join(', '),
        waitWords(item.openMin),
        waitWords(item.clampMin),
        waitWords(item.cureMin),
        price(item.price, 'piece'),
      ]),
    },
    {
      title: 'Cutting tools',
      kind: 'tools',
      items: cutting,
      columns: ['name', 'width of its cut', 'thinnest stroke', 'bed'],
      rows: cutting.map((tool) => [
        tool.name,
        tool.cutMm === 0 ? (tool.kind === 'knife' ? 'none, a knife' : 'none, it lays') : cutsOf(tool),
        `${tool.leastStrokeMm} mm`,
        `${tool.bedWidthMm} × ${tool.bedHeightMm} mm`,
      ]),
      // A knife takes nothing away, and what a nozzle lays has no cut.
      measurable: (tool) => ((tool as Tool).cutMm > 0 ? tool : null),
    },
  ];
};
