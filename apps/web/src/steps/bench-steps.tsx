import { BenchPanel } from '../bench/bench-panel';
import { titleOf } from '../assemblies/title-of';
import { pageOf, type ProveRow } from '../builds';
import { CutPages } from '../drawings/cut-pages';
import { useCatalogue } from '../job/catalogue-context';
import { PhotoCheck } from '../photo/photo-check';
import { JobRecord } from '../records/job-record';
import { LessonsHere } from '../records/lessons-here';
import { learnedPhases } from '../records/records-words';
import { useOwn } from '../evaluation/own';
import type { AssemblyEvaluation, Evaluation } from '@vitrum/core';
import { Printer } from 'lucide-react';
import { useEvaluation } from '../evaluation/evaluation-store';
import { Button } from '../ui/button';
import { useLength } from '../view/use-length';
import { JobStock } from '../stock/job-stock';
import { SuppliesTable } from './finish/supplies-table';
import { FindFault } from './find-fault/find-fault';

export const PrintButton = () => (
  <Button className="no-print my-1" onClick={() => window.print()}>
    <Printer size={15} aria-hidden /> Print
  </Button>
);

/** Items of the shelf that lessons may be about. */
const itemsOf = ({ parts, assemblies }: Evaluation): readonly string[] => [
  ...new Set([
    ...parts.cut.map(({ materialId }) => materialId),
    ...assemblies.map(({ materials }) => materials.strip.id),
  ]),
];

export const CutStep = () => {
  const evaluation = useEvaluation((state) => state.evaluation);
  const show = useLength();
  const { rates } = useCatalogue();
  if (evaluation === null) return null;
  const { parts, packing, cost } = evaluation;
  return (
    <>
      <PrintButton />
      <LessonsHere met={{ builds: [], items: itemsOf(evaluation) }} />
      <h3 className="mt-1 font-bold">Cut</h3>
      <ul>
        {parts.cut.map((part) => (
          <li key={part.id} className="border-b border-line py-1">
            <span className="flex justify-between gap-2">
              <span className="font-semibold">{part.name}</span>
              <span className="figure whitespace-nowrap">
                {show(part.widthMm)} × {show(part.heightMm)}
              </span>
            </span>
            <span className="block text-xs text-soft">
              {part.materialName}
              {part.note !== '' && `; ${part.note}`}
            </span>
          </li>
        ))}
      </ul>
      <h3 className="mt-3 font-bold">Buy or take from the shelf</h3>
      <table className="w-full text-[13px]">
        <tbody>
          {cost.lines.map((line) => (
            <tr key={line.name} className="border-b border-line">
              <td className="py-0.5 pr-2">{line.name}</td>
              <td className="figure text-right whitespace-nowrap">
                {Math.round(line.quantity * 100) / 100} {line.unit === 'piece' ? '×' : line.unit}
              </td>
              <td className="figure pl-2 text-right whitespace-nowrap">
                {cost.currency}
                {line.price.toFixed(2)}
              </td>
            </tr>
          ))}
        </tbody>
        <tfoot className="figure">
          <tr>
            <td className="font-sans">Materials, a sign</td>
            <td />
            <td className="text-right">
              {cost.currency}
              {cost.materials.toFixed(2)}
            </td>
          </tr>
          <tr>
            <td className="font-sans">
              {cost.hours.toFixed(1)} hours (
              {learnedPhases(rates).length === 0 ? 'typical' : 'partly by this shop’s own times'})
            </td>
            <td />
            <td className="text-right">
              {cost.currency}
              {cost.labour.toFixed(2)}
            </td>
          </tr>
          <tr className="font-bold">
            <td className="font-sans">One sign</td>
            <td />
            <td className="text-right">
              {cost.currency}
              {cost.perSign.toFixed(2)}
            </td>
          </tr>
          {cost.outsideQuote !== null && (
            <tr>
              <td className="font-sans">Outside quote</td>
              <td />
              <td className="text-right">
                {cost.currency}
                {cost.outsideQuote.toFixed(2)}
              </td>
            </tr>
          )}
        </tfoot>
      </table>
      <p className="mt-2 text-[13px] text-soft">
        {packing.sheets.length === 0
          ? 'Nothing is cut from sheet.'
          : `Whole sheets and bars to have: ${packing.sheets.map((sheet) => `${sheet.sheets} × ${sheet.materialName}`).join(', ')}. The layout is under the picture.`}
        {packing.rolls.length > 0 &&
          ` Off the roll, for the order: ${packing.rolls
            .map((roll) => `${(roll.lengthMm / 1000).toFixed(2)} m of ${roll.materialName}, ${show(roll.widthMm)} wide`)
            .join('; ')}.`}
      </p>
      <JobStock />
      <SuppliesTable />
      <CutPages />
    </>
  );
};

