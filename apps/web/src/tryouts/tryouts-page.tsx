import { faceOptions, standingOf, sweepSize, tryoutOf, type Catalogue, type Design } from '@vitrum/core';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { useChosenIndex } from '../document/selection';
import { changeDesign, useDocument } from '../document/document-store';
import { useEvaluation } from '../evaluation/evaluation-store';
import { useCatalogue } from '../job/catalogue-context';
import { upwardNames, type Upward } from './chart-points';
import { tryoutsLink } from './link';
import { PinnedRow } from './pinned-row';
import { planOf, type PlanDraft, type PlanOptions } from './plan-form';
import { PointCard } from './point-card';
import { TryoutsPanel } from './tryouts-panel';
import { Choice } from '../ui/choice';
import { lazyPart } from '../ui/lazy-part';
import { useTryouts } from './tryouts-store';

/** The chart library is fetched when there is something to chart. */
const SweepChart = lazyPart(() => import('./sweep-chart'), 'SweepChart', { onlyWhenShown: true });

const roundTo = (value: number, step: number): number => Math.round(value / step) * step;

interface Start {
  readonly draft: PlanDraft;
  readonly options: PlanOptions;
  readonly rowsWord: string;
}

/** Bounds to start from: round the design as it is. */
const startFrom = (design: Design, assembly: number, catalogue: Catalogue): Start | null => {
  const own = design.assemblies[assembly];
  const tryout = tryoutOf(design, assembly);
  if (own === undefined || tryout === null) return null;
  const { depthMm, rows, moreRows, rowsWord, liningId } = tryout.start(own);
  const faces = faceOptions(design, assembly, catalogue);
  return {
    rowsWord,
    options: { assembly, faces, linings: catalogue.linings },
    draft: {
      fromMm: Math.max(20, roundTo(depthMm * 0.5, 10)),
      toMm: Math.max(60, roundTo(depthMm * 1.8, 10)),
      stepMm: 20,
      fewestRows: Math.max(1, rows - 1),
      mostRows: rows + moreRows,
      faces: faces.slice(0, 3).map(({ name }) => name),
      linings: [liningId],
    },
  };
};

/** Depth, rows, faces and linings tried against price and evenness; solving; variants side by side. */
export const TryoutsPage = ({ jobId }: { readonly jobId: string }) => {
  const catalogue = useCatalogue();
  const link = tryoutsLink;
  const points = useTryouts((state) => state.points);
  const running = useTryouts((state) => state.running);
  const [upward, setUpward] = useState<Upward>('visibility');
  const [hovered, setHovered] = useState<number | null>(null);
  const evaluation = useEvaluation((state) => state.evaluation);
  const currency = evaluation?.cost.currency ?? '';
  const chosen = useChosenIndex();
  const start = useMemo(() => {
    const { design } = useDocument.getState();
    return design === null ? null : startFrom(design, chosen, catalogue);
  }, [catalogue, chosen]);
  useEffect(() => tryoutsLink.open(catalogue), [catalogue]);
  useEffect(() => {
    tryoutsLink.about(jobId);
    const { design } = useDocument.getState();
    if (start === null || design === null) return;
    const axes = planOf(start.draft, start.options);
    tryoutsLink.sweepAsOpened(design, axes, sweepSize(axes));
  }, [jobId, start]);
  const now = useMemo(() => (evaluation === null ? null : standingOf(evaluation, chosen)), [evaluation, chosen]);
  const take = useCallback((id: number) => {
    const point = useTryouts.getState().points.find((each) => each.id === id);
    if (point !== undefined) changeDesign(point.change);
  }, []);
  const shown = points.find(({ id }) => id === hovered);
  if (start === null)
    return (
      <p className="flex flex-1 items-center justify-center px-8 text-center text-soft">
        Try-outs weigh depth, rows and faces of a light box. For letters, drag the standoff in the slice and the setback
        in the step Light: the glow follows.
      </p>
    );
  return (
    <>
      <main className="flex min-w-0 flex-1 flex-col max-lg:min-h-[560px]">
        <h1 className="sr-only">Try-outs</h1>
        <div className="flex items-center gap-2 px-4 pt-2">
          <label htmlFor="upward" className="text-[13px]">
            Upward
          </label>
          <Choice
            id="upward"
            className="w-72"
            value={upward}
            options={(Object.entries(upwardNames) as [Upward, string][]).map(([value, label]) => ({ value, label }))}
            onChoose={setUpward}
          />
          <p className="text-[13px] text-soft">filled: will do · hollow: fails something · ring: the design now</p>
        </div>
        <div className="relative min-h-[240px] flex-1">
          {points.length > 0 ? (
            <SweepChart
              points={points}
              now={now}
              upward={upward}
              currency={currency}
              onHover={setHovered}
              onTake={take}
            />
          ) : (
            <p className="flex h-full items-center justify-center px-8 text-center text-soft">
              {running === null
                ? 'No combination of these makes a case. Change what is tried, then “Try them all”.'
                : 'The first ones come …'}
            </p>
          )}
          {shown !== undefined && <PointCard point={shown} currency={currency} />}
        </div>
        <PinnedRow link={link} />
      </main>
      <TryoutsPanel key={chosen} link={link} currency={currency} {...start} />
    </>
  );
};
