import { useParams } from 'react-router';
import { useBenchStanding } from '../bench-log';
import { StepDrawing } from '../drawings/step-drawing';
import { useEvaluation } from '../evaluation/evaluation-store';
import { useView } from '../view/view-store';
import { chosenStep } from './chosen-step';

/** The step of the build that is chosen, drawn under the picture. */
export const StepBelow = () => {
  const evaluation = useEvaluation((state) => state.evaluation);
  const shown = useView((state) => state.shownStep);
  const { jobId = '' } = useParams();
  const { done: built } = useBenchStanding(jobId);
  if (evaluation === null) return <div className="h-[262px] shrink-0 bg-sheet" />;
  const { steps } = evaluation.buildList;
  const index = chosenStep(steps, built, shown);
  const step = steps[index]!;
  return (
    <section aria-label="The step, drawn" className="flex h-[262px] shrink-0 flex-col border-t border-line bg-sheet">
      <p className="px-4 py-1 text-[13px] font-semibold">
        {index + 1}. {step.title}
      </p>
      <div className="min-h-0 flex-1">
        <StepDrawing key={step.id} evaluation={evaluation} step={step} />
      </div>
    </section>
  );
};