/** What the meter and the eye should find of one assembly. */
const ownRows = (own: AssemblyEvaluation): readonly ProveRow[] => {
  const { heat, glow, materials, design, circuit, index } = own;
  const { ripples, proveRows } = pageOf(own);
  const ownChains = circuit.chains.filter(({ segments }) =>
    segments.some((segment) => circuit.segments[segment]?.assembly === index),
  );
  const worst = ownChains.reduce((most, { dropV }) => Math.max(most, dropV), 0);
  return [
    [
      'Voltage at the last LED',
      `${Math.max(0, materials.strip.voltageV - worst).toFixed(2)} V`,
      'between the pads of the last cut',
    ],
    [
      'Strip after an hour',
      `${Math.round(heat.stripC.low)}–${Math.round(heat.stripC.high)} °C`,
      `may have ${materials.strip.maxBoardC} °C`,
    ],
    ...proveRows(own),
    [
      'From the reading distance',
      glow.evenness.dotsVanishAtMm <= design.brief.readingDistanceMm ? ripples.fine : ripples.amiss,
      `${design.brief.readingDistanceMm / 1000} m, in the dark`,
    ],
  ];
};

const ProveTable = ({ title, rows }: { readonly title: string; readonly rows: readonly ProveRow[] }) => (
  <table className="w-full">
    {title !== '' && <caption className="pt-2 text-left font-bold">{title}</caption>}
    <tbody>
      {rows.map(([what, value, how]) => (
        <tr key={what} className="border-b border-line">
          <td className="py-1 pr-2">
            {what}
            <span className="block text-xs text-soft">{how}</span>
          </td>
          <td className="figure text-right whitespace-nowrap">{value}</td>
        </tr>
      ))}
    </tbody>
  </table>
);

export const ProveStep = () => {
  const evaluation = useEvaluation((state) => state.evaluation);
  const chosen = useOwn();
  if (evaluation === null) return null;
  const ProveFields = chosen === null ? null : pageOf(chosen).ProveFields;
  return (
    <>
      <PrintButton />
      <p className="text-[13px] text-soft">
        What the meter and the eye should find once it is lit; all of it computed.
      </p>
      <ProveTable
        title=""
        rows={[['Current at the supply', `${evaluation.circuit.amps.toFixed(2)} A`, 'full white, after a minute']]}
      />
      {evaluation.assemblies.map((own) => (
        <ProveTable key={own.id} title={titleOf(own)} rows={ownRows(own)} />
      ))}
      {ProveFields !== null && <ProveFields key={chosen?.id} />}
      <BenchPanel />
      {chosen !== null && <PhotoCheck key={`photo ${chosen.id}`} own={chosen} />}
      <JobRecord evaluation={evaluation} />
      <FindFault />
      <p className="mt-2 border-l-4 border-caution pl-2 text-[13px]">
        Do not leave a new sign lit unattended. Soak it for an hour before it is closed or hung.
      </p>
    </>
  );
};
