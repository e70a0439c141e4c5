import { Wrench } from 'lucide-react';
import { Link, useParams } from 'react-router';
import { tickStep, useBenchStanding } from '../bench-log';
import { useEvaluation } from '../evaluation/evaluation-store';
import { useCatalogue } from '../job/catalogue-context';
import { learnedPhases, timesWords } from '../records/records-words';
import { PrintButton } from '../steps/bench-steps';
import { Tick } from '../ui/tick';
import { useView } from '../view/view-store';
import { duration, phaseName } from '../bench-log/work-words';
import { chosenStep } from './chosen-step';

/** The build list: what is done, and the step that is drawn under the picture with what it asks for. */
export const BuildStep = () => {
  const { jobId = '' } = useParams();
  const buildList = useEvaluation((state) => state.evaluation?.buildList);
  const shown = useView((state) => state.shownStep);
  const { done: built, minutes } = useBenchStanding(jobId);
  const { rates } = useCatalogue();
  if (buildList === undefined) return null;
  const { steps, workMinutes, waitMinutes } = buildList;
  const chosen = chosenStep(steps, built, shown);
  const done = steps.filter(({ id }) => built.includes(id)).length;
  return (
    <>
      <div className="no-print flex flex-wrap items-center gap-1.5">
        <Link
          to={`/jobs/${jobId}/bench`}
          className="inline-flex min-h-7 items-center gap-1.5 rounded-[3px] border border-ink bg-ink px-2.5 pt-[5px] pb-[3px] font-semibold text-sheet hover:opacity-90"
        >
          <Wrench size={15} aria-hidden /> Bench mode
        </Link>
        <PrintButton />
      </div>
      <p className="text-[13px] text-soft">
        {done} of {steps.length} done. {duration(workMinutes)} at the bench, {duration(waitMinutes)} of drying and
        soaking. {timesWords(learnedPhases(rates))}
      </p>
      <ol>
        {steps.map((step, index) => (
          <li
            key={step.id}
            aria-current={index === chosen ? 'step' : undefined}
            className={`border-b border-line py-1.5 ${index === chosen ? 'border-l-4 border-l-ink pl-2' : ''}`}
          >
            <div className="flex items-start gap-2">
              <Tick on={built.includes(step.id)} label={`Done: ${step.title}`} onChange={(on) => tickStep(step.id, on)}>
                <span aria-hidden />
              </Tick>
              <button
                type="button"
                className="min-w-0 flex-1 text-left font-semibold underline-offset-2 hover:underline"
                onClick={() => useView.setState({ shownStep: step.id })}
              >
                {index + 1}. {step.title}
              </button>
              <span className="figure text-right text-[13px] whitespace-nowrap">
                {duration(step.minutes)}
                {minutes.has(step.id) && (
                  <span className="block text-soft">took {duration(minutes.get(step.id) ?? 0)}</span>
                )}
              </span>
            </div>
            <div className={index === chosen ? '' : 'hidden print:block'}>
              <p className="text-[13px] text-soft">
                {phaseName(step)}. {step.detail}
                {step.waitMinutes > 0 && ` Then wait ${duration(step.waitMinutes)}.`}
              </p>
            </div>
            {step.caution !== null && (
              <p className="mt-0.5 border-l-4 border-caution pl-2 text-[13px]">{step.caution}</p>
            )}
          </li>
        ))}
      </ol>
    </>
  );
};
