import { useQuery } from '@tanstack/react-query';
import { waitWords, type Catalogue, type Tool } from '@vitrum/core';
import { useEffect, useState } from 'react';
import { getCatalogue } from '../api/jobs';
import { MeasureDialog } from '../calibrate/measure-dialog';
import { Button } from '../ui/button';
import { ErrorSheet } from '../pages/error-sheet';
import { PageHeader } from '../pages/page-header';
import { Skeleton } from '../ui/skeleton';

interface Section {
  readonly title: string;
  readonly columns: readonly string[];
  readonly rows: readonly (readonly string[])[];
  /** Items in the order of the rows, where a shop can measure them with a sheet of their own. */
  readonly measurable?: { readonly kind: Measurable; readonly items: readonly (Item | null)[] };
}

type Measurable = 'faces' | 'coatings' | 'tools' | 'cutters';
type Sheet = Catalogue['faces'][number] | Catalogue['coatings'][number];
type Item = Catalogue[Measurable][number];

const scatterOf = ({ scatter }: Sheet): string =>
  scatter.kind === 'lambertian'
    ? 'full'
    : `${percent(scatter.hazeShare)} in ±${Math.round(scatter.sigmaDeg * 10) / 10}°`;

const percent = (share: number): string => `${Math.round(share * 100)} %`;

/** How wide a tool cuts: as usual, and in the materials in which that was measured. */
const cutsOf = ({ cutMm, kerfs }: Tool): string =>
  [`${cutMm} mm`, ...Object.entries(kerfs ?? {}).map(([stuff, mm]) => `${stuff} ${mm} mm`)].join('; ');

