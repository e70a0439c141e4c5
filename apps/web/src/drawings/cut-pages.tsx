import type { Packing, SetUp } from '@vitrum/core';
import { useEvaluation } from '../evaluation/evaluation-store';
import { useLength } from '../view/use-length';
import { usePrinting } from '../view/use-printing';
import { useView } from '../view/view-store';
import { SetUpCard } from './set-ups/set-up-card';
import { SheetDrawing } from './sheet-drawing';

type MaterialSheets = Packing['sheets'][number];

const SheetPage = ({ sheets, sheet }: { readonly sheets: MaterialSheets; readonly sheet: number }) => {
  const show = useLength();
  return (
    <section className="break-before-page" aria-label={`Page: ${sheets.materialName}, sheet ${sheet + 1}`}>
      <div className="flex h-[110mm]">
        <SheetDrawing sheets={sheets} sheet={sheet} />
      </div>
      <ul className="mt-3 columns-2 text-[13px]">
        {sheets.placed
          .filter((piece) => piece.sheet === sheet)
          .map(({ label, widthMm, heightMm }) => (
            <li key={label} className="flex justify-between gap-3 border-b border-line">
              <span>{label}</span>
              <span className="figure">
                {show(widthMm)} × {show(heightMm)}
              </span>
            </li>
          ))}
      </ul>
    </section>
  );
};

const SetUpPage = ({ setUp, number }: { readonly setUp: SetUp; readonly number: number }) => (
  <section className="break-before-page" aria-label={`Page: set-up ${number}`}>
    <ol className="flex h-[150mm]">
      <SetUpCard setUp={setUp} number={number} />
    </ol>
    <ul className="mt-3 list-disc pl-4 text-[13px]">
      {setUp.cautions.map((caution) => (
        <li key={caution}>{caution}</li>
      ))}
    </ul>
  </section>
);

/** On paper, after the list: each sheet and each setting of saw and router table on a page of its own. */
export const CutPages = () => {
  const evaluation = useEvaluation((state) => state.evaluation);
  const unit = useView((state) => state.unit);
  const printing = usePrinting();
  if (!printing || evaluation === null) return null;
  const { packing, setUps } = evaluation;
  const found = setUps[unit];
  return (
    <div className="print-only">
      {packing.sheets.flatMap((sheets) =>
        [...new Set(sheets.placed.map(({ sheet }) => sheet))].map((sheet) => (
          <SheetPage key={`${sheets.materialId}-${sheet}`} sheets={sheets} sheet={sheet} />
        )),
      )}
      {found.ok && found.value.map((setUp, at) => <SetUpPage key={setUp.id} setUp={setUp} number={at + 1} />)}
    </div>
  );
};
