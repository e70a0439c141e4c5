import { sweepSize, type Goal, type TryPoint } from '@vitrum/core';
import { useState } from 'react';
import { changeDesign, useDocument } from '../document/document-store';
import { Button } from '../ui/button';
import { ProgressBar } from '../ui/progress-bar';
import { useLength } from '../view/use-length';
import { shortList } from './chart-points';
import { planOf, PlanForm, type PlanDraft, type PlanOptions } from './plan-form';
import type { TryoutsLink } from './connect-tryouts';
import { useTryouts, type Running } from './tryouts-store';

const wishes: readonly { readonly goal: Goal; readonly label: string }[] = [
  { goal: 'shallowest', label: 'Shallowest' },
  { goal: 'fewest LEDs', label: 'Fewest LEDs' },
  { goal: 'cheapest', label: 'Cheapest' },
];

const listed = 6;

const Progress = ({ running, link }: { readonly running: Running; readonly link: TryoutsLink }) => (
  <div className="my-2 flex items-center gap-2" role="status">
    <ProgressBar
      label={running.kind === 'solve' ? `Looking for the ${running.goal}` : 'Trying combinations'}
      done={running.kind === 'sweep' ? { value: running.done, max: running.of } : null}
    />
    <span className="figure text-xs">
      {running.kind === 'sweep'
        ? `${running.done} of ${running.of}${running.onServer === undefined ? '' : ' on the server'}`
        : `${running.done} tried`}
    </span>
    <Button onClick={link.cancel}>Stop</Button>
  </div>
);

interface PointRowProps {
  readonly point: TryPoint;
  readonly currency: string;
}

const PointRow = ({ point, currency }: PointRowProps) => {
  const show = useLength();
  return (
    <li className="flex items-center justify-between gap-2 border-b border-line py-1">
      <span className="min-w-0 text-[13px] leading-tight">
        {point.face}
        <span className="figure block text-xs text-soft">
          {show(point.depthMm)} · {point.rows} row{point.rows === 1 ? '' : 's'} · {currency}
          {point.costPerSign.toFixed(2)}
          {point.fails.length > 0 && ` · fails ${point.fails.length}`}
        </span>
      </span>
      <Button
        aria-label={`Take ${point.face}, ${show(point.depthMm)}, ${point.rows} rows`}
        onClick={() => void changeDesign(point.change)}
      >
        Take
      </Button>
    </li>
  );
};

interface TryoutsPanelProps {
  readonly link: TryoutsLink;
  readonly currency: string;
  readonly draft: PlanDraft;
  readonly options: PlanOptions;
  readonly rowsWord: string;
}

/** What to try or to look for, and what came of it. */
export const TryoutsPanel = ({ link, currency, draft: start, options, rowsWord }: TryoutsPanelProps) => {
  const [draft, setDraft] = useState(start);
  const points = useTryouts((state) => state.points);
  const running = useTryouts((state) => state.running);
  const ended = useTryouts((state) => state.ended);
  const solution = useTryouts((state) => state.solution);
  const axes = planOf(draft, options);
  const busy = running !== null && !(running.kind === 'sweep' && running.asOpened === true);
  const run = (): void => {
    const { design } = useDocument.getState();
    if (design !== null) link.sweep(design, axes, sweepSize(axes));
  };
  const runOnServer = (): void => {
    const { design } = useDocument.getState();
    if (design !== null) void link.sweepOnServer(design, axes);
  };
  const solve = (goal: Goal) => (): void => {
    const { design } = useDocument.getState();
    if (design === null) return;
    link.solve(design, goal, {
      assembly: axes.assembly,
      faces: axes.faces,
      liningIds: axes.liningIds,
      fewestRows: draft.fewestRows,
      mostRows: draft.mostRows,
      shallowestMm: draft.fromMm,
      deepestMm: draft.toMm,
    });
  };
  return (
    <aside
      aria-label="Try-outs settings"
      className="w-[332px] shrink-0 overflow-y-auto border-l border-line px-4 py-3 max-lg:w-full max-lg:border-t max-lg:border-l-0"
    >
      <h2 className="mb-1 text-[15px] font-bold">Try-outs</h2>
      <h3 className="mt-2 font-bold">Solve within the bounds below</h3>
      <div className="my-1 flex flex-wrap gap-1.5">
        {wishes.map(({ goal, label }) => (
          <Button key={goal} disabled={busy} onClick={solve(goal)}>
            {label}
          </Button>
        ))}
      </div>
      {solution !== null && (
        <div
          className={`my-2 border border-l-4 border-line bg-sheet px-3 py-2 ${solution.point === null ? 'border-l-signal' : 'border-l-sound'}`}
          data-testid="solution"
        >
          <p>{solution.sentence}</p>
          <p className="figure text-xs text-soft">{solution.tried} designs tried</p>
          {solution.point !== null && (
            <Button className="mt-1" onClick={() => void changeDesign(solution.point?.change ?? [])}>
              Take it
            </Button>
          )}
        </div>
      )}
      {running !== null && <Progress running={running} link={link} />}
      {ended !== null && (
        <p role="alert" className="my-1 text-[13px] font-semibold text-signal">
          {ended}
        </p>
      )}
      {points.length > 0 && (
        <>
          <h3 className="mt-2 font-bold">
            {points.some(({ fails }) => fails.length === 0)
              ? 'Will do, cheapest first'
              : 'None will do; these come closest'}
          </h3>
          <ul data-testid="short-list">
            {shortList(points, listed).map((point) => (
              <PointRow key={point.id} point={point} currency={currency} />
            ))}
          </ul>
        </>
      )}
      <div className="mt-3 flex items-center justify-between">
        <h3 className="font-bold">What to try</h3>
        <span className="flex gap-1.5">
          <Button disabled={busy} onClick={runOnServer} title="Goes on when this page is closed; for large sweeps">
            On the server
          </Button>
          <Button look="strong" disabled={busy} onClick={run}>
            Try them all
          </Button>
        </span>
      </div>
      <PlanForm draft={draft} options={options} rowsWord={rowsWord} onChange={setDraft} />
    </aside>
  );
};