const sectionsOf = ({
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
  const price = (value: number, per: string): string => `${rates.currency}${value.toFixed(2)} / ${per}`;
  return [
    {
      title: 'Strip',
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
      columns: ['name', 'passes', 'reflects', 'scatter', 'sheet', 'price'],
      rows: faces.map((face) => [
        face.name,
        percent(face.transmittance),
        percent(face.reflectance),
        scatterOf(face),
        `${face.sheetWidthMm} × ${face.sheetHeightMm} mm`,
        price(face.price, 'sheet'),
      ]),
      measurable: { kind: 'faces', items: faces },
    },
    {
      title: 'Clear sheets',
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
      columns: ['name', 'line', 'takes at most', 'most of it at', 'a pass', 'into'],
      rows: tools.flatMap(({ name, engraves, cuts }) =>
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
      columns: ['name', 'passes', 'reflects', 'scatter', 'price'],
      rows: coatings.map((coating) => [
        coating.name,
        percent(coating.transmittance),
        percent(coating.reflectance),
        scatterOf(coating),
        price(coating.price, 'm² and coat'),
      ]),
      measurable: { kind: 'coatings', items: coatings },
    },
    {
      title: 'Boards',
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
      columns: ['name', 'reflects', 'price'],
      rows: linings.map((lining) => [lining.name, percent(lining.reflectance), price(lining.price, 'm²')]),
    },
    {
      title: 'Film',
      columns: ['name', 'passes (red, green, blue)', 'price'],
      rows: films.map((film) => [film.name, film.transmittanceRgb.map(percent).join(', '), price(film.price, 'm²')]),
    },
    {
      title: 'Supplies',
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
      columns: ['name', 'cuts', 'reaches', 'price'],
      rows: cutters.map((item) => [
        item.name,
        `${item.cutMm} mm`,
        `${item.mostDeepMm} mm deep`,
        price(item.price, 'piece'),
      ]),
      measurable: { kind: 'cutters', items: cutters },
    },
    {
      title: 'Wire',
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
      columns: ['name', 'weight', 'price'],
      rows: sundries.map((item) => [item.name, `${Math.round(item.kg * 1000)} g`, price(item.price, 'piece')]),
    },
    {
      title: 'Wall fixings',
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
      columns: ['name', 'width of its cut', 'thinnest stroke', 'bed'],
      rows: cutting.map((tool) => [
        tool.name,
        tool.cutMm === 0 ? (tool.kind === 'knife' ? 'none, a knife' : 'none, it lays') : cutsOf(tool),
        `${tool.leastStrokeMm} mm`,
        `${tool.bedWidthMm} × ${tool.bedHeightMm} mm`,
      ]),
      // A knife takes nothing away, and what a nozzle lays has no cut.
      measurable: { kind: 'tools', items: cutting.map((tool) => (tool.cutMm > 0 ? tool : null)) },
    },
  ];
};

const slug = (title: string): string => title.toLowerCase().replace(/\s+/g, '-');

const MeasureCell = ({ item, onMeasure }: { readonly item: Item; readonly onMeasure: () => void }) => (
  <td className="py-0.5 text-right whitespace-nowrap">
    <span className="mr-2 text-xs text-soft">
      {item.measured === undefined
        ? '~ typical'
        : `• measured ${item.measured.on}, ± ${(item.measured.errorShare * 100).toFixed(1)} %`}
    </span>
    <Button onClick={onMeasure} aria-label={`Measure ${item.name}`}>
      Measure
    </Button>
  </td>
);

interface SectionTableProps {
  readonly section: Section;
  readonly onMeasure: (kind: Measurable, item: Item) => void;
}

/** Whether the figures of an item are typical or the shop’s own, where they can be measured. */
const FiguresCell = ({ section, place, onMeasure }: SectionTableProps & { readonly place: number }) => {
  const { measurable } = section;
  if (measurable === undefined) return null;
  const item = measurable.items[place] ?? null;
  if (item === null) return <td className="py-0.5 text-right text-xs text-soft">nothing to measure</td>;
  return <MeasureCell item={item} onMeasure={() => onMeasure(measurable.kind, item)} />;
};

const SectionTable = ({ section, onMeasure }: SectionTableProps) => (
  <section id={slug(section.title)} className="mb-7 overflow-x-auto">
    <h2 className="mb-1 text-lg font-bold">{section.title}</h2>
    <table className="w-full border-collapse text-[13px]">
      <thead>
        <tr className="border-b border-ink text-left text-xs text-soft">
          {section.columns.map((column, index) => (
            <th
              key={column}
              className={`py-1 pr-4 font-semibold ${index === 0 ? 'w-72' : index === section.columns.length - 1 ? 'text-right' : ''}`}
            >
              {column}
            </th>
          ))}
          {section.measurable !== undefined && <th className="w-72 text-right font-semibold">figures</th>}
        </tr>
      </thead>
      <tbody>
        {section.rows.map((row, place) => (
          <tr key={row[0]} className="border-b border-line">
            {row.map((value, index) => (
              <td
                key={section.columns[index]}
                className={`py-1 pr-4 ${index === 0 ? 'font-semibold' : 'figure whitespace-nowrap'} ${index === row.length - 1 ? 'text-right' : ''}`}
              >
                {value}
              </td>
            ))}
            <FiguresCell section={section} place={place} onMeasure={onMeasure} />
          </tr>
        ))}
      </tbody>
    </table>
  </section>
);

/** What the shop can build from; faces and what is on them can be measured. */
export const ShelfPage = () => {
  const { data, error } = useQuery({ queryKey: ['catalogue'], queryFn: getCatalogue, staleTime: Infinity });
  const [measuring, setMeasuring] = useState<{ readonly kind: Measurable; readonly item: Item } | null>(null);
  useEffect(() => {
    document.title = 'Shelf · Vitrum';
  }, []);
  if (error !== null) return <ErrorSheet error={error} />;
  const sections = data === undefined ? [] : sectionsOf(data);
  return (
    <>
      <PageHeader />
      <main className="mx-auto max-w-6xl px-5 py-5">
        <h1 className="text-2xl font-bold">Shelf</h1>
        <p className="mb-3 max-w-3xl text-soft">
          What designs are made from. Figures are <strong className="text-ink">typical</strong>, usual values, until you
          have <strong className="text-ink">measured</strong> your own: a lux meter, a photograph or calipers will do,
          and designs use them from then on. A strip is measured on a finished box, in the step Prove.
        </p>
        {data === undefined && (
          <Skeleton says="Fetching the shelf …" shapes={Array.from({ length: 12 }, () => 'mb-2 h-6')} />
        )}
        <nav aria-label="On the shelf" className="mb-4 flex flex-wrap gap-x-4 gap-y-1">
          {sections.map(({ title, rows }) => (
            <a key={title} href={`#${slug(title)}`} className="underline underline-offset-2">
              {title} <span className="figure text-xs text-soft">{rows.length}</span>
            </a>
          ))}
        </nav>
        {sections.map((section) => (
          <SectionTable
            key={section.title}
            section={section}
            onMeasure={(kind, item) => setMeasuring({ kind, item })}
          />
        ))}
        {measuring !== null && (
          <MeasureDialog kind={measuring.kind} item={measuring.item} onClose={() => setMeasuring(null)} />
        )}
      </main>
    </>
  );
};
