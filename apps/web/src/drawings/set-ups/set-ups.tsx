import { TriangleAlert } from 'lucide-react';
import { useEvaluation } from '../../evaluation/evaluation-store';
import { useView } from '../../view/view-store';
import { SetUpCard } from './set-up-card';

/** Every setting of saw and router table, one after the other. */
export const SetUps = () => {
  const setUps = useEvaluation((state) => state.evaluation?.setUps);
  const unit = useView((state) => state.unit);
  if (setUps === undefined) return null;
  const found = setUps[unit];
  if (!found.ok)
    return (
      <p role="alert" className="text-signal">
        {found.problems.map(({ message }) => message).join('; ')}. Put a narrower one on the shelf, or change the seat
        in the step Case.
      </p>
    );
  if (found.value.length === 0) return <p className="text-soft">Nothing of this sign is sawn to set-ups.</p>;
  const cautions = [...new Set(found.value.flatMap((setUp) => setUp.cautions))];
  return (
    <ol className="flex h-full gap-4">
      {found.value.map((setUp, at) => (
        <SetUpCard key={setUp.id} setUp={setUp} number={at + 1} />
      ))}
      <li className="w-[300px] shrink-0 text-[13px] text-caution">
        <h4 className="flex items-center gap-1.5 font-bold">
          <TriangleAlert size={15} aria-hidden /> At every setting
        </h4>
        <ul className="list-disc pl-4">
          {cautions.map((caution) => (
            <li key={caution}>{caution}</li>
          ))}
        </ul>
      </li>
    </ol>
  );
};
